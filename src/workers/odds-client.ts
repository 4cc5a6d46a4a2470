// The odds of a comparison, as screens see them.

import type { Candidate, CompareInput } from '../core/costing/compare-vinyls';
import type { Odds } from '../core/costing/compare-odds';
import type { OddsWorker } from './odds.worker';
import { TaskWorker } from './task-worker';

const odds = new TaskWorker<OddsWorker>(
  () => new Worker(new URL('./odds.worker.ts', import.meta.url), { type: 'module' }),
);
export const drawOddsInWorker = (
  input: CompareInput,
  candidates: readonly Candidate[],
  signal: AbortSignal,
): Promise<Odds> => odds.ask(async (remote) => await remote.draw(input, candidates), signal);
