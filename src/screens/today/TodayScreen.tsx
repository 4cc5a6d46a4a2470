// Today: what next for hands, cutter and press; the day's timeline; what is in work and what waits to be handed over.

import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import type { Station } from '../../core/orders';
import { formatDay, formatDuration } from '../../core/units';
import type { NextDoer } from '../../core/scheduling';
import type { FrameView } from '../../views/frame';
import type { NextBatch, TodayView } from '../../views/today';
import type { OrderRow } from '../../views/orders';
import { callApi } from '../shared/api';
import { Comb, CombLegend } from '../shared/Comb';
import { Frame } from '../shared/Frame';
import { late } from '../shared/late';
import { useSettings, type Settings } from '../shared/settings';
import { Slack } from '../shared/Slack';
import { Timeline } from '../shared/Timeline';
import { Icon } from '../shared/Icon';
import { asPage } from '../shared/page-data';
import { useMounted } from '../shared/use-mounted';

const ToLookAt = late(() => import('./ToLookAt'));

export const TodayScreen = asPage(function TodayScreen({ frame, view }: { frame: FrameView; view: TodayView }) {
  return (
    <Frame frame={frame} current="today" newHref="/orders/new">
      <Today initial={view} />
    </Frame>
  );
});

function Today({ initial }: { initial: TodayView }) {
  const settings = useSettings();
  const { data, refetch } = useQuery({
    queryKey: ['today'],
    queryFn: ({ signal }) => callApi<TodayView>('GET', '/api/today', undefined, signal),
    initialData: initial,
    refetchInterval: 60_000,
  });
  const { next } = data;
  const lifted = findLifted(data);
  const isMounted = useMounted();
  const looks = isMounted && data.looks.length > 0 && <ToLookAt looks={data.looks} onChanged={() => void refetch()} />;
  if (data.counts.inWork + data.counts.ready === 0)
    return (
      <>
        <Nothing />
        {looks}
      </>
    );
  return (
    <>
      <Verdict view={data} settings={settings} />
      <div className="cols three-columns">
        {CARDS.map((card) => (
          <NextCard
            key={card.doer}
            card={card}
            station={next[card.doer]?.station ?? card.station}
            batch={next[card.doer]}
            view={data}
            lifted={card.doer === lifted}
          />
        ))}
      </div>
      <div className="sheet">
        {data.timelineDay !== data.today && (
          <h2 className="flat below-2">{formatDay(data.timelineDay, settings)}, the next day you work</h2>
        )}
        <Timeline blocks={data.timeline} startMs={data.dayStartMs} endMs={data.dayEndMs} nowMs={data.nowMs} />
      </div>
      <div className="cols split-5-2">
        <OrdersInWork data={data} />
        <div className="cols">
          <ReadyToCollect data={data} />
          {looks}
        </div>
      </div>
    </>
  );
}

type OrdersInWorkProps = {
  readonly data: TodayView;
};

function OrdersInWork({ data }: OrdersInWorkProps) {
  return (
    <div className="sheet flush">
      <table className="plain">
        <thead>
          <tr>
            <th scope="col">in work</th>
            <th scope="col">due</th>
            <th scope="col">slack</th>
            <th scope="col">parts</th>
            <th scope="col">waiting for</th>
          </tr>
        </thead>
        <tbody>
          {data.orders.map((row) => (
            <InWork key={row.id} row={row} />
          ))}
        </tbody>
      </table>
      {data.counts.inWork > data.orders.length && (
        <p className="flat pad-4">
          <a href="/orders">All {data.counts.inWork} open orders</a>
        </p>
      )}
    </div>
  );
}

type ReadyToCollectProps = {
  readonly data: TodayView;
};

function ReadyToCollect({ data }: ReadyToCollectProps) {
  const settings = useSettings();
  return (
    <div className="sheet">
      <h2 className="flat below-2">Ready to collect</h2>
      {data.ready.length === 0 ? (
        <p className="soft">Nothing yet.</p>
      ) : (
        <table className="plain">
          <tbody>
            {data.ready.map((row) => (
              <tr key={row.id}>
                <td>
                  <a href={`/orders/${row.id}`}>
                    <strong>{row.title}</strong>
                  </a>
                  <br />
                  <span className="soft">{row.customerName}</span>
                </td>
                <td className="soft">{formatDay(row.dueDay, settings)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {data.counts.ready > data.ready.length && (
        <p className="flat above-2">
          <a href="/orders?show=ready">All {data.counts.ready} that are ready</a>
        </p>
      )}
      <div className="above-4">
        <CombLegend />
      </div>
    </div>
  );
}

type Card = {
  readonly doer: NextDoer;
  readonly title: string;
  /** Where it is done while nothing waits. */
  readonly station: Station;
  readonly none: string;
};
const CARDS: readonly Card[] = [
  { doer: 'hands', title: 'You, next', station: 'weed', none: 'Nothing to weed or check.' },
  { doer: 'cutter', title: 'Cutter, next', station: 'cut', none: 'Everything is cut.' },
  { doer: 'press', title: 'Press, next', station: 'press', none: 'No piece has all its parts weeded.' },
];
const DOERS: Readonly<Record<Station, NextDoer>> = { cut: 'cutter', weed: 'hands', press: 'press', check: 'hands' };

/** What the headline names and the card that stands out: what runs, else what is first. */
function findLifted({ running, next }: TodayView): NextDoer | null {
  return running[0] ? DOERS[running[0].station] : next.first;
}

function sayDoing({ running, next, ready }: TodayView): string {
  if (running[0]) return `Running: ${running[0].label}.`;
  const first = next.first && next[next.first];
  if (first) return `${first.verb} ${first.what} next.`;
  return ready.length > 0 ? 'All work is done: what is ready waits to be collected.' : 'Nothing waits.';
}

function Verdict({ view, settings }: { view: TodayView; settings: Settings }) {
  const { short } = view;
  const doing = sayDoing(view);
  return (
    <h1 className="flat text-huge headline">
      {doing}{' '}
      {short ? (
        <span className="short">
          {short.title} {short.count > 1 ? `and ${short.count - 1} more are` : 'is'} short by{' '}
          {formatDuration(short.seconds, settings)} for {formatDay(short.dueDay, settings)}.
        </span>
      ) : (
        <span className="soft">{formatDuration(view.neededSeconds, settings)} ahead, all orders in time.</span>
      )}
    </h1>
  );
}

type NextCardProps = {
  readonly card: Card;
  readonly station: Station;
  readonly batch: NextBatch | null;
  readonly view: TodayView;
  readonly lifted: boolean;
};

function NextCard({ card: { doer, title, none }, station: waiting, batch, view, lifted }: NextCardProps) {
  const settings = useSettings();
  const running = view.running.find((work) => DOERS[work.station] === doer);
  const station = running?.station ?? waiting;
  return (
    <section className={`sheet station ${station} ${lifted ? 'lifted' : ''}`} aria-label={title}>
      <div className="soft">
        <Icon name={station} /> {running ? title.replace('next', 'running') : title}
      </div>
      {running ? (
        <h2 className="flat above-1 below-1">{running.label}</h2>
      ) : batch ? (
        <h2 className="flat above-1 below-1">
          {batch.verb} {batch.what}
        </h2>
      ) : (
        <p className="flat above-2 below-4">{none}</p>
      )}
      {batch && !running && (
        <div className="soft">
          {batch.detail}, about <strong className="figures">{formatDuration(batch.seconds, settings)}</strong>, due{' '}
          {formatDay(batch.dueDay, settings)}
        </div>
      )}
      {(batch ?? running) && (
        <div className="actions above-4">
          <Button variant={lifted ? 'contained' : 'outlined'} href={`/bench/${station}`}>
            {running
              ? 'To the timer'
              : `Go to ${station === 'cut' ? 'the cutter' : station === 'press' ? 'the press' : `the ${station === 'weed' ? 'weeding' : 'checking'} table`}`}
          </Button>
        </div>
      )}
    </section>
  );
}

function InWork({ row }: { row: OrderRow }) {
  const settings = useSettings();
  return (
    <tr>
      <td>
        <a href={`/orders/${row.id}`}>
          <strong>{row.title}</strong>
        </a>
      </td>
      <td className="nowrap">{formatDay(row.dueDay, settings)}</td>
      <td className="nowrap">
        <Slack slack={row.slack} />
      </td>
      <td>
        <Comb columns={row.comb} />
      </td>
      <td className="soft">{row.waitingFor}</td>
    </tr>
  );
}

function Nothing() {
  return (
    <div className="sheet empty lifted">
      <p>No open orders. Take one, or begin with a drawing to learn what a piece costs.</p>
      <div className="actions centred">
        <Button variant="contained" href="/artwork/new">
          Measure a drawing
        </Button>
        <Button href="/orders/new">Take an order</Button>
        <Button href="/shop">Enter your own figures</Button>
      </div>
    </div>
  );
}
