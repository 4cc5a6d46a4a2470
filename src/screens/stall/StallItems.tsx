// What is made at the stall, as large as a finger needs it.

import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { formatDuration, formatMoney } from '../../core/units';
import type { OrderableItem } from '../../views/orders';
import { useSettings } from '../shared/settings';

type Props = {
  readonly items: readonly OrderableItem[];
  readonly waitSeconds: number;
  readonly onChoose: (id: number) => void;
};

/** So many fit without scrolling; more are found by name. */
const SHOWN = 12;

export function StallItems({ items, waitSeconds, onChoose }: Props) {
  const settings = useSettings();
  const [words, setWords] = useState('');
  const found = items.filter(({ name }) => name.toLowerCase().includes(words.trim().toLowerCase()));
  return (
    <section aria-label="What would they like">
      <div className="page-head">
        <div>
          <h1 className="flat">What would they like?</h1>
          <p className="soft flat above-1 text-large">
            {waitSeconds > 0
              ? `${formatDuration(waitSeconds, settings)} of work is promised for today.`
              : 'Nobody is waiting.'}
          </p>
        </div>
        {items.length > SHOWN && (
          <TextField
            type="search"
            label="Find an item"
            value={words}
            onChange={(event) => setWords(event.target.value)}
          />
        )}
      </div>
      <div className="stall-items">
        {found.slice(0, SHOWN).map(({ id, name, price }) => (
          <button key={id} type="button" onClick={() => onChoose(id)}>
            <strong>{name}</strong>
            <span className="figures">{formatMoney(price, settings)}</span>
          </button>
        ))}
      </div>
      {found.length === 0 && <p className="soft">No item matches, or none can be costed yet.</p>}
      {found.length > SHOWN && <p className="soft flat">{found.length - SHOWN} more: find them by name.</p>}
    </section>
  );
}
