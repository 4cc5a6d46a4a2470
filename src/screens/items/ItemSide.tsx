// The side of an item that is filled in: its pieces as they are worn and cut, and the fields.

import { useState } from 'react';
import type { ItemPlan, ItemSpec } from '../../core/costing';
import { decideHandedness } from '../../core/materials';
import type { BlankView } from '../../views/shelf';
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

type Props = {
  readonly plan: ItemPlan;
  readonly form: UseFormReturn<ItemForm>;
  readonly view: ItemEditorView;
  readonly blank: BlankView | undefined;
  /** Of the blank. */
  readonly colourName: string;
  /** What it is calculated from; null while that can’t be told. */
  readonly spec: ItemSpec | null;
};

export function ItemSide({ plan, form, view, blank, colourName, spec }: Props) {
  const settings = useSettings();
  /** The placement that is looked at. */
  const [shown, setShown] = useState(0);
  const placement = plan.placements[Math.min(shown, plan.placements.length - 1)];
  const artwork = view.artworks.find((candidate) => candidate.id === placement?.artworkId);
  const vinyls = placement?.vinylIds.map((id) => view.shelf.vinyls.find((vinyl) => vinyl.id === id)) ?? [];
  const handedness = vinyls[0] ? decideHandedness(vinyls[0], { seenThrough: placement?.seenThrough ?? false }) : null;
  const ground = blank?.colours.find((colour) => colour.name === colourName)?.hex;
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
      <MoreFields form={form} view={view} blank={blank} evidence={view.evidence} spec={spec} />
    </div>
  );
}
