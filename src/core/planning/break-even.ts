// When what was spent to begin with has come back: pieces, weeks at the seller's hours, and the cash week by week.

import type { CostSums } from '../costing';
import type { ShopFigures } from '../materials';
import { readPrice } from '../pricing';
import { figure, roundMoney, SECONDS_PER_HOUR, type Figure, type Minor, COUNT_NOISE } from '../units';

/** An item of the mix: so many of it are sold in an ordinary week. */
export type MixItem = {
  readonly name: string;
  readonly cost: CostSums;
  readonly price: Minor;
  readonly perWeek: number;
};
export type Contribution = {
  /**
   * What an average piece leaves in the purse: price less fee, cash cost and what goes wrong; your hours are not paid
   * from it.
   */
  readonly each: Figure;
  readonly perWeek: Figure;
  readonly piecesPerWeek: Figure;
  /** Your hours a week for it. */
  readonly hoursPerWeek: Figure;
};

/** Null where nothing is sold. */
export function computeContribution(mix: readonly MixItem[], shop: ShopFigures): Contribution | null {
  const sold = mix.filter((item) => item.perWeek > 0);
  if (sold.length === 0) return null;
  const own = sold.map((item) => {
    const reading = readPrice(item.price, item.cost, shop);
    const wages = figure('Your time, paid', item.cost.full.value - item.cost.cash.value, 'money', 'computed');
    return {
      item,
      left: figure(item.name, reading.yours.value + wages.value, 'money', 'computed', {
        how: 'yours + your time',
        parts: [reading.yours, wages],
      }),
      count: figure(`${item.name}, a week`, item.perWeek, 'count', 'typed'),
    };
  });
  const piecesPerWeek = figure(
    'Pieces a week',
    own.reduce((sum, { item }) => sum + item.perWeek, 0),
    'count',
    'typed',
    { how: 'sum of the mix', parts: own.map(({ count }) => count) },
  );
  const perWeek = figure(
    'Left a week',
    roundMoney(own.reduce((sum, { item, left }) => sum + item.perWeek * left.value, 0)),
    'money',
    'computed',
    { how: 'each × how many of it', parts: own.flatMap(({ left, count }) => [left, count]) },
  );
  return {
    piecesPerWeek,
    perWeek,
    each: figure('An average piece leaves', roundMoney(perWeek.value / piecesPerWeek.value), 'money', 'computed', {
      how: 'left a week ÷ pieces a week',
      parts: [perWeek, piecesPerWeek],
    }),
    hoursPerWeek: figure(
      'Your time a week',
      own.reduce((sum, { item }) => sum + item.perWeek * item.cost.handsSeconds.value, 0),
      's',
      'computed',
      { how: 'your time for one × how many of it', parts: own.map(({ item }) => item.cost.handsSeconds) },
    ),
  };
}

export type BreakEven = {
  /** Null: with this contribution it never comes back. */
  readonly pieces: Figure | null;
  readonly weeks: Figure | null;
  /** Share of the wanted sales that the hours allow, 1 where they suffice. */
  readonly reach: Figure;
  readonly perWeek: Figure;
  /** What is in the purse after each week, from week 0 on, minor units. */
  readonly cash: readonly number[];
};
export type BreakEvenInput = {
  readonly spent: Figure;
  readonly contribution: Contribution;
  readonly hoursPerWeek: number;
  readonly weeks: number;
};

/** Sales beyond the seller's hours can't be made: all of the mix shrinks alike. `hoursPerWeek` above 0. */
export function computeBreakEven({ spent, contribution, hoursPerWeek, weeks }: BreakEvenInput): BreakEven {
  const hours = figure('Your hours a week', hoursPerWeek * SECONDS_PER_HOUR, 's', 'typed');
  const reach = figure(
    'Of the sales, your hours allow',
    Math.min(1, contribution.hoursPerWeek.value > 0 ? hours.value / contribution.hoursPerWeek.value : 1),
    'share',
    'computed',
    { how: 'your hours ÷ hours needed, at most all', parts: [hours, contribution.hoursPerWeek] },
  );
  const perWeek = figure('Left a week', roundMoney(contribution.perWeek.value * reach.value), 'money', 'computed', {
    how: 'left a week × what your hours allow',
    parts: [contribution.perWeek, reach],
  });
  const comesBack = contribution.each.value > 0 && perWeek.value > 0;
  return {
    reach,
    perWeek,
    pieces: comesBack
      ? figure(
          'Pieces until it has come back',
          Math.ceil(spent.value / contribution.each.value - COUNT_NOISE),
          'count',
          'computed',
          { how: 'spent ÷ what an average piece leaves, up to a whole one', parts: [spent, contribution.each] },
        )
      : null,
    weeks: comesBack
      ? figure(
          'Weeks until it has come back',
          Math.ceil(spent.value / perWeek.value - COUNT_NOISE),
          'count',
          'computed',
          {
            how: 'spent ÷ left a week, up to a whole one',
            parts: [spent, perWeek],
          },
        )
      : null,
    cash: Array.from({ length: weeks + 1 }, (_, week) => Math.round(week * perWeek.value - spent.value)),
  };
}

export type Scenario = { readonly name: 'slow' | 'expected' | 'good'; readonly sales: number; readonly costs: number };
/** What may come: sales and costs against what is expected. */
export const SCENARIOS: readonly Scenario[] = [
  { name: 'slow', sales: 0.6, costs: 1.1 },
  { name: 'expected', sales: 1, costs: 1 },
  { name: 'good', sales: 1.4, costs: 0.95 },
];

/** The same contribution when sales and what a piece costs in cash come otherwise than expected. */
export function bendContribution(
  contribution: Contribution,
  mix: readonly MixItem[],
  { sales, costs }: Scenario,
): Contribution {
  const sold = mix.filter((item) => item.perWeek > 0);
  const cash = sold.reduce(
    (sum, item) => sum + item.perWeek * (item.cost.cash.value + item.cost.withRisk.value - item.cost.full.value),
    0,
  );
  const factor = figure('Sales against what is expected', sales, 'factor', 'default'),
    dearer = figure('Costs against what is expected', costs, 'factor', 'default');
  const piecesPerWeek = { ...contribution.piecesPerWeek, value: contribution.piecesPerWeek.value * sales };
  const perWeek = figure(
    'Left a week',
    roundMoney((contribution.perWeek.value - cash * (costs - 1)) * sales),
    'money',
    'computed',
    {
      how: '(left a week − costs that are more) × sales',
      parts: [contribution.perWeek, figure('Cash costs a week', cash, 'money', 'computed'), dearer, factor],
    },
  );
  return {
    piecesPerWeek,
    perWeek,
    each: figure('An average piece leaves', roundMoney(perWeek.value / piecesPerWeek.value), 'money', 'computed', {
      parts: [perWeek, piecesPerWeek],
    }),
    hoursPerWeek: { ...contribution.hoursPerWeek, value: contribution.hoursPerWeek.value * sales },
  };
}

/** The same when one more average piece is sold each week. */
export function addOneSale(contribution: Contribution): Contribution {
  const k = (contribution.piecesPerWeek.value + 1) / contribution.piecesPerWeek.value;
  const more = (part: Figure): Figure => ({
    ...part,
    value: part.unit === 'money' ? roundMoney(part.value * k) : part.value * k,
  });
  return {
    each: contribution.each,
    perWeek: more(contribution.perWeek),
    piecesPerWeek: more(contribution.piecesPerWeek),
    hoursPerWeek: more(contribution.hoursPerWeek),
  };
}
