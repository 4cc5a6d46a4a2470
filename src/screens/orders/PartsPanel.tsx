// The parts of an order by vinyl, temperature or size: what is cut in one load, pressed in one go, packed together.

import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { PartGroup } from '../../core/orders';
import type { OrderPartsView, OrderView } from '../../views/orders';
import { describePieces, describeStates } from '../../wording/part-groups';
import { callApi, wordsOf } from '../shared/api';
import { NumberHead } from '../shared/NumberHead';

type By = keyof OrderPartsView;
const WAYS: readonly By[] = ['vinyl', 'temperature', 'size'];

export function PartsPanel({ view: { row, version } }: { readonly view: OrderView }) {
  const [isOpen, setOpen] = useState(false);
  const [by, setBy] = useState<By>('vinyl');
  const { data, error } = useQuery({
    queryKey: ['order-parts', row.id, version],
    queryFn: () => callApi<OrderPartsView>('GET', `/api/orders/${row.id}/parts`),
    enabled: isOpen,
  });
  return (
    <details className="sheet" onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary>Parts by vinyl, temperature, size</summary>
      <div className="actions above-3" role="group" aria-label="Parts by">
        {WAYS.map((way) => (
          <button key={way} className="quiet" aria-pressed={way === by} onClick={() => setBy(way)}>
            {way}
          </button>
        ))}
      </div>
      {error && <p className="short flat">{wordsOf(error)}</p>}
      {data && <Groups by={by} groups={data[by]} />}
    </details>
  );
}

function Groups({ by, groups }: { readonly by: By; readonly groups: readonly PartGroup[] }) {
  return (
    <div className="scrolls" tabIndex={0} role="region" aria-label="Parts in groups">
      <table className="plain">
        <thead>
          <tr>
            <th scope="col">{by}</th>
            <NumberHead>parts</NumberHead>
            <th scope="col">how far</th>
            <th scope="col">pieces</th>
          </tr>
        </thead>
        <tbody>
          {groups.map((group) => (
            <tr key={group.name}>
              <td>{group.name}</td>
              <td className="num">{group.parts}</td>
              <td>{describeStates(group)}</td>
              <td className="soft">{describePieces(group.pieces)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
