// What is typed of where things lie, measured as it is typed, and saved with the item.

import { useMemo, useState } from 'react';
import { useForm, useWatch, type UseFormReturn } from 'react-hook-form';
import { placeArtwork, type PlacedArtwork, type Spot } from '../../core/placing';
import type { PlacingView } from '../../views/placing';
import { useSave } from '../shared/form';
import { useDraft } from '../shared/use-draft';
import { enqueueSnackbar } from '../shared/snackbar';
import { lateRules } from '../shared/late-rules';

type ArtworkForm = {
  /** The spot is empty where the words of the place tell it. */
  placing: { spot: Spot | ''; dropMm: number | null; asideMm: number | null };
  widthMm: number;
  widths: Record<string, number | null>;
};
export type PlacingForm = { artworks: ArtworkForm[] };

const startValues = ({ artworks }: PlacingView): PlacingForm => ({
  artworks: artworks.map(({ placing, widthMm, widths }) => ({
    placing: { spot: placing?.spot ?? '', dropMm: placing?.dropMm ?? null, asideMm: placing?.asideMm ?? null },
    widthMm,
    widths: { ...widths },
  })),
});

/** Nothing of the seller's own is kept as nothing. */
const toBody = ({ artworks }: PlacingForm) => ({
  artworks: artworks.map(({ placing, ...widths }) => {
    const own = { ...placing, spot: placing.spot === '' ? null : placing.spot };
    return { ...widths, placing: Object.values(own).every((value) => value === null) ? null : own };
  }),
});

/** What a field holds while it is typed may be no number yet. */
const soundOr = <T>(value: unknown, otherwise: T): number | T =>
  typeof value === 'number' && Number.isFinite(value) ? value : otherwise;

const rules = lateRules<PlacingForm>(async () => (await import('../../core/input/item-inputs')).placingsInput);

export function usePlacing(initial: PlacingView) {
  const [view, setView] = useState(initial);
  const [sizeName, setSizeName] = useState(initial.sizeName);
  const form = useForm<PlacingForm>({
    resolver: rules,
    defaultValues: startValues(initial),
  });
  const values = useWatch({ control: form.control }) as PlacingForm;
  const placed = useMemo(
    () => view.artworks.map((artwork, at) => place(view, artwork, { own: values.artworks[at], sizeName })),
    [view, values, sizeName],
  );
  const { isDirty } = form.formState;
  const draft = useDraft({
    key: `placing ${view.itemId} ${view.version}`,
    value: values,
    isChanged: isDirty,
    restore: (typed) => form.reset(typed, { keepDefaultValues: true }),
    restart: () => form.reset(startValues(view)),
  });
  const save = useSave<PlacingForm, { readonly version: number }>({
    form,
    method: 'PUT',
    path: `/api/items/${view.itemId}/placing`,
    version: view.version,
    toBody,
    onSaved: ({ version }) => {
      setView({ ...view, version });
      draft.clear();
      form.reset(form.getValues());
      enqueueSnackbar('Saved with the item.');
    },
  });
  return { view, form, values, placed, sizeName, setSizeName, save, draft, isDirty };
}

type Typed = { readonly own: ArtworkForm | undefined; readonly sizeName: string };

function place(view: PlacingView, artwork: PlacingView['artworks'][number], { own, sizeName }: Typed): PlacedArtwork {
  const usualMm = soundOr(own?.widthMm, artwork.widthMm);
  const widthMm = soundOr(own?.widths?.[sizeName], usualMm);
  return placeArtwork(view.blank, sizeName, {
    place: artwork.place,
    placing: {
      spot: own?.placing.spot || null,
      dropMm: soundOr(own?.placing.dropMm, null),
      asideMm: soundOr(own?.placing.asideMm, null),
    },
    widthMm,
    heightMm: widthMm * artwork.aspect,
  });
}

export type PlacingFormApi = UseFormReturn<PlacingForm>;
