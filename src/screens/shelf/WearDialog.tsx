// What happened to the supply in use: it wore, was cleaned, or a new one took its place.

import { useNumbers } from '../shared/use-numbers';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { getSupplyFacts, type WearKind } from '../../core/stock';
import type { SupplyView } from '../../views/supplies';
import { NumberText } from './SmallFields';
import { useSmallForm, type SmallForm } from './use-form-state';
import { enqueueSnackbar } from '../shared/snackbar';

/** What happened, as it is typed. */
type WearText = { kind: WearKind; amount: string; fromStock: boolean };

export default function WearDialog({
  supply,
  onClose,
  onDone,
}: {
  supply: SupplyView;
  onClose: () => void;
  onDone: () => void;
}) {
  const numbers = useNumbers();
  const form = useSmallForm<WearText>({
    kind: supply.wear === null || supply.wear.due ? 'fitted' : 'worn',
    amount: '',
    fromStock: supply.onShelf > 0,
  });
  const { values, set } = form;
  const save = () =>
    form.send<{ tookFromStock: boolean }>(
      'POST',
      `/api/shelf/supplies/${supply.id}/wear`,
      {
        kind: values.kind,
        amount: values.kind === 'fitted' ? 0 : numbers.send(values.amount),
        fromStock: values.fromStock,
      },
      ({ tookFromStock }) => {
        enqueueSnackbar(
          values.kind === 'fitted'
            ? `A new one is in use${tookFromStock ? ', and one less on the shelf' : ''}.`
            : 'Booked.',
        );
        onDone();
      },
    );
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="xs" aria-labelledby="wear-title">
      <DialogTitle id="wear-title">{supply.name}</DialogTitle>
      <DialogContent>
        <WearFields values={values} set={set} errorOf={form.errorOf} supply={supply} />
      </DialogContent>
      <DialogActions sx={{ px: 3, pb: 2 }}>
        <div role="alert" className="short grow">
          {form.failure}
        </div>
        <Button onClick={onClose}>Cancel</Button>
        <Button variant="contained" disabled={form.pending} onClick={() => void save()}>
          Book it
        </Button>
      </DialogActions>
    </Dialog>
  );
}

type WearFieldsProps = Pick<SmallForm<WearText>, 'values' | 'set' | 'errorOf'> & { readonly supply: SupplyView };

function WearFields({ values, set, errorOf, supply }: WearFieldsProps) {
  const { wears, cleanable } = getSupplyFacts(supply.kind);
  return (
    <div className="cols pad-top-2">
      <TextField
        select
        label="What happened"
        value={values.kind}
        onChange={(event) => set({ kind: event.target.value as WearKind })}
      >
        <MenuItem value="fitted">a new one is in use</MenuItem>
        {supply.wear && <MenuItem value="worn">it was used, beyond what the bench booked</MenuItem>}
        {supply.wear && cleanable && <MenuItem value="cleaned">it was cleaned, and holds again</MenuItem>}
      </TextField>
      {values.kind === 'fitted' ? (
        <FormControlLabel
          control={
            <Checkbox
              size="small"
              checked={values.fromStock}
              disabled={supply.onShelf === 0}
              onChange={(_, fromStock) => set({ fromStock })}
            />
          }
          label={
            supply.onShelf === 0 ? 'none lies on the shelf to take' : `take one of the ${supply.onShelf} on the shelf`
          }
        />
      ) : (
        <NumberText
          label={values.kind === 'cleaned' ? 'Good for another' : 'Used'}
          unit={wears ?? ''}
          value={values.amount}
          onChange={(amount) => set({ amount })}
          error={errorOf('amount')}
          autoFocus
        />
      )}
    </div>
  );
}
