// Draws the odds of a comparison away from the page.

import { expose } from 'comlink';
import { drawOdds, type Odds } from '../core/costing/compare-odds';
import type { Candidate, CompareInput } from '../core/costing/compare-vinyls';

const oddsWorker = {
  draw: (input: CompareInput, candidates: readonly Candidate[]): Odds => drawOdds(input, candidates),
};
export type OddsWorker = typeof oddsWorker;
expose(oddsWorker);
