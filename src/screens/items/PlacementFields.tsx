// One artwork at one place of the blank: which, how wide, in which vinyls, and where.

import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { Controller, useWatch, type UseFormReturn } from 'react-hook-form';
import { getWornLayers, haveOwnLengths } from '../../core/artwork';
import { checkPlacement, findNamedArea, getAreasOfSize, getKindFacts } from '../../core/materials';
import { formatLength, groupBy } from '../../core/units';
import type { BlankView } from '../../views/shelf';
import type { ItemEditorView } from '../../views/items';
import { describeArea, describePlacementFault } from '../../wording/placement';
import { Choice, LengthField, TextLine } from '../shared/form';
import { useSettings } from '../shared/settings';
import { startForm, type ItemForm, type PlacementForm } from './item-form';

type Path = `placements.${number}` | `details.options.${number}.placement`;
type Props = {
  readonly form: UseFormReturn<ItemForm>;
  readonly path: Path;
  readonly view: ItemEditorView;
  readonly blank: BlankView | undefined;
};
const WHOLE = { gridColumn: '1 / -1' } as const;

export function PlacementFields({ form, path, view, blank }: Props) {
  const settings = useSettings();
  const values = useWatch({ control: form.control, name: path }) as PlacementForm | undefined;
  const sizeName = useWatch({ control: form.control, name: 'sizeName' });
  if (!values) return null;
  const artwork = view.artworks.find((candidate) => candidate.id === Number(values.artworkId));
  const pickArtwork = (value: string) => {
    const next = view.artworks.find((candidate) => candidate.id === Number(value));
    if (!next) return;
    const started = startForm(next, values.vinylIds, view.shelf, values.place);
    form.setValue(`${path}.vinylIds`, started.vinylIds, { shouldDirty: true });
    form.setValue(`${path}.widthMm`, started.widthMm, { shouldDirty: true });
  };
  const adhesive = values.vinylIds.some((id) => {
    const vinyl = view.shelf.vinyls.find((candidate) => candidate.id === Number(id));
    return vinyl && getKindFacts(vinyl.kind).family === 'adhesive';
  });
  const sizes = blank && blank.sizes.length > 1 ? blank.sizes : [];
  const heightOf = (widthMm: number) =>
    artwork ? (artwork.measurement.heightMm * widthMm) / artwork.measurement.widthMm : 0;
  // Each size has its own print area, and may have its own width.
  const told = (sizes.length > 0 ? sizes.map((size) => size.name) : [sizeName]).flatMap((size) => {
    const widthMm = Number(values.widths?.[size]) || Number(values.widthMm);
    const area = blank && findNamedArea(blank.areas, size, values.place ?? '');
    return area && artwork && widthMm > 0
      ? [{ size, area, faults: checkPlacement(area, widthMm, heightOf(widthMm)) }]
      : [];
  });
  const own = told.find((entry) => entry.size === sizeName);
  // The same fault of several sizes is said once.
  const faults = [
    ...groupBy(
      told.flatMap(({ size, area, faults: own }) =>
        own.map((fault) => ({ size, words: describePlacementFault(fault, area, settings) })),
      ),
      (entry) => entry.words,
    ),
  ];
  const widthMm = Number(values.widthMm);
  const scaled =
    artwork && widthMm > 0 && Math.abs(widthMm - artwork.measurement.widthMm) > 0.5 && haveOwnLengths(artwork.steps);
  return (
    <>
      <div style={WHOLE}>
        <Choice
          form={form}
          name={`${path}.artworkId`}
          label="Artwork"
          options={view.artworks.map((option) => ({ value: option.id, label: option.name }))}
          onPicked={pickArtwork}
        />
      </div>
      {(artwork ? getWornLayers(artwork.measurement) : []).map((_, index) => (
        <div key={index} style={WHOLE}>
          <Choice
            form={form}
            name={`${path}.vinylIds.${index}`}
            label={`Vinyl for ${artwork?.layerNames[index] ?? `layer ${index + 1}`}`}
            options={view.shelf.vinyls.map((option) => ({
              value: option.id,
              label: option.name,
              swatch: option.colourHex,
            }))}
          />
        </div>
      ))}
      <LengthField form={form} name={`${path}.widthMm`} label="Width" />
      <TextLine
        form={form}
        name={`${path}.place`}
        label="Where on it"
        list={(blank ? getAreasOfSize(blank.areas, sizeName) : []).map((option) => describeArea(option, settings))}
        {...(own && own.faults.length === 0
          ? {
              help: `within the ${own.area.name}, ${formatLength(own.area.widthMm, settings)} × ${formatLength(own.area.heightMm, settings)}`,
            }
          : {})}
      />
      {faults.map(([words, own]) => (
        <p key={words} className="short flat" role="status" style={{ ...WHOLE }}>
          {own.length < told.length ? `${own.map((entry) => entry.size).join(', ')}: ` : ''}
          {words}
        </p>
      ))}
      {scaled && (
        <p className="soft flat" style={{ ...WHOLE }}>
          The artwork was made ready at {formatLength(artwork.measurement.widthMm, settings)}: outlines, overlaps and
          marks of its steps are scaled with it. To keep them as they are,{' '}
          <a href={`/artwork/${artwork.id}`}>set it to this width</a>.
        </p>
      )}
      {sizes.length > 0 && (
        <details style={WHOLE} open={Object.values(values.widths ?? {}).some((width) => Number(width) > 0)}>
          <summary>Another width for some sizes</summary>
          <div className="fields above-4 small-fields">
            {sizes.map((size) => (
              <LengthField key={size.name} form={form} name={`${path}.widths.${size.name}`} label={size.name} />
            ))}
          </div>
        </details>
      )}
      {adhesive && (
        <Controller
          control={form.control}
          name={`${path}.seenThrough`}
          render={({ field }) => (
            <FormControlLabel
              sx={WHOLE}
              control={<Checkbox checked={field.value} onChange={(_, on) => field.onChange(on)} />}
              label="Seen through glass, from behind"
            />
          )}
        />
      )}
    </>
  );
}
