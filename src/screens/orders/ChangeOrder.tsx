// The small form that changes what is agreed: what for, day, price, note. What is typed stays when saving fails.

import { yupResolver } from '@hookform/resolvers/yup';
import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useForm, useWatch, type Resolver } from 'react-hook-form';
import { orderChange } from '../../core/input';
import { computeAsk, moveAgreed, type OrderTerms } from '../../core/orders';
import type { OrderView } from '../../views/orders';
import { FormActions, TextLine, useSave } from '../shared/form';
import { MoneyField } from '../shared/number-fields';
import { AgreedPrice } from './AgreedPrice';
import { readTerms, TermFields } from './TermFields';
import { toPriced, useOwnPrice, type PricedForm } from './use-own-price';

type OrderForm = PricedForm & {
  title: string;
  dueDay: string;
  terms: OrderTerms;
  deposit: number;
  note: string;
};
/** What is saved, with whether the price is the seller's own beside it. */
const resolver: Resolver<OrderForm> = async (values, context, options) => {
  const { errors } = await check(values, context, options);
  return Object.keys(errors).length > 0 ? { values: {}, errors } : { values, errors: {} };
};
const check = yupResolver(orderChange) as unknown as Resolver<OrderForm>;

/** What was agreed moves by as much as the terms do; where prices of lines were not kept it stays. */
function followTerms({ row, lines, terms }: OrderView, wanted: OrderTerms): number {
  if (lines.some(({ each }) => each === null)) return row.agreed;
  const priced = lines.map(({ itemName, quantity, each }) => ({ label: itemName, quantity, each: each! }));
  return moveAgreed(row.agreed, computeAsk(priced, terms).value, computeAsk(priced, wanted).value);
}

export default function ChangeOrder({
  view,
  onClose,
  onSaved,
}: {
  view: OrderView;
  onClose: () => void;
  onSaved: () => void;
}) {
  const { row, note, version } = view;
  const form = useForm<OrderForm>({
    resolver,
    defaultValues: {
      title: row.title,
      dueDay: row.dueDay,
      agreed: row.agreed,
      terms: view.terms,
      deposit: view.deposit,
      note,
      isOwnPrice: false,
    },
  });
  const terms = readTerms(useWatch({ control: form.control, name: 'terms' }));
  const price = useOwnPrice(toPriced(form), followTerms(view, terms));
  const save = useSave<OrderForm, unknown>({
    form,
    method: 'PUT',
    path: `/api/orders/${row.id}`,
    version,
    onSaved,
    toBody: ({ isOwnPrice: _isOwnPrice, ...values }) => values,
  });
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="change-title">
      <DialogTitle id="change-title">Change the order</DialogTitle>
      <form noValidate onSubmit={save.submit}>
        <DialogContent className="fields">
          <TextLine form={form} name="title" label="What for" autoFocus />
          <TextLine form={form} name="dueDay" label="Due" type="date" />
          <TermFields form={form} terms={terms} />
          <AgreedPrice form={toPriced(form)} price={price} follows="Follows discount, rush and delivery" />
          <MoneyField form={form} name="deposit" label="Deposit asked for" />
          <TextLine form={form} name="note" label="Note" multiline />
        </DialogContent>
        <FormActions save={save} label="Save the changes" onCancel={onClose} />
      </form>
    </Dialog>
  );
}
