// How many of each size and colour, all at once.

import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useState } from 'react';
import type { OrderableItem } from '../../views/orders';
import { plural } from '../../wording/plural';
import type { GridCell } from './size-grid';

type Props = {
  readonly item: OrderableItem;
  readonly start: readonly GridCell[];
  readonly onClose: () => void;
  readonly onTake: (cells: readonly GridCell[]) => void;
};

const keyOf = (sizeName: string, colourName: string): string => JSON.stringify([sizeName, colourName]);
const MOST_DIGITS = 4;

export default function SizeGrid({ item, start, onClose, onTake }: Props) {
  const [typed, setTyped] = useState<Readonly<Record<string, string>>>(() => {
    const counts = new Map<string, number>();
    for (const { sizeName, colourName, quantity } of start) {
      const key = keyOf(sizeName, colourName);
      counts.set(key, (counts.get(key) ?? 0) + quantity);
    }
    return Object.fromEntries([...counts].map(([key, count]) => [key, String(count)]));
  });
  const countOf = (sizeName: string, colourName: string) => Number(typed[keyOf(sizeName, colourName)] ?? 0) || 0;
  const cells = item.colours.flatMap((colourName) =>
    item.sizes.map((sizeName) => ({ sizeName, colourName, quantity: countOf(sizeName, colourName) })),
  );
  const sum = (own: readonly GridCell[]) => own.reduce((all, { quantity }) => all + quantity, 0);
  const write = (key: string, text: string) =>
    setTyped({ ...typed, [key]: text.replace(/\D/g, '').slice(0, MOST_DIGITS) });
  return (
    <Dialog open onClose={onClose} maxWidth="lg" aria-labelledby="grid-title">
      <DialogTitle id="grid-title">{item.name}: sizes and colours</DialogTitle>
      <DialogContent>
        <div className="scrolls" tabIndex={0} role="region" aria-label="Pieces by size and colour">
          <table className="plain size-grid">
            <thead>
              <tr>
                <th scope="col">colour</th>
                {item.sizes.map((size) => (
                  <th key={size} scope="col" className="num">
                    {size}
                  </th>
                ))}
                <th scope="col" className="num">
                  pieces
                </th>
              </tr>
            </thead>
            <tbody>
              {item.colours.map((colour) => (
                <tr key={colour}>
                  <th scope="row">{colour}</th>
                  {item.sizes.map((size) => (
                    <td key={size} className="num">
                      <input
                        inputMode="numeric"
                        autoComplete="off"
                        aria-label={`${colour}, ${size}`}
                        placeholder="0"
                        value={typed[keyOf(size, colour)] ?? ''}
                        onChange={(event) => write(keyOf(size, colour), event.target.value)}
                        onFocus={(event) => event.target.select()}
                      />
                    </td>
                  ))}
                  <td className="num soft">{sum(cells.filter(({ colourName }) => colourName === colour))}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Cancel</Button>
        <Button variant="contained" disabled={sum(cells) === 0} onClick={() => onTake(cells)}>
          Take {plural(sum(cells), 'piece')}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
