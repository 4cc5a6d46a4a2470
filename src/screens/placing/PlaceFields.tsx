// Which place is meant, how far down and aside, and how wide on this size; what is wrong there, and what clears it.

import Button from '@mui/material/Button';
import { SPOTS_OF, shapeOf, type PlacedArtwork } from '../../core/placing';
import type { ArtworkOnBlank, PlacingView } from '../../views/placing';
import { describeShift } from '../../wording/placing';
import { Choice } from '../shared/form';
import { LengthField } from '../shared/number-fields';
import { useSettings } from '../shared/settings';
import { Why } from '../shared/Why';
import type { PlacingFormApi } from './use-placing';

type Props = {
  readonly form: PlacingFormApi;
  readonly at: number;
  readonly view: PlacingView;
  readonly placed: PlacedArtwork;
  readonly artwork: ArtworkOnBlank;
  readonly sizeName: string;
  /** What is wrong with it there, in words. */
  readonly faults: readonly string[];
};

export function PlaceFields({ form, at, view, placed, artwork, sizeName, faults }: Props) {
  const isUsual = sizeName === view.sizeName;
  return (
    <section className="sheet" aria-label="Its place">
      <div className="fields two-by-two">
        <Choice
          form={form}
          name={`artworks.${at}.placing.spot`}
          label="Place"
          options={[
            { value: '', label: `as it says: ${artwork.place}` },
            ...SPOTS_OF[shapeOf(view.blank)].map((spot) => ({ value: spot, label: spot })),
          ]}
        />
        <LengthField form={form} name={`artworks.${at}.placing.dropMm`} label={`Down from the ${placed.datum}`} />
        <LengthField form={form} name={`artworks.${at}.placing.asideMm`} label="Moved to the right" />
        {!artwork.isText && (
          <LengthField
            form={form}
            name={isUsual ? `artworks.${at}.widthMm` : `artworks.${at}.widths.${sizeName}`}
            label={`Width on ${sizeName}`}
          />
        )}
      </div>
      <p className="soft flat above-2">
        {placed.drop.label} <Why figure={placed.drop} />
        {placed.left && (
          <>
            , left <Why figure={placed.left} />
          </>
        )}
        {placed.right && (
          <>
            , right <Why figure={placed.right} />
          </>
        )}
        . The blank is <Why figure={placed.size.width} /> wide.
      </p>
      <Faults form={form} at={at} placed={placed} faults={faults} />
    </section>
  );
}

function Faults({ form, at, placed, faults }: Pick<Props, 'form' | 'at' | 'placed' | 'faults'>) {
  const settings = useSettings();
  const { clearBy, drop } = placed;
  const clear = () => {
    if (!clearBy) return;
    const aside = form.getValues(`artworks.${at}.placing.asideMm`) ?? 0;
    const set = { shouldDirty: true } as const;
    if (clearBy.downMm !== 0) form.setValue(`artworks.${at}.placing.dropMm`, drop.value + clearBy.downMm, set);
    if (clearBy.rightMm !== 0) form.setValue(`artworks.${at}.placing.asideMm`, aside + clearBy.rightMm, set);
  };
  if (faults.length === 0) return null;
  return (
    <div role="status">
      {faults.map((fault) => (
        <p key={fault} className="short flat above-2">
          {fault}
        </p>
      ))}
      {clearBy && (
        <Button size="small" onClick={clear}>
          Move it {describeShift(clearBy, settings)}
        </Button>
      )}
    </div>
  );
}
