// By how many are made at once: what one costs, what to ask for it, and what this price leaves.

import { useMemo } from 'react';
import { computeLadder, LADDER_QUANTITIES, levelLadder, type ItemCost, type ItemSpec } from '../../core/costing';
import type { ShopFigures } from '../../core/materials';
import { priceForMargin, readPrice, type PriceReading } from '../../core/pricing';
import { formatMoney, formatShare, minor } from '../../core/units';
import { useSettings } from '../shared/settings';
import { Why } from '../shared/Why';
import { LadderChart } from './LadderChart';
import { NumberHead } from '../shared/NumberHead';

export default function LadderPanel({
  spec,
  quantity,
  price,
  figures,
}: {
  spec: ItemSpec;
  quantity: number;
  price: number;
  figures: ShopFigures;
}) {
  const settings = useSettings();
  const rungs = useMemo(() => {
    const ladder = computeLadder(
      spec,
      [...new Set([...LADDER_QUANTITIES, quantity])].sort((a, b) => a - b),
      figures,
    );
    if (!ladder.ok) return [];
    const needed = ladder.value.map((cost) => priceForMargin(figures.marginGoal, cost, figures));
    const level = levelLadder(needed.map((entry) => (entry.ok ? entry.value.value : 0)));
    return ladder.value.map((cost, at) => ({
      cost,
      ask: level[at]!,
      needed: needed[at]!,
      reading: readPrice(minor(price), cost, figures),
    }));
  }, [spec, quantity, price, figures]);
  if (rungs.length === 0) return null;
  return (
    <section className="sheet flush" aria-label="By quantity" tabIndex={0}>
      <div className="cols split-3-2 gap-0">
        <table className="plain">
          <thead>
            <tr>
              <th scope="col">made at once</th>
              <NumberHead>one costs</NumberHead>
              <NumberHead>ask, for {formatShare(figures.marginGoal, settings, 0)}</NumberHead>
              <NumberHead>at your price an hour earns</NumberHead>
            </tr>
          </thead>
          <tbody>
            {rungs.map(({ cost, ask, needed, reading }) => (
              <LadderRow
                key={cost.quantity}
                cost={cost}
                quantity={quantity}
                needed={needed}
                ask={ask}
                reading={reading}
                figures={figures}
              />
            ))}
          </tbody>
        </table>
        <LadderChart
          rungs={rungs.map(({ cost, ask }) => ({ quantity: cost.quantity, cost: cost.withRisk.value, ask }))}
          price={price}
        />
      </div>
    </section>
  );
}

type LadderRowProps = {
  readonly cost: ItemCost;
  readonly quantity: number;
  readonly needed: ReturnType<typeof priceForMargin>;
  readonly ask: number;
  readonly reading: PriceReading;
  readonly figures: ShopFigures;
};

function LadderRow({ cost, quantity, needed, ask, reading, figures }: LadderRowProps) {
  const settings = useSettings();
  return (
    <tr className={cost.quantity === quantity ? 'own' : ''}>
      <td className="figures">{cost.quantity}</td>
      <td className="num">
        <Why figure={cost.withRisk} />
      </td>
      <td className="num">
        {needed.ok ? (
          ask === needed.value.value ? (
            <Why figure={needed.value} />
          ) : (
            <span title="So that more never cost more: the next larger number needs this.">
              {formatMoney(ask, settings)}
            </span>
          )
        ) : (
          '–'
        )}
      </td>
      <td className={`num ${reading.hourEarns && reading.hourEarns.value < figures.wagePerHour ? 'short' : ''}`}>
        {reading.hourEarns ? <Why figure={reading.hourEarns} /> : '–'}
      </td>
    </tr>
  );
}
