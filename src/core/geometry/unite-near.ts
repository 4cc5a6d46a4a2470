// The union of a few regions that may meet, each of them sound by itself: letters of a word, shapes of a drawing. Only
// where edges of two of them meet does the clipping library have anything to do.

import { Clipper, FillRule, type Path64, type Paths64 } from 'clipper2-ts';
import { fillApart, fillNested } from './apart-rings';
import { boundPoints, uniteBoxes, type Box } from './box';
import type { Point } from './matrix';
import { segmentsMeet } from './meet-nowhere';

/** Looks taken for each edge of all regions before they are left to the library: what is entangled takes it no longer. */
const LOOKS_PER_EDGE = 60;
/** So many edges of what is entangled go to the library at once. */
const EDGES_AT_ONCE = 2000;

type Bounded = { readonly rings: Paths64; readonly box: Box };
type Edge = { readonly from: Point; readonly to: Point };

/** Outer rings have a positive area, holes a negative one; the rings of each region cross nowhere. */
export function uniteNear(regions: readonly Paths64[]): Paths64 {
  if (regions.length === 1) return regions[0]!;
  const groups = groupByMeeting(regions.map(bound));
  if (!groups) return uniteEntangled(regions);
  const united = groups.map(uniteMeeting);
  // One may still lie within another, in its material or in a hole of it.
  return united.length === 1 ? united[0]! : (fillNested(united.flat(), 'nonzero') ?? uniteEntangled(united));
}

const uniteEntangled = (regions: readonly Paths64[]): Paths64 =>
  fillApart(regions.flat(), 'nonzero') ?? uniteByHalves(regions.map(bound));

/**
 * Half of them on one side, half on the other, and then both: the library looks at all that lies side by side at every
 * height, and most holes of either half are out of the other's reach. About n·log n for a field of lines that cross.
 */
function uniteByHalves(regions: readonly Bounded[]): Paths64 {
  if (regions.length === 1) return regions[0]!.rings;
  if (countEdges(regions) <= EDGES_AT_ONCE) return uniteAlongside(regions.flatMap(({ rings }) => rings));
  const { width, height } = uniteBoxes(regions.map(({ box }) => box))!;
  const middle = ({ box }: Bounded) => (width > height ? box.x + box.width / 2 : box.y + box.height / 2);
  const inOrder = regions.toSorted((a, b) => middle(a) - middle(b));
  const half = inOrder.length >> 1;
  const parts = [inOrder.slice(0, half), inOrder.slice(half)].map(uniteByHalves);
  // Of slivers, rounded, nothing may be left.
  return uniteMeeting(parts.filter((rings) => rings.length > 0).map(bound));
}

const bound = (rings: Paths64): Bounded => ({ rings, box: boundPoints(rings)! });

const countEdges = (regions: readonly Bounded[]): number =>
  regions.reduce((sum, { rings }) => rings.reduce((all, ring) => all + ring.length, sum), 0);

/** What may still be looked at. */
type Budget = { looks: number };

/** Regions whose edges meet, directly or through others, are together; null where that would take long to tell. */
function groupByMeeting(regions: readonly Bounded[]): readonly (readonly Bounded[])[] | null {
  const budget: Budget = { looks: countEdges(regions) * LOOKS_PER_EDGE };
  let groups: (readonly Bounded[])[] = [];
  for (const region of regions) {
    const [met, apart] = [[] as (readonly Bounded[])[], [] as (readonly Bounded[])[]];
    for (const group of groups) (group.some((other) => edgesMeet(region, other, budget)) ? met : apart).push(group);
    if (budget.looks < 0) return null;
    groups = [...apart, [...met.flat(), region]];
  }
  return groups;
}

function uniteMeeting(members: readonly Bounded[]): Paths64 {
  if (members.length === 1) return members[0]!.rings;
  const clear: Path64[] = [];
  const near: Path64[] = [];
  for (const member of members)
    for (const ring of member.rings) (isClear(ring, member, members) ? clear : near).push(ring);
  return near.length > 0 ? [...uniteAlongside(near), ...clear] : clear;
}

/**
 * The library sweeps from top to bottom, past all that lies side by side: where more lies beside than above one another
 * it is given the columns for rows.
 */
function uniteAlongside(rings: Paths64): Paths64 {
  if (!liesSideBySide(rings)) return Clipper.union(rings, FillRule.NonZero);
  // Laid over, outer rings run the other way: each is turned round.
  return Clipper.union(rings.map(layOver), FillRule.NonZero).map((ring) => layOver(ring).reverse());
}

/** Whether a level line through the rings meets more edges, on average, than an upright one. */
function liesSideBySide(rings: Paths64): boolean {
  const { width, height } = boundPoints(rings)!;
  let across = 0,
    down = 0;
  for (const ring of rings) {
    let from = ring[ring.length - 1]!;
    for (const to of ring) {
      across += Math.abs(to.x - from.x);
      down += Math.abs(to.y - from.y);
      from = to;
    }
  }
  return down * width > across * height;
}

const layOver = (ring: Path64): Path64 => ring.map(({ x, y }) => ({ x: y, y: x }));

/** A ring that no other region reaches stays as it is: most holes. */
function isClear(ring: Path64, own: Bounded, members: readonly Bounded[]): boolean {
  const box = boundPoints([ring])!;
  return !members.some((member) => member !== own && boxesTouch(member.box, box));
}

/** Whether an edge of one meets an edge of the other; nothing is looked at beyond the budget. */
function edgesMeet(one: Bounded, other: Bounded, budget: Budget): boolean {
  if (--budget.looks < 0 || !boxesTouch(one.box, other.box)) return false;
  const common = intersectBoxes(one.box, other.box);
  const ownEdges = listEdges(one.rings, common, budget);
  const otherEdges = listEdges(other.rings, common, budget);
  budget.looks -= ownEdges.length * otherEdges.length;
  if (budget.looks < 0) return false;
  return ownEdges.some((edge) => otherEdges.some((mate) => boxesOfEdgesTouch(edge, mate) && meet(edge, mate)));
}

const meet = (a: Edge, b: Edge): boolean => segmentsMeet(a.from, a.to, b.from, b.to);

/** Those whose boxes touch the box. */
function listEdges(rings: Paths64, { x, y, width, height }: Box, budget: Budget): readonly Edge[] {
  const right = x + width,
    bottom = y + height;
  const edges: Edge[] = [];
  for (const ring of rings) {
    budget.looks -= ring.length;
    let from = ring[ring.length - 1]!;
    for (const to of ring) {
      if (!(
        (from.x < x && to.x < x) ||
        (from.x > right && to.x > right) ||
        (from.y < y && to.y < y) ||
        (from.y > bottom && to.y > bottom)
      ))
        edges.push({ from, to });
      from = to;
    }
  }
  return edges;
}

const boxesOfEdgesTouch = (a: Edge, b: Edge): boolean =>
  Math.min(a.from.x, a.to.x) <= Math.max(b.from.x, b.to.x) &&
  Math.min(b.from.x, b.to.x) <= Math.max(a.from.x, a.to.x) &&
  Math.min(a.from.y, a.to.y) <= Math.max(b.from.y, b.to.y) &&
  Math.min(b.from.y, b.to.y) <= Math.max(a.from.y, a.to.y);

/** Also where they share no more than an edge. */
const boxesTouch = (a: Box, b: Box): boolean =>
  a.x <= b.x + b.width && b.x <= a.x + a.width && a.y <= b.y + b.height && b.y <= a.y + a.height;

function intersectBoxes(a: Box, b: Box): Box {
  const x = Math.max(a.x, b.x),
    y = Math.max(a.y, b.y);
  return {
    x,
    y,
    width: Math.min(a.x + a.width, b.x + b.width) - x,
    height: Math.min(a.y + a.height, b.y + b.height) - y,
  };
}
