// What an item is made of, as fields: its blank, its placements, and what was paid for the drawings.

import Button from '@mui/material/Button';
import { useFieldArray, type UseFormReturn } from 'react-hook-form';
import type { BlankView } from '../../views/shelf';
import type { ItemEditorView } from '../../views/items';
import { Choice, TextLine } from '../shared/form';
import { useMaker } from '../shared/MakeInPlace';
import { MoneyField, NumberField } from '../shared/number-fields';
import { startForm, type ItemForm } from './item-form';
import { PlacementFields } from './PlacementFields';

type Props = {
  readonly form: UseFormReturn<ItemForm>;
  readonly view: ItemEditorView;
  readonly blank: BlankView | undefined;
  readonly shown: number;
  readonly onShow: (placement: number) => void;
};
/** Where a second artwork usually goes. */
const NEXT_PLACES = ['front, centred', 'back, centred', 'neck label', 'left sleeve', 'right sleeve'] as const;

export function ItemFields({ form, view, blank, shown, onShow }: Props) {
  const maker = useMaker();
  const takeBlank = (next: BlankView) => {
    const { sizeName, colourName } = form.getValues();
    if (!next.sizes.some((size) => size.name === sizeName))
      form.setValue('sizeName', next.sizes[0]?.name ?? '', { shouldDirty: true });
    if (!next.colours.some((colour) => colour.name === colourName))
      form.setValue('colourName', next.colours[0]?.name ?? '', { shouldDirty: true });
  };
  const pickBlank = (value: string) => {
    const next = view.shelf.blanks.find((candidate) => candidate.id === Number(value));
    if (next) takeBlank(next);
  };
  const makeBlank = () =>
    maker?.blank((made) => {
      form.setValue('blankId', made.id, { shouldDirty: true });
      takeBlank(made);
    });
  return (
    <section className="sheet fields" aria-label="What it is made of">
      <div className="whole-row">
        <TextLine form={form} name="name" label="Name" />
      </div>
      <div className="whole-row">
        <Choice
          form={form}
          name="blankId"
          label="Blank"
          options={view.shelf.blanks.map((option) => ({ value: option.id, label: option.name }))}
          onPicked={pickBlank}
          more={maker ? [{ label: 'Another blank…', run: makeBlank }] : undefined}
        />
      </div>
      <Choice
        form={form}
        name="sizeName"
        label="Size"
        options={(blank?.sizes ?? []).map((size) => ({ value: size.name, label: size.name }))}
      />
      <Choice
        form={form}
        name="colourName"
        label="Colour"
        options={(blank?.colours ?? []).map((colour) => ({
          value: colour.name,
          label: colour.name,
          swatch: colour.hex,
        }))}
      />
      <Placements form={form} view={view} blank={blank} shown={shown} onShow={onShow} />
      <NumberField form={form} name="quantity" label="Made in one go" unit="pieces" />
      <MoneyField form={form} name="artworkPrice" label="Paid for the drawing" />
      <NumberField form={form} name="artworkRun" label="Spread over" unit="pieces" />
    </section>
  );
}

/** Its artworks, each with its place, width and vinyls. */
function Placements({ form, view, blank, shown, onShow }: Props) {
  const placements = useFieldArray({ control: form.control, name: 'placements' });
  const add = () => {
    const taken = form.getValues('placements').map((placement) => placement.place);
    placements.append(
      startForm(
        view.artworks[0]!,
        view.shelf,
        form.getValues('blankId'),
        NEXT_PLACES.find((place) => !taken.includes(place)) ?? `place ${taken.length + 1}`,
      ),
    );
    onShow(placements.fields.length);
  };
  return (
    <>
      {placements.fields.map((field, at) => (
        <fieldset key={field.id} className="fields group whole-row" onFocus={() => shown !== at && onShow(at)}>
          <legend>
            {placements.fields.length > 1 ? `Artwork ${at + 1}` : 'Artwork on it'}
            {placements.fields.length > 1 && (
              <Button
                size="small"
                variant="text"
                aria-label={`Remove artwork ${at + 1}`}
                onClick={() => {
                  placements.remove(at);
                  onShow(0);
                }}
              >
                Remove
              </Button>
            )}
          </legend>
          <PlacementFields form={form} path={`placements.${at}`} view={view} blank={blank} />
        </fieldset>
      ))}
      <div className="whole-row">
        <Button size="small" onClick={add} disabled={placements.fields.length >= 12}>
          Add another artwork
        </Button>
      </div>
    </>
  );
}
