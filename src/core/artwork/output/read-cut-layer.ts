// A layer of a drawing as it is cut at some width, read from the drawing and its steps.

import { getWornLayers } from '../measure-artwork';
import { prepareFile } from '../prepare-file';
import type { PrepStep } from '../prepare/steps';
import { makeCutLayer, type CutLayer } from './cut-sheet';

/**
 * Of the worn layers, counted from 0, the one at `layerIndex`, with the artwork `widthMm` wide; `savedWidthMm` is the
 * width that the steps were taken at.
 */
export type CutLayerWish = {
  readonly steps: readonly PrepStep[];
  readonly savedWidthMm: number;
  readonly widthMm: number;
  readonly layerIndex: number;
  readonly mirrored: boolean;
  readonly name?: string;
};

/** Null where the drawing can't be read any more, or has no such layer. */
export function readCutLayer(
  drawing: string,
  { steps, savedWidthMm, widthMm, layerIndex, mirrored, name = '' }: CutLayerWish,
): CutLayer | null {
  const prepared = prepareFile(drawing, steps.length > 0 ? steps : null, savedWidthMm);
  if (!prepared.ok) return null;
  const { resolved, facts } = prepared.value;
  const key = getWornLayers(facts.measurement)[layerIndex]?.key;
  const layer = resolved.layers.find((candidate) => candidate.key === key);
  if (!layer) return null;
  const k = widthMm / facts.measurement.widthMm;
  const cut = makeCutLayer(resolved, layer, { name, mirrored });
  return {
    ...cut,
    widthMm: cut.widthMm * k,
    heightMm: cut.heightMm * k,
    paths: cut.paths.map((path) => ({ ...path, points: path.points.map(({ x, y }) => ({ x: x * k, y: y * k })) })),
  };
}
