// An offer by hand: what is in the pack, its price, prices by quantity, and "take three, pay two".

import Autocomplete from '@mui/material/Autocomplete';
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

type PartText = {
  readonly thing: ThingView | null;
  readonly label: string;
  readonly count: string;
  readonly width: string;
  readonly length: string;
};
type BreakText = { readonly from: string; readonly price: string };
const EMPTY: PartText = { thing: null, label: '', count: '1', width: '', length: '' };
const replace = <T,>(list: readonly T[], at: number, part: Partial<T>): readonly T[] =>
  list.map((entry, index) => (index === at ? { ...entry, ...part } : entry));
const without = <T,>(list: readonly T[], at: number): readonly T[] => list.filter((_, index) => index !== at);
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
        <fieldset className="group">
          <legend>In the pack</legend>
          {values.parts.map((part, at) => (
            <div key={at} className="fields pack">
              <NumberText
                label="Count"
                value={part.count}
                onChange={(count) => set({ parts: replace(values.parts, at, { count }) })}
                error={form.errorOf(`parts[${at}].count`)}
              />
              <Autocomplete
                options={things}
                value={part.thing}
                getOptionLabel={(thing) => thing.name}
                isOptionEqualToValue={(a, b) => a.key === b.key}
                onChange={(_, thing) =>
                  set({
                    parts: replace(values.parts, at, {
                      thing,
                      ...(thing?.rollWidthMm && part.width === '' ? { width: lengths.fromMm(thing.rollWidthMm) } : {}),
                    }),
                  })
                }
                renderInput={(props) => <TextField {...props} label="On your shelf" placeholder="not matched" />}
              />
              {part.thing?.unit !== 'count' ? (
                <>
                  <NumberText
                    label="Width"
                    unit={lengths.unit}
                    value={part.width}
                    onChange={(width) => set({ parts: replace(values.parts, at, { width }) })}
                    error={form.errorOf(`parts[${at}].widthMm`)}
                  />
                  <NumberText
                    label="Length"
                    unit={lengths.unit}
                    value={part.length}
                    onChange={(length) => set({ parts: replace(values.parts, at, { length }) })}
                    error={form.errorOf(`parts[${at}].lengthMm`)}
                  />
                </>
              ) : (
                <>
                  <span />
                  <span />
                </>
              )}
              <Button
                onClick={() => set({ parts: without(values.parts, at) })}
                disabled={values.parts.length === 1}
                aria-label={`Take part ${at + 1} out of the pack`}
              >
                ×
              </Button>
            </div>
          ))}
          <Button
            size="small"
            onClick={() =>
              set({
                parts: [
                  ...values.parts,
                  { ...EMPTY, width: values.parts.at(-1)?.width ?? '', length: values.parts.at(-1)?.length ?? '' },
                ],
              })
            }
          >
            Add to the pack
          </Button>
        </fieldset>
        <fieldset className="group">
          <legend>Cheaper by the number</legend>
          {values.breaks.map((step, at) => (
            <div key={at} className="fields break">
              <NumberText
                label="From packs"
                value={step.from}
                onChange={(from) => set({ breaks: replace(values.breaks, at, { from }) })}
                error={form.errorOf(`breaks[${at}].fromPacks`)}
              />
              <NumberText
                label="Price of one then"
                unit={money.unit}
                value={step.price}
                onChange={(price) => set({ breaks: replace(values.breaks, at, { price }) })}
                error={form.errorOf(`breaks[${at}].price`)}
              />
              <Button
                onClick={() => set({ breaks: without(values.breaks, at) })}
                aria-label={`Remove the price from ${step.from || 'so many'} packs`}
              >
                ×
              </Button>
            </div>
          ))}
          <div className="fields break">
            <NumberText
              label="Take"
              value={values.take}
              onChange={(take) => set({ take })}
              error={form.errorOf('takePay.take')}
              help="such as three"
            />
            <NumberText
              label="and pay"
              value={values.pay}
              onChange={(pay) => set({ pay })}
              error={form.errorOf('takePay.pay') ?? form.errorOf('takePay')}
              help="such as two; empty: no such offer"
            />
            <Button size="small" onClick={() => set({ breaks: [...values.breaks, { from: '', price: '' }] })}>
              Add a price by quantity
            </Button>
          </div>
        </fieldset>
      </DialogContent>
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
