// Outlines of waiting parts from their drawings, and laying them out, away from the page.

import { expose } from 'comlink';
import { decodeText } from '../core/artwork';
import {
  chooseStock,
  fillSheet,
  fitCount,
  nest,
  readCutShape,
  sortIslands,
  type ChosenStock,
  type CutOutline,
  type CutShape,
  type NestLayout,
  type NestOptions,
  type NestPiece,
  type NestProblem,
  type NestStock,
  type Placement,
  type ShapeWish,
} from '../core/nesting';
import type { Result } from '../core/units';

export type NestWish = {
  readonly pieces: readonly NestPiece[];
  readonly stock: readonly NestStock[];
  readonly options: Omit<NestOptions, 'now' | 'pause'>;
  /** To fill the first stock with copies of the first piece. */
  readonly count: boolean;
};

let stopper: AbortController | null = null;
/**
 * A stop is heard so often. Browsers make each such pause some milliseconds long, about as long as a round takes: not
 * one a round.
 */
const HEARS_EVERY_MS = 80;
let heardMs = 0;
const pause = async (): Promise<void> => {
  if (performance.now() - heardMs < HEARS_EVERY_MS) return;
  await new Promise<void>((resolve) => setTimeout(resolve, 0));
  heardMs = performance.now();
};

const nestWorker = {
  /** Null where the drawing can't be read any more. */
  shape(bytes: ArrayBuffer, wish: ShapeWish): CutShape | null {
    return readCutShape(decodeText(new Uint8Array(bytes)), wish);
  },

  /** From left to right as seen from the front; none where the drawing can't be read any more. */
  bits(bytes: ArrayBuffer, wish: ShapeWish): readonly CutOutline[] {
    return sortIslands(nestWorker.shape(bytes, wish)?.islands ?? [], wish.mirrored);
  },

  /** Tells of each better layout until it is stopped, or nothing is left to win. */
  async run(
    { pieces, stock, options, count }: NestWish,
    onImprove: (layout: NestLayout) => void,
  ): Promise<Result<NestLayout, NestProblem>> {
    stopper?.abort();
    stopper = new AbortController();
    const { signal } = stopper;
    const full = { ...options, now: () => performance.now(), pause };
    if (!count) return nest(pieces, stock, full, onImprove, signal);
    const found = await fitCount(pieces[0]!, stock[0]!, full, (_, layout) => onImprove(layout), signal);
    return found.ok ? { ok: true, value: found.value.layout } : found;
  },

  /** The stock that takes all of it with least waste. */
  choose(
    pieces: readonly NestPiece[],
    stock: readonly NestStock[],
    options: NestWish['options'],
  ): Promise<Result<ChosenStock, NestProblem>> {
    stopper?.abort();
    stopper = new AbortController();
    return chooseStock(pieces, stock, { ...options, pause }, stopper.signal);
  },

  /** What of `more` fits into what is left; on one sheet alone where `only` names it. */
  fill(
    pieces: readonly NestPiece[],
    layout: NestLayout,
    more: readonly NestPiece[],
    stock: readonly NestStock[],
    options: NestWish['options'],
    only?: number,
  ): Promise<Result<readonly Placement[], NestProblem>> {
    return fillSheet(pieces, layout, more, stock, options, only);
  },

  stop(): void {
    stopper?.abort();
  },
};

export type NestWorker = typeof nestWorker;
expose(nestWorker);
