// One channel: what it takes of each sale.

import { yupResolver } from '@hookform/resolvers/yup';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useFieldArray, useForm, useWatch, type FieldPath, type Resolver } from 'react-hook-form';
import { channelInput } from '../../core/input/channel-input';
import { CHANNEL_KINDS, ENDINGS, type Channel, type Ending } from '../../core/pricing';
import { getMoneyDigits, minor } from '../../core/units';
import { Choice, FormActions, TextLine, Tick, useSave } from '../shared/form';
import { MoneyField, NumberField } from '../shared/number-fields';
import { useSettings } from '../shared/settings';
import type { ChannelView } from '../../views/channels';
import type { UseFieldArrayReturn, UseFormReturn } from 'react-hook-form';
import { archiveInList } from '../shared/use-archive';
import { enqueueSnackbar } from '../shared/snackbar';

type Values = Omit<Channel, 'id' | 'tiers'> & { tiers: { from: number; share: number }[] };
const NOTHING = minor(0);
const START: Values = {
  name: '',
  kind: 'stall',
  tiers: [{ from: 0, share: 0 }],
  fixed: NOTHING,
  listing: NOTHING,
  salesPerListing: 1,
  paymentShare: 0,
  paymentFixed: NOTHING,
  adShare: 0,
  adOdds: 0,
  day: NOTHING,
  dayHours: 0,
  salesPerDay: 20,
  piecesPerSale: 1,
  saleSeconds: null,
  returnShare: null,
  delivery: NOTHING,
  deliveryPaid: NOTHING,
  feesOnDelivery: false,
  discount: 0,
  tax: 0,
  ending: 'any',
};
/** Endings are the last two digits of an amount: behind its mark only where the currency has hundredths. */
const nameEnding = (ending: Ending, currency: string): string =>
  ending === 'any' ? 'any amount' : `${getMoneyDigits(currency) === 2 ? '.' : '…'}${ending}`;

export default function ChannelDialog({
  channel,
  onClose,
  onDone,
}: {
  channel: ChannelView | null;
  onClose: () => void;
  onDone: () => void;
}) {
  const form = useForm<Values>({
    resolver: yupResolver(channelInput) as unknown as Resolver<Values>,
    defaultValues: channel ? { ...channel, tiers: channel.tiers.map((tier) => ({ ...tier })) } : START,
  });
  const tiers = useFieldArray({ control: form.control, name: 'tiers' });
  const kind = useWatch({ control: form.control, name: 'kind' });
  const save = useSave<Values, { id: number }>({
    form,
    method: channel ? 'PUT' : 'POST',
    path: channel ? `/api/channels/${channel.id}` : '/api/channels',
    version: channel?.version,
    onSaved: () => {
      enqueueSnackbar('Saved. Each item is calculated with it.');
      onDone();
    },
  });
  const archive = () => archiveInList({ path: `/api/channels/${channel!.id}`, name: channel!.name, onDone });
  const percent = (name: FieldPath<Values>, label: string, help?: string) => (
    <NumberField form={form} name={name} label={label} unit="%" per={0.01} digits={3} {...(help ? { help } : {})} />
  );
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="md" aria-labelledby="channel-title">
      <DialogTitle id="channel-title">{channel ? `Change ${channel.name}` : 'Add a channel'}</DialogTitle>
      <form noValidate onSubmit={save.submit}>
        <ChannelFields form={form} percent={percent} tiers={tiers} kind={kind} />
        <FormActions
          save={save}
          label={channel ? 'Save the channel' : 'Add the channel'}
          onCancel={onClose}
          extra={
            channel && (
              <Button color="error" variant="text" onClick={() => void archive()}>
                Archive
              </Button>
            )
          }
        />
      </form>
    </Dialog>
  );
}

type ChannelFieldsProps = {
  readonly form: UseFormReturn<Values>;
  readonly percent: (name: FieldPath<Values>, label: string, help?: string) => React.JSX.Element;
  readonly tiers: UseFieldArrayReturn<Values, 'tiers', 'id'>;
  readonly kind: 'stall' | 'own site' | 'marketplace' | 'wholesale';
};

function ChannelFields({ form, percent, tiers, kind }: ChannelFieldsProps) {
  const { currency } = useSettings();
  return (
    <DialogContent className="cols">
      <div className="fields pad-top-2">
        <TextLine form={form} name="name" label="Name" autoFocus />
        <Choice
          form={form}
          name="kind"
          label="Kind"
          options={CHANNEL_KINDS.map((value) => ({ value, label: value }))}
        />
        <Choice
          form={form}
          name="ending"
          label="Prices end in"
          options={ENDINGS.map((value) => ({ value, label: nameEnding(value, currency) }))}
        />
        {percent('tax', 'Tax in the price', 'added to the net price; 0 where you charge none')}
      </div>
      <PriceShares form={form} percent={percent} tiers={tiers} />
      <SaleFees form={form} percent={percent} kind={kind} />
      <DayFees form={form} percent={percent} kind={kind} />
    </DialogContent>
  );
}

function PriceShares({ form, percent, tiers }: Pick<ChannelFieldsProps, 'form' | 'percent' | 'tiers'>) {
  return (
    <fieldset className="group">
      <legend>Of the price</legend>
      {tiers.fields.map((field, at) => (
        <div key={field.id} className="fields break">
          {at === 0 ? (
            percent('tiers.0.share', 'Share of the price')
          ) : (
            <>
              <MoneyField form={form} name={`tiers.${at}.from`} label="Of the part above" />
              {percent(`tiers.${at}.share`, 'Share of it')}
              <Button onClick={() => tiers.remove(at)} aria-label={`Remove share ${at + 1}`}>
                ×
              </Button>
            </>
          )}
        </div>
      ))}
      <Button
        size="small"
        onClick={() => tiers.append({ from: (form.getValues('tiers').at(-1)?.from ?? 0) + 1000, share: 0 })}
      >
        Another share above a price
      </Button>
    </fieldset>
  );
}

function SaleFees({ form, percent, kind }: Pick<ChannelFieldsProps, 'form' | 'percent' | 'kind'>) {
  return (
    <fieldset className="group">
      <legend>For each sale</legend>
      <div className="fields three">
        <MoneyField form={form} name="fixed" label="Fixed" />
        {percent('paymentShare', 'Payment, share')}
        <MoneyField form={form} name="paymentFixed" label="Payment, fixed" />
        <MoneyField form={form} name="delivery" label="Delivery costs you" />
        <MoneyField form={form} name="deliveryPaid" label="The customer pays for it" />
        <Tick form={form} name="feesOnDelivery" label="Shares are taken of that too" />
        <NumberField form={form} name="piecesPerSale" label="Pieces in a sale" digits={2} help="on average" />
        <NumberField
          form={form}
          name="saleSeconds"
          label="Your time for it, beside making"
          unit="min"
          per={60}
          digits={1}
          help="empty: as an order in the shop"
        />
        {percent('returnShare', 'Come back', "empty: the shop's own share")}
        {kind === 'wholesale' && percent('discount', 'Off the price', 'what a shop that sells it on asks')}
      </div>
    </fieldset>
  );
}

function DayFees({ form, percent, kind }: Pick<ChannelFieldsProps, 'form' | 'percent' | 'kind'>) {
  return (
    <fieldset className="group">
      <legend>Now and then</legend>
      <div className="fields three">
        <MoneyField form={form} name="listing" label="Putting it up for sale" />
        <NumberField form={form} name="salesPerListing" label="Sales for each time" />
        {kind === 'stall' ? (
          <>
            <MoneyField form={form} name="day" label="A day there" />
            <NumberField form={form} name="dayHours" label="Your hours on it" unit="h" digits={2} />
            <NumberField form={form} name="salesPerDay" label="Pieces sold on one" />
          </>
        ) : (
          <>
            {percent('adShare', 'Advertising, share')}
            {percent('adOdds', 'Sales that come by it')}
          </>
        )}
      </div>
    </fieldset>
  );
}
