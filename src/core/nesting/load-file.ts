// A sheet as one layer for the cutter: the pieces where they lie in the order they are cut, then what helps to weed and
// to part them.

import type { CutLayer, CutPath } from '../artwork';
import type { Point, Polyline } from '../geometry';
import { orderCutting } from './cut-order';
import type { DrawnMarks, Marks } from './marks';
import type { Placement } from './nesting';

/** `paths` in cutting order and `outline` in the piece's own coordinates, and so its tag's letters. */
export type LoadPart = {
  readonly placement: Placement;
  readonly paths: readonly CutPath[];
  readonly outline: Polyline;
  readonly tag: readonly Polyline[];
};
export type LoadHead = {
  readonly name: string;
  readonly mirrored: boolean;
  readonly widthMm: number;
  readonly lengthMm: number;
};

/** Points of a piece where it lies: rotated about its own origin, then moved. */
export function placePoints(
  points: Polyline,
  { xMm, yMm, rotationDeg }: Pick<Placement, 'xMm' | 'yMm' | 'rotationDeg'>,
): Polyline {
  const angle = (rotationDeg * Math.PI) / 180,
    cos = Math.cos(angle),
    sin = Math.sin(angle);
  return points.map(({ x, y }): Point => ({ x: x * cos - y * sin + xMm, y: x * sin + y * cos + yMm }));
}

/**
 * Each piece is finished before the next; then tags and corners, weed lines, and last of all the line that cuts it off.
 */
export function makeLoadLayer(
  parts: readonly LoadPart[],
  marks: Pick<Marks, 'tool'>,
  drawn: DrawnMarks,
  head: LoadHead,
): CutLayer {
  const order = orderCutting(parts.map((part) => placePoints(part.outline, part.placement)));
  const toPath = (points: Polyline, open: boolean): CutPath => ({ points, inner: false, ...(open ? { open } : {}) });
  const pieces = order.flatMap((at) =>
    parts[at]!.paths.map((path) => ({ ...path, points: placePoints(path.points, parts[at]!.placement) })),
  );
  const words = [
    ...order.flatMap((at) => parts[at]!.tag.map((ring) => toPath(placePoints(ring, parts[at]!.placement), false))),
    ...drawn.corners.map((line) => toPath(line, true)),
  ];
  const helps = [...drawn.weed.map((ring) => toPath(ring, false)), ...(drawn.trim ? [toPath(drawn.trim, true)] : [])];
  return {
    name: head.name,
    mirrored: head.mirrored,
    widthMm: head.widthMm,
    heightMm: head.lengthMm,
    note: `${head.name}, ${head.mirrored ? 'mirrored' : 'not mirrored'}`,
    paths: [...pieces, ...(marks.tool === 'knife' ? words : []), ...helps],
    ...(marks.tool === 'pen' && words.length > 0 ? { pen: words } : {}),
  };
}
