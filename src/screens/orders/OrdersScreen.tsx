// Orders: where each is, by due day.

import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import { formatDay, formatMoney } from '../../core/units';
import type { FrameView } from '../../views/frame';
import type { OrderListView, OrderRow } from '../../views/orders';
import { STAGE_NAMES } from '../../wording/stations';
import { callApi } from '../shared/api';
import { Comb, CombLegend } from '../shared/Comb';
import { Frame } from '../shared/Frame';
import { useSettings } from '../shared/settings';
import { Slack } from '../shared/Slack';
import { plural } from '../../wording/plural';
import { NumberHead } from '../shared/NumberHead';

export function OrdersScreen({ frame, view }: { frame: FrameView; view: OrderListView }) {
  return (
    <Frame frame={frame} current="orders" newHref="/orders/new">
      <Orders initial={view} />
    </Frame>
  );
}

function Orders({ initial }: { initial: OrderListView }) {
  const { data } = useQuery({
    queryKey: ['orders'],
    queryFn: ({ signal }) => callApi<OrderListView>('GET', '/api/orders', undefined, signal),
    initialData: initial,
  });
  const short = data.open.filter((row) => row.slack && row.slack.value < 0).length;
  const ready = data.open.filter((row) => row.stage === 'ready').length;
  return (
    <>
      <div className="page-head">
        <div>
          <h1 className="flat">
            {data.open.length === 0
              ? 'No open orders'
              : `${plural(data.open.length, 'open order', 'open orders')}, ${short === 0 ? 'all can be in time' : `${short} short of time`}${ready ? `, ${ready} ready` : ''}`}
          </h1>
        </div>
        <div className="actions">
          <Button variant="contained" href="/orders/new">
            Take an order
          </Button>
        </div>
      </div>
      {data.open.length + data.closed.length === 0 && (
        <div className="sheet empty">
          <p>
            An order is a customer, some items, and the day they are promised for. Its pieces and parts follow by
            themselves.
          </p>
          <Button variant="contained" href="/orders/new">
            Take the first order
          </Button>
        </div>
      )}
      {data.open.length > 0 && (
        <div className="sheet flush">
          <OrderTable rows={data.open} />
        </div>
      )}
      {data.open.length > 0 && <CombLegend />}
      {data.closed.length > 0 && (
        <>
          <h2 className="flat above-2">Closed</h2>
          <div className="sheet flush">
            <OrderTable rows={data.closed} closed />
          </div>
        </>
      )}
    </>
  );
}

function OrderTable({ rows, closed = false }: { rows: readonly OrderRow[]; closed?: boolean }) {
  const settings = useSettings();
  return (
    <table className="plain">
      <thead>
        <tr>
          <th className="right hide-small" scope="col">
            no.
          </th>
          <th scope="col">order</th>
          <th scope="col">due</th>
          {!closed && <th scope="col">slack</th>}
          <th scope="col">parts</th>
          <th scope="col">{closed ? 'state' : 'next'}</th>
          <NumberHead>agreed</NumberHead>
        </tr>
      </thead>
      <tbody>
        {rows.map((row) => (
          <tr key={row.id}>
            <td className="num soft hide-small">{row.id}</td>
            <td>
              <a href={`/orders/${row.id}`}>
                <strong>{row.title}</strong>
              </a>
              <br />
              <span className="soft">{row.customerName}</span>
            </td>
            <td className="nowrap">{formatDay(row.dueDay, settings)}</td>
            {!closed && (
              <td className="nowrap">
                <Slack slack={row.slack} />
              </td>
            )}
            <td className="title-column">
              <Comb columns={row.comb} />
            </td>
            <td className="soft">{closed ? STAGE_NAMES[row.stage] : row.waitingFor}</td>
            <td className="num">{formatMoney(row.agreed, settings)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
