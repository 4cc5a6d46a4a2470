// What an order was quoted at beside what it really took.

import type { QuotedAgainstReal } from '../../core/orders';
import type { OrderView, OrderRow } from '../../views/orders';
import { useSettings } from '../shared/settings';
import { NumberHead } from '../shared/NumberHead';
import { STATION_NAMES } from '../../wording/stations';
import { Why } from '../shared/Why';
import { formatDuration, formatMoney } from '../../core/units';

type QuotedAndRealProps = {
  readonly against: QuotedAgainstReal;
  readonly view: OrderView;
  readonly closed: boolean;
  readonly row: OrderRow;
};

export function QuotedAndReal({ against, view, closed, row }: QuotedAndRealProps) {
  const settings = useSettings();
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
          <tr className="total">
            <td>Your time</td>
            <td className="num">
              <Why figure={against.time.quoted} />
            </td>
            <td className="num">
              <Why figure={against.time.real} />
            </td>
          </tr>
          <tr>
            <td>Cash: materials, wear, machine</td>
            <td className="num">
              <Why figure={against.cash.quoted} />
            </td>
            <td className="num">
              <Why figure={against.cash.real} />
            </td>
          </tr>
          <tr className="total">
            <td>Cost with your time</td>
            <td className="num">
              <Why figure={against.cost.quoted} />
            </td>
            <td className="num">
              <Why figure={against.cost.real} />
            </td>
          </tr>
          <tr>
            <td>Fee</td>
            <td className="num">
              <Why figure={view.fee} />
            </td>
            <td className="num">
              <Why figure={view.fee} />
            </td>
          </tr>
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
        </tbody>
      </table>
    </section>
  );
}
