// What an order was quoted at beside what it really took.

import { isOver } from '../../core/orders';
import type { OrderView } from '../../views/orders';
import { useSettings } from '../shared/settings';
import { NumberHead } from '../shared/NumberHead';
import { STATION_NAMES } from '../../wording/stations';
import { Why } from '../shared/Why';
import { formatDuration, formatMoney } from '../../core/units';
import type { Figure } from '../../core/units';

export function QuotedAndReal({ view }: { readonly view: OrderView }) {
  const settings = useSettings();
  const { against, row } = view;
  const closed = isOver(row.stage);
  return (
    <section className="sheet flush" aria-label="Quoted and real">
      <table className="plain">
        <thead>
          <tr>
            <th scope="col">quoted against real</th>
            <NumberHead>quoted</NumberHead>
            <NumberHead>so far</NumberHead>
          </tr>
        </thead>
        <tbody>
          {against.stations.map((entry) => (
            <tr key={entry.station}>
              <td>{entry.station === 'cut' ? 'Set up and cut' : STATION_NAMES[entry.station]}, your hands</td>
              <td className="num">
                <Why figure={entry.quoted}>{formatDuration(entry.quoted.value, settings)}</Why>
              </td>
              <td className="num">
                <Why figure={entry.real}>{formatDuration(entry.real.value, settings)}</Why>
              </td>
            </tr>
          ))}
          <PairRow label="Your time" pair={against.time} isTotal />
          <PairRow label="Cash: materials, wear, machine" pair={against.cash} />
          <PairRow label="Cost with your time" pair={against.cost} isTotal />
          <PairRow label="Fee" pair={{ quoted: view.fee, real: view.fee }} />
          <tr className="total">
            <td>
              {closed || row.stage === 'ready' ? 'Yours' : 'Left so far'}, of {formatMoney(row.agreed, settings)}
            </td>
            <td className="num">
              <Why figure={view.profitQuoted} />
            </td>
            <td className={`num ${view.profit.value < 0 ? 'short' : ''}`}>
              <Why figure={view.profit} />
            </td>
          </tr>
          {view.hourEarned && (
            <tr>
              <td>An hour of yours earned</td>
              <td />
              <td className="num">
                <Why figure={view.hourEarned} />
              </td>
            </tr>
          )}
          {view.spoilage.value > 0 && (
            <tr>
              <td>Of it, what went wrong</td>
              <td />
              <td className="num">
                <Why figure={view.spoilage} />
              </td>
            </tr>
          )}
        </tbody>
      </table>
    </section>
  );
}

type PairRowProps = {
  readonly label: string;
  readonly pair: { readonly quoted: Figure; readonly real: Figure };
  readonly isTotal?: boolean;
};

function PairRow({ label, pair, isTotal = false }: PairRowProps) {
  return (
    <tr className={isTotal ? 'total' : undefined}>
      <td>{label}</td>
      <td className="num">
        <Why figure={pair.quoted} />
      </td>
      <td className="num">
        <Why figure={pair.real} />
      </td>
    </tr>
  );
}
