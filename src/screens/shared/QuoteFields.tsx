// What a quick quote is asked for: the item, its size and colour, how many, at which price, with which options.

import Autocomplete from '@mui/material/Autocomplete';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { getVariantPrice } from '../../core/costing/item-plan';
import { formatMoney } from '../../core/units';
import { NumberBox } from './NumberBox';
import { useSettings } from './settings';
import { useNumbers } from './use-numbers';
import type { QuickQuoteState } from './use-quick-quote';

type Props = Pick<QuickQuoteState, 'start' | 'form' | 'set' | 'read'>;

export function QuoteFields({ start, form, set, read: { quantity } }: Props) {
  const { writeMoney, moneyDigits } = useNumbers();
  const blank = form.drawing?.blank;
  const sizes = blank ? blank.sizes.map((size) => size.name) : (form.item?.sizes ?? []);
  const colours = blank ? blank.colours.map((colour) => colour.name) : (form.item?.colours ?? []);
  const usualPrice = form.item ? writeMoney(getVariantPrice(form.item, form)) : form.drawing ? 'by margin' : '';
  return (
    <div className="fields pad-top-2 quote-fields">
      <Autocomplete
        options={start?.items ?? []}
        value={form.item}
        getOptionLabel={(item) => item.name}
        isOptionEqualToValue={(a, b) => a.id === b.id}
        onChange={(_, item) =>
          set({
            item,
            drawing: null,
            sizeName: item?.usualSize ?? '',
            colourName: item?.usualColour ?? '',
            options: [],
            each: '',
          })
        }
        renderInput={(props) => <TextField {...props} label="Item" autoFocus />}
      />
      <NameChoice label="Size" names={sizes} value={form.sizeName} onChange={(sizeName) => set({ sizeName })} />
      <NameChoice
        label="Colour"
        names={colours}
        value={form.colourName}
        onChange={(colourName) => set({ colourName })}
      />
      <NumberBox
        label="Pieces"
        text={form.quantity}
        onText={(text) => set({ quantity: text })}
        error={(quantity === null || !Number.isInteger(quantity) || quantity < 1) && 'Whole pieces.'}
      />
      <NumberBox
        label="Price each"
        text={form.each}
        placeholder={usualPrice}
        digits={moneyDigits}
        onText={(text) => set({ each: text })}
      />
    </div>
  );
}

type NameChoiceProps = {
  readonly label: string;
  readonly names: readonly string[];
  readonly value: string;
  readonly onChange: (name: string) => void;
};

function NameChoice({ label, names, value, onChange }: NameChoiceProps) {
  return (
    <TextField select label={label} value={value} onChange={(event) => onChange(event.target.value)}>
      {names.map((name) => (
        <MenuItem key={name} value={name}>
          {name}
        </MenuItem>
      ))}
    </TextField>
  );
}

export function QuoteOptions({ form, set }: Pick<Props, 'form' | 'set'>) {
  const settings = useSettings();
  if (!form.item || form.item.options.length === 0) return null;
  const choose = (at: number, on: boolean) =>
    set({ options: on ? [...form.options, at] : form.options.filter((one) => one !== at) });
  return (
    <div className="readings">
      {form.item.options.map((option, at) => (
        <FormControlLabel
          key={at}
          control={<Checkbox size="small" checked={form.options.includes(at)} onChange={(_, on) => choose(at, on)} />}
          label={`with ${option.label}, ${formatMoney(option.surcharge, settings)} more`}
        />
      ))}
    </div>
  );
}
