// Looking for a vinyl or a drawing by its name, where there are too many for a list.

import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import List from '@mui/material/List';
import ListItemButton from '@mui/material/ListItemButton';
import TextField from '@mui/material/TextField';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { enqueueSnackbar } from 'notistack';
import { createContext, useCallback, useContext, useState, type ReactNode } from 'react';
import type { ItemMaterialsView } from '../../views/items';
import type { VinylView } from '../../views/shelf';
import { callApi, wordsOf } from './api';
import { Failure } from './Failure';

type Kind = 'artwork' | 'vinyl' | 'item';
type Name = { readonly id: number; readonly name: string };
type Look = (onPicked: (id: number) => void) => void;

const LookContext = createContext<((kind: Kind) => Look | null) | null>(null);

/** Opens the search; null where all of that kind stand in the list. */
export const useLookFor = (kind: Kind): Look | null => useContext(LookContext)?.(kind) ?? null;

type Props = {
  readonly children: ReactNode;
  /** Kinds of which there are more than a list holds. */
  readonly more: Readonly<Partial<Record<Kind, boolean>>>;
  /** Takes a vinyl that was picked into the lists of the page, before it is chosen. */
  readonly onVinyl?: (vinyl: VinylView, evidence: ItemMaterialsView['evidence']) => void;
};

export function LookFor({ children, more, onVinyl }: Props) {
  const [asked, setAsked] = useState<{ readonly kind: Kind; readonly onPicked: (id: number) => void } | null>(null);
  const look = useCallback(
    (kind: Kind): Look | null => (more[kind] ? (onPicked) => setAsked({ kind, onPicked }) : null),
    [more],
  );
  const pick = async (id: number) => {
    setAsked(null);
    if (asked?.kind === 'vinyl' && onVinyl) {
      const { vinyls, evidence } = await callApi<ItemMaterialsView>('GET', `/api/items/materials?vinyl=${id}`);
      for (const vinyl of vinyls) onVinyl(vinyl, evidence);
    }
    asked?.onPicked(id);
  };
  return (
    <LookContext.Provider value={look}>
      {children}
      {asked && (
        <LookDialog
          kind={asked.kind}
          onClose={() => setAsked(null)}
          onPicked={(id) => pick(id).catch((error: unknown) => enqueueSnackbar(wordsOf(error), { variant: 'error' }))}
        />
      )}
    </LookContext.Provider>
  );
}

type LookDialogProps = {
  readonly kind: Kind;
  readonly onPicked: (id: number) => void;
  readonly onClose: () => void;
};

const TITLES: Readonly<Record<Kind, string>> = {
  artwork: 'Look for a drawing',
  vinyl: 'Look for a vinyl',
  item: 'Look for an item',
};

function LookDialog({ kind, onPicked, onClose }: LookDialogProps) {
  const [words, setWords] = useState('');
  const { data, error } = useQuery({
    queryKey: ['names', kind, words],
    queryFn: ({ signal }) =>
      callApi<readonly Name[]>('GET', `/api/names?${new URLSearchParams({ kind, q: words })}`, undefined, signal),
    placeholderData: keepPreviousData,
  });
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="look-title">
      <DialogTitle id="look-title">{TITLES[kind]}</DialogTitle>
      <DialogContent>
        <TextField
          autoFocus
          fullWidth
          margin="dense"
          label="Its name, or part of it"
          value={words}
          onChange={(event) => setWords(event.target.value)}
          onKeyDown={(event) => {
            const [first] = data ?? [];
            if (event.key !== 'Enter' || !first) return;
            event.preventDefault();
            onPicked(first.id);
          }}
        />
        {error && <Failure>{wordsOf(error)}</Failure>}
        <List dense aria-label="Found">
          {(data ?? []).map(({ id, name }) => (
            <ListItemButton key={id} onClick={() => onPicked(id)}>
              {name}
            </ListItemButton>
          ))}
          {data?.length === 0 && <li className="soft">Nothing is called so.</li>}
        </List>
      </DialogContent>
    </Dialog>
  );
}
