// The artwork worker as screens see it: one worker. A newer measurement ends an older one; files are written after it.

import { wrap, type Remote } from 'comlink';
import type { LayerMaterials, MeasureProblem, PrepStep, ReadProblem } from '../core/artwork';
import type { LetterOptions, LetterProblem } from '../core/artwork/lettering/letter';
import type { TraceOptions, TraceProblem } from '../core/artwork/tracing/trace-image';
import type { Result } from '../core/units';
import type { PreparedFile } from '../views/views';
import type { ArtworkWorker, FileWish, SetText, WrittenFile } from './artwork.worker';

export type { CutFormat, FileWish, SetText, WrittenFile } from './artwork.worker';
type Running = { readonly worker: Worker; readonly remote: Remote<ArtworkWorker>; /** Tasks under way that a newer one may end, and those that have to be finished. */ passing: number; lasting: number; readonly fonts: Set<string> };
let running: Running | null = null;

/** `replace`: what the worker is still at is not wanted any more, so it is ended and a new one begun. */
function getWorker(replace: boolean): Running {
  if (running && running.passing > 0 && running.lasting === 0 && replace) {
    running.worker.terminate();
    running = null;
  }
  if (!running) {
    const worker = new Worker(new URL('./artwork.worker.ts', import.meta.url), { type: 'module' });
    running = { worker, remote: wrap<ArtworkWorker>(worker), passing: 0, lasting: 0, fonts: new Set() };
  }
  return running;
}

/** With a signal, the task replaces an older one that has one, and rejects with an AbortError when the signal fires first. */
async function ask<T>(task: (own: Running) => Promise<T>, signal?: AbortSignal): Promise<T> {
  const own = getWorker(signal !== undefined);
  const kind = signal ? 'passing' : 'lasting';
  own[kind]++;
  const aborted = new Promise<never>((_, reject) => signal?.addEventListener('abort', () => reject(new DOMException('Measuring was stopped', 'AbortError')), { once: true }));
  // Aborted or not, the worker is busy until the task itself is done.
  const done = task(own).finally(() => own[kind]--);
  return Promise.race([done, aborted]);
}

export const proposeInWorker = (text: string): Promise<Result<readonly PrepStep[], ReadProblem>> => ask(async ({ remote }) => await remote.propose(text));

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

export const traceInWorker = (picture: Blob, options: TraceOptions, signal: AbortSignal): Promise<Result<string, TraceProblem | { readonly kind: 'not-a-picture' }>> => ask(async ({ remote }) => await remote.trace(picture, options), signal);
