// In a thread: a saved cut sheet with its drawings in, what cutting it books out.

import { readCutShape, type CutShape, type ShapeWish } from '../../core/nesting';
import { bookSavedLoad, type BookingProblem, type LoadBooking, type SavedLoad } from '../../core/orders';
import type { Result } from '../../core/units';
import { heavyJob } from './heavy-job';

export type BookTask = Pick<SavedLoad, 'sheet' | 'stock' | 'turnable' | 'figures'> & {
  readonly drawings: readonly { readonly key: string; readonly drawing: string; readonly wish: ShapeWish }[];
  readonly parts: readonly (readonly [number, { readonly orderId: number; readonly pieceNumber: number }])[];
  readonly leftovers: readonly (readonly [number, 'strip' | 'rectangles' | 'shape' | 'nothing'])[];
};

export function book({ drawings, parts, leftovers, ...load }: BookTask): Result<LoadBooking, BookingProblem> {
  const shapes = readShapes(drawings);
  return bookSavedLoad({ ...load, shapes, parts: new Map(parts), leftovers: new Map(leftovers) });
}

/** By `keyOfSource`; those that can't be read are left out. */
export const readShapes = (drawings: BookTask['drawings']): ReadonlyMap<string, CutShape> =>
  new Map(
    drawings.flatMap(({ key, drawing, wish }): [string, CutShape][] => {
      const shape = readCutShape(drawing, wish);
      return shape ? [[key, shape]] : [];
    }),
  );

export default heavyJob(book);
