// A payment is noted: what is owed, unless another amount is written.

import { yupResolver } from '@hookform/resolvers/yup';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useState } from 'react';
import { useForm, type Resolver } from 'react-hook-form';
import { paymentInput } from '../../core/input';
import type { PaymentKind } from '../../core/orders';
import type { OrderView } from '../../views/orders';
import { Choice, TextLine } from '../shared/form';
import { MoneyField } from '../shared/number-fields';
import type { OrderSteps } from './use-order-steps';

type PayForm = { kind: PaymentKind; amount: number; means: string };
type Props = { readonly view: OrderView; readonly steps: OrderSteps; readonly onClose: () => void };

const MEANS = ['cash', 'card', 'transfer'] as const;

export default function PayDialog({ view, steps, onClose }: Props) {
  const [key] = useState(() => crypto.randomUUID());
  const { depositDue, owed } = view.money;
  const isDeposit = depositDue.value > 0;
  const form = useForm<PayForm>({
    resolver: yupResolver(paymentInput) as unknown as Resolver<PayForm>,
    defaultValues: {
      kind: 'payment',
      amount: Math.max(0, isDeposit ? depositDue.value : owed.value),
      means: MEANS[0],
    },
  });
  // A payment that is refused says why by itself: the dialog stays with what was typed.
  const send = form.handleSubmit((values) => steps.pay(values, key).then(onClose, () => undefined));
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="pay-title">
      <DialogTitle id="pay-title">{isDeposit ? 'Note the deposit' : 'Note a payment'}</DialogTitle>
      <form
        noValidate
        onSubmit={(event) => {
          event.stopPropagation();
          void send(event);
        }}
      >
        <DialogContent className="fields">
          <Choice
            form={form}
            name="kind"
            label="What it is"
            options={[
              { value: 'payment', label: 'Paid by the customer' },
              { value: 'refund', label: 'Given back' },
              { value: 'tip', label: 'A tip, on top' },
            ]}
          />
          <MoneyField form={form} name="amount" label="Amount" autoFocus />
          <TextLine form={form} name="means" label="By" list={MEANS} help="cash, card, transfer: a word" />
        </DialogContent>
        <DialogActions sx={{ px: 3, pb: 2 }}>
          <Button onClick={onClose}>Cancel</Button>
          <Button type="submit" variant="contained" disabled={steps.isBusy}>
            Note it
          </Button>
        </DialogActions>
      </form>
    </Dialog>
  );
}
