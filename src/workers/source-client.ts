// Drawings from words and pictures, as screens see it.

import type { LetterOptions, LetterProblem } from '../core/artwork/lettering/letter';
import type { TraceOptions } from '../core/artwork/tracing/trace-image';
import type { Polyline } from '../core/geometry';
import type { Result } from '../core/units';
import type { PictureProblem, SetText, SourceWorker } from './source.worker';
import { TaskWorker } from './task-worker';

export type { PictureProblem, SetText } from './source.worker';

const source = new TaskWorker<SourceWorker>(
  () => new Worker(new URL('./source.worker.ts', import.meta.url), { type: 'module' }),
);
const fontsSent = new WeakMap<Worker, Set<string>>();

/** Sets texts in a font, whose bytes are fetched and sent the first time. */
export const letterInWorker = (
  input: {
    readonly texts: readonly string[];
    readonly fontKey: string;
    readonly loadFont: () => Promise<Uint8Array>;
    readonly options: LetterOptions;
  },
  signal: AbortSignal,
): Promise<readonly Result<SetText, LetterProblem>[]> =>
  source.ask(async (remote, worker) => {
    return await remote.letter(
      input.texts,
      input.fontKey,
      await fontOnce(worker, input.fontKey, input.loadFont),
      input.options,
    );
  }, signal);

/** The font's bytes, the first time that a worker needs them. */
async function fontOnce(
  worker: Worker,
  fontKey: string,
  loadFont: () => Promise<Uint8Array>,
): Promise<Uint8Array | null> {
  const sent = fontsSent.get(worker) ?? new Set<string>();
  fontsSent.set(worker, sent);
  const bytes = sent.has(fontKey) ? null : await loadFont();
  sent.add(fontKey);
  return bytes;
}

/** Each text as closed outlines, mm from its own corner. */
export const outlineInWorker = ({
  texts,
  fontKey,
  loadFont,
  capHeightMm,
}: {
  readonly texts: readonly string[];
  readonly fontKey: string;
  readonly loadFont: () => Promise<Uint8Array>;
  readonly capHeightMm: number;
}): Promise<readonly (readonly Polyline[])[]> =>
  source.ask(
    async (remote, worker) =>
      await remote.outline(texts, fontKey, await fontOnce(worker, fontKey, loadFont), capHeightMm),
  );

export const traceInWorker = (
  picture: Blob,
  options: TraceOptions,
  signal: AbortSignal,
): Promise<Result<string, PictureProblem>> =>
  source.ask(async (remote) => await remote.trace(picture, options), signal);
