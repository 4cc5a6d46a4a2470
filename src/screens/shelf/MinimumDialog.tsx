// Below how much of a thing more is bought.

import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { enqueueSnackbar } from 'notistack';
import { MM2_PER_M2, parseNumber } from '../../core/units';
import type { StockRow } from '../../views/views';
import { NumberText } from './SmallFields';
import { useSmallForm } from './use-form-state';

export default function MinimumDialog({ row, onClose, onDone }: { row: StockRow; onClose: () => void; onDone: () => void }) {
  const per = row.thing.kind === 'vinyl' ? MM2_PER_M2 : 1;
  const form = useSmallForm({ amount: row.minimum === null ? '' : String(Number((row.minimum / per).toFixed(3))) });
  const save = () => {
    const typed = parseNumber(form.values.amount);
    return form.send('PUT', '/api/minimums', { key: row.thing.key, amount: form.values.amount.trim() === '' ? null : typed === null ? form.values.amount : typed * per }, () => {
      enqueueSnackbar(form.values.amount.trim() === '' ? 'No minimum any more.' : 'Kept. What falls short of it stands under what to buy.');
      onDone();
    });
  };
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="xs" aria-labelledby="minimum-title">
      <DialogTitle id="minimum-title">{row.thing.name}: always have</DialogTitle>
      <DialogContent><div style={{ paddingTop: 8 }}><NumberText label="At least" unit={row.thing.kind === 'vinyl' ? 'm²' : 'pieces'} value={form.values.amount} onChange={(amount) => form.set({ amount })} error={form.errorOf('amount')} help="Empty: buy only what orders need." autoFocus /></div></DialogContent>
      <DialogActions sx={{ px: 3, pb: 2 }}><div role="alert" className="short" style={{ flex: 1 }}>{form.failure}</div><Button onClick={onClose}>Cancel</Button><Button variant="contained" disabled={form.pending} onClick={() => void save()}>Save</Button></DialogActions>
    </Dialog>
  );
}
