// Solves a programme in this thread, for tests of what is written and read.

import loadHighs from 'highs';
import type { SolverAnswer } from '../src/core/buying';

const highs = loadHighs();

export async function solveWithHighs(programme: string): Promise<SolverAnswer> {
  const answer = (await highs).solve(programme, { time_limit: 20, mip_rel_gap: 0, mip_abs_gap: 0.004 });
  return {
    status: answer.Status,
    values: Object.fromEntries(
      Object.entries(answer.Columns).map(([name, column]) => [name, 'Primal' in column ? (column.Primal ?? 0) : 0]),
    ),
  };
}
