// What was seen of something pressed: one press, with an undo; or another week.

import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { hasFailed, LOOK_KINDS, type LookKind } from '../../core/pressing';
import type { LookReason } from '../../core/scheduling';
import type { LaterRow } from '../../views/trials';
import { LOOK_WORDS } from '../../wording/recipes';
import { callApi, wordsOf } from './api';
import { enqueueSnackbar, closeSnackbar } from './snackbar';

type Props = { readonly row: LaterRow; readonly onChanged: () => void };

/** Good news is called as it was put to the test. */
const GOOD: Readonly<Record<LookReason, LookKind>> = { edges: 'fine', warmth: 'fine', wash: 'washed', wear: 'worn' };

export function SeeLater({ row, onChanged }: Props) {
  const [note, setNote] = useState('');
  const [pending, setPending] = useState(false);
  const post = async (step: string, body: object = {}) => {
    setPending(true);
    try {
      await callApi('POST', `/api/later-looks/${row.id}/${step}`, body);
      onChanged();
      return true;
    } catch (error) {
      enqueueSnackbar(wordsOf(error), { variant: 'error' });
      return false;
    } finally {
      setPending(false);
    }
  };
  const see = async (kind: LookKind) => {
    if (!(await post('seen', { kind, note }))) return;
    enqueueSnackbar(`${row.what}: ${LOOK_WORDS[kind]}. It counts for ${row.vinylName}.`, {
      action: (key) => (
        <Button size="small" color="inherit" onClick={() => void post('take-back').then(() => closeSnackbar(key))}>
          Undo
        </Button>
      ),
    });
  };
  return (
    <div className="actions above-1 below-2" role="group" aria-label={`What was seen of ${row.what}`}>
      {[GOOD[row.reason], ...LOOK_KINDS.filter(hasFailed)].map((kind) => (
        <Button key={kind} size="small" disabled={pending} onClick={() => void see(kind)}>
          {LOOK_WORDS[kind]}
        </Button>
      ))}
      <TextField size="small" label="Note" value={note} onChange={({ target }) => setNote(target.value)} />
      <Button size="small" variant="text" disabled={pending} onClick={() => void post('put-off')}>
        In a week
      </Button>
    </div>
  );
}
