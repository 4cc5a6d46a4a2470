// What is done with a load that is laid out: files for the cutter, the loading card, and booking it once it is cut.

import Button from '@mui/material/Button';
import { useState } from 'react';
import type { LeftoverChoice } from '../../core/orders';
import { describeCutLoad } from '../../wording/nesting';
import type { CutFormat } from '../../workers/artwork-client';
import { callApi, fetchFile, wordsOf } from '../shared/api';
import { saveFile } from '../shared/save-file';
import { useSettings } from '../shared/settings';
import { useUnreadReason } from '../shared/use-unread-reason';
import type { Group } from './cut-load';
import { toLoadCard, writeSheet } from './export-load';
import type { LoadState } from './use-load';
import { enqueueSnackbar } from '../shared/snackbar';

type CutAnswer = {
  readonly eventIds: readonly number[];
  readonly partIds: readonly number[];
  readonly offcuts: readonly string[];
};
type Input = {
  readonly state: LoadState;
  readonly group: Group;
  readonly nameStock: (stockId: string) => string;
  readonly leftovers: ReadonlyMap<number, LeftoverChoice>;
  readonly onCut: () => void;
};

export function useLoadOutput({ state, group, nameStock, leftovers, onCut }: Input) {
  const { figures } = useSettings().shop;
  const { laid, byPart, saving } = state;
  const { vinyl } = group;
  const [sending, setSending] = useState(false);
  const unread = useUnreadReason();
  const attempt = async (task: () => Promise<void>) => {
    setSending(true);
    try {
      await task();
    } catch (error) {
      state.setRefusal(wordsOf(error));
    } finally {
      setSending(false);
    }
  };
  const exportFiles = (format: CutFormat) =>
    attempt(async () => {
      for (const use of laid?.layout.sheets ?? []) {
        const file = await writeSheet(laid!, use, vinyl, byPart, format);
        saveFile(file, `${vinyl.name} sheet ${use.sheet + 1}.${format === 'hpgl' ? 'plt' : format}`);
      }
    });
  const printCard = () =>
    attempt(async () => {
      if (!laid) return;
      const card = new Blob([JSON.stringify(toLoadCard(laid, vinyl, byPart, figures, nameStock))]);
      saveFile(await fetchFile('/api/cut-sheets/card', card), `${vinyl.name} loading card.pdf`);
    });
  const undo = ({ partIds, eventIds }: CutAnswer) =>
    attempt(async () => {
      await callApi('POST', '/api/parts/undo', { partIds, eventIds });
      onCut();
    });
  const book = (unreadReason = ''): Promise<void> =>
    attempt(async () => {
      await saving.settle();
      const saved = saving.saved();
      if (!saved) return;
      const cut = await callApi<CutAnswer>('POST', `/api/cut-sheets/saved/${saved.id}/cut`, {
        version: saved.version,
        leftovers: [...leftovers].map(([sheet, kind]) => ({ sheet, kind })),
        unreadReason,
      }).catch((error: unknown) => {
        if (unread.catchUnread(error, (reason) => void book(reason))) return null;
        throw error;
      });
      if (!cut) return;
      saving.forget();
      enqueueSnackbar(describeCutLoad(cut.partIds.length, cut.offcuts), {
        action: (
          <Button color="inherit" variant="text" onClick={() => void undo(cut)}>
            Undo
          </Button>
        ),
      });
      onCut();
    });
  return { sending, exportFiles, printCard, book, unreadDialog: unread.dialog };
}
