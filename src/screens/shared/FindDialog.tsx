// Search and do: any order, item, vinyl, blank or action by typing a few letters of it.

import Dialog from '@mui/material/Dialog';
import { useQuery, type UseQueryResult } from '@tanstack/react-query';
import { Command } from 'cmdk';
import { useState } from 'react';
import type { FoundThing } from '../../views/frame';
import { callApi } from './api';
import { VIEWS } from './view-list';
import './find-dialog.css';

type Action = { readonly label: string; readonly run: () => void };

export default function FindDialog({
  onClose,
  onToggleUnits,
  onQuote,
}: {
  onClose: () => void;
  onToggleUnits: () => void;
  onQuote: () => void;
}) {
  const [text, setText] = useState('');
  const found = useQuery({
    queryKey: ['find', text],
    queryFn: ({ signal }) =>
      callApi<{ things: readonly FoundThing[] }>('GET', `/api/find?q=${encodeURIComponent(text)}`, undefined, signal),
    enabled: text.trim() !== '',
    placeholderData: (previous) => previous,
  });
  const go = (href: string) => () => location.assign(href);
  const actions: readonly Action[] = [
    { label: 'Quick quote', run: onQuote },
    { label: 'Take an order', run: go('/orders/new') },
    { label: 'Measure a drawing', run: go('/artwork/new') },
    { label: 'Price a new item', run: go('/items/new') },
    ...(['cut', 'weed', 'press', 'check'] as const).map((station) => ({
      label: `Go to the bench: ${station}`,
      run: go(`/bench/${station}`),
    })),
    {
      label: 'Change units',
      run: () => {
        onToggleUnits();
        onClose();
      },
    },
    ...VIEWS.map((view) => ({ label: `Open ${view.label}`, run: go(view.href) })),
  ];
  const shown = actions
    .filter((action) => action.label.toLowerCase().includes(text.trim().toLowerCase()))
    .slice(0, text ? 8 : 16);
  const things = text.trim() === '' ? [] : (found.data?.things ?? []);
  return (
    <Dialog
      open
      onClose={onClose}
      fullWidth
      maxWidth="sm"
      slotProps={{ paper: { 'aria-label': 'Find or do anything' } }}
      sx={{ '& .MuiDialog-container': { alignItems: 'flex-start' } }}
    >
      <Command shouldFilter={false} label="Find or do anything" className="find-box" loop>
        <Command.Input
          autoFocus
          placeholder="An order, customer, item, drawing, vinyl, or what to do"
          value={text}
          onValueChange={setText}
        />
        <FoundList text={text} found={found} things={things} shown={shown} go={go} />
      </Command>
    </Dialog>
  );
}

type FoundListProps = {
  readonly text: string;
  readonly found: UseQueryResult<{ things: readonly FoundThing[] }, Error>;
  readonly things: readonly FoundThing[];
  readonly shown: Action[];
  readonly go: (href: string) => () => void;
};

function FoundList({ text, found, things, shown, go }: FoundListProps) {
  return (
    <Command.List>
      {text && !found.isFetching && things.length === 0 && shown.length === 0 && (
        <div className="find-none">Nothing has “{text}” in its name. Try fewer letters.</div>
      )}
      {things.length > 0 && (
        <Command.Group heading="Found">
          {things.map((thing) => (
            <Command.Item key={thing.href} value={thing.href} onSelect={go(thing.href)}>
              <span>{thing.label}</span>
              <small>{thing.detail}</small>
            </Command.Item>
          ))}
        </Command.Group>
      )}
      {shown.length > 0 && (
        <Command.Group heading="Do">
          {shown.map((action) => (
            <Command.Item key={action.label} value={action.label} onSelect={action.run}>
              {action.label}
            </Command.Item>
          ))}
        </Command.Group>
      )}
    </Command.List>
  );
}
