// What an item is made of, as fields.

import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { Controller, type UseFormReturn } from 'react-hook-form';
import { getWornLayers, haveOwnLengths } from '../../core/artwork';
import type { AreaBasis } from '../../core/costing';
import { checkPlacement, findNamedArea, getAreasOfSize, getKindFacts } from '../../core/materials';
import type { ArtworkView, BlankView, ItemEditorView } from '../../views/views';
import { formatLength } from '../../core/units';
import { describeArea, describePlacementFault } from '../../wording/placement';
import { Choice, LengthField, MoneyField, NumberField, TextLine } from '../shared/form';
import { useSettings } from '../shared/settings';

export type ItemForm = {
  name: string; blankId: number; sizeName: string; colourName: string; artworkId: number; placement: string; widthMm: number; seenThrough: boolean; areaBasis: AreaBasis; quantity: number; price: number; artworkPrice: number; artworkRun: number; vinylIds: number[];
};

type Props = { readonly form: UseFormReturn<ItemForm>; readonly view: ItemEditorView; readonly artwork: ArtworkView | undefined; readonly blank: BlankView | undefined };

export function ItemFields({ form, view, artwork, blank }: Props) {
  const settings = useSettings();
  const pickBlank = (value: string) => {
    const next = view.shelf.blanks.find((candidate) => candidate.id === Number(value));
    if (!next) return;
    const { sizeName, colourName } = form.getValues();
    if (!next.sizes.some((size) => size.name === sizeName)) form.setValue('sizeName', next.sizes[0]?.name ?? '', { shouldDirty: true });
    if (!next.colours.some((colour) => colour.name === colourName)) form.setValue('colourName', next.colours[0]?.name ?? '', { shouldDirty: true });
  };
  const pickArtwork = (value: string) => {
    const next = view.artworks.find((candidate) => candidate.id === Number(value));
    if (!next) return;
    const { vinylIds } = form.getValues();
    form.setValue('vinylIds', getWornLayers(next.measurement).map((_, index) => vinylIds[index] ?? vinylIds[0] ?? view.shelf.vinyls[0]!.id), { shouldDirty: true });
    form.setValue('widthMm', Math.round(next.measurement.widthMm * 10) / 10, { shouldDirty: true });
  };
  const adhesive = form.getValues('vinylIds').some((id) => {
    const vinyl = view.shelf.vinyls.find((candidate) => candidate.id === Number(id));
    return vinyl && getKindFacts(vinyl.kind).family === 'adhesive';
  });
  const widthMm = Number(form.getValues('widthMm'));
  const areas = blank ? getAreasOfSize(blank.areas, form.getValues('sizeName')) : [];
  const area = blank && findNamedArea(blank.areas, form.getValues('sizeName'), form.getValues('placement') ?? '');
  const faults = area && artwork && widthMm > 0 ? checkPlacement(area, widthMm, (artwork.measurement.heightMm * widthMm) / artwork.measurement.widthMm) : [];
  const scaled = artwork && widthMm > 0 && Math.abs(widthMm - artwork.measurement.widthMm) > 0.5 && haveOwnLengths(artwork.steps);
  return (
    <section className="sheet fields" aria-label="What it is made of">
      <div style={{ gridColumn: '1 / -1' }}><TextLine form={form} name="name" label="Name" /></div>
      <div style={{ gridColumn: '1 / -1' }}><Choice form={form} name="blankId" label="Blank" options={view.shelf.blanks.map((option) => ({ value: option.id, label: option.name }))} onPicked={pickBlank} /></div>
      <Choice form={form} name="sizeName" label="Size" options={(blank?.sizes ?? []).map((size) => ({ value: size.name, label: size.name }))} />
      <Choice form={form} name="colourName" label="Colour" options={(blank?.colours ?? []).map((colour) => ({ value: colour.name, label: colour.name, swatch: colour.hex }))} />
      <div style={{ gridColumn: '1 / -1' }}><Choice form={form} name="artworkId" label="Artwork" options={view.artworks.map((option) => ({ value: option.id, label: option.name }))} onPicked={pickArtwork} /></div>
      {(artwork ? getWornLayers(artwork.measurement) : []).map((_, index) => (
        <div key={index} style={{ gridColumn: '1 / -1' }}><Choice form={form} name={`vinylIds.${index}`} label={`Vinyl for ${artwork?.layerNames[index] ?? `layer ${index + 1}`}`} options={view.shelf.vinyls.map((option) => ({ value: option.id, label: option.name, swatch: option.colourHex }))} /></div>
      ))}
      <LengthField form={form} name="widthMm" label="Width" />
      {scaled && <p className="soft" style={{ gridColumn: '1 / -1', margin: 0 }}>The artwork was made ready at {formatLength(artwork.measurement.widthMm, settings)}: outlines, overlaps and marks of its steps are scaled with it. To keep them as they are, <a href={`/artwork/${artwork.id}`}>set it to this width</a>.</p>}
      <NumberField form={form} name="quantity" label="Made in one go" unit="pieces" />
      <div style={{ gridColumn: '1 / -1' }}><TextLine form={form} name="placement" label="Where on it" list={areas.map((option) => describeArea(option, settings))} {...(area && faults.length === 0 ? { help: `within the ${area.name}, ${formatLength(area.widthMm, settings)} × ${formatLength(area.heightMm, settings)}` } : {})} /></div>
      {faults.map((fault) => <p key={fault.kind} className="short" role="status" style={{ gridColumn: '1 / -1', margin: 0 }}>{describePlacementFault(fault, area!, settings)}</p>)}
      <MoneyField form={form} name="artworkPrice" label="Paid for the drawing" /><NumberField form={form} name="artworkRun" label="Spread over" unit="pieces" />
      {adhesive && <Controller control={form.control} name="seenThrough" render={({ field }) => <FormControlLabel sx={{ gridColumn: '1 / -1' }} control={<Checkbox checked={field.value} onChange={(_, on) => field.onChange(on)} />} label="Seen through glass, from behind" />} />}
    </section>
  );
}
