// Which vinyl and which of its cut sheets is worked on, and the view as it changes by saving and cutting.

import { useRef, useState } from 'react';
import { listPartIds, type CutSheet } from '../../core/orders';
import type { CutSheetsView } from '../../views/cut-sheets';
import { callApi, wordsOf } from '../shared/api';
import type { Group, SavedSheet } from './cut-load';
import type { SavedSheetId } from './save-sheet';
import { enqueueSnackbar } from '../shared/snackbar';

/** What is worked on: a new sheet of a vinyl, or a saved one. Another `serial` begins anew. */
type Open = { readonly vinylId: number; readonly saved: SavedSheet | null; readonly serial: number };

export function useCutSheets(initial: CutSheetsView) {
  const [view, setView] = useState(initial);
  const [open, setOpen] = useState<Open>(() => openFirst(initial.groups[0], 0));
  /** The sheet that is worked on, once it is saved. */
  const [ownId, setOwnId] = useState(open.saved?.id ?? null);
  const serial = useRef(0);
  const show = (next: Open) => {
    serial.current = next.serial;
    setOpen(next);
    setOwnId(next.saved?.id ?? null);
  };
  /** False where it can't be had, which is said. */
  const refresh = async (shown: 'first' | 'all', then: (fresh: CutSheetsView) => void) => {
    try {
      const fresh = await callApi<CutSheetsView>('GET', `/api/cut-sheets?shown=${shown}`);
      setView(fresh);
      then(fresh);
      return true;
    } catch (error) {
      enqueueSnackbar(wordsOf(error), { variant: 'error' });
      return false;
    }
  };
  /** Everything anew, on the same vinyl while something of it waits. */
  const reopen = () =>
    refresh(view.later.vinyls > 0 ? 'first' : 'all', (fresh) =>
      show(openFirst(findGroup(fresh, open.vinylId), open.serial + 1)),
    );
  /** What is worked on stays as it is. */
  const showAll = async () => view.later.vinyls === 0 || refresh('all', () => undefined);
  /** A sheet that was left may be saved only after another was opened. */
  const takeSaved = (from: Open) => (id: SavedSheetId, sheet: CutSheet) => {
    if (from.serial === serial.current) setOwnId(id.id);
    setView((before) => withSaved(before, from.vinylId, { ...id, savedAtMs: Date.now(), sheet }));
  };
  return {
    view,
    /** Undefined when nothing waits. */
    group: findGroup(view, open.vinylId),
    open,
    ownId,
    go: (vinylId: number, saved: SavedSheet | null) => show({ vinylId, saved, serial: open.serial + 1 }),
    reopen,
    showAll,
    takeSaved,
  };
}

const findGroup = (view: CutSheetsView, vinylId: number): Group | undefined =>
  view.groups.find((group) => group.vinyl.id === vinylId) ?? view.groups[0];

/** A new one where something waits that lies on no sheet, else the first saved one. */
function openFirst(group: Group | undefined, serial: number): Open {
  const claimed = new Set(group?.saved.flatMap((saved) => listPartIds(saved.sheet)));
  const isNew = group?.parts.some((part) => !claimed.has(part.partId));
  return { vinylId: group?.vinyl.id ?? 0, saved: isNew ? null : (group?.saved[0] ?? null), serial };
}

const withSaved = (view: CutSheetsView, vinylId: number, sheet: SavedSheet): CutSheetsView => ({
  ...view,
  groups: view.groups.map((group) => {
    if (group.vinyl.id !== vinylId) return group;
    const others = group.saved.filter((saved) => saved.id !== sheet.id);
    return { ...group, saved: [...others, sheet].sort((a, b) => a.id - b.id) };
  }),
});
