// Solves integer programmes in a thread, so that the shop goes on answering meanwhile.

import { join } from 'node:path';
import { Worker } from 'node:worker_threads';
import type { Solver, SolverAnswer } from '../../core/buying';
import { programRoot } from '../context';
import { ShopError } from '../errors';

const TIME_LIMIT_MS = 30_000;

/** Lends a solver for as long as `run` takes. @throws ShopError 'busy' when it takes too long. */
export async function withSolver<T>(run: (solve: Solver) => Promise<T>): Promise<T> {
  const worker = new Worker(join(programRoot(), 'dist', 'tools', 'solve-thread.mjs'));
  let next = 0;
  let timer: ReturnType<typeof setTimeout> | undefined;
  const tooLong = new Promise<never>((_, reject) => {
    timer = setTimeout(() => reject(new ShopError('busy', 'This basket takes too long to work out. Ask for fewer needs at once.')), TIME_LIMIT_MS);
    worker.once('error', reject);
  });
  const solve: Solver = (programme) => new Promise<SolverAnswer>((resolve) => {
    const id = next++;
    const answered = (message: { id: number; answer: SolverAnswer }) => {
      if (message.id !== id) return;
      worker.off('message', answered);
      resolve(message.answer);
    };
    worker.on('message', answered);
    worker.postMessage({ id, programme });
  });
  try {
    return await Promise.race([run(solve), tooLong]);
  } finally {
    clearTimeout(timer);
    void worker.terminate();
  }
}
