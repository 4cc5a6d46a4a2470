// Drawings from words and pictures, as screens see it.

import type { LetterOptions, LetterProblem } from '../core/artwork/lettering/letter';
import type { TraceOptions } from '../core/artwork/tracing/trace-image';
import type { Result } from '../core/units';
import type { PictureProblem, SetText, SourceWorker } from './source.worker';
import { TaskWorker } from './task-worker';

export type { PictureProblem, SetText } from './source.worker';

const source = new TaskWorker<SourceWorker>(() => new Worker(new URL('./source.worker.ts', import.meta.url), { type: 'module' }));
const fontsSent = new WeakMap<Worker, Set<string>>();

/** Sets texts in a font, whose bytes are fetched and sent the first time. */
export const letterInWorker = (input: { readonly texts: readonly string[]; readonly fontKey: string; readonly loadFont: () => Promise<Uint8Array>; readonly options: LetterOptions }, signal: AbortSignal): Promise<readonly Result<SetText, LetterProblem>[]> =>
  source.ask(async (remote, worker) => {
    const sent = fontsSent.get(worker) ?? new Set<string>();
    fontsSent.set(worker, sent);
    const bytes = sent.has(input.fontKey) ? null : await input.loadFont();
    sent.add(input.fontKey);
    return await remote.letter(input.texts, input.fontKey, bytes, input.options);
  }, signal);

export const traceInWorker = (picture: Blob, options: TraceOptions, signal: AbortSignal): Promise<Result<string, PictureProblem>> => source.ask(async (remote) => await remote.trace(picture, options), signal);
