// An offer by hand: what is in the pack, its price, prices by quantity, and "take three, pay two".

import '@mui/material/Autocomplete';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { OfferView, SupplierView } from '../../views/offers';
import type { ThingView } from '../../views/stock';
import { useLengthUnit, useNumbers } from '../shared/use-numbers';
import { NumberText, useMoneyText } from './SmallFields';
import { useSmallForm } from './use-form-state';
import { useThings } from './use-things';
import type { SmallForm } from './use-form-state';
import { toOfferInput, toOfferText, type OfferText } from './offer-text';
import { PackParts } from './PackParts';
import { PriceBreaks } from './PriceBreaks';
import { enqueueSnackbar } from '../shared/snackbar';

type Props = {
  /** Null adds one. */
  readonly offer: OfferView | null;
  readonly suppliers: readonly SupplierView[];
  readonly onClose: () => void;
  readonly onDone: () => void;
  readonly onArchive: (offer: OfferView) => void;
};

export default function OfferForm({ offer, suppliers, onClose, onDone, onArchive }: Props) {
  const things = useThings();
  const money = useMoneyText();
  const numbers = useNumbers();
  const lengths = useLengthUnit();
  const form = useSmallForm(toOfferText(offer, suppliers[0]?.id ?? 0, numbers, lengths));
  const { values, set } = form;
  const save = () =>
    form.send(
      offer ? 'PUT' : 'POST',
      offer ? `/api/offers/${offer.id}` : '/api/offers',
      { ...toOfferInput(values, numbers, lengths), ...(offer ? { version: offer.version } : {}) },
      () => {
        enqueueSnackbar(offer ? 'Saved. A new price stands in its history.' : 'Added to the offers.');
        onDone();
      },
    );
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="md" aria-labelledby="offer-form-title">
      <DialogTitle id="offer-form-title">{offer ? `Change ${offer.name}` : 'Add an offer'}</DialogTitle>
      <OfferFields
        values={values}
        offer={offer}
        set={set}
        suppliers={suppliers}
        money={money}
        form={form}
        things={things}
        lengths={lengths}
      />
      <DialogActions sx={{ px: 3, pb: 2, flexWrap: 'wrap' }}>
        <div role="alert" className="short grow">
          {form.failure}
        </div>
        {offer && (
          <Button color="error" variant="text" onClick={() => onArchive(offer)}>
            Archive
          </Button>
        )}
        <Button onClick={onClose}>Cancel</Button>
        <Button variant="contained" disabled={form.pending} onClick={() => void save()}>
          {offer ? 'Save the offer' : 'Add the offer'}
        </Button>
      </DialogActions>
    </Dialog>
  );
}

type OfferFieldsProps = {
  readonly values: OfferText;
  readonly offer: OfferView | null;
  readonly set: (part: Partial<OfferText>) => void;
  readonly suppliers: readonly SupplierView[];
  readonly money: ReturnType<typeof useMoneyText>;
  readonly form: SmallForm<OfferText>;
  readonly things: readonly ThingView[];
  readonly lengths: ReturnType<typeof useLengthUnit>;
};

function OfferFields({ values, offer, set, suppliers, money, form, things, lengths }: OfferFieldsProps) {
  const line = (field: 'code' | 'name', label: string, autoFocus = false) => (
    <TextField
      label={label}
      value={values[field]}
      disabled={field === 'code' && offer !== null}
      onChange={(event) => set({ [field]: event.target.value })}
      error={Boolean(form.errorOf(field))}
      helperText={form.errorOf(field)}
      autoFocus={autoFocus}
      fullWidth
    />
  );
  return (
    <DialogContent className="cols">
      <div className="fields pad-top-2">
        <TextField
          select
          label="Supplier"
          value={values.supplierId}
          disabled={offer !== null}
          onChange={(event) => set({ supplierId: Number(event.target.value) })}
        >
          {suppliers.map((supplier) => (
            <MenuItem key={supplier.id} value={supplier.id}>
              {supplier.name}
            </MenuItem>
          ))}
        </TextField>
        {line('code', 'Article number', offer === null)}
        {line('name', 'Name')}
        <NumberText
          label="Price of a pack"
          unit={money.unit}
          value={values.price}
          onChange={(price) => set({ price })}
          error={form.errorOf('price')}
        />
      </div>
      <PackParts values={values} set={set} form={form} things={things} lengths={lengths} />
      <PriceBreaks values={values} set={set} form={form} money={money} />
    </DialogContent>
  );
}
