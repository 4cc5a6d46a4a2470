// A clock that was most likely left running: what of it counts is asked, for everything learned rests on it.

import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { formatDuration } from '../../core/units';
import { useSettings } from '../shared/settings';

type Props = {
  readonly goneSeconds: number;
  readonly usualSeconds: number;
  readonly onClose: () => void;
  /** Undefined counts all of it. */
  readonly onCount: (seconds: number | undefined) => void;
};

export default function ForgottenDialog({ goneSeconds, usualSeconds, onClose, onCount }: Props) {
  const settings = useSettings();
  return (
    <Dialog open onClose={onClose} aria-labelledby="forgotten-title">
      <DialogTitle id="forgotten-title">Was this clock left running?</DialogTitle>
      <DialogContent>
        It has run for {formatDuration(goneSeconds, settings)}; about {formatDuration(usualSeconds, settings)} is usual.
        What you keep goes into the cost of this order, and into what is learned of such work.
      </DialogContent>
      <DialogActions>
        <Button onClick={() => onCount(undefined)}>Keep all of it</Button>
        <Button onClick={() => onCount(0)}>Drop it</Button>
        <Button variant="contained" onClick={() => onCount(Math.round(usualSeconds))}>
          Trim to {formatDuration(usualSeconds, settings)}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
