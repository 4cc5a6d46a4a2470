// A drawing of the shop's own as the figure of test cuts: as large as the figure's square allows, with room around it.

import type { CutPath } from '../artwork';
import { boundPoints } from '../geometry';
import { fail, succeed, type Result } from '../units';

export type OwnFigureProblem =
  | { readonly kind: 'figure-empty' }
  | { readonly kind: 'figure-too-fine'; readonly points: number; readonly most: number };

/** A share of the side, kept free to each side of the drawing. */
const ROOM = 0.06;
/** A test cut is small and quick; a drawing of more corners than this is neither. */
const MOST_POINTS = 6000;
/** A twenty-thousandth of 50 mm is finer than any knife. */
const DECIMALS = 5;

/**
 * The lines of a drawing within a square of side 1, y downwards, as it is and in its own order: the figure that
 * `makeTestFigure` places. Problems: no line in it, or too many corners.
 */
export function fitOwnFigure(paths: readonly CutPath[]): Result<readonly CutPath[], OwnFigureProblem> {
  const points = paths.reduce((sum, path) => sum + path.points.length, 0);
  if (points > MOST_POINTS) return fail({ kind: 'figure-too-fine', points, most: MOST_POINTS });
  const box = boundPoints(paths.map((path) => path.points));
  const side = box ? Math.max(box.width, box.height) : 0;
  if (!box || side <= 0) return fail({ kind: 'figure-empty' });
  const scale = (1 - 2 * ROOM) / side;
  const centre = { x: box.x + box.width / 2, y: box.y + box.height / 2 };
  const place = (value: number, middle: number): number => Number((0.5 + (value - middle) * scale).toFixed(DECIMALS));
  return succeed(
    // The square around it is cut last: all that lies in it comes before.
    paths.map((path) => ({
      ...path,
      inner: true,
      points: path.points.map(({ x, y }) => ({ x: place(x, centre.x), y: place(y, centre.y) })),
    })),
  );
}
