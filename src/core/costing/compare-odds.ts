// How likely each candidate is the cheapest, by what is believed of how often it fails.

import { randomBeta, randomLcg } from 'd3-random';
import { totalAt, withCandidate, type Candidate, type CompareInput } from './compare-vinyls';
import { believeFailure } from './failure';
import { computeExactCost } from './item-cost';

export type Odds = {
  /** That each is the cheapest; they add up to 1. */
  readonly cheapest: readonly number[];
  /** Between which the failure rate of each lies, nine times in ten. */
  readonly failure: readonly {
    readonly low: number;
    readonly high: number;
  }[];
};
const DRAWS = 20_000;

/**
 * Draws failure rates as they are believed, and counts which candidate is the cheapest: those of one vinyl, at other
 * offers or on other blanks, fail alike. The same seed gives the same.
 */
export function drawOdds(input: CompareInput, candidates: readonly Candidate[], draws = DRAWS, seed = 0.42): Odds {
  const random = randomLcg(seed);
  const players = candidates.map((candidate) => {
    const exact = computeExactCost(withCandidate(input, candidate), input.quantity, input.shop);
    const { alpha, beta } = believeFailure(candidate.evidence, input.shop);
    return {
      exact: exact.ok ? exact.value : null,
      draw: randomBeta.source(random)(alpha, beta),
      rates: new Float64Array(draws),
      wins: 0,
    };
  });
  const firstOf = players.map((_, at) =>
    candidates.findIndex((candidate) => candidate.vinyl.id === candidates[at]!.vinyl.id),
  );
  for (let round = 0; round < draws; round++) {
    let best: (typeof players)[number] | null = null,
      least = Infinity;
    for (const [at, player] of players.entries()) {
      const rate = firstOf[at]! < at ? players[firstOf[at]!]!.rates[round]! : Math.min(0.99, player.draw());
      player.rates[round] = rate;
      const total = player.exact ? totalAt(player.exact, rate) : Infinity;
      if (total < least) [best, least] = [player, total];
    }
    if (best) best.wins++;
  }
  const at = (sorted: Float64Array, share: number) => sorted[Math.min(draws - 1, Math.floor(share * draws))] ?? 0;
  return {
    cheapest: players.map((player) => player.wins / draws),
    failure: players.map(({ rates }) => {
      const sorted = rates.slice().sort();
      return { low: at(sorted, 0.05), high: at(sorted, 0.95) };
    }),
  };
}
