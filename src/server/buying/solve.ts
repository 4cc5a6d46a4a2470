// Solves integer programmes in a thread, so that the shop goes on answering meanwhile. The thread is kept warm for a while:
// a solver that has run before is several times as fast.

import { join } from 'node:path';
import { Worker } from 'node:worker_threads';
import type { Solver, SolverAnswer } from '../../core/buying';
import { programRoot } from '../context';
import { ShopError } from '../errors';
import type { SolveTask } from '../threads/solve-thread';

/** Beyond what the solver itself is given, for starting and for what does not look at the clock. */
const GRACE_MS = 20_000;
const IDLE_MS = 10 * 60_000;

let warm: { readonly worker: Worker; next: number; idle: ReturnType<typeof setTimeout> | null } | null = null;

function lendThread() {
  warm ??= { worker: new Worker(join(programRoot(), 'dist', 'tools', 'solve-thread.mjs')), next: 0, idle: null };
  if (warm.idle) clearTimeout(warm.idle);
  warm.idle = setTimeout(endThread, IDLE_MS);
  // Neither thread nor clock keeps the program from ending.
  warm.idle.unref();
  warm.worker.unref();
  return warm;
}

function endThread(): void {
  if (warm?.idle) clearTimeout(warm.idle);
  void warm?.worker.terminate();
  warm = null;
}

/**
 * A solver that gives the best it has after `limitS` seconds. @throws ShopError 'busy' when it does not answer at all.
 */
export const makeSolver =
  (limitS: number): Solver =>
  (programme) => {
    const thread = lendThread();
    const id = thread.next++;
    return new Promise<SolverAnswer>((resolve, reject) => {
      const timer = setTimeout(
        () => fail(new ShopError('busy', { reason: 'basket-too-slow' })),
        limitS * 1000 + GRACE_MS,
      );
      const settle = () => {
        clearTimeout(timer);
        thread.worker.off('message', answered);
        thread.worker.off('error', fail);
      };
      const answered = (message: { id: number; answer: SolverAnswer }) => {
        if (message.id !== id) return;
        settle();
        resolve(message.answer);
      };
      const fail = (error: Error) => {
        settle();
        if (warm === thread) endThread();
        reject(error);
      };
      thread.worker.on('message', answered);
      thread.worker.on('error', fail);
      thread.worker.postMessage({ id, programme, limitS } satisfies SolveTask);
    });
  };
