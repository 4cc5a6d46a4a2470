// Below how much of a thing more is bought.

import { toSent, useNumbers } from '../shared/use-numbers';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { MM2_PER_M2 } from '../../core/units';
import type { StockRow } from '../../views/stock';
import { useSettings } from '../shared/settings';
import { formatAmount } from './measures';
import { NumberText } from './SmallFields';
import { useSmallForm, type SmallForm } from './use-form-state';
import { enqueueSnackbar } from '../shared/snackbar';

export default function MinimumDialog({
  row,
  onClose,
  onDone,
}: {
  row: StockRow;
  onClose: () => void;
  onDone: () => void;
}) {
  const numbers = useNumbers();
  const per = row.thing.unit === 'mm²' ? MM2_PER_M2 : 1;
  const form = useSmallForm({
    amount: row.wished?.amount == null ? '' : String(Number((row.wished.amount / per).toFixed(3))),
    weeks: row.wished?.coverWeeks == null ? '' : String(row.wished.coverWeeks),
  });
  // What is no number goes as typed: the answer says what is wrong with it.
  const read = (text: string, times: number) =>
    text.trim() === '' ? null : toSent(timesOf(numbers.read(text), times), text);
  const none = form.values.amount.trim() === '' && form.values.weeks.trim() === '';
  const save = () => {
    return form.send(
      'PUT',
      '/api/minimums',
      { key: row.thing.key, amount: read(form.values.amount, per), coverWeeks: read(form.values.weeks, 1) },
      () => {
        enqueueSnackbar(none ? 'No minimum any more.' : 'Saved. What falls short of it stands under What to buy.');
        onDone();
      },
    );
  };
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="xs" aria-labelledby="minimum-title">
      <DialogTitle id="minimum-title">{row.thing.name}: always have</DialogTitle>
      <MinimumFields row={row} form={form} />
      <DialogActions sx={{ px: 3, pb: 2 }}>
        <div role="alert" className="short grow">
          {form.failure}
        </div>
        <Button onClick={onClose}>Cancel</Button>
        <Button variant="contained" disabled={form.pending} onClick={() => void save()}>
          Save
        </Button>
      </DialogActions>
    </Dialog>
  );
}

type MinimumFieldsProps = {
  readonly row: StockRow;
  readonly form: SmallForm<{ amount: string; weeks: string }>;
};

function MinimumFields({ row, form }: MinimumFieldsProps) {
  const settings = useSettings();
  return (
    <DialogContent>
      <div className="cols pad-top-3">
        <NumberText
          label="At least"
          unit={row.thing.unit === 'mm²' ? 'm²' : 'pieces'}
          value={form.values.amount}
          onChange={(amount) => form.set({ amount })}
          error={form.errorOf('amount')}
          help="Empty: buy only what orders need."
          autoFocus
        />
        <NumberText
          label="Or for as long as"
          unit="weeks"
          value={form.values.weeks}
          onChange={(weeks) => form.set({ weeks })}
          error={form.errorOf('coverWeeks')}
          help={
            row.weekly
              ? `You use ${formatAmount(row.weekly.value, row.thing.unit, settings)} a week, by what was booked. The larger of the two counts.`
              : 'Counts as soon as two weeks of use are booked.'
          }
        />
      </div>
    </DialogContent>
  );
}

const timesOf = (number: number | null, times: number) => (number === null ? null : number * times);
