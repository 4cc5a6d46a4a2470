// Rings of which none crosses another: what they fill follows from which lies in which, and nothing has to be united.
// Most drawings that come from elsewhere are made of such rings, as is all that was united once.

import { Clipper, type Path64, type Paths64 } from 'clipper2-ts';
import { boundPoints, boxHolds, indexBoxes } from './box';
import { meetNowhere } from './meet-nowhere';
import { RingInside, type Where } from './ring-inside';

export type FillRuleName = 'nonzero' | 'evenodd';

/**
 * The edges of what `rings` fill under the rule, outer ones of positive area and holes of negative; null where rings
 * meet, or where it would take long to tell. No point is repeated in a row.
 */
export const fillApart = (rings: Paths64, rule: FillRuleName): Paths64 | null =>
  meetNowhere(rings) ? fillNested(rings, rule) : null;

/** As `fillApart`, of rings that are known not to cross. */
export function fillNested(rings: Paths64, rule: FillRuleName): Paths64 | null {
  const around = findAround(rings);
  if (!around) return null;
  const turns = rings.map((ring) => Math.sign(Clipper.area(ring)));
  return rings.flatMap((ring, id) =>
    keepEdge(
      ring,
      around[id]!.reduce((sum, other) => sum + turns[other]!, 0),
      rule,
    ),
  );
}

/**
 * A ring the way the edge of what is filled runs, where others go round it so many times; nothing where both its sides
 * are filled, or neither.
 */
export function keepEdge(ring: Path64, around: number, rule: FillRuleName): Paths64 {
  const isFilled = (winding: number) => (rule === 'nonzero' ? winding !== 0 : winding % 2 !== 0);
  const turn = Math.sign(Clipper.area(ring));
  const isHole = isFilled(around);
  if (isHole === isFilled(around + turn)) return [];
  return [turn === (isHole ? -1 : 1) ? ring : [...ring].reverse()];
}

/**
 * Of each of rings that may touch but don't cross: the others that it lies in. Null where one has all its points on
 * another's edge.
 */
export function findAround(rings: Paths64): readonly (readonly number[])[] | null {
  if (rings.length < 2) return rings.map(() => []);
  const boxes = rings.map((ring) => boundPoints([ring])!);
  const index = indexBoxes(boxes);
  const insides = rings.map((ring) => new RingInside(ring));
  const all: number[][] = [];
  for (const [id, ring] of rings.entries()) {
    const { x, y } = ring[0]!;
    const around: number[] = [];
    for (const other of index.search(x, y, x, y, (one) => one !== id && boxHolds(boxes[one]!, boxes[id]!))) {
      const lies = tellWhere(ring, insides[other]!);
      if (lies === 'on') return null;
      if (lies === 'inside') around.push(other);
    }
    all.push(around);
  }
  return all;
}

/** By its first point that does not lie on the other's edge. */
function tellWhere(ring: Path64, other: RingInside): Where {
  for (const point of ring) {
    const lies = other.tell(point);
    if (lies !== 'on') return lies;
  }
  return 'on';
}
