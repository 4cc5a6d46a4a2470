// Every line of the cost in the order it is made, with your time and waiting, and the three costs.

import type { ItemCost } from '../../core/costing';
import type { PriceReading } from '../../core/pricing';
import { formatDuration } from '../../core/units';
import { useSettings } from '../shared/settings';
import { Why } from '../shared/Why';
import { NumberHead } from '../shared/NumberHead';

export function CostTable({ cost, reading }: { cost: ItemCost; reading: PriceReading }) {
  const settings = useSettings();
  const time = (seconds: number) => (seconds >= 0.5 ? formatDuration(seconds, settings) : '');
  return (
    <section className="sheet flush" aria-label="Cost, line by line" tabIndex={0}>
      <table className="plain">
        <thead>
          <tr>
            <th scope="col">in the order it is made</th>
            <th className="hide-small" scope="col">
              from
            </th>
            <NumberHead>your time</NumberHead>
            <NumberHead>waiting</NumberHead>
            <NumberHead>each</NumberHead>
          </tr>
        </thead>
        <tbody>
          {cost.lines.map((line) => (
            <tr key={line.id}>
              <td>{line.figure.label}</td>
              <td className="hide-small">
                <span className="tag">{line.figure.source}</span>
              </td>
              <td className="num">{time(line.handsSeconds)}</td>
              <td className="num soft">{time(line.waitSeconds)}</td>
              <td className="num">
                <Why figure={line.figure} />
              </td>
            </tr>
          ))}
          <tr className="total">
            <td colSpan={2}>Cash cost, what leaves the purse</td>
            <td />
            <td className="hide-small" />
            <td className="num">
              <Why figure={cost.cash} />
            </td>
          </tr>
          <tr>
            <td colSpan={2}>Full cost, with your time</td>
            <td className="num">
              <Why figure={cost.handsSeconds} />
            </td>
            <td className="hide-small" />
            <td className="num">
              <Why figure={cost.full} />
            </td>
          </tr>
          <tr>
            <td colSpan={2}>
              <strong>Full cost with risk</strong>
            </td>
            <td />
            <td className="hide-small" />
            <td className="num">
              <strong>
                <Why figure={cost.withRisk} />
              </strong>
            </td>
          </tr>
          <tr>
            <td colSpan={2}>Fee at this price</td>
            <td />
            <td className="hide-small" />
            <td className="num">
              <Why figure={reading.fee} />
            </td>
          </tr>
        </tbody>
      </table>
    </section>
  );
}
