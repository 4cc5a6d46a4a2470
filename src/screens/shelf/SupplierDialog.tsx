// A supplier: what shipping costs, from where it is free, and how long it takes.

import { useNumbers } from '../shared/use-numbers';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import type { SupplierView } from '../../views/offers';
import { callApi, wordsOf } from '../shared/api';
import { NumberText, useMoneyText } from './SmallFields';
import { useSmallForm, type SmallForm } from './use-form-state';
import { enqueueSnackbar } from '../shared/snackbar';

export default function SupplierDialog({
  supplier,
  onClose,
  onDone,
}: {
  supplier: SupplierView | null;
  onClose: () => void;
  onDone: () => void;
}) {
  const numbers = useNumbers();
  const money = useMoneyText();
  const optional = (amount: number | null | undefined) =>
    amount === null || amount === undefined ? '' : money.fromMinor(amount);
  const form = useSmallForm({
    name: supplier?.name ?? '',
    email: supplier?.email ?? '',
    shipping: money.fromMinor(supplier?.shipping ?? 0),
    freeFrom: optional(supplier?.freeFrom),
    minimumOrder: optional(supplier?.minimumOrder),
    leadDays: String(supplier?.leadDays ?? 3),
  });
  const { values, set, errorOf } = form;
  const done = (words: string) => {
    enqueueSnackbar(words);
    onDone();
  };
  const save = () =>
    form.send(
      supplier ? 'PUT' : 'POST',
      supplier ? `/api/suppliers/${supplier.id}` : '/api/suppliers',
      {
        name: values.name,
        email: values.email,
        shipping: money.toMinor(values.shipping),
        freeFrom: values.freeFrom.trim() === '' ? null : money.toMinor(values.freeFrom),
        minimumOrder: values.minimumOrder.trim() === '' ? null : money.toMinor(values.minimumOrder),
        leadDays: numbers.read(values.leadDays),
        ...(supplier ? { version: supplier.version } : {}),
      },
      () => done('Saved.'),
    );
  const archive = async () => {
    try {
      await callApi('DELETE', `/api/suppliers/${supplier!.id}`);
      done(`${supplier!.name} is archived, and so are its offers. What was bought there stays in the books.`);
    } catch (error) {
      enqueueSnackbar(wordsOf(error), { variant: 'error' });
    }
  };
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="supplier-title">
      <DialogTitle id="supplier-title">{supplier ? supplier.name : 'Add a supplier'}</DialogTitle>
      <SupplierFields values={values} set={set} errorOf={errorOf} money={money} />
      <SupplierActions form={form} supplier={supplier} archive={archive} onClose={onClose} save={save} />
    </Dialog>
  );
}

type SupplierActionsProps = {
  readonly form: Pick<SmallForm<unknown>, 'failure' | 'pending'>;
  readonly supplier: SupplierView | null;
  readonly archive: () => Promise<void>;
  readonly onClose: () => void;
  readonly save: () => Promise<void>;
};

function SupplierActions({ form, supplier, archive, onClose, save }: SupplierActionsProps) {
  return (
    <DialogActions sx={{ px: 3, pb: 2 }}>
      <div role="alert" className="short grow">
        {form.failure}
      </div>
      {supplier && (
        <Button variant="text" onClick={() => void archive()}>
          Archive
        </Button>
      )}
      <Button onClick={onClose}>Cancel</Button>
      <Button variant="contained" disabled={form.pending} onClick={() => void save()}>
        Save
      </Button>
    </DialogActions>
  );
}

type SupplierFieldsProps = {
  readonly values: {
    name: string;
    email: string;
    shipping: string;
    freeFrom: string;
    minimumOrder: string;
    leadDays: string;
  };
  readonly set: (
    part: Partial<{
      name: string;
      email: string;
      shipping: string;
      freeFrom: string;
      minimumOrder: string;
      leadDays: string;
    }>,
  ) => void;
  readonly errorOf: (field: string) => string | undefined;
  readonly money: {
    readonly unit: string;
    readonly toMinor: (text: string) => number | null;
    readonly fromMinor: (minor: number) => string;
  };
};

function SupplierFields({ values, set, errorOf, money }: SupplierFieldsProps) {
  return (
    <DialogContent>
      <div className="cols pad-top-2">
        <TextField
          label="Name"
          value={values.name}
          autoFocus
          onChange={(event) => set({ name: event.target.value })}
          error={Boolean(errorOf('name'))}
          helperText={errorOf('name')}
        />
        <TextField
          label="E-mail for orders"
          value={values.email}
          onChange={(event) => set({ email: event.target.value })}
          error={Boolean(errorOf('email'))}
          helperText={errorOf('email')}
        />
        <div className="fields">
          <NumberText
            label="Shipping"
            unit={money.unit}
            value={values.shipping}
            onChange={(shipping) => set({ shipping })}
            error={errorOf('shipping')}
          />
          <NumberText
            label="Free from"
            unit={money.unit}
            value={values.freeFrom}
            onChange={(freeFrom) => set({ freeFrom })}
            error={errorOf('freeFrom')}
            help="empty: never"
          />
          <NumberText
            label="Orders from"
            unit={money.unit}
            value={values.minimumOrder}
            onChange={(minimumOrder) => set({ minimumOrder })}
            error={errorOf('minimumOrder')}
            help="empty: any"
          />
          <NumberText
            label="Here after"
            unit="days"
            value={values.leadDays}
            onChange={(leadDays) => set({ leadDays })}
            error={errorOf('leadDays')}
          />
        </div>
      </div>
    </DialogContent>
  );
}
