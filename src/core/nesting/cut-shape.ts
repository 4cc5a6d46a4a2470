// A layer as it is cut, read from its drawing: contours in cutting order, and outlines to lay out.

import { getWornLayers, makeCutLayer, prepareFile, type CutPath, type PrepStep } from '../artwork';
import type { Polyline } from '../geometry';
import { closeTogether, listIslands } from './prepare-pieces';

/**
 * What is cut in one: every contour in cutting order, and one outline round all of it; mm from the layer's own corner.
 */
export type CutOutline = {
  readonly paths: readonly CutPath[];
  readonly outline: Polyline;
  /** Large enough for others to lie in, where that is wanted. */
  readonly holes: readonly Polyline[];
};
/** A layer as it is cut, and what of it would fall apart. */
export type CutShape = CutOutline & { readonly islands: readonly CutOutline[] };
/**
 * Of the worn layers, counted from 0, the one at `layerIndex`, with the artwork `widthMm` wide; `savedWidthMm` is the
 * width that the steps were taken at.
 */
export type ShapeWish = {
  readonly steps: readonly PrepStep[];
  readonly savedWidthMm: number;
  readonly widthMm: number;
  readonly layerIndex: number;
  readonly mirrored: boolean;
};

/** Null where the drawing can't be read any more, or has no such layer. */
export function readCutShape(
  drawing: string,
  { steps, savedWidthMm, widthMm, layerIndex, mirrored }: ShapeWish,
): CutShape | null {
  const prepared = prepareFile(drawing, steps.length > 0 ? steps : null, savedWidthMm);
  if (!prepared.ok) return null;
  const { resolved, facts } = prepared.value;
  const key = getWornLayers(facts.measurement)[layerIndex]?.key;
  const layer = resolved.layers.find((candidate) => candidate.key === key);
  if (!layer) return null;
  const k = widthMm / facts.measurement.widthMm;
  const cut = makeCutLayer(resolved, layer, { name: '', mirrored });
  const paths = cut.paths.map((path) => ({
    ...path,
    points: path.points.map((point) => ({ x: point.x * k, y: point.y * k })),
  }));
  const rings = paths.map((path) => path.points);
  const { outer: whole, holes } = closeTogether(rings);
  return {
    paths,
    outline: whole,
    holes,
    islands: listIslands(rings).map(({ outer, members }) => ({
      outline: outer,
      holes: [],
      paths: members.map((at) => paths[at]!),
    })),
  };
}
