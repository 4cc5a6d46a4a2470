// Measures an uploaded file in a worker thread under a limit of time and memory, so that no drawing can stop the shop.

import { join } from 'node:path';
import { Worker } from 'node:worker_threads';
import { decodeText, FILE_LIMIT_BYTES, type MeasureProblem, type PrepStep, type ReadProblem } from '../core/artwork';
import type { Result } from '../core/units';
import type { MeasuredFile } from '../views/views';
import { describeArtworkProblem } from '../wording/problems';
import { programRoot } from './context';
import { ShopError } from './errors';

const TIME_LIMIT_MS = 20_000;
const MEMORY_LIMIT_MB = 1024;

/** The steps of an artwork, or a width in mm for a drawing that has none of its own yet. */
export type MeasureWish = { readonly steps: readonly PrepStep[] } | { readonly widthMm: number };

/** The measurement of an SVG file after its steps. @throws ShopError 'unreadable' in words, or 'busy' when it takes too long. */
export async function measureFile(bytes: Uint8Array, wish: MeasureWish): Promise<MeasuredFile> {
  if (bytes.length > FILE_LIMIT_BYTES) throw new ShopError('too-large', describeArtworkProblem({ kind: 'file-too-large', bytes: bytes.length, limitBytes: FILE_LIMIT_BYTES }));
  const result = await runInThread(decodeText(bytes), wish);
  if (!result.ok) throw new ShopError('unreadable', describeArtworkProblem(result.problem), 'file');
  return result.value;
}

function runInThread(text: string, wish: MeasureWish): Promise<Result<MeasuredFile, ReadProblem | MeasureProblem>> {
  return new Promise((resolve, reject) => {
    const worker = new Worker(join(programRoot(), 'dist', 'tools', 'measure-thread.mjs'), { resourceLimits: { maxOldGenerationSizeMb: MEMORY_LIMIT_MB } });
    const tooMuch = () => new ShopError('busy', 'This drawing takes too long or too much memory to measure. Simplify its paths in your drawing program, then try again.');
    const timer = setTimeout(() => {
      void worker.terminate();
      reject(tooMuch());
    }, TIME_LIMIT_MS);
    worker.once('message', (result: Result<MeasuredFile, ReadProblem | MeasureProblem>) => {
      clearTimeout(timer);
      void worker.terminate();
      resolve(result);
    });
    worker.once('error', (error: Error & { code?: string }) => {
      clearTimeout(timer);
      reject(error.code === 'ERR_WORKER_OUT_OF_MEMORY' ? tooMuch() : error);
    });
    worker.postMessage({ text, steps: null, widthMm: 0, ...wish });
  });
}
