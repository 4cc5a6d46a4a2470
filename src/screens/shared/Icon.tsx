// The few icons that help scanning, by what they stand for. A word always stands beside them.

import {
  mdiAlertOutline,
  mdiBookOpenVariant,
  mdiBookshelf,
  mdiBoxCutter,
  mdiCalendarTodayOutline,
  mdiCheckCircleOutline,
  mdiClipboardListOutline,
  mdiFlaskOutline,
  mdiHook,
  mdiIronOutline,
  mdiStoreOutline,
  mdiTagOutline,
  mdiThermometer,
  mdiThermometerHigh,
  mdiThermometerLow,
  mdiTools,
  mdiUndo,
  mdiVectorCurve,
  mdiViewQuiltOutline,
} from '@mdi/js';

const PATHS = {
  today: mdiCalendarTodayOutline,
  orders: mdiClipboardListOutline,
  artwork: mdiVectorCurve,
  items: mdiTagOutline,
  'cut-sheets': mdiViewQuiltOutline,
  bench: mdiTools,
  shelf: mdiBookshelf,
  trials: mdiFlaskOutline,
  books: mdiBookOpenVariant,
  shop: mdiStoreOutline,
  cut: mdiBoxCutter,
  weed: mdiHook,
  press: mdiIronOutline,
  check: mdiCheckCircleOutline,
  'peel-hot': mdiThermometerHigh,
  'peel-warm': mdiThermometer,
  'peel-cold': mdiThermometerLow,
  caution: mdiAlertOutline,
  undo: mdiUndo,
} as const;

export type IconName = keyof typeof PATHS;

export function Icon({ name }: { readonly name: IconName }) {
  return (
    <svg className="icon" viewBox="0 0 24 24" aria-hidden="true">
      <path d={PATHS[name]} />
    </svg>
  );
}
