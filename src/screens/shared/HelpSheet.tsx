// The keys that work on this screen, read from what is bound just now.

import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useContext } from 'react';
import { KeyListContext } from './keys';

export default function HelpSheet({ onClose }: { onClose: () => void }) {
  const groups = [...(useContext(KeyListContext)?.current ?? new Map())];
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="help-title">
      <DialogTitle id="help-title">Keys of this screen</DialogTitle>
      <DialogContent className="keys">
        {groups.toReversed?.().map(([group, bindings]) => (
          <section key={group}>
            <h3>{group}</h3>
            <table className="plain">
              <tbody>
                {[...bindings]
                  .filter((binding) => binding.shown)
                  .map((binding) => (
                    <tr key={binding.keys}>
                      <td width="110">
                        <kbd>{binding.shown}</kbd>
                      </td>
                      <td>{binding.does}</td>
                    </tr>
                  ))}
              </tbody>
            </table>
          </section>
        ))}
        <p className="soft">
          <kbd>=</kbd> on an underdotted figure shows its working. <kbd>Tab</kbd> goes from one to the next,{' '}
          <kbd>Esc</kbd> closes.
        </p>
      </DialogContent>
      <DialogActions>
        <Button variant="contained" onClick={onClose} autoFocus>
          Close
        </Button>
      </DialogActions>
    </Dialog>
  );
}
