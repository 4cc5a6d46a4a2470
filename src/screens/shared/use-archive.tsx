// Archiving what a page shows, and restoring it: told at once, with a way back.

import Button from '@mui/material/Button';
import { useState } from 'react';
import { callApi, wordsOf } from './api';
import { enqueueSnackbar } from './snackbar';

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

type InList = {
  readonly path: string;
  readonly name: string;
  /** Said besides when it was archived. */
  readonly note?: string;
  /** It is done: the list is to be read anew. */
  readonly onDone: () => void;
};

/** Archives one of a list, or restores it: told, with a way back. */
export async function archiveInList(one: InList, on = true): Promise<void> {
  const { path, name, note = '', onDone } = one;
  try {
    await callApi(on ? 'DELETE' : 'POST', path);
    onDone();
    const undo = (
      <Button color="inherit" variant="text" onClick={() => void archiveInList(one, false)}>
        Undo
      </Button>
    );
    enqueueSnackbar(on ? `${name} is archived.${note}` : `${name} is restored.`, on ? { action: undo } : {});
  } catch (error) {
    enqueueSnackbar(wordsOf(error), { variant: 'error' });
  }
}
