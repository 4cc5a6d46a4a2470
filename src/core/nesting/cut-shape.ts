// A layer as it is cut, read from its drawing: contours in cutting order, and outlines to lay out.

import { getWornLayers, makeCutLayer, prepareFile, type CutPath, type PrepStep } from '../artwork';
import { boundPoints, type Polyline } from '../geometry';
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
  /** Of its islands, from left to right as seen from the front, those that are wanted; left out for all of them. */
  readonly bits?: readonly number[] | undefined;
};

/** Null where the drawing can't be read any more, or has no such layer. */
export function readCutShape(
  drawing: string,
  { steps, savedWidthMm, widthMm, layerIndex, mirrored, bits }: ShapeWish,
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
  const islands = listIslands(paths.map((path) => path.points)).map(({ outer, members }) => ({
    outline: outer,
    holes: [],
    paths: members.map((at) => paths[at]!),
  }));
  return bits ? narrowToBits(islands, bits, mirrored) : { ...outlineWhole(paths), islands };
}

function outlineWhole(paths: readonly CutPath[]): CutOutline {
  const { outer, holes } = closeTogether(paths.map((path) => path.points));
  return { paths, outline: outer, holes };
}

/** Null where it has none of them: the drawing is another one by now. */
function narrowToBits(islands: readonly CutOutline[], bits: readonly number[], mirrored: boolean): CutShape | null {
  const inOrder = sortIslands(islands, mirrored);
  const wanted = bits.flatMap((bit) => inOrder[bit] ?? []);
  if (wanted.length === 0) return null;
  return { ...outlineWhole(wanted.flatMap(({ paths }) => paths)), islands: wanted };
}

/** From left to right as seen from the front, the upper one first where two begin together. */
export function sortIslands(islands: readonly CutOutline[], mirrored: boolean): readonly CutOutline[] {
  const front = mirrored ? -1 : 1;
  const placed = islands.map((island) => {
    const { x, y, width } = boundPoints([island.outline])!;
    return { island, left: mirrored ? x + width : x, y };
  });
  return placed.sort((a, b) => front * (a.left - b.left) || a.y - b.y).map(({ island }) => island);
}
