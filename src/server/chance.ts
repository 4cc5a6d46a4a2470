// Chance that is the same every time: what made-up shops are made of.

import { randomLcg, randomLogNormal } from 'd3-random';

export type Chance = {
  /** A whole number from `low` to `high`, both included. */
  readonly whole: (low: number, high: number) => number;
  readonly between: (low: number, high: number) => number;
  /** True in `share` of all cases. */
  readonly happens: (share: number) => boolean;
  readonly pick: <T>(things: readonly T[]) => T;
  /** One of those that have a weight, the heavier the oftener. */
  readonly weigh: <T extends { readonly weight: number }>(things: readonly T[]) => T;
  /** About 1, as often under it as over it; `spread` is the standard deviation of its logarithm. */
  readonly around: (spread: number) => number;
};

export function makeChance(seed: number): Chance {
  const next = randomLcg(seed);
  return {
    whole: (low, high) => low + Math.floor(next() * (high - low + 1)),
    between: (low, high) => low + next() * (high - low),
    happens: (share) => next() < share,
    pick: (things) => things[Math.floor(next() * things.length)]!,
    weigh: (things) => {
      let left = next() * things.reduce((sum, { weight }) => sum + weight, 0);
      return things.find(({ weight }) => (left -= weight) < 0) ?? things.at(-1)!;
    },
    around: (spread) => randomLogNormal.source(next)(0, spread)(),
  };
}
