// The price that is needed on a channel: the lowest that leaves what is aimed for, however its fees rise in steps.

import type { CostSums } from '../costing';
import { fail, figure, minor, MONEY_MOST, MONEY_NOISE, succeed, type Figure, type Result, SHARE_NOISE } from '../units';
import { getFeeBase, readChannel, takeOff, type Channel, type Ending } from './channel';
import { getSoldCost } from './sold-cost';

export type ChannelGoal =
  | { readonly kind: 'margin'; readonly share: number }
  | { readonly kind: 'wage'; readonly perHour: number }
  | { readonly kind: 'floor' };
export const GOAL_KINDS = ['wage', 'margin', 'floor'] as const;
export type ChannelProblem = { readonly kind: 'takes-too-much'; readonly taken: number; readonly goal: number };

/** What the channel takes at most of one more unit of price, as a share of what is received of it. */
function marginalShare(channel: Channel): number {
  const perPaid = (channel.tiers.at(-1)?.share ?? 0) + channel.paymentShare + channel.adShare * channel.adOdds;
  return perPaid * (1 + channel.tax);
}

/**
 * A price that holds, but near where none does: of each unit of price more so little is left that a small change of fees
 * or goal moves it a lot. Share of it that is left; null where there is room.
 */
export function findSteepness(goal: ChannelGoal, channel: Channel): number | null {
  const left = 1 - marginalShare(channel) - (goal.kind === 'margin' ? goal.share : 0);
  return left > SHARE_NOISE && left < NARROW_SHARE ? left : null;
}

/** Ordinary channels and goals leave a third of each unit and more. */
const NARROW_SHARE = 0.15;

const GOAL_LABELS: Readonly<Record<ChannelGoal['kind'], string>> = {
  margin: 'Price for your margin',
  wage: 'Price for your wage goal',
  floor: 'Floor',
};

/**
 * The lowest price with the channel's ending that reaches the goal there. Within a step of its fees what is left rises
 * or falls evenly but for the rounding to cents, so each step is looked at by itself: steps that rise steeply leave
 * room below them. Problem: the channel takes more of each unit of price than the goal leaves, at every price.
 */
export function priceOnChannel(goal: ChannelGoal, cost: CostSums, channel: Channel): Result<Figure, ChannelProblem> {
  const share = goal.kind === 'margin' ? goal.share : 0;
  const refused = fail({ kind: 'takes-too-much', taken: marginalShare(channel), goal: share } as const);
  if (channel.discount >= 1) return refused;
  const holds = (price: number) => reaches(goal, price, cost, channel);
  const lowest = findLowest(holds, channel, share);
  if (lowest === null) return refused;
  const price = toEnding(lowest, channel.ending, holds);
  const sold = getSoldCost(cost, channel);
  return succeed(
    figure(GOAL_LABELS[goal.kind], price, 'money', 'computed', {
      how: 'the lowest price that leaves it, up to the ending',
      parts: [
        sold.withRisk,
        readChannel(minor(price), cost, channel).fees,
        ...(goal.kind === 'wage'
          ? [figure('Wage goal', goal.perHour, 'money/h', 'shop'), sold.handsSeconds]
          : share > 0
            ? [figure('Margin', share, 'share', 'shop')]
            : []),
      ],
    }),
  );
}

/** Whether a sale at this price leaves what the goal asks for. */
function reaches(goal: ChannelGoal, price: number, cost: CostSums, channel: Channel): boolean {
  const { yours, hourEarns } = readChannel(minor(price), cost, channel);
  switch (goal.kind) {
    case 'margin':
      return yours.value >= goal.share * takeOff(price, channel).net - MONEY_NOISE;
    case 'wage':
      return hourEarns === null ? yours.value >= -MONEY_NOISE : hourEarns.value >= goal.perHour - MONEY_NOISE;
    case 'floor':
      return yours.value >= -MONEY_NOISE;
    default:
      return goal satisfies never;
  }
}

type Holds = (price: number) => boolean;

/** Step after step of the fees, the first price that holds; null where none does. */
function findLowest(holds: Holds, channel: Channel, share: number): number | null {
  const postage = getFeeBase(0, channel);
  const starts = channel.tiers.map(({ from }) => Math.ceil(Math.max(0, from - postage) / (1 - channel.discount)));
  for (const [index, start] of starts.entries()) {
    if (holds(start)) return settle(start, holds);
    const next = starts[index + 1];
    const end = next === undefined ? findBeyond(start, holds, channel, share) : next;
    if (end !== null && holds(end)) return settle(halve(start, end, holds), holds);
  }
  return null;
}

/** In the last step: some price that holds, or null where a higher one leaves no more. */
function findBeyond(start: number, holds: Holds, channel: Channel, share: number): number | null {
  if (1 - marginalShare(channel) - share <= SHARE_NOISE) return null;
  let high = Math.max(1, start);
  while (!holds(high)) {
    high *= 2;
    if (high > MONEY_MOST) return null;
  }
  return high;
}

/** The first price that holds between one that does not and one that does. */
function halve(low: number, high: number, holds: Holds): number {
  let [below, above] = [low, high];
  while (above - below > 1) {
    const middle = Math.floor((below + above) / 2);
    if (holds(middle)) above = middle;
    else below = middle;
  }
  return above;
}

/** Rounded fees jump by a cent: a price a little below may do as well. */
function settle(found: number, holds: Holds): number {
  let price = found;
  for (let back = findLower(price, holds); back > 0; back = findLower(price, holds)) price -= back;
  return price;
}

/** Endings are looked for so often; where steep fees leave no room for one, the price stands as it is. */
const MOST_ENDINGS = 20;

function toEnding(lowest: number, ending: Ending, holds: Holds): number {
  let price = roundUpTo(lowest, ending);
  for (let tried = 0; tried < MOST_ENDINGS; tried++) {
    if (holds(price)) return price;
    price = roundUpTo(price + 1, ending);
  }
  return lowest;
}

const findLower = (price: number, holds: (price: number) => boolean): number =>
  [1, 2, 3, 4].find((cents) => price >= cents && holds(price - cents)) ?? 0;

/** The next price from here up that ends so. */
export function roundUpTo(price: number, ending: Ending): number {
  if (ending === 'any') return price;
  const wanted = Number(ending);
  return price + ((((wanted - price) % 100) + 100) % 100);
}
