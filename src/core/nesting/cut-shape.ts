// A layer as it is cut, read from its drawing: contours in cutting order, and outlines to lay out.

import { readCutLayer, type CutLayerWish, type CutPath } from '../artwork';
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
export type ShapeWish = CutLayerWish & {
  /** Of its islands, from left to right as seen from the front, those that are wanted; left out for all of them. */
  readonly bits?: readonly number[] | undefined;
};

/** Null where the drawing can't be read any more, or has no such layer. */
export function readCutShape(
  drawing: string,
  { steps, savedWidthMm, widthMm, layerIndex, mirrored, bits }: ShapeWish,
): CutShape | null {
  const cut = readCutLayer(drawing, { steps, savedWidthMm, widthMm, layerIndex, mirrored });
  if (!cut) return null;
  const { paths } = cut;
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
