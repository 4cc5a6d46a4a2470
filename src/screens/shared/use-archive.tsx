// Archiving what a page shows, and restoring it: told at once, with a way back.

import Button from '@mui/material/Button';
import { enqueueSnackbar } from 'notistack';
import { useState } from 'react';
import { callApi, wordsOf } from './api';

type Start = {
  /** Its address in the API: DELETE archives, POST restores. */
  readonly path: string;
  readonly archived: boolean;
  /** Said when it was archived. */
  readonly told?: string;
};

export function useArchive({ path, archived: start, told = 'Archived.' }: Start) {
  const [archived, setArchived] = useState(start);
  const archive = async (on: boolean) => {
    try {
      await callApi(on ? 'DELETE' : 'POST', path);
      setArchived(on);
      const undo = (
        <Button color="inherit" variant="text" onClick={() => void archive(false)}>
          Undo
        </Button>
      );
      enqueueSnackbar(on ? told : 'Restored.', on ? { action: undo } : {});
    } catch (error) {
      enqueueSnackbar(wordsOf(error), { variant: 'error' });
    }
  };
  return { archived, archive };
}
