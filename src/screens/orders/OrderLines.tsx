// The lines of an order: an item each, how many, in which size and colour, with which options, and what they say.

import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { Controller, useFieldArray, type UseFormReturn } from 'react-hook-form';
import { getVariantPrice } from '../../core/costing';
import { askPieces } from '../../core/orders';
import { formatMoney } from '../../core/units';
import type { OrderableItem } from '../../views/orders';
import { plural } from '../../wording/plural';
import { Choice } from '../shared/form';
import { late } from '../shared/late';
import { MoneyField, NumberField } from '../shared/number-fields';
import { useSettings } from '../shared/settings';
import { readGrid, writeGrid, type GridCell } from './size-grid';
import { expandLines, listTexts, startLine, type OrderLineForm, type RosterForm } from './line-form';

const RosterDialog = late(() => import('./RosterDialog'));
const SizeGrid = late(() => import('./SizeGrid'));

export type LinesForm = { lines: OrderLineForm[] };
type Props = {
  readonly form: UseFormReturn<LinesForm>;
  readonly items: readonly OrderableItem[];
  /** As they stand in the form. */
  readonly lines: readonly OrderLineForm[];
};

export function OrderLines({ form, items, lines: wished }: Props) {
  const lines = useFieldArray({ control: form.control, name: 'lines' });
  const [gridOf, setGridOf] = useState<number | null>(null);
  const takeGrid = (cells: readonly GridCell[]) => {
    lines.replace([...writeGrid(wished, gridOf!, cells)]);
    setGridOf(null);
  };
  const itemOf = (line: OrderLineForm | undefined) => items.find(({ id }) => id === Number(line?.itemId));
  return (
    <section className="sheet cols">
      {lines.fields.map((field, index) => (
        <OrderLine
          key={field.id}
          form={form}
          index={index}
          items={items}
          item={itemOf(wished[index])}
          line={wished[index] ?? field}
          onRemove={lines.fields.length > 1 ? () => lines.remove(index) : null}
          onGrid={() => setGridOf(index)}
        />
      ))}
      {gridOf !== null && itemOf(wished[gridOf]) && (
        <SizeGrid
          item={itemOf(wished[gridOf])!}
          start={readGrid(wished, gridOf)}
          onClose={() => setGridOf(null)}
          onTake={takeGrid}
        />
      )}
      <div className="actions">
        <Button onClick={() => lines.append(startLine(itemOf(wished.at(-1)) ?? items[0]!))}>Add a line</Button>
      </div>
    </section>
  );
}

type LineProps = Omit<Props, 'lines'> & {
  /** From 0. */
  readonly index: number;
  readonly item: OrderableItem | undefined;
  readonly line: OrderLineForm;
  /** Null for the only one. */
  readonly onRemove: (() => void) | null;
  /** How many of each size and colour. */
  readonly onGrid: () => void;
};

function OrderLine({ form, index, items, item, line, onRemove, onGrid }: LineProps) {
  const named = (names: readonly string[] = []) => names.map((name) => ({ value: name, label: name }));
  const pickItem = (value: string) => {
    const next = items.find(({ id }) => id === Number(value));
    if (!next) return;
    form.setValue(`lines.${index}.sizeName`, next.usualSize);
    form.setValue(`lines.${index}.colourName`, next.usualColour);
    form.setValue(`lines.${index}.options`, []);
    form.setValue(`lines.${index}.texts`, {});
    form.setValue(`lines.${index}.roster`, null);
  };
  const texts = listTexts(item, line.options);
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
        {line.roster ? (
          <p className="flat soft as-listed">Sizes and names as listed</p>
        ) : (
          <>
            <NumberField form={form} name={`lines.${index}.quantity`} label="Quantity" />
            <Choice form={form} name={`lines.${index}.sizeName`} label="Size" options={named(item?.sizes)} />
            <Choice form={form} name={`lines.${index}.colourName`} label="Colour" options={named(item?.colours)} />
          </>
        )}
        <Button onClick={onRemove ?? undefined} disabled={!onRemove} aria-label={`Remove line ${index + 1}`}>
          Remove
        </Button>
      </div>
      {item && (
        <div className="price-each above-3">
          <PriceEach form={form} index={index} item={item} line={line} />
          {!line.roster && item.sizes.length * item.colours.length > 1 && (
            <Button size="small" onClick={onGrid}>
              Sizes and colours…
            </Button>
          )}
        </div>
      )}
      {item && item.options.length > 0 && <OptionChoice form={form} index={index} options={item.options} />}
      {item && texts.length > 0 && <LineTexts form={form} index={index} item={item} line={line} texts={texts} />}
      {item?.problem && <p className="short flat above-3">{item.problem}</p>}
    </fieldset>
  );
}

type PriceProps = Pick<LineProps, 'form' | 'index' | 'line'> & { readonly item: OrderableItem };

/** What one is asked at; empty follows the shop's price. */
function PriceEach({ form, index, item, line }: PriceProps) {
  const settings = useSettings();
  const own = getVariantPrice(item, line);
  const pieces = expandLines([line]);
  const quantity = pieces.reduce((sum, one) => sum + one.quantity, 0);
  const asked = askPieces(pieces, item);
  return (
    <>
      <MoneyField
        form={form}
        name={`lines.${index}.each`}
        label="Price each"
        help={
          line.roster ? 'Empty: as agreed for each, or your price' : `Empty: your price, ${formatMoney(own, settings)}`
        }
      />
      {quantity > 1 && (
        <p className="flat soft">
          {formatMoney(asked, settings)} for {quantity}
        </p>
      )}
    </>
  );
}

type TextsProps = Pick<LineProps, 'form' | 'index' | 'line'> & {
  readonly item: OrderableItem;
  readonly texts: OrderableItem['letterings'];
};

/** What its pieces say: all the same, or each its own from a list. */
function LineTexts({ form, index, item, line, texts }: TextsProps) {
  const [isListing, setListing] = useState(false);
  const { roster } = line;
  const take = (next: RosterForm | null) => {
    form.setValue(`lines.${index}.roster`, next, { shouldDirty: true });
    if (next) form.setValue(`lines.${index}.quantity`, next.rows.length, { shouldDirty: true });
    setListing(false);
  };
  return (
    <div className="above-3">
      {roster ? (
        <p className="flat below-2">
          {plural(roster.rows.length, 'piece')}: {sayRows(roster)}
        </p>
      ) : (
        <Controller
          control={form.control}
          name={`lines.${index}.texts`}
          render={({ field: { value, onChange } }) => (
            <div className="own-fields below-2">
              {texts.map(({ label, sample }) => (
                <TextField
                  key={label}
                  label={Number(line.quantity) > 1 ? `${label}, on all` : label}
                  helperText={`such as ${sample}; empty: not on it`}
                  value={value[label] ?? ''}
                  onChange={(event) => onChange({ ...value, [label]: event.target.value })}
                  slotProps={{ htmlInput: { spellCheck: false } }}
                />
              ))}
            </div>
          )}
        />
      )}
      <div className="actions">
        <Button size="small" onClick={() => setListing(true)}>
          {roster ? 'Edit the list' : 'Names from a list…'}
        </Button>
        {roster && (
          <Button size="small" variant="text" onClick={() => take(null)}>
            All alike instead
          </Button>
        )}
      </div>
      {isListing && (
        <RosterDialog
          itemName={item.name}
          item={{ letterings: texts, sizes: item.sizes, colours: item.colours }}
          usual={{ sizeName: line.sizeName || item.usualSize, colourName: line.colourName || item.usualColour }}
          start={roster}
          onClose={() => setListing(false)}
          onTake={take}
        />
      )}
    </div>
  );
}

const ROWS_SAID = 6;

function sayRows({ rows }: RosterForm): string {
  const said = rows.slice(0, ROWS_SAID).map(({ texts }) => texts.map(({ text }) => text).join(' ') || 'plain');
  return `${said.join(', ')}${rows.length > ROWS_SAID ? ` and ${rows.length - ROWS_SAID} more` : ''}`;
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
