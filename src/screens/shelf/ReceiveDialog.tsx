// A lot taken in by hand: what lies there already, or was bought without an order.

import { useNumbers } from '../shared/use-numbers';
import Autocomplete from '@mui/material/Autocomplete';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { ThingView } from '../../views/stock';
import { useLengthUnit } from '../shared/use-numbers';
import { NumberText, useMoneyText } from './SmallFields';
import { useSmallForm } from './use-form-state';
import { useThings } from './use-things';
import type { SmallForm } from './use-form-state';
import { enqueueSnackbar } from '../shared/snackbar';

/** What came, as it is typed. */
type StockText = {
  thing: ThingView | null;
  form: string;
  width: string;
  length: string;
  quantity: string;
  price: string;
  remark: string;
};

export default function ReceiveDialog({ onClose, onDone }: { onClose: () => void; onDone: () => void }) {
  const numbers = useNumbers();
  const things = useThings();
  const { unit, toMm, fromMm } = useLengthUnit();
  const money = useMoneyText();
  const form = useSmallForm<StockText>({
    thing: null,
    form: 'roll',
    width: '',
    length: '',
    quantity: '1',
    price: '',
    remark: '',
  });
  const { values, set } = form;
  const vinyl = values.thing?.unit !== 'count';
  const kind = vinyl ? values.form : 'piece';
  const save = () =>
    form.send(
      'POST',
      '/api/stock',
      {
        key: values.thing?.key ?? '',
        form: kind,
        widthMm: kind === 'piece' ? null : toMm(values.width),
        lengthMm: kind === 'piece' ? null : toMm(values.length),
        quantity: kind === 'roll' ? toMm(values.length) : numbers.read(values.quantity),
        price: money.toMinor(values.price),
        remark: values.remark,
      },
      () => {
        enqueueSnackbar('Taken in.');
        onDone();
      },
    );
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="receive-title">
      <DialogTitle id="receive-title">Add stock</DialogTitle>
      <ReceiveFields
        things={things}
        values={values}
        set={set}
        fromMm={fromMm}
        form={form}
        vinyl={vinyl}
        unit={unit}
        kind={kind}
        money={money}
      />
      <DialogActions sx={{ px: 3, pb: 2 }}>
        <div role="alert" className="short grow">
          {form.failure}
        </div>
        <Button onClick={onClose}>Cancel</Button>
        <Button variant="contained" disabled={form.pending} onClick={() => void save()}>
          Add it
        </Button>
      </DialogActions>
    </Dialog>
  );
}

type ReceiveFieldsProps = {
  readonly things: readonly ThingView[];
  readonly values: StockText;
  readonly set: (part: Partial<StockText>) => void;
  readonly fromMm: (mm: number) => string;
  readonly form: SmallForm<StockText>;
  readonly vinyl: boolean;
  readonly unit: 'mm' | 'in';
  readonly kind: string;
  readonly money: {
    readonly unit: string;
    readonly toMinor: (text: string) => number | null;
    readonly fromMinor: (minor: number) => string;
  };
};

function ReceiveFields({ things, values, set, fromMm, form, vinyl, unit, kind, money }: ReceiveFieldsProps) {
  return (
    <DialogContent>
      <div className="cols pad-top-2">
        <Autocomplete
          options={things}
          value={values.thing}
          getOptionLabel={(thing) => thing.name}
          isOptionEqualToValue={(a, b) => a.key === b.key}
          onChange={(_, thing) => set({ thing, width: thing?.rollWidthMm ? fromMm(thing.rollWidthMm) : values.width })}
          renderInput={(props) => (
            <TextField
              {...props}
              label="What it is"
              autoFocus
              error={Boolean(form.errorOf('key'))}
              helperText={form.errorOf('key')}
            />
          )}
        />
        <WhatCame vinyl={vinyl} values={values} set={set} unit={unit} form={form} kind={kind} money={money} />
        <TextField label="Remark" value={values.remark} onChange={(event) => set({ remark: event.target.value })} />
      </div>
    </DialogContent>
  );
}

type WhatCameProps = {
  readonly vinyl: boolean;
  readonly values: StockText;
  readonly set: (part: Partial<StockText>) => void;
  readonly unit: 'mm' | 'in';
  readonly form: SmallForm<StockText>;
  readonly kind: string;
  readonly money: {
    readonly unit: string;
    readonly toMinor: (text: string) => number | null;
    readonly fromMinor: (minor: number) => string;
  };
};

function WhatCame({ vinyl, values, set, unit, form, kind, money }: WhatCameProps) {
  return (
    <div className="fields">
      {vinyl && (
        <TextField select label="Form" value={values.form} onChange={(event) => set({ form: event.target.value })}>
          <MenuItem value="roll">a roll</MenuItem>
          <MenuItem value="sheet">sheets</MenuItem>
        </TextField>
      )}
      {vinyl && (
        <NumberText
          label="Width"
          unit={unit}
          value={values.width}
          onChange={(width) => set({ width })}
          error={form.errorOf('widthMm')}
        />
      )}
      {vinyl && (
        <NumberText
          label={values.form === 'roll' ? 'Length left' : 'Length'}
          unit={unit}
          value={values.length}
          onChange={(length) => set({ length })}
          error={form.errorOf('lengthMm')}
        />
      )}
      {kind !== 'roll' && (
        <NumberText
          label={kind === 'sheet' ? 'Sheets' : 'Pieces'}
          value={values.quantity}
          onChange={(quantity) => set({ quantity })}
          error={form.errorOf('quantity')}
        />
      )}
      <NumberText
        label="Cost all of it"
        unit={money.unit}
        value={values.price}
        onChange={(price) => set({ price })}
        error={form.errorOf('price')}
        help="with its share of shipping"
      />
    </div>
  );
}
