// One sheet of a load: its readings, its drawing, what is saved of what is left, and how to load it.

import { getKindFacts } from '../../core/materials';
import { listSheets, type LayoutFault, type Leftover, type SheetUse } from '../../core/nesting';
import { placementKey, placementsOn, toLoadFacts, type LeftoverChoice } from '../../core/orders';
import { formatLength, formatShare } from '../../core/units';
import { describeLoading } from '../../wording/nesting';
import { useSettings } from '../shared/settings';
import { toLaidLoad, type Group } from './cut-load';
import { drawSheetMarks } from './export-load';
import { SheetLeftovers } from '../shared/SheetLeftovers';
import { SheetView } from './SheetView';
import { nameOf } from './load-edits';
import { type LoadState } from './use-load';

type Props = {
  readonly state: LoadState;
  readonly group: Group;
  readonly use: SheetUse;
  readonly stale: boolean;
  readonly bookable: boolean;
  readonly nameStock: (stockId: string) => string;
  /** The ways to save what is left of it. */
  readonly leftovers: readonly Leftover[];
  readonly leftover: Leftover | null;
  readonly onLeftover: (choice: LeftoverChoice) => void;
};

export function LaidSheet({ state, group, use, stale, bookable, nameStock, leftovers, leftover, onLeftover }: Props) {
  const settings = useSettings();
  const { laid, running, chosen, locked, faults, byPart } = state;
  const stock = laid && listSheets(laid.stock)[use.sheet];
  if (!laid || !stock) return null;
  const { kind, details, colourHex } = group.vinyl;
  const load = toLaidLoad(laid);
  const { figures } = settings.shop;
  const { label } = getKindFacts(kind);
  const facts = toLoadFacts(load, use, {
    setup: laid.setup,
    figures,
    kind: label,
    thicknessUm: details.thicknessUm,
  });
  const done = !running && !laid.counting;
  return (
    <div className="cols gap-1">
      <div className="readings soft">
        <span>
          {laid.layout.sheets.length > 1 ? `${use.sheet + 1}: ` : ''}
          {nameStock(use.stockId)}
        </span>
        <span>
          cut off <b>{formatLength(use.usedLengthMm, settings)}</b>
        </span>
        <span>
          used <b>{formatShare(use.density, settings, 0)}</b>
        </span>
      </div>
      <SheetView
        use={use}
        stock={stock}
        placements={placementsOn(load, use.sheet)}
        laid={laid}
        marks={drawSheetMarks(laid, use)}
        byPart={byPart}
        leftover={leftover}
        colour={colourHex}
        nameOf={(placement) => nameOf(laid, byPart, placement)}
        chosen={chosen}
        locked={locked}
        faulty={new Set(faults.flatMap(keysOf))}
        onChoose={(placement) => !running && state.setChosen(placement)}
        onMove={(placement, dxMm, dyMm) => {
          const now = laid.layout.placements.find((one) => placementKey(one) === placementKey(placement));
          if (now && !running) state.change(now, { xMm: now.xMm + dxMm, yMm: now.yMm + dyMm });
        }}
      />
      {done && !facts.isRoll && bookable && (
        <SheetLeftovers leftovers={leftovers} chosen={leftover?.kind ?? 'nothing'} onChoose={onLeftover} />
      )}
      {done && !stale && <Loading facts={facts} />}
    </div>
  );
}

function Loading({ facts }: { readonly facts: ReturnType<typeof toLoadFacts> }) {
  const settings = useSettings();
  const side = { all: 'carrier down, mirrored', none: 'face up', some: 'in two loads' }[facts.mirrored];
  return (
    <details>
      <summary className="soft">
        Load it {side}, {facts.onMat ? 'on a mat' : 'without a mat'}
      </summary>
      <dl className="pairs">
        {describeLoading(facts, settings).map(({ label, text }) => (
          <div key={label}>
            <dt className="soft">{label}</dt>
            <dd>{text}</dd>
          </div>
        ))}
      </dl>
    </details>
  );
}

function keysOf(fault: LayoutFault): readonly string[] {
  switch (fault.kind) {
    case 'overlap':
      return [placementKey(fault.first), placementKey(fault.second)];
    case 'missing':
      return [];
    case 'outside':
    case 'turned':
    case 'spoiled-spot':
      return [placementKey(fault.placement)];
    default:
      return fault satisfies never;
  }
}
