// Runs in a thread of its own: an integer programme in, the solver's answer out.

import { parentPort } from 'node:worker_threads';
import loadHighs from 'highs';
import type { SolverAnswer } from '../../core/buying';

/** Prices are whole cents: nearer than half of one is proven. */
const HALF_A_CENT = 0.004;

/** The solver tells its bound in its report alone. */
let report: string[] = [];
const highsLoaded = loadHighs({ print: (line: string) => void report.push(line) });
const readBound = (): number | undefined => {
  const found = report.map((line) => /^\s*Dual bound\s+(\S+)/.exec(line)?.[1]).find((text) => text !== undefined);
  return found === undefined || !Number.isFinite(Number(found)) ? undefined : Number(found);
};

export type SolveTask = { readonly id: number; readonly programme: string; readonly limitS: number };
parentPort?.on('message', ({ id, programme, limitS }: SolveTask) => {
  void highsLoaded.then(
    (highs) => {
      report = [];
      const answer = highs.solve(programme, {
        time_limit: limitS,
        mip_rel_gap: 0,
        mip_abs_gap: HALF_A_CENT,
        output_flag: true,
        log_to_console: true,
      });
      // Where it does not say how near it is, nothing is proven.
      const bound = answer.Status === 'Optimal' ? {} : { bound: readBound() ?? 0 };
      // Out of time before anything was found: then there are no values either.
      const found = answer.Status === 'Optimal' || report.some((line) => /^\s*Solution status\s+feasible/.test(line));
      const values = !found
        ? {}
        : Object.fromEntries(
            Object.entries(answer.Columns).map(([name, column]) => [
              name,
              'Primal' in column ? (column.Primal ?? 0) : 0,
            ]),
          );
      parentPort?.postMessage({ id, answer: { status: answer.Status, values, ...bound } satisfies SolverAnswer });
    },
    (error: unknown) =>
      parentPort?.postMessage({
        id,
        answer: { status: `not started: ${String(error)}`, values: {} } satisfies SolverAnswer,
      }),
  );
});
