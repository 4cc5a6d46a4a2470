// The lines of a new order: an item each, how many, in which size and colour, with which options.

import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { Controller, useFieldArray, type UseFormReturn } from 'react-hook-form';
import { formatMoney } from '../../core/units';
import type { NewOrderView, OrderableItem } from '../../views/orders';
import { Choice } from '../shared/form';
import { NumberField } from '../shared/number-fields';
import { useSettings } from '../shared/settings';
import { startLine, type NewOrderForm, type NewOrderState } from './use-new-order';

type Props = { readonly view: NewOrderView; readonly order: NewOrderState };

export function OrderLines({ view, order: { form, lines: wished, itemOf } }: Props) {
  const lines = useFieldArray({ control: form.control, name: 'lines' });
  return (
    <section className="sheet cols">
      {lines.fields.map((field, index) => (
        <OrderLine
          key={field.id}
          form={form}
          index={index}
          items={view.items}
          item={itemOf(Number(wished[index]?.itemId))}
          onRemove={lines.fields.length > 1 ? () => lines.remove(index) : null}
        />
      ))}
      <div className="actions">
        <Button onClick={() => lines.append(startLine(itemOf(Number(wished.at(-1)?.itemId)) ?? view.items[0]!))}>
          Add a line
        </Button>
      </div>
    </section>
  );
}

type LineProps = {
  readonly form: UseFormReturn<NewOrderForm>;
  /** From 0. */
  readonly index: number;
  readonly items: readonly OrderableItem[];
  readonly item: OrderableItem | undefined;
  /** Null for the only one. */
  readonly onRemove: (() => void) | null;
};

function OrderLine({ form, index, items, item, onRemove }: LineProps) {
  const named = (names: readonly string[] = []) => names.map((name) => ({ value: name, label: name }));
  const pickItem = (value: string) => {
    const next = items.find(({ id }) => id === Number(value));
    if (!next) return;
    form.setValue(`lines.${index}.sizeName`, next.usualSize);
    form.setValue(`lines.${index}.colourName`, next.usualColour);
    form.setValue(`lines.${index}.options`, []);
  };
  return (
    <fieldset className="bare pad-top-0 pad-right-0 pad-bottom-5 pad-left-0 flat ruled-below">
      <legend className="soft pad-0 below-3">Line {index + 1}</legend>
      <div className="grid gap-4 top order-line">
        <Choice
          form={form}
          name={`lines.${index}.itemId`}
          label="Item"
          options={items.map(({ id, name }) => ({ value: id, label: name }))}
          onPicked={pickItem}
        />
        <NumberField form={form} name={`lines.${index}.quantity`} label="Quantity" />
        <Choice form={form} name={`lines.${index}.sizeName`} label="Size" options={named(item?.sizes)} />
        <Choice form={form} name={`lines.${index}.colourName`} label="Colour" options={named(item?.colours)} />
        <Button onClick={onRemove ?? undefined} disabled={!onRemove} aria-label={`Remove line ${index + 1}`}>
          Remove
        </Button>
      </div>
      {item && item.options.length > 0 && <OptionChoice form={form} index={index} options={item.options} />}
      {item?.problem && <p className="short flat above-3">{item.problem}</p>}
    </fieldset>
  );
}

type OptionProps = Pick<LineProps, 'form' | 'index'> & { readonly options: OrderableItem['options'] };

function OptionChoice({ form, index, options }: OptionProps) {
  const settings = useSettings();
  return (
    <Controller
      control={form.control}
      name={`lines.${index}.options`}
      render={({ field: { value, onChange } }) => (
        <div className="readings">
          {options.map((option, at) => (
            <FormControlLabel
              key={at}
              control={
                <Checkbox
                  size="small"
                  checked={value.includes(at)}
                  onChange={(_, on) => onChange(on ? [...value, at] : value.filter((one) => one !== at))}
                />
              }
              label={`with ${option.label}, ${formatMoney(option.surcharge, settings)} more`}
            />
          ))}
        </div>
      )}
    />
  );
}
