// The small form that changes what is agreed: what for, day, price, note. What is typed stays when saving fails.

import { yupResolver } from '@hookform/resolvers/yup';
import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useForm } from 'react-hook-form';
import { orderChange } from '../../core/input';
import type { OrderView } from '../../views/orders';
import { FormActions, TextLine, useSave } from '../shared/form';
import { MoneyField } from '../shared/number-fields';

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
  const form = useForm({
    resolver: yupResolver(orderChange),
    defaultValues: { title: row.title, dueDay: row.dueDay, agreed: row.agreed, deposit: view.deposit, note },
  });
  const save = useSave({ form, method: 'PUT', path: `/api/orders/${row.id}`, version, onSaved });
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="change-title">
      <DialogTitle id="change-title">Change the order</DialogTitle>
      <form noValidate onSubmit={save.submit}>
        <DialogContent className="fields">
          <TextLine form={form} name="title" label="What for" autoFocus />
          <TextLine form={form} name="dueDay" label="Due" type="date" />
          <MoneyField form={form} name="agreed" label="Agreed price" />
          <MoneyField form={form} name="deposit" label="Deposit asked for" />
          <TextLine form={form} name="note" label="Note" multiline />
        </DialogContent>
        <FormActions save={save} label="Save the changes" onCancel={onClose} />
      </form>
    </Dialog>
  );
}
