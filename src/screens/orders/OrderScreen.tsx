// One order: its lines and combs, its quote against what it really takes, what happened, and handing over.

import Button from '@mui/material/Button';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { enqueueSnackbar } from 'notistack';
import { useState } from 'react';
import { formatDay, formatDuration, formatInstant, formatMoney } from '../../core/units';
import type { FrameView } from '../../views/frame';
import type { OrderView, OrderRow } from '../../views/orders';
import { STAGE_NAMES } from '../../wording/stations';
import { callApi, wordsOf } from '../shared/api';
import { Comb, CombLegend } from '../shared/Comb';
import { Frame } from '../shared/Frame';
import { useSettings } from '../shared/settings';
import { Slack } from '../shared/Slack';
import { plural } from '../../wording/plural';
import { NumberHead } from '../shared/NumberHead';
import type { UseMutationResult } from '@tanstack/react-query';
import { QuotedAndReal } from './QuotedAndReal';
import { late } from '../shared/late';
import { asPage } from '../shared/page-data';

const ChangeOrder = late(() => import('./ChangeOrder'));

export const OrderScreen = asPage(function OrderScreen({ frame, view }: { frame: FrameView; view: OrderView }) {
  return (
    <Frame frame={frame} current="orders" newHref="/orders/new">
      <Order initial={view} />
    </Frame>
  );
});

function Order({ initial }: { initial: OrderView }) {
  const client = useQueryClient();
  const key = ['order', initial.row.id];
  const path = `/api/orders/${initial.row.id}`;
  const { data: view } = useQuery({
    queryKey: key,
    queryFn: ({ signal }) => callApi<OrderView>('GET', path, undefined, signal),
    initialData: initial,
  });
  const [changing, setChanging] = useState(false);
  const move = useMutation({
    mutationFn: (to: string) => callApi<OrderView>('POST', `${path}/${to}`),
    onSuccess: (next, to) => {
      client.setQueryData(key, next);
      const undo = { 'hand-over': 'take-back', cancel: 'reopen' }[to];
      enqueueSnackbar(
        { 'hand-over': 'Collected.', 'take-back': 'Back to ready.', cancel: 'Cancelled.', reopen: 'Open again.' }[to] ??
          'Done.',
        {
          action: undo ? (
            <Button color="inherit" variant="text" onClick={() => move.mutate(undo)}>
              Undo
            </Button>
          ) : undefined,
        },
      );
    },
    onError: (error) => enqueueSnackbar(wordsOf(error), { variant: 'error' }),
  });
  const { row, against } = view;
  const closed = row.stage === 'handed-over' || row.stage === 'cancelled';
  return (
    <>
      <OrderHead row={row} view={view} move={move} closed={closed} setChanging={setChanging} />
      <div className="cols split-1-1">
        <div className="cols">
          <OrderFacts row={row} closed={closed} view={view} />
          <OrderLines view={view} />
        </div>
        <div className="cols">
          <QuotedAndReal against={against} view={view} closed={closed} row={row} />
          <WhatHappened view={view} />
        </div>
      </div>
      {changing && (
        <ChangeOrder
          view={view}
          onClose={() => setChanging(false)}
          onSaved={() => {
            setChanging(false);
            void client.invalidateQueries({ queryKey: key });
          }}
        />
      )}
    </>
  );
}

type OrderFactsProps = {
  readonly row: OrderRow;
  readonly closed: boolean;
  readonly view: OrderView;
};

/** For whom it is, when it is due and what was agreed. */
function OrderFacts({ row, closed, view }: OrderFactsProps) {
  const settings = useSettings();
  return (
    <section className="sheet lifted">
      <h2 className="flat below-2">{row.customerName}</h2>
      <div className="readings">
        <span>
          due <b>{formatDay(row.dueDay, settings)}</b>
        </span>
        {!closed && row.stage !== 'ready' && <Slack slack={row.slack} />}
        <span>
          agreed <b>{formatMoney(row.agreed, settings)}</b>
        </span>
      </div>
      {view.contact && <p className="soft flat above-2">{view.contact}</p>}
      {view.note && <p className="flat above-2 pre-wrap">{view.note}</p>}
    </section>
  );
}

type WhatHappenedProps = {
  readonly view: OrderView;
};

function WhatHappened({ view }: WhatHappenedProps) {
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

function describeOrder({ row, against, profit }: OrderView, settings: ReturnType<typeof useSettings>): string {
  const pieces = row.comb.length;
  const made = `${plural(pieces, 'piece')}`;
  const took = formatDuration(against.time.real.value, settings);
  switch (row.stage) {
    case 'handed-over':
      return `${made} took ${took} instead of ${formatDuration(against.time.quoted.value, settings)}; ${formatMoney(profit.value, settings)} of ${formatMoney(row.agreed, settings)} is yours.`;
    case 'cancelled':
      return `Cancelled after ${took} of work.`;
    case 'ready':
      return `${pieces === 1 ? 'The piece is' : `All ${made} are`} checked and can be collected: it took ${took}, quoted ${formatDuration(against.time.quoted.value, settings)}.`;
    case 'to-cut':
    case 'in-work':
      return `Next: ${row.waitingFor}. About ${formatDuration(row.neededSeconds, settings)} of work left for ${made}.`;
    default:
      return row.stage satisfies never;
  }
}

type OrderLinesProps = {
  readonly view: OrderView;
};

function OrderLines({ view }: OrderLinesProps) {
  const settings = useSettings();
  return (
    <section className="sheet flush">
      <table className="plain">
        <thead>
          <tr>
            <th scope="col">item</th>
            <NumberHead>pieces</NumberHead>
            <th scope="col">parts</th>
            <NumberHead>cost each, quoted</NumberHead>
          </tr>
        </thead>
        <tbody>
          {view.lines.map((line) => (
            <tr key={line.id}>
              <td>
                <a href={`/items/${line.itemId}`}>{line.itemName}</a>
                <br />
                <span className="soft">
                  {line.sizeName}, {line.colourName}
                </span>
              </td>
              <td className="num">{line.quantity}</td>
              <td>
                <Comb columns={line.comb} />
              </td>
              <td className="num">{formatMoney(line.eachWithRisk, settings)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <div className="pad-top-3 pad-right-4 pad-bottom-3 pad-left-4">
        <CombLegend />
      </div>
    </section>
  );
}

type OrderHeadProps = {
  readonly row: OrderRow;
  readonly view: OrderView;
  readonly move: UseMutationResult<OrderView, Error, string, unknown>;
  readonly closed: boolean;
  readonly setChanging: React.Dispatch<React.SetStateAction<boolean>>;
};

function OrderHead({ row, view, move, closed, setChanging }: OrderHeadProps) {
  const settings = useSettings();
  return (
    <div className="page-head">
      <div>
        <h1 className="flat">
          {row.title} <span className="tag">{STAGE_NAMES[row.stage]}</span>
        </h1>
        <p className="flat above-1 text-large">{describeOrder(view, settings)}</p>
      </div>
      <div className="actions">
        {row.stage === 'ready' && (
          <Button variant="contained" onClick={() => move.mutate('hand-over')} disabled={move.isPending}>
            Mark as collected
          </Button>
        )}
        {row.stage === 'handed-over' && <Button onClick={() => move.mutate('take-back')}>Not collected yet</Button>}
        {row.stage === 'cancelled' && <Button onClick={() => move.mutate('reopen')}>Reopen</Button>}
        {!closed && <Button onClick={() => setChanging(true)}>Change</Button>}
        {!closed && (
          <Button color="error" onClick={() => move.mutate('cancel')}>
            Cancel order
          </Button>
        )}
      </div>
    </div>
  );
}
