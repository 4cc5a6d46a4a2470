// Measuring from a screen: one worker, one measurement at a time; a newer one ends the older.

import { wrap, type Remote } from 'comlink';
import type { MeasureProblem, ReadProblem } from '../core/artwork';
import type { Result } from '../core/units';
import type { MeasuredFile } from '../views/views';
import type { ArtworkWorker } from './artwork.worker';

let running: { worker: Worker; remote: Remote<ArtworkWorker>; busy: boolean } | null = null;

function getWorker(): NonNullable<typeof running> {
  // A worker that is still at work on something unwanted is ended: nobody waits for a drawing they have replaced.
  if (running?.busy) {
    running.worker.terminate();
    running = null;
  }
  if (!running) {
    const worker = new Worker(new URL('./artwork.worker.ts', import.meta.url), { type: 'module' });
    running = { worker, remote: wrap<ArtworkWorker>(worker), busy: false };
  }
  return running;
}

/** The measurement of a drawing's text at a width. Rejects with an AbortError when the signal fires first. */
export async function measureInWorker(text: string, widthMm: number, signal: AbortSignal): Promise<Result<MeasuredFile, ReadProblem | MeasureProblem>> {
  const own = getWorker();
  own.busy = true;
  const aborted = new Promise<never>((_, reject) => signal.addEventListener('abort', () => reject(new DOMException('Measuring was stopped', 'AbortError')), { once: true }));
  const result = await Promise.race([own.remote.measure(text, widthMm), aborted]);
  own.busy = false;
  return result;
}
