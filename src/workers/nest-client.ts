// Laying out, as screens see it: one worker for each core that can be spared, each with its own seed; the best of all
// counts.

import { proxy, wrap, type Remote } from 'comlink';
import type { ChosenStock, CutOutline, CutShape, NestLayout, NestProblem, Placement, ShapeWish } from '../core/nesting';
import type { Result } from '../core/units';
import type { NestWish, NestWorker } from './nest.worker';

export type { NestWish } from './nest.worker';

const MOST_WORKERS = 4;
let workers: readonly Remote<NestWorker>[] | null = null;

function getWorkers(): readonly Remote<NestWorker>[] {
  workers ??= Array.from({ length: Math.max(1, Math.min(MOST_WORKERS, navigator.hardwareConcurrency - 1)) }, () =>
    wrap<NestWorker>(new Worker(new URL('./nest.worker.ts', import.meta.url), { type: 'module' })),
  );
  return workers;
}

export const shapeInWorker = async (bytes: ArrayBuffer, wish: ShapeWish): Promise<CutShape | null> =>
  getWorkers()[0]!.shape(bytes, wish);

export const bitsInWorker = async (bytes: ArrayBuffer, wish: ShapeWish): Promise<readonly CutOutline[]> =>
  getWorkers()[0]!.bits(bytes, wish);

/**
 * Ends when all have ended. `onImprove` is told of every layout that some worker found better than its own last one.
 */
export async function nestInWorkers(
  wish: NestWish,
  onImprove: (layout: NestLayout) => void,
): Promise<readonly Result<NestLayout, NestProblem>[]> {
  return Promise.all(
    getWorkers().map((worker, at) =>
      worker.run(
        { ...wish, options: { ...wish.options, seed: (wish.options.seed + at * 0.137) % 1 } },
        proxy(onImprove),
      ),
    ),
  );
}

export const chooseInWorker = (...wish: Parameters<NestWorker['choose']>): Promise<Result<ChosenStock, NestProblem>> =>
  getWorkers()[0]!.choose(...wish) as Promise<Result<ChosenStock, NestProblem>>;
export const fillInWorker = (
  ...wish: Parameters<NestWorker['fill']>
): Promise<Result<readonly Placement[], NestProblem>> =>
  getWorkers()[0]!.fill(...wish) as Promise<Result<readonly Placement[], NestProblem>>;

export const stopNesting = (): void => workers?.forEach((worker) => void worker.stop());
