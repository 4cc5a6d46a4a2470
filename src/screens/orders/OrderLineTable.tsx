// What was ordered: lines of alike pieces, and names of which each is a piece of its own, with how far each is.

import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import { groupRuns, isOver } from '../../core/orders';
import { formatMoney } from '../../core/units';
import type { OrderLineView, OrderView, TodayCost } from '../../views/orders';
import { plural } from '../../wording/plural';
import { callApi, wordsOf } from '../shared/api';
import { Comb, CombLegend } from '../shared/Comb';
import { NumberHead } from '../shared/NumberHead';
import { Failure } from '../shared/Failure';
import { useSettings } from '../shared/settings';
import { Why } from '../shared/Why';

type Props = { readonly view: OrderView; readonly onChange: () => void };

export function OrderLineTable({ view, onChange }: Props) {
  const plain = view.lines.filter(({ texts }) => texts.length === 0);
  const named = groupRuns(view.lines.filter(({ texts }) => texts.length > 0));
  const today = useTodayCosts(view);
  return (
    <section className="sheet flush" aria-label="What was ordered">
      {plain.length > 0 && <PlainLines lines={plain} today={today.costs} />}
      {named.map((lines) => (
        <NamedLines key={lines[0]!.id} lines={lines} today={today.costs} />
      ))}
      <div className="actions pad-top-3 pad-right-4 pad-bottom-3 pad-left-4">
        <CombLegend />
        {!isOver(view.row.stage) && (
          <Button size="small" onClick={onChange}>
            Change the lines
          </Button>
        )}
        {!today.costs && (
          <Button size="small" variant="text" disabled={today.isBusy} onClick={today.ask}>
            What would it cost today?
          </Button>
        )}
      </div>
      {today.failure && <Failure>{today.failure}</Failure>}
      {view.spares.length > 0 && <Spares spares={view.spares} />}
    </section>
  );
}

type TodayCosts = ReadonlyMap<number, TodayCost>;

/** Asked for by a button: it takes all materials as they are now. */
function useTodayCosts({ row, version }: OrderView) {
  const { data, error, isFetching, refetch } = useQuery({
    queryKey: ['cost today', row.id, version],
    queryFn: ({ signal }) =>
      callApi<{ lines: readonly TodayCost[] }>('GET', `/api/orders/${row.id}/today`, undefined, signal),
    enabled: false,
  });
  return {
    costs: data ? (new Map(data.lines.map((line) => [line.lineId, line])) as TodayCosts) : null,
    failure: error && wordsOf(error),
    isBusy: isFetching,
    ask: () => void refetch(),
  };
}

function Today({ cost }: { readonly cost: TodayCost | undefined }) {
  if (!cost) return null;
  return cost.each ? <Why figure={cost.each} /> : <span className="short">{cost.problem}</span>;
}

type LinesProps = { readonly lines: readonly OrderLineView[]; readonly today: TodayCosts | null };

function PlainLines({ lines, today }: LinesProps) {
  const settings = useSettings();
  return (
    <table className="plain">
      <thead>
        <tr>
          <th scope="col">item</th>
          <NumberHead>pieces</NumberHead>
          <th scope="col">parts</th>
          <NumberHead>price each</NumberHead>
          <NumberHead>cost each, quoted</NumberHead>
          {today && <NumberHead>cost today</NumberHead>}
        </tr>
      </thead>
      <tbody>
        {lines.map((line) => (
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
            <td className="num">{line.each !== null && formatMoney(line.each, settings)}</td>
            <td className="num">{formatMoney(line.eachWithRisk, settings)}</td>
            {today && (
              <td className="num">
                <Today cost={today.get(line.id)} />
              </td>
            )}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function NamedLines({ lines, today }: LinesProps) {
  const settings = useSettings();
  const [first] = lines;
  const labels = [...new Set(lines.flatMap(({ texts }) => texts.map(({ label }) => label)))];
  const pieces = lines.reduce((sum, line) => sum + line.quantity, 0);
  return (
    <>
      <p className="flat pad-top-3 pad-right-4 pad-left-4">
        <a href={`/items/${first!.itemId}`}>{first!.itemName}</a>{' '}
        <span className="soft">
          {plural(pieces, 'piece')}, each its own, in {first!.colourName}
        </span>
      </p>
      <div className="scrolls named-lines" tabIndex={0} role="region" aria-label={`Names on ${first!.itemName}`}>
        <table className="plain">
          <thead>
            <tr>
              <NumberHead>no.</NumberHead>
              {labels.map((label) => (
                <th key={label} scope="col">
                  {label}
                </th>
              ))}
              <th scope="col">size</th>
              <th scope="col">parts</th>
              <th scope="col">read back</th>
              <NumberHead>cost, quoted</NumberHead>
              {today && <NumberHead>cost today</NumberHead>}
            </tr>
          </thead>
          <tbody>
            {lines.map((line) => (
              <tr key={line.id}>
                <td className="num soft">{line.comb.map((column) => column.number).join(', ')}</td>
                {labels.map((label) => (
                  <td key={label} className="own-text">
                    {line.texts.find((text) => text.label === label)?.text ?? ''}
                  </td>
                ))}
                <td className="nowrap">
                  {line.sizeName}
                  {line.note && <span className="soft">, {line.note}</span>}
                </td>
                <td>
                  <Comb columns={line.comb} />
                </td>
                <td className={line.readBackAtMs === null ? 'short' : 'soft'}>
                  {line.readBackAtMs === null ? 'not yet' : 'yes'}
                </td>
                <td className="num">{formatMoney(line.eachWithRisk, settings)}</td>
                {today && (
                  <td className="num">
                    <Today cost={today.get(line.id)} />
                  </td>
                )}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </>
  );
}

/** Pieces that were begun and are not wanted any more. */
function Spares({ spares }: Pick<OrderView, 'spares'>) {
  return (
    <div className="pad-right-4 pad-bottom-4 pad-left-4">
      {spares.map(({ number, itemName, fate, words }) => (
        <p key={number} className="soft flat">
          Piece {number}, {fate === 'spare' ? 'kept as a spare' : 'spoiled by a change'}: {itemName}, {words}
        </p>
      ))}
    </div>
  );
}
