// One line that is asked for before a step is taken.

import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import { useState } from 'react';

type Props = {
  readonly title: string;
  readonly label: string;
  readonly button: string;
  /** What has to be known before it is answered. */
  readonly words?: string;
  /** It can't be left empty. */
  readonly isNeeded?: boolean;
  readonly start?: string;
  readonly onClose: () => void;
  readonly onTake: (text: string) => void;
};

const LONGEST = 120;

export default function AskText({ title, label, button, words, isNeeded = false, start = '', onClose, onTake }: Props) {
  const [text, setText] = useState(start);
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="ask-title">
      <DialogTitle id="ask-title">{title}</DialogTitle>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          event.stopPropagation();
          onTake(text.trim());
        }}
      >
        <DialogContent className="cols">
          {words && <p className="flat">{words}</p>}
          <TextField
            label={label}
            value={text}
            autoFocus
            fullWidth
            onChange={(event) => setText(event.target.value)}
            slotProps={{ htmlInput: { maxLength: LONGEST } }}
          />
        </DialogContent>
        <DialogActions sx={{ px: 3, pb: 2 }}>
          <Button onClick={onClose}>Cancel</Button>
          <Button type="submit" variant="contained" disabled={isNeeded && text.trim() === ''}>
            {button}
          </Button>
        </DialogActions>
      </form>
    </Dialog>
  );
}
