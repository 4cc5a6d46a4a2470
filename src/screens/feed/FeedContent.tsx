// Orders from a channel: what came, what became of it, and what waits to be matched. The channel is a folder here.

import Button from '@mui/material/Button';
import { useEffect } from 'react';
import { formatInstant } from '../../core/units';
import type { FeedView } from '../../views/feed';
import { FEED_STATES } from '../../wording/feeds';
import { plural } from '../../wording/plural';
import { OrderRooms } from '../customers/OrderRooms';
import { FileButton } from '../shared/FileButton';
import { Pager } from '../shared/ListTools';
import { useSettings } from '../shared/settings';
import { useListView } from '../shared/use-list-view';
import { MatchNames } from './MatchNames';
import { late } from '../shared/late';
import { FEED, useFeed } from './use-feed';

export default function FeedContent({ view }: { view: FeedView }) {
  return (
    <>
      <OrderRooms current="/orders/feed" />
      <Feed initial={view} />
    </>
  );
}

const FeedColumnsDialog = late(() => import('./FeedColumnsDialog'));
const LOOK_MS = 30_000;
const PLAIN = { words: '', sort: '', down: false } as const;

function Feed({ initial }: { readonly initial: FeedView }) {
  const view = useListView(FEED, initial);
  const feed = useFeed();
  const { lookQuietly } = feed;
  useEffect(() => {
    lookQuietly();
    const timer = setInterval(lookQuietly, LOOK_MS);
    return () => clearInterval(timer);
    // eslint-disable-next-line react-hooks/exhaustive-deps -- looked at while the page is open, not with every drawing of it
  }, []);
  return (
    <>
      <div className="page-head">
        <div>
          <h1 className="flat">{describeFeed(view)}</h1>
          <p className="soft flat above-1">
            Simulated: the channel is the folder “{view.folder}” beside your data. Drop its order files there as CSV.
          </p>
        </div>
        <div className="actions">
          {view.refused > 0 && (
            <Button disabled={feed.isBusy} onClick={feed.retry}>
              Retry failed orders
            </Button>
          )}
          <FileButton
            label="Order file"
            accept=".csv,text/csv"
            disabled={feed.isBusy}
            onFile={(file) => feed.takeFile(file)}
          >
            Import a file…
          </FileButton>
          <Button variant="contained" disabled={feed.isBusy} onClick={feed.look}>
            Check the folder
          </Button>
        </div>
      </div>
      {view.unknown.length > 0 && <MatchNames view={view} feed={feed} />}
      {feed.asking && <FeedColumnsDialog key={feed.asking.name} file={feed.asking} feed={feed} />}
      {view.rows.length === 0 ? (
        <div className="sheet empty">
          <p>
            Nothing has come in yet. A file has a line for each product: order number, item, quantity, size, colour and
            price, customer and contact, the day it is due, and a column for each text, headed as the text is called.
            “cancelled” under “state” cancels an order. The same file twice changes nothing. Columns that are headed
            otherwise are asked for once.
          </p>
        </div>
      ) : (
        <FeedTable rows={view.rows} />
      )}
      <Pager at={view.at} query={{ ...PLAIN, page: view.at.page }} />
    </>
  );
}

function describeFeed({ at, unknown, refused }: FeedView): string {
  if (unknown.length > 0) return `${plural(unknown.length, 'name')} to match`;
  if (refused > 0) return `${plural(refused, 'order')} from the channel failed`;
  return at.total === 0 ? 'Order feed' : `${plural(at.total, 'order')} from the channel, all in the book`;
}

function FeedTable({ rows }: Pick<FeedView, 'rows'>) {
  const settings = useSettings();
  return (
    <div className="sheet flush" tabIndex={0} role="region" aria-label="From the channel">
      <table className="plain">
        <thead>
          <tr>
            <th scope="col">channel’s number</th>
            <th scope="col">customer</th>
            <th scope="col">order</th>
            <th scope="col">state</th>
            <th scope="col">file</th>
            <th scope="col">when</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ reference, customerName, orderId, state, problem, file, atMs }) => (
            <tr key={reference}>
              <td>{reference}</td>
              <td>{customerName}</td>
              <td>{orderId !== null && <a href={`/orders/${orderId}`}>{orderId}</a>}</td>
              <td className={problem ? 'short' : undefined}>{problem || FEED_STATES[state]}</td>
              <td className="soft">{file}</td>
              <td className="soft nowrap">{formatInstant(atMs, settings)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
