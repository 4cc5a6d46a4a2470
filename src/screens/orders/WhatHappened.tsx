// The story of an order, the latest first.

import { formatInstant } from '../../core/units';
import type { OrderView } from '../../views/orders';
import { useSettings } from '../shared/settings';

export function WhatHappened({ view }: { readonly view: OrderView }) {
  const settings = useSettings();
  return (
    <section className="sheet">
      <h2 className="flat below-1">What happened</h2>
      <div tabIndex={0} role="region" aria-label="What happened" className="scrolls list-tall">
        <table className="plain">
          <tbody>
            {view.events.map((event, index) => (
              <tr key={index}>
                <td className="soft nowrap comb-column">{formatInstant(event.atMs, settings)}</td>
                <td>{event.text}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}
