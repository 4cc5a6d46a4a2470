// Outlines of waiting parts from their drawings, and laying them out, away from the page.

import { expose } from 'comlink';
import { decodeText, getWornLayers, makeCutLayer, prepareFile, type CutPath, type PrepStep } from '../core/artwork';
import type { Polyline } from '../core/geometry';
import { chooseStock, fillRest, fitCount, listIslands, nest, outlineTogether, type ChosenStock, type NestLayout, type NestOptions, type NestPiece, type NestProblem, type NestStock, type Placement } from '../core/nesting';
import type { Result } from '../core/units';

/** What is cut in one: every contour in cutting order, and one outline round all of it; mm from the layer's own corner. */
export type CutOutline = { readonly paths: readonly CutPath[]; readonly outline: Polyline };
/** A layer as it is cut, and what of it would fall apart. */
export type CutShape = CutOutline & { readonly islands: readonly CutOutline[] };
export type ShapeWish = { readonly bytes: ArrayBuffer; readonly steps: readonly PrepStep[]; readonly keptWidthMm: number; readonly widthMm: number; readonly layerIndex: number; readonly mirrored: boolean };
export type NestWish = { readonly pieces: readonly NestPiece[]; readonly stock: readonly NestStock[]; readonly options: Omit<NestOptions, 'now' | 'pause'>; /** To fill the first stock with copies of the first piece. */ readonly count: boolean };

let stopper: AbortController | null = null;
const pause = () => new Promise<void>((resolve) => setTimeout(resolve, 0));

const nestWorker = {
  /** Null where the drawing can't be read any more. */
  shape({ bytes, steps, keptWidthMm, widthMm, layerIndex, mirrored }: ShapeWish): CutShape | null {
    const prepared = prepareFile(decodeText(new Uint8Array(bytes)), steps.length > 0 ? steps : null, keptWidthMm);
    if (!prepared.ok) return null;
    const { resolved, facts } = prepared.value;
    const key = getWornLayers(facts.measurement)[layerIndex]?.key;
    const layer = resolved.layers.find((candidate) => candidate.key === key);
    if (!layer) return null;
    const k = widthMm / facts.measurement.widthMm;
    const cut = makeCutLayer(resolved, layer, { name: '', mirrored });
    const scale = (line: Polyline): Polyline => line.map((point) => ({ x: point.x * k, y: point.y * k }));
    const paths = cut.paths.map((path) => ({ ...path, points: scale(path.points) }));
    const rings = paths.map((path) => path.points);
    return { paths, outline: outlineTogether(rings), islands: listIslands(rings).map(({ outer, members }) => ({ outline: outer, paths: members.map((at) => paths[at]!) })) };
  },

  /** Tells of each better layout until it is stopped, or nothing is left to win. */
  async run({ pieces, stock, options, count }: NestWish, onImprove: (layout: NestLayout) => void): Promise<Result<NestLayout, NestProblem>> {
    stopper?.abort();
    stopper = new AbortController();
    const { signal } = stopper;
    const full = { ...options, now: () => performance.now(), pause };
    if (!count) return nest(pieces, stock, full, onImprove, signal);
    const found = await fitCount(pieces[0]!, stock[0]!, full, (_, layout) => onImprove(layout), signal);
    return found.ok ? { ok: true, value: found.value.layout } : found;
  },

  /** The stock that takes all of it with least waste. */
  choose(pieces: readonly NestPiece[], stock: readonly NestStock[], options: NestWish['options']): Promise<Result<ChosenStock, NestProblem>> {
    stopper?.abort();
    stopper = new AbortController();
    return chooseStock(pieces, stock, { ...options, pause }, stopper.signal);
  },

  /** What of `more` fits into what is left; on one sheet alone where `only` names it. */
  fill(pieces: readonly NestPiece[], layout: NestLayout, more: readonly NestPiece[], stock: readonly NestStock[], options: NestWish['options'], only?: number): Promise<Result<readonly Placement[], NestProblem>> {
    return fillRest(pieces, layout, more, stock, options, only);
  },

  stop(): void {
    stopper?.abort();
  },
};

export type NestWorker = typeof nestWorker;
expose(nestWorker);
