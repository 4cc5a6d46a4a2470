// What can be done with the part that is chosen on a sheet.

import Button from '@mui/material/Button';
import type { Placement } from '../../core/nesting';
import { placementKey } from '../../core/orders';
import { nameOf } from './load-edits';
import { type LoadState } from './use-load';

type Props = {
  readonly state: LoadState;
  /** Sheets that it can be moved to. */
  readonly targets: readonly number[];
  readonly onMove: (placement: Placement, sheet: number) => void;
  readonly onRemove: (placement: Placement) => void;
};

export function ChosenPart({ state, targets, onMove, onRemove }: Props) {
  const { chosen, laid, byPart, locked, running } = state;
  if (!chosen || !laid) return null;
  return (
    <div className="actions">
      <span className="soft">
        {nameOf(laid, byPart, chosen)}: drag it, <kbd>R</kbd> turns it, arrows move it, <kbd>L</kbd>{' '}
        {locked.has(placementKey(chosen)) ? 'unlocks it' : 'locks it'}.
      </span>
      {targets.map((sheet) => (
        <Button key={sheet} size="small" onClick={() => onMove(chosen, sheet)}>
          To sheet {sheet + 1}
        </Button>
      ))}
      {!running && (
        <Button size="small" onClick={() => onRemove(chosen)}>
          Remove it
        </Button>
      )}
    </div>
  );
}
