// What the channel calls something, matched once to an item; all that waited for it is taken then.

import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import type { FeedView } from '../../views/feed';
import type { FeedActions } from './use-feed';

type Props = { readonly view: FeedView; readonly feed: FeedActions };

export function MatchArticles({ view: { unknown, items }, feed }: Props) {
  const [chosen, setChosen] = useState<Readonly<Record<string, number>>>({});
  return (
    <section className="sheet below-4" aria-label="Products to match">
      {unknown.map((article) => (
        <div key={article} className="article-match">
          <strong>{article}</strong>
          <TextField
            select
            size="small"
            label={`${article} is`}
            value={chosen[article] ?? ''}
            onChange={(event) => setChosen({ ...chosen, [article]: Number(event.target.value) })}
          >
            {items.map(({ id, name }) => (
              <MenuItem key={id} value={id}>
                {name}
              </MenuItem>
            ))}
          </TextField>
          <Button
            disabled={feed.isBusy || !chosen[article]}
            onClick={() => feed.match({ article, itemId: chosen[article]! })}
          >
            Match
          </Button>
        </div>
      ))}
    </section>
  );
}
