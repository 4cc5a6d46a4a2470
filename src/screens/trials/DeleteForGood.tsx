// What can't be brought back is deleted by two clicks: the second button says what goes with it.

import Button from '@mui/material/Button';
import { useState } from 'react';
import { callApi, wordsOf } from '../shared/api';
import { enqueueSnackbar } from '../shared/snackbar';

type Props = {
  readonly path: string;
  /** What goes with it, in a sentence. */
  readonly warning: string;
};

export function DeleteForGood({ path, warning }: Props) {
  const [asked, setAsked] = useState(false);
  const remove = async () => {
    try {
      await callApi('DELETE', path);
      window.location.assign('/trials');
    } catch (error) {
      enqueueSnackbar(wordsOf(error), { variant: 'error' });
    }
  };
  if (!asked) return <Button onClick={() => setAsked(true)}>Delete</Button>;
  return (
    <span className="actions" role="group" aria-label="Delete it?">
      <span className="soft">{warning}</span>
      <Button autoFocus onClick={() => setAsked(false)}>
        Keep it
      </Button>
      <Button color="error" variant="contained" onClick={() => void remove()}>
        Delete for good
      </Button>
    </span>
  );
}
