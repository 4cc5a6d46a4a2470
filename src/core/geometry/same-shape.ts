// Whether one shape is another one, shifted: fields of equal dots, and the letters of a typeface.

import { boundPoints, type Box } from './box';
import type { Polyline } from './polyline';

/** Its outer ring and its holes. */
export type Shape = readonly Polyline[];

/** Points of copies lie as near as this to where the shift takes them, mm: files round differently here and there. */
const SAME_PLACE_MM = 0.002;
/** Sizes are told apart by so many steps a mm, before points are compared. */
const STEPS_PER_MM = 20;

export const boundShape = (shape: Shape): Box | null => boundPoints(shape.slice(0, 1));

/** Shapes that are told apart by it are no copies of one another; but for rounding, copies have the same. */
export const tellLook = (shape: Shape, { width, height }: Box): string =>
  `${shape.map((ring) => ring.length).join()} ${Math.round(width * STEPS_PER_MM)} ${Math.round(height * STEPS_PER_MM)}`;

/** Whether each point of `shape`, whose box is `box`, lies where its shift takes the same point of `other`. */
export function isShifted(shape: Shape, box: Box, other: Shape, otherBox: Box): boolean {
  const dx = box.x - otherBox.x,
    dy = box.y - otherBox.y;
  return shape.every((ring, index) =>
    ring.every((point, at) => {
      const mate = other[index]![at]!;
      return Math.abs(point.x - mate.x - dx) < SAME_PLACE_MM && Math.abs(point.y - mate.y - dy) < SAME_PLACE_MM;
    }),
  );
}
