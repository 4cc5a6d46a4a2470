// The artwork worker as screens see it: one worker, one task at a time; a newer one ends the older.

import { wrap, type Remote } from 'comlink';
import type { LayerMaterials, MeasureProblem, PrepStep, ReadProblem } from '../core/artwork';
import type { LetterOptions, LetterProblem } from '../core/artwork/lettering/letter';
import type { Result } from '../core/units';
import type { PreparedFile } from '../views/views';
import type { ArtworkWorker, FileWish, SetText, WrittenFile } from './artwork.worker';

export type { CutFormat, FileWish, SetText, WrittenFile } from './artwork.worker';
type Running = { readonly worker: Worker; readonly remote: Remote<ArtworkWorker>; busy: boolean; readonly fonts: Set<string> };
let running: Running | null = null;

function getWorker(): Running {
  // A worker that is still at work on something unwanted is ended: nobody waits for a drawing they have replaced.
  if (running?.busy) {
    running.worker.terminate();
    running = null;
  }
  if (!running) {
    const worker = new Worker(new URL('./artwork.worker.ts', import.meta.url), { type: 'module' });
    running = { worker, remote: wrap<ArtworkWorker>(worker), busy: false, fonts: new Set() };
  }
  return running;
}

/** Rejects with an AbortError when the signal fires first. */
async function ask<T>(task: (own: Running) => Promise<T>, signal?: AbortSignal): Promise<T> {
  const own = getWorker();
  own.busy = true;
  const aborted = new Promise<never>((_, reject) => signal?.addEventListener('abort', () => reject(new DOMException('Measuring was stopped', 'AbortError')), { once: true }));
  const result = await Promise.race([task(own), aborted]);
  own.busy = false;
  return result;
}

export const proposeInWorker = (text: string, signal?: AbortSignal): Promise<Result<readonly PrepStep[], ReadProblem>> => ask(async ({ remote }) => await remote.propose(text), signal);

export const prepareInWorker = (text: string, steps: readonly PrepStep[], materials: LayerMaterials, signal: AbortSignal): Promise<Result<PreparedFile, ReadProblem | MeasureProblem>> =>
  ask(async ({ remote }) => await remote.prepare(text, steps, materials), signal);

export const writeInWorker = (text: string, steps: readonly PrepStep[], wish: FileWish): Promise<Result<WrittenFile, ReadProblem | MeasureProblem>> => ask(async ({ remote }) => await remote.write(text, steps, wish));

/** Sets text in a font, whose bytes are fetched and sent the first time. */
export const letterInWorker = (input: { readonly text: string; readonly fontKey: string; readonly loadFont: () => Promise<Uint8Array>; readonly options: LetterOptions }, signal: AbortSignal): Promise<Result<SetText, LetterProblem>> =>
  ask(async ({ remote, fonts }) => {
    const bytes = fonts.has(input.fontKey) ? null : await input.loadFont();
    fonts.add(input.fontKey);
    return await remote.letter(input.text, input.fontKey, bytes, input.options);
  }, signal);
