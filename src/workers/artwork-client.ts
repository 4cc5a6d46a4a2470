// Preparing drawings and writing their files, as screens see it.

import type { LayerMaterials, MeasureProblem, PrepStep, ReadProblem } from '../core/artwork';
import type { Result } from '../core/units';
import type { PreparedFile } from '../views/artwork';
import type { ArtworkWorker, FileWish, FirstLook, WrittenFile } from './artwork.worker';
import { TaskWorker } from './task-worker';

export type { CutFormat, FileWish, WrittenFile } from './artwork.worker';

const artwork = new TaskWorker<ArtworkWorker>(
  () => new Worker(new URL('./artwork.worker.ts', import.meta.url), { type: 'module' }),
);

/** Loads the worker, so that the first drawing does not wait for it. */
export const wakeWorker = (): void => void artwork.ask(async (remote) => await remote.wake());

export const openInWorker = (text: string): Promise<Result<FirstLook, ReadProblem>> =>
  artwork.ask(async (remote) => await remote.open(text));

export const prepareInWorker = (
  text: string,
  steps: readonly PrepStep[],
  materials: LayerMaterials,
  signal: AbortSignal,
): Promise<Result<PreparedFile, ReadProblem | MeasureProblem>> =>
  artwork.ask(async (remote) => await remote.prepare(text, steps, materials), signal);

export const writeInWorker = (
  text: string,
  steps: readonly PrepStep[],
  wish: FileWish,
): Promise<Result<WrittenFile, ReadProblem | MeasureProblem>> =>
  artwork.ask(async (remote) => await remote.write(text, steps, wish));
