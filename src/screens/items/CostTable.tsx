// Every line of the cost in the order it is made, with your time and waiting, and the three costs.

import type { ItemCost } from '../../core/costing';
import type { PriceReading } from '../../core/pricing';
import { formatDuration } from '../../core/units';
import { useSettings } from '../shared/settings';
import { Why } from '../shared/Why';
import { NumberHead } from '../shared/NumberHead';
import type { ReactNode } from 'react';
import type { Figure } from '../../core/units';

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
          <SumRow label="Cash cost, what leaves the purse" figure={cost.cash} isTotal />
          <SumRow label="Full cost, with your time" figure={cost.full} hands={cost.handsSeconds} />
          <SumRow label={<strong>Full cost with risk</strong>} figure={cost.withRisk} isStrong />
          <SumRow label="Fee at this price" figure={reading.fee} />
        </tbody>
      </table>
    </section>
  );
}

type SumRowProps = {
  readonly label: ReactNode;
  readonly figure: Figure;
  readonly hands?: Figure;
  /** The first below a line. */
  readonly isTotal?: boolean;
  readonly isStrong?: boolean;
};

function SumRow({ label, figure, hands, isTotal = false, isStrong = false }: SumRowProps) {
  return (
    <tr className={isTotal ? 'total' : undefined}>
      <td colSpan={2}>{label}</td>
      <td className="num">{hands && <Why figure={hands} />}</td>
      <td className="hide-small" />
      <td className="num">
        {isStrong ? (
          <strong>
            <Why figure={figure} />
          </strong>
        ) : (
          <Why figure={figure} />
        )}
      </td>
    </tr>
  );
}
