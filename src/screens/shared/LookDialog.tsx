// The search of LookFor: words, and what is called so.

import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import List from '@mui/material/List';
import ListItemButton from '@mui/material/ListItemButton';
import TextField from '@mui/material/TextField';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { callApi, wordsOf } from './api';
import { Failure } from './Failure';

export type LookKind = 'artwork' | 'vinyl' | 'item';
type Name = { readonly id: number; readonly name: string };

type LookDialogProps = {
  readonly kind: LookKind;
  readonly onPicked: (id: number) => void;
  readonly onClose: () => void;
};

const TITLES: Readonly<Record<LookKind, string>> = {
  artwork: 'Look for a drawing',
  vinyl: 'Look for a vinyl',
  item: 'Look for an item',
};

export default function LookDialog({ kind, onPicked, onClose }: LookDialogProps) {
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
