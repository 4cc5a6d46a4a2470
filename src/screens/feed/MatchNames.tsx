// What the channel calls an item, a size or a colour, matched once; all that waited for it is taken then.

import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import type { FeedView, UnknownName } from '../../views/feed';
import type { FeedActions } from './use-feed';

type Props = { readonly view: FeedView; readonly feed: FeedActions };

export function MatchNames({ view: { unknown, items }, feed }: Props) {
  return (
    <section className="sheet below-4" aria-label="Names to match">
      {unknown.map((name) => (
        <NameRow key={JSON.stringify(name)} name={name} items={items} feed={feed} />
      ))}
    </section>
  );
}

type RowProps = { readonly name: UnknownName; readonly items: FeedView['items']; readonly feed: FeedActions };

function NameRow({ name: unknown, items, feed }: RowProps) {
  const [chosen, setChosen] = useState('');
  const choices =
    unknown.kind === 'item'
      ? items.map(({ id, name }) => ({ value: String(id), name }))
      : unknown.choices.map((own) => ({ value: own, name: own }));
  const match = () =>
    unknown.kind === 'item'
      ? feed.match({ kind: 'item', name: unknown.name, itemId: Number(chosen) })
      : feed.match({ kind: unknown.kind, name: unknown.name, itemId: unknown.item.id, own: chosen });
  return (
    <div className="article-match">
      <span>
        <strong>{unknown.name}</strong>
        {unknown.kind !== 'item' && (
          <span className="soft">
            , {unknown.kind} of {unknown.item.name}
          </span>
        )}
      </span>
      <TextField
        select
        size="small"
        label={`${unknown.name} is`}
        value={chosen}
        onChange={(event) => setChosen(event.target.value)}
      >
        {choices.map(({ value, name }) => (
          <MenuItem key={value} value={value}>
            {name}
          </MenuItem>
        ))}
      </TextField>
      <Button disabled={feed.isBusy || chosen === ''} onClick={match}>
        Match
      </Button>
    </div>
  );
}
