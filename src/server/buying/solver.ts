// The solver of integer programmes, as core asks for it.

import loadHighs from 'highs';
import type { Solver, SolverAnswer } from '../../core/buying';

/** Prices are whole cents: nearer than half of one is proven. */
const HALF_A_CENT = 0.004;

/** The solver tells its bound in its report alone. */
let report: string[] = [];
let loading: ReturnType<typeof loadHighs> | null = null;
const load = () => (loading ??= loadHighs({ print: (line: string) => void report.push(line) }));

/** A solver that gives the best it has after `limitS` seconds. It does not pause: for threads. */
export const makeSolver =
  (limitS: number): Solver =>
  async (programme): Promise<SolverAnswer> => {
    const highs = await load();
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
    return { status: answer.Status, values: found ? readValues(answer.Columns) : {}, ...bound };
  };

function readBound(): number | undefined {
  const found = report.map((line) => /^\s*Dual bound\s+(\S+)/.exec(line)?.[1]).find((text) => text !== undefined);
  return found === undefined || !Number.isFinite(Number(found)) ? undefined : Number(found);
}

const readValues = (columns: Readonly<Record<string, object>>): Record<string, number> =>
  Object.fromEntries(
    Object.entries(columns).map(([name, column]) => [
      name,
      'Primal' in column && typeof column.Primal === 'number' ? column.Primal : 0,
    ]),
  );
