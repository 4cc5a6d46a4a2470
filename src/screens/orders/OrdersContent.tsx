// Orders: where each is, by due day.

import Button from '@mui/material/Button';
import type { OrderListView, OrderShow } from '../../views/orders';
import { CombLegend } from '../shared/Comb';
import { useListAddress, useListView } from '../shared/use-list-view';
import { ListSearch, Pager } from '../shared/ListTools';
import { plural } from '../../wording/plural';
import { OrderTable } from './OrderTable';
import { OrderRooms } from '../customers/OrderRooms';

export default function OrdersContent({ view }: { view: OrderListView }) {
  return <Orders initial={view} />;
}

const LIST = '/api/orders';

function Orders({ initial }: { readonly initial: OrderListView }) {
  const view = useListView(LIST, initial);
  const look = useListAddress(LIST);
  const { show, rows, query, at, counts } = view;
  const others: Readonly<Record<string, string>> = show === 'open' ? {} : { show };
  const isLong = counts.open + counts.closed > SHORT_LIST;
  return (
    <>
      <OrderRooms current="/orders" />
      <div className="page-head">
        <div>
          <h1 className="flat">{describeCounts(counts)}</h1>
        </div>
        <div className="actions">
          <Button variant="contained" href="/orders/new">
            Take an order
          </Button>
        </div>
      </div>
      {counts.open + counts.closed === 0 ? (
        <div className="sheet empty">
          <p>
            An order is a customer, some items, and the day they are promised for. Its pieces and parts follow by
            themselves.
          </p>
          <Button variant="contained" href="/orders/new">
            Take the first order
          </Button>
        </div>
      ) : (
        <>
          <div className="list-tools">
            <Shown show={show} counts={counts} />
            {isLong && <ListSearch label="Find an order" query={query} others={others} onTyped={look} />}
            <div className="actions no-print">
              <Button size="small" href="/api/orders/table.csv" download>
                All as CSV
              </Button>
              <Button size="small" href="/api/orders/lines.csv" download>
                Open ones by line
              </Button>
              <Button size="small" onClick={() => print()}>
                Print
              </Button>
            </div>
          </div>
          {view.isNear && <p className="soft flat">No exact match; these are close.</p>}
          <div className="sheet flush" tabIndex={0} role="region" aria-label="Orders">
            <OrderTable
              key={`${show} ${at.page}`}
              rows={rows}
              query={query}
              others={others}
              closed={show === 'closed'}
            />
            {rows.length === 0 && <p className="soft pad-4 flat">{query.words ? 'No order matches.' : NONE[show]}</p>}
          </div>
          <Pager at={at} query={query} others={others} />
          {rows.length > 0 && <CombLegend />}
        </>
      )}
    </>
  );
}

/** Lists as short as that are seen at a glance. */
const SHORT_LIST = 12;
const NONE: Readonly<Record<OrderShow, string>> = {
  open: 'No order is open.',
  ready: 'None is ready yet.',
  closed: 'None was closed yet.',
};

function describeCounts({ open, short, ready }: OrderListView['counts']): string {
  if (open === 0) return 'No open orders';
  const late = short === 0 ? 'all can be in time' : `${short} short of time`;
  return `${plural(open, 'open order')}, ${late}${ready ? `, ${ready} ready` : ''}`;
}

type ShownProps = Pick<OrderListView, 'show' | 'counts'>;

/** Which orders are shown. */
function Shown({ show, counts }: ShownProps) {
  const choices = [
    { name: 'open', label: `Open ${counts.open}`, href: '/orders' },
    { name: 'ready', label: `Ready ${counts.ready}`, href: '/orders?show=ready' },
    { name: 'closed', label: `Closed ${counts.closed}`, href: '/orders?show=closed' },
  ] as const;
  return (
    <nav className="shown" aria-label="Which orders">
      {choices.map(({ name, label, href }) => (
        <a key={name} href={href} aria-current={name === show ? 'page' : undefined}>
          {label}
        </a>
      ))}
    </nav>
  );
}
