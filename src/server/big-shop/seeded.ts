// Chance that is the same every time: what a big shop is made of.

import { randomLcg } from 'd3-random';

export type Chance = {
  /** A whole number from `low` to `high`, both included. */
  readonly whole: (low: number, high: number) => number;
  readonly between: (low: number, high: number) => number;
  /** True in `share` of all cases. */
  readonly happens: (share: number) => boolean;
  readonly pick: <T>(things: readonly T[]) => T;
};

export function makeChance(seed: number): Chance {
  const next = randomLcg(seed);
  return {
    whole: (low, high) => low + Math.floor(next() * (high - low + 1)),
    between: (low, high) => low + next() * (high - low),
    happens: (share) => next() < share,
    pick: (things) => things[Math.floor(next() * things.length)]!,
  };
}
