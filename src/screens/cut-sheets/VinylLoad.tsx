// One vinyl: which of its waiting parts go together, from which stock, and the load that comes of it.

import Button from '@mui/material/Button';
import { useState } from 'react';
import type { CutSheet } from '../../core/orders';
import type { CutSheetsView } from '../../views/cut-sheets';
import { callApi, wordsOf } from '../shared/api';
import type { Group, SavedSheet, Setup } from './cut-load';
import type { SavedSheetId } from './save-sheet';
import { LoadPanel } from './LoadPanel';
import { LoadSetup } from './LoadSetup';
import { PartChoice } from './PartChoice';
import { StockChoice } from './StockChoice';
import { useLoad } from './use-load';
import { useLoadWish } from './use-load-wish';
import { enqueueSnackbar } from '../shared/snackbar';

type Props = {
  readonly view: CutSheetsView;
  readonly group: Group;
  /** The saved sheet that is opened again; null begins a new one. */
  readonly start: SavedSheet | null;
  readonly onSaved: (saved: SavedSheetId, sheet: CutSheet) => void;
  /** It was cut or discarded. */
  readonly onDone: () => void;
};

export function VinylLoad({ view, group, start, onSaved, onDone }: Props) {
  const [ownId, setOwnId] = useState(start?.id ?? null);
  const wish = useLoadWish(view, group, start, ownId);
  const { parts, chosen, setup, loose } = wish;
  const state = useLoad({
    view,
    group,
    start,
    onSaved: (saved, sheet) => {
      setOwnId(saved.id);
      onSaved(saved, sheet);
    },
    onParts: wish.chooseOnly,
  });
  const changeSetup = (next: Setup) => {
    wish.setSetup(next);
    state.mark(next.marks);
  };
  const discard = async () => {
    const id = state.saving.saved()?.id ?? ownId;
    try {
      state.saving.forget();
      if (id !== null) await callApi('DELETE', `/api/cut-sheets/saved/${id}`);
      onDone();
    } catch (error) {
      enqueueSnackbar(wordsOf(error), { variant: 'error' });
    }
  };
  return (
    <div className="cols">
      <section className="sheet cols" aria-label="What is laid out">
        <div className="page-head below-0">
          <h2 className="flat">
            {ownId === null ? 'A new cut sheet' : 'A saved cut sheet'}, {group.vinyl.name}
          </h2>
          {ownId !== null && (
            <Button size="small" onClick={() => void discard()}>
              Discard it
            </Button>
          )}
        </div>
        <PartChoice wish={wish} />
        <StockChoice stock={group.stock} choice={wish.stock} onRead={onDone} />
        <LoadSetup setup={setup} onChange={changeSetup} />
      </section>
      <LoadPanel
        state={state}
        group={group}
        input={{ parts: parts.filter((part) => chosen.has(part.partId)), stock: wish.stock.lots, setup, loose }}
        others={parts.filter((part) => !chosen.has(part.partId))}
        bookable={wish.stock.wish !== 'typed'}
        onCut={onDone}
      />
    </div>
  );
}
