// An offer by hand: what is in the pack, its price, prices by quantity, and "take three, pay two".

import '@mui/material/Autocomplete';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { enqueueSnackbar } from 'notistack';
import { parseNumber } from '../../core/units';
import type { OfferView, SupplierView } from '../../views/offers';
import type { ThingView } from '../../views/stock';
import { NumberText, useLengthUnit, useMoneyText } from './SmallFields';
import { useSmallForm } from './use-form-state';
import { useThings } from './use-things';
import type { SmallForm } from './use-form-state';
import { type PartText, type OfferText, type BreakText, EMPTY } from './offer-text';
import { PackParts } from './PackParts';
import { PriceBreaks } from './PriceBreaks';

/** As a number; what is none goes as typed, and the answer says what is wrong with it. */
const read = (text: string) => parseNumber(text) ?? text;

export default function OfferForm({
  offer,
  suppliers,
  onClose,
  onDone,
  onArchive,
}: {
  offer: OfferView | null;
  suppliers: readonly SupplierView[];
  onClose: () => void;
  onDone: () => void;
  onArchive: (offer: OfferView) => void;
}) {
  const things = useThings();
  const money = useMoneyText();
  const lengths = useLengthUnit();
  const shownLength = (mm: number | null) => (mm === null ? '' : lengths.fromMm(mm));
  const form = useSmallForm({
    supplierId: offer?.supplierId ?? suppliers[0]?.id ?? 0,
    code: offer?.code ?? '',
    name: offer?.name ?? '',
    price: offer ? money.fromMinor(offer.price) : '',
    take: offer?.takePay ? String(offer.takePay.take) : '',
    pay: offer?.takePay ? String(offer.takePay.pay) : '',
    breaks: (offer?.breaks ?? []).map((step): BreakText => ({
      from: String(step.fromPacks),
      price: money.fromMinor(step.price),
    })) as readonly BreakText[],
    parts: (offer
      ? offer.parts.map((part): PartText => ({
          thing: part.thing,
          label: part.label,
          count: String(part.count),
          width: shownLength(part.widthMm),
          length: shownLength(part.lengthMm),
        }))
      : [EMPTY]) as readonly PartText[],
  });
  const { values, set } = form;
  const size = (text: string) => (text.trim() === '' ? null : (lengths.toMm(text) ?? text));
  const save = () =>
    form.send(
      offer ? 'PUT' : 'POST',
      offer ? `/api/offers/${offer.id}` : '/api/offers',
      {
        supplierId: values.supplierId,
        code: values.code,
        name: values.name,
        price: money.toMinor(values.price) ?? values.price,
        breaks: values.breaks.map((step) => ({
          fromPacks: read(step.from),
          price: money.toMinor(step.price) ?? step.price,
        })),
        takePay:
          values.take.trim() === '' && values.pay.trim() === ''
            ? null
            : { take: read(values.take), pay: read(values.pay) },
        parts: values.parts.map((part) => ({
          key: part.thing?.key ?? null,
          label: part.label,
          count: read(part.count),
          widthMm: part.thing?.unit === 'count' ? null : size(part.width),
          lengthMm: part.thing?.unit === 'count' ? null : size(part.length),
        })),
        ...(offer ? { version: offer.version } : {}),
      },
      () => {
        enqueueSnackbar(offer ? 'Saved. A new price stands in its history.' : 'Added to the offers.');
        onDone();
      },
    );
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
    <Dialog open onClose={onClose} fullWidth maxWidth="md" aria-labelledby="offer-form-title">
      <DialogTitle id="offer-form-title">{offer ? `Change ${offer.name}` : 'Add an offer'}</DialogTitle>
      <OfferFields
        values={values}
        offer={offer}
        set={set}
        suppliers={suppliers}
        line={line}
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
  readonly line: (field: 'code' | 'name', label: string, autoFocus?: boolean) => React.JSX.Element;
  readonly money: ReturnType<typeof useMoneyText>;
  readonly form: SmallForm<OfferText>;
  readonly things: readonly ThingView[];
  readonly lengths: ReturnType<typeof useLengthUnit>;
};

function OfferFields({ values, offer, set, suppliers, line, money, form, things, lengths }: OfferFieldsProps) {
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
