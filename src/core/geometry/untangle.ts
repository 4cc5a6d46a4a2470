// What rings fill of which some cross: of lace with a few holes that overlap only those go to the clipping library.

import { Clipper, FillRule, type Path64, type Paths64 } from 'clipper2-ts';
import type Flatbush from 'flatbush';
import { fillNested, keepEdge, type FillRuleName } from './apart-rings';
import { boundPoints, indexBoxes } from './box';
import type { Point } from './matrix';
import { findTangles, meetNowhere } from './meet-nowhere';
import { computeLength } from './polyline';
import { RingInside } from './ring-inside';

/** With more of its edges in one tangle, a drawing is united as a whole. */
const MOST_TANGLED = 0.5;
const FILL_RULES = { nonzero: FillRule.NonZero, evenodd: FillRule.EvenOdd } as const;

/**
 * The edges of what `rings` fill under the rule, outer ones of positive area and holes of negative. `apart`: those known
 * to meet no other.
 */
export function fillRings(rings: Paths64, rule: FillRuleName, apart: ReadonlySet<Path64> = new Set()): Paths64 {
  return fillByTangles(rings, rule, apart) ?? fillAmid(rings, 0, rule);
}

/** Null where most of them cross, or where it would take long to tell. */
function fillByTangles(rings: Paths64, rule: FillRuleName, apart: ReadonlySet<Path64>): Paths64 | null {
  const found = findTangles(rings.filter((ring) => !apart.has(ring)));
  if (!found) return null;
  const tangles = [...found, ...[...apart].filter((ring) => !meetNowhere([ring])).map((ring) => [ring])];
  if (tangles.length === 0) return fillNested(rings, rule);
  const most = countPoints(rings) * MOST_TANGLED;
  if (tangles.some((tangle) => countPoints(tangle) > most)) return null;
  const tangled = new Set(tangles.flat());
  const windings = new Windings(rings, tangled);
  return [
    ...rings.flatMap((ring) => (tangled.has(ring) ? [] : keepEdge(ring, windings.around([ring]), rule))),
    ...tangles.flatMap((tangle) => fillAmid(tangle, windings.around(tangle), rule)),
  ];
}

const countPoints = (rings: readonly Path64[]): number => rings.reduce((sum, ring) => sum + ring.length, 0);

/** How often rings go round what meets none of them. */
class Windings {
  private readonly index: Flatbush;
  private readonly insides = new Map<Path64, RingInside>();

  /** `tangled`: those of the rings that may go round a point more than once. */
  constructor(
    private readonly rings: Paths64,
    private readonly tangled: ReadonlySet<Path64>,
  ) {
    this.index = indexBoxes(rings.map((ring) => boundPoints([ring])!));
  }

  /** Of all other rings round some that hang together; against the clock counts as less than nought. */
  around(some: readonly Path64[]): number {
    const at = some[0]![0]!;
    return this.index
      .search(at.x, at.y, at.x, at.y)
      .map((id) => this.rings[id]!)
      .reduce((sum, ring) => (some.includes(ring) ? sum : sum + this.tell(ring, at)), 0);
  }

  private tell(ring: Path64, at: Point): number {
    if (this.tangled.has(ring)) return countTurns(ring, at);
    let inside = this.insides.get(ring);
    if (!inside) this.insides.set(ring, (inside = new RingInside(ring)));
    return inside.tell(at) === 'inside' ? Math.sign(Clipper.area(ring)) : 0;
  }
}

/** How often a ring goes round a point that it does not pass through, the way of a positive area. */
function countTurns(ring: Path64, { x, y }: Point): number {
  let turns = 0,
    from = ring[ring.length - 1]!;
  for (const to of ring) {
    if (from.y <= y !== to.y <= y) {
      const side = (to.x - from.x) * (y - from.y) - (x - from.x) * (to.y - from.y);
      if (from.y <= y && side > 0) turns++;
      if (to.y <= y && side < 0) turns--;
    }
    from = to;
  }
  return turns;
}

/** The edges of what rings fill that cross, where others go round them so many times. */
function fillAmid(tangle: readonly Path64[], around: number, rule: FillRuleName): Paths64 {
  // Lines that run back on themselves paint nothing, and the library has been seen to lose area over them.
  const rings = tangle.map((ring) => Clipper.trimCollinear(ring)).filter((ring) => ring.length >= 3);
  if (rings.length === 0) return [];
  const frame = frameOf(rings);
  const frames = Array<Path64>(Math.abs(around)).fill(around < 0 ? [...frame].reverse() : frame);
  const { x: left } = frame[0]!;
  return Clipper.union([...rings, ...frames], FILL_RULES[rule]).filter(
    (ring) => !isSliver(ring) && ring.every(({ x }) => x !== left),
  );
}

/** Narrower than one step of the grid, as is left where two lines touch: it came from rounding. */
const isSliver = (ring: Path64): boolean => 2 * Math.abs(Clipper.area(ring)) < computeLength(ring, true);

/** A rectangle round rings, of positive area. */
function frameOf(rings: Paths64): Path64 {
  const { x, y, width, height } = boundPoints(rings)!;
  const [left, top, right, bottom] = [x - 1, y - 1, x + width + 1, y + height + 1];
  return [
    { x: left, y: top },
    { x: right, y: top },
    { x: right, y: bottom },
    { x: left, y: bottom },
  ];
}
