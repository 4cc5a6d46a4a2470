// What one of so many equal pieces costs: every line visible, rounded so that shown lines add up to shown totals.

import type { ShopFigures } from '../materials';
import { apportion, figure, groupBy, minor, roundMoney, succeed, type Figure, type Minor, type Result } from '../units';
import { buildLines, getAtStake } from './build-lines';
import type { ExactLine } from './cost-lines';
import type { ItemSpec, CostLine, ItemCost, CostProblem } from './item-cost-types';

export * from './item-cost-types';

/**
 * The cost of one of `quantity` equal pieces (a whole number from 1). Fees depend on the price and are not in it: see
 * pricing.
 */
export function computeItemCost(spec: ItemSpec, quantity: number, shop: ShopFigures): Result<ItemCost, CostProblem> {
  const built = buildLines(spec, quantity, shop);
  return built.ok
    ? succeed({
        ...addUp(built.value.exact),
        hour: { wage: shop.wagePerHour, overhead: shop.overheadPerHour },
        quantity,
        layers: built.value.layers,
        press: built.value.press,
      })
    : built;
}

/**
 * Not rounded, for finding where two costs meet: all that a good piece costs but for what goes wrong, and the part of
 * it that is lost with a spoiled one.
 */
export type ExactCost = { readonly full: number; readonly atStake: number };

export function computeExactCost(spec: ItemSpec, quantity: number, shop: ShopFigures): Result<ExactCost, CostProblem> {
  const built = buildLines(spec, quantity, shop);
  if (!built.ok) return built;
  const { exact } = built.value;
  return succeed({
    // What comes back grows with the rest, whatever goes wrong at the bench.
    full: exact.reduce((sum, line) => sum + line.cash + line.time + (line.stage === 'returns' ? line.risk : 0), 0),
    atStake: getAtStake(exact).reduce((sum, line) => sum + line.cash + line.time, 0),
  });
}

/** What the lines come to in whole minor units, so that those of each kind add up to it exactly. */
type Totals = { readonly cash: Minor; readonly full: Minor; readonly risk: Minor };

const sumOf = (exact: readonly ExactLine[], pick: (line: ExactLine) => number) =>
  exact.reduce((total, line) => total + pick(line), 0);

function roundLines(exact: readonly ExactLine[], totals: Totals): readonly CostLine[] {
  const cash = apportion(
    exact.map((line) => line.cash),
    totals.cash,
  );
  const time = apportion(
    exact.map((line) => line.time),
    totals.full - totals.cash,
  );
  const risk = apportion(
    exact.map((line) => line.risk),
    totals.risk - totals.full,
  );
  return exact.map((line, index): CostLine => {
    const shares = { cash: cash[index]!, time: time[index]!, risk: risk[index]! };
    const total = minor(shares.cash + shares.time + shares.risk);
    return {
      id: line.id,
      stage: line.stage,
      ...shares,
      total,
      handsSeconds: line.handsSeconds,
      waitSeconds: line.waitSeconds,
      figure: figure(line.label, total, 'money', line.source, { how: line.how, parts: line.parts }),
    };
  });
}

function addUp(exact: readonly ExactLine[]): Pick<ItemCost, 'lines' | 'cash' | 'full' | 'withRisk' | 'handsSeconds'> {
  const totals: Totals = {
    cash: roundMoney(sumOf(exact, (line) => line.cash)),
    full: roundMoney(sumOf(exact, (line) => line.cash + line.time)),
    risk: roundMoney(sumOf(exact, (line) => line.cash + line.time + line.risk)),
  };
  const lines = roundLines(exact, totals);
  const pick = (part: (line: CostLine) => number) =>
    lines.filter((line) => part(line) !== 0).map((line) => ({ ...line.figure, value: part(line) }));
  const cashFigure = figure('Cash cost', totals.cash, 'money', 'computed', {
    how: 'what leaves the purse',
    parts: pick((line) => line.cash),
  });
  const fullFigure = figure('Full cost', totals.full, 'money', 'computed', {
    how: 'cash cost + your time',
    parts: [
      cashFigure,
      figure('Your time', totals.full - totals.cash, 'money', 'computed', { parts: pick((line) => line.time) }),
    ],
  });
  return {
    lines,
    cash: cashFigure,
    full: fullFigure,
    withRisk: figure('Full cost with risk', totals.risk, 'money', 'computed', {
      how: 'full cost + what goes wrong or comes back',
      parts: [fullFigure, ...pick((line) => line.risk)],
    }),
    handsSeconds: sumHands(exact),
  };
}

function sumHands(exact: readonly ExactLine[]): Figure {
  return figure(
    'Your time for one',
    sumOf(exact, (line) => line.handsSeconds),
    's',
    'computed',
    {
      how: 'sum of the lines',
      ...bandTogether(exact),
      parts: exact
        .filter((line) => line.handsSeconds > 0)
        .map((line) =>
          figure(line.label, line.handsSeconds, 's', line.source, { low: line.lowSeconds, high: line.highSeconds }),
        ),
    },
  );
}

/** Lines of one station stray together, stations each for itself: their strays add up as squares do. */
function bandTogether(exact: readonly ExactLine[]): { readonly low: number; readonly high: number } {
  const value = sumOf(exact, (line) => line.handsSeconds);
  const stations = [...groupBy(exact, (line) => line.stage).values()];
  const strayOf = (pick: (line: ExactLine) => number) =>
    Math.hypot(...stations.map((lines) => sumOf(lines, (line) => pick(line) - line.handsSeconds)));
  return { low: value - strayOf((line) => line.lowSeconds), high: value + strayOf((line) => line.highSeconds) };
}
