// Which of the waiting parts go into a load, those alike on one line.

import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { useMemo } from 'react';
import { keyOfSource } from '../../core/orders';
import { formatDay, formatLength } from '../../core/units';
import type { WaitingPart } from '../../views/cut-sheets';
import { useSettings } from '../shared/settings';
import { sourceOf } from './cut-load';
import type { LoadWish } from './use-load-wish';

export function PartChoice({ wish }: { readonly wish: LoadWish }) {
  const lines = useMemo(() => groupAlike(wish.parts), [wish.parts]);
  return (
    <div className="readings">
      {lines.map((parts) => (
        <PartLine key={parts[0]!.partId} parts={parts} wish={wish} />
      ))}
      {lines.length === 0 && <span className="soft">Everything that waits of it lies on saved cut sheets.</span>}
    </div>
  );
}

/** Parts of one layer for one order at one width. */
function PartLine({ parts, wish }: { readonly parts: readonly WaitingPart[]; readonly wish: LoadWish }) {
  const settings = useSettings();
  const first = parts[0]!;
  const ids = parts.map((part) => part.partId);
  const chosen = ids.filter((id) => wish.chosen.has(id)).length;
  const key = keyOfSource(sourceOf(first));
  return (
    <span className="row wrap middle own-line">
      <FormControlLabel
        control={
          <Checkbox
            size="small"
            checked={chosen === ids.length}
            indeterminate={chosen > 0 && chosen < ids.length}
            onChange={(_, on) => wish.toggle(ids, on)}
          />
        }
        label={
          <span>
            {parts.length} × {first.layerName}, {first.itemName}{' '}
            <span className="soft">
              for {first.orderTitle}, {formatDay(first.dueDay, settings)}, {formatLength(first.widthMm, settings)} wide
              {first.broken ? ', to be cut again' : ''}
            </span>
          </span>
        }
      />
      {chosen > 0 && (
        <FormControlLabel
          control={
            <Checkbox size="small" checked={wish.loose.has(key)} onChange={(_, on) => wish.toggleLoose(key, on)} />
          }
          label={<span className="soft">its islands apart</span>}
        />
      )}
    </span>
  );
}

function groupAlike(parts: readonly WaitingPart[]): readonly (readonly WaitingPart[])[] {
  const byKind = new Map<string, WaitingPart[]>();
  for (const part of parts) {
    const kind = `${part.orderId} ${part.itemName} ${part.layerName} ${part.widthMm}`;
    byKind.set(kind, [...(byKind.get(kind) ?? []), part]);
  }
  return [...byKind.values()];
}
