// The rows of orders: where each is, what to say to who asks, and steps of several at once. Their boxes and buttons are
// the browser's own: fifty rows of dressed ones take longer to draw than all the rest.

import { useState } from 'react';
import { formatDay, formatMoney } from '../../core/units';
import type { ListedOrder, OrderListView } from '../../views/orders';
import { STAGE_NAMES } from '../../wording/stations';
import { Comb } from '../shared/Comb';
import { copyText } from '../shared/copy-text';
import { SortHead } from '../shared/ListTools';
import { useSettings } from '../shared/settings';
import { Slack } from '../shared/Slack';
import { MoveSeveral } from './MoveSeveral';

type Props = {
  readonly rows: readonly ListedOrder[];
  readonly query: OrderListView['query'];
  readonly others: Readonly<Record<string, string>>;
  readonly closed: boolean;
};

export function OrderTable({ rows, query, others, closed }: Props) {
  const [chosen, setChosen] = useState<ReadonlySet<number>>(new Set());
  const picked = rows.filter(({ id }) => chosen.has(id));
  const isAll = rows.length > 0 && picked.length === rows.length;
  const choose = (id: number) => {
    const next = new Set(chosen);
    if (!next.delete(id)) next.add(id);
    setChosen(next);
  };
  return (
    <>
      {picked.length > 0 && <MoveSeveral orders={picked} onDone={() => setChosen(new Set())} />}
      <table className="plain">
        <thead>
          <tr>
            <th scope="col" className="no-print">
              <input
                type="checkbox"
                className="tick"
                aria-label="Select all on this page"
                checked={isAll}
                ref={(box) => {
                  if (box) box.indeterminate = picked.length > 0 && !isAll;
                }}
                onChange={() => setChosen(isAll ? new Set() : new Set(rows.map(({ id }) => id)))}
              />
            </th>
            <SortHead sort="number" query={query} others={others} right>
              no.
            </SortHead>
            <SortHead sort="title" query={query} others={others}>
              order
            </SortHead>
            <SortHead sort="due" query={query} others={others}>
              due
            </SortHead>
            {!closed && (
              <SortHead sort="slack" query={query} others={others}>
                slack
              </SortHead>
            )}
            <th scope="col">parts</th>
            <th scope="col">{closed ? 'state' : 'next'}</th>
            <SortHead sort="agreed" query={query} others={others} right>
              agreed
            </SortHead>
            <th scope="col" className="no-print">
              if they ask
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <Row key={row.id} row={row} closed={closed} isChosen={chosen.has(row.id)} onChoose={() => choose(row.id)} />
          ))}
        </tbody>
      </table>
    </>
  );
}

type RowProps = {
  readonly row: ListedOrder;
  readonly closed: boolean;
  readonly isChosen: boolean;
  readonly onChoose: () => void;
};

function Row({ row, closed, isChosen, onChoose }: RowProps) {
  const settings = useSettings();
  return (
    <tr>
      <td className="no-print">
        <input
          type="checkbox"
          className="tick"
          aria-label={`Select ${row.title}`}
          checked={isChosen}
          onChange={onChoose}
        />
      </td>
      <td className="num soft">{row.id}</td>
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
      <td className="no-print">
        <button type="button" className="copy" title={row.answer} onClick={() => copyText(row.answer)}>
          Copy
        </button>
      </td>
    </tr>
  );
}
