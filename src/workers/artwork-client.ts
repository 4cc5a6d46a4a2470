// Preparing drawings and writing their files, as screens see it.

import { proxy } from 'comlink';
import type { ArtworkPicture, LayerMaterials, MeasureProblem, PrepStep, ReadProblem } from '../core/artwork';
import type { Result } from '../core/units';
import type { PreparedFile } from '../views/views';
import type { ArtworkWorker, FileWish, WrittenFile } from './artwork.worker';
import { TaskWorker } from './task-worker';

export type { CutFormat, FileWish, WrittenFile } from './artwork.worker';

const artwork = new TaskWorker<ArtworkWorker>(() => new Worker(new URL('./artwork.worker.ts', import.meta.url), { type: 'module' }));

/** The steps a drawing needs before anything is chosen. */
export const proposeInWorker = (text: string): Promise<Result<readonly PrepStep[], ReadProblem>> => artwork.ask(async (remote) => await remote.propose(text));

export const prepareInWorker = (text: string, steps: readonly PrepStep[], materials: LayerMaterials, onPicture: (picture: ArtworkPicture) => void, signal: AbortSignal): Promise<Result<PreparedFile, ReadProblem | MeasureProblem>> =>
  artwork.ask(async (remote) => await remote.prepare(text, steps, materials, proxy(onPicture)), signal);

export const writeInWorker = (text: string, steps: readonly PrepStep[], wish: FileWish): Promise<Result<WrittenFile, ReadProblem | MeasureProblem>> => artwork.ask(async (remote) => await remote.write(text, steps, wish));
