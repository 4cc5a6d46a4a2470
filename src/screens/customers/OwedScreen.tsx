// What is owed: orders that are not paid, the longest due first.

import { formatDay, formatMoney } from '../../core/units';
import type { OwedView } from '../../views/customers';
import type { FrameView } from '../../views/frame';
import { plural } from '../../wording/plural';
import { Frame } from '../shared/Frame';
import { Pager } from '../shared/ListTools';
import { NumberHead } from '../shared/NumberHead';
import { asPage } from '../shared/page-data';
import { useSettings } from '../shared/settings';
import { useListView } from '../shared/use-list-view';
import { OrderRooms } from './OrderRooms';

export const OwedScreen = asPage(function OwedScreen({ frame, view }: { frame: FrameView; view: OwedView }) {
  return (
    <Frame frame={frame} current="orders" newHref="/orders/new">
      <Owed initial={view} />
    </Frame>
  );
});

function Owed({ initial }: { readonly initial: OwedView }) {
  const settings = useSettings();
  const { rows, count, owed, at, query } = useListView('/api/orders/owed', initial);
  return (
    <>
      <OrderRooms current="/orders/owed" />
      <div className="page-head">
        <h1 className="flat">
          {count === 0 ? 'Nothing is owed' : `${formatMoney(owed, settings)} owed for ${plural(count, 'order')}`}
        </h1>
      </div>
      {count > 0 && (
        <div className="sheet flush" tabIndex={0} role="region" aria-label="Owed">
          <table className="plain">
            <thead>
              <tr>
                <th scope="col">order</th>
                <th scope="col">customer</th>
                <th scope="col">due</th>
                <NumberHead>agreed</NumberHead>
                <NumberHead>paid</NumberHead>
                <NumberHead>owed</NumberHead>
              </tr>
            </thead>
            <tbody>
              {rows.map((row) => (
                <tr key={row.id}>
                  <td>
                    <a href={`/orders/${row.id}`}>
                      <strong>{row.title}</strong>
                    </a>
                    {row.isHandedOver && <span className="short"> handed over</span>}
                  </td>
                  <td>
                    {row.customerName}
                    {row.contact && <span className="soft">, {row.contact}</span>}
                  </td>
                  <td className="nowrap">{formatDay(row.dueDay, settings)}</td>
                  <td className="num">{formatMoney(row.agreed, settings)}</td>
                  <td className="num">{formatMoney(row.paid, settings)}</td>
                  <td className="num">{formatMoney(row.owed, settings)}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
      <Pager at={at} query={query} />
    </>
  );
}
