// What was pressed a while ago, and is to be looked at today.

import { FABRICS } from '../../core/materials';
import type { LaterRow } from '../../views/trials';
import { plural } from '../../wording/plural';
import { describeReason } from '../../wording/side-by-side';
import { SeeLater } from '../shared/SeeLater';
import { Swatch } from '../shared/Swatch';

type Props = { readonly looks: readonly LaterRow[]; readonly onChanged: () => void };

export default function ToLookAt({ looks, onChanged }: Props) {
  return (
    <section className="sheet" aria-label="To look at">
      <h2 className="flat below-2">To look at</h2>
      {looks.map((row) => (
        <div key={row.id} className="below-3">
          <strong>{row.orderId === null ? row.what : <a href={`/orders/${row.orderId}`}>{row.what}</a>}</strong>,{' '}
          {describeReason(row.reason, row.washes)}
          <div className="soft">
            <Swatch colour={row.colourHex} />
            {row.vinylName} on {FABRICS[row.fabric].label}, {plural(row.pieces, 'piece')}
          </div>
          <SeeLater row={row} onChanged={onChanged} />
        </div>
      ))}
    </section>
  );
}
