// The side of an item that is filled in: its pieces as they are worn and cut, and the fields.

import type { ItemPlan, Placement } from '../../core/costing';
import type { ArtworkView } from '../../views/artwork';
import type { Handedness } from '../../core/materials';
import type { VinylView, BlankView } from '../../views/shelf';
import type { UseFormReturn } from 'react-hook-form';
import type { ItemForm } from './item-form';
import type { ItemEditorView } from '../../views/items';
import { useSettings } from '../shared/settings';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import ToggleButton from '@mui/material/ToggleButton';
import { SeamView } from '../shared/SeamView';
import { describeHandedness } from '../../wording/stations';
import { formatLength } from '../../core/units';
import { ItemFields } from './ItemFields';
import { MoreFields } from './MoreFields';

type ItemSideProps = {
  readonly plan: ItemPlan;
  readonly shown: number;
  readonly setShown: React.Dispatch<React.SetStateAction<number>>;
  readonly artwork: ArtworkView | undefined;
  readonly handedness: Handedness | null;
  readonly vinyls: (VinylView | undefined)[];
  readonly placement: Placement | undefined;
  readonly ground: string | undefined;
  readonly form: UseFormReturn<ItemForm>;
  readonly view: ItemEditorView;
  readonly blank: BlankView | undefined;
};

export function ItemSide({
  plan,
  shown,
  setShown,
  artwork,
  handedness,
  vinyls,
  placement,
  ground,
  form,
  view,
  blank,
}: ItemSideProps) {
  const settings = useSettings();
  return (
    <div className="cols">
      <section className="sheet flush lifted">
        {plan.placements.length > 1 && (
          <ToggleButtonGroup
            size="small"
            exclusive
            value={Math.min(shown, plan.placements.length - 1)}
            onChange={(_, at: number | null) => at !== null && setShown(at)}
            aria-label="Artwork shown"
            sx={{ p: 1 }}
          >
            {plan.placements.map((one, at) => (
              <ToggleButton key={at} value={at} sx={{ py: 0.3, textTransform: 'none' }}>
                {one.place || `artwork ${at + 1}`}
              </ToggleButton>
            ))}
          </ToggleButtonGroup>
        )}
        {artwork && handedness && (
          <SeamView
            picture={artwork.picture}
            colours={vinyls.map((vinyl) => vinyl?.colourHex)}
            mirrored={handedness.mirrored}
            cutCaption={describeHandedness(handedness)}
            name={artwork.name}
            size={`${formatLength(placement?.widthMm || 0, settings)} × ${formatLength(((placement?.widthMm || 0) * artwork.measurement.heightMm) / artwork.measurement.widthMm, settings)}`}
            height={150}
            {...(ground ? { ground } : {})}
          />
        )}
      </section>
      <ItemFields form={form} view={view} blank={blank} shown={shown} onShow={setShown} />
      <MoreFields form={form} view={view} blank={blank} evidence={view.evidence} />
    </div>
  );
}
