// Runs in a thread of its own: an integer programme in, the solver's answer out.

import { parentPort } from 'node:worker_threads';
import loadHighs from 'highs';
import type { SolverAnswer } from '../../core/buying';

const TIME_LIMIT_S = 10;
/** Prices are whole cents: nearer than half of one is proven. */
const HALF_A_CENT = 0.004;

parentPort?.on('message', ({ id, programme }: { id: number; programme: string }) => {
  void loadHighs().then((highs) => {
    const answer = highs.solve(programme, { time_limit: TIME_LIMIT_S, mip_rel_gap: 0, mip_abs_gap: HALF_A_CENT });
    const values = Object.fromEntries(Object.entries(answer.Columns).map(([name, column]) => [name, 'Primal' in column ? (column.Primal ?? 0) : 0]));
    parentPort?.postMessage({ id, answer: { status: answer.Status, values } satisfies SolverAnswer });
  }, (error: unknown) => parentPort?.postMessage({ id, answer: { status: `not started: ${String(error)}`, values: {} } satisfies SolverAnswer }));
});
