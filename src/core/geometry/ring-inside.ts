// Whether points lie in a ring, for one that is asked about many: the outline of lace and its thousands of holes.

import { Clipper, PointInPolygonResult, type Path64 } from 'clipper2-ts';
import Flatbush from 'flatbush';
import type { Point } from './matrix';

export type Where = 'inside' | 'outside' | 'on';

/** A ring of fewer points is walked as soon as looked up. */
const MANY_POINTS = 64;
/** Asked less often, an index of its edges is not worth laying out. */
const MANY_QUESTIONS = 8;

const NAMES: Readonly<Record<PointInPolygonResult, Where>> = {
  [PointInPolygonResult.IsInside]: 'inside',
  [PointInPolygonResult.IsOutside]: 'outside',
  [PointInPolygonResult.IsOn]: 'on',
};

/** The ring's coordinates are whole numbers below 2^25, so that every product is exact. */
export class RingInside {
  private asked = 0;
  private edges: Flatbush | null = null;

  constructor(private readonly ring: Path64) {}

  /** Of a whole-numbered point. */
  tell(point: Point): Where {
    if (this.ring.length < MANY_POINTS || ++this.asked < MANY_QUESTIONS)
      return NAMES[Clipper.pointInPolygon(point, this.ring)];
    this.edges ??= indexEdges(this.ring);
    return this.countCrossings(point, this.edges);
  }

  /** Along a level line from the point to the right: inside where it crosses the ring an odd number of times. */
  private countCrossings(point: Point, edges: Flatbush): Where {
    const { ring } = this;
    let inside = false;
    for (const edge of edges.search(point.x, point.y, Infinity, point.y)) {
      const a = ring[edge]!,
        b = ring[edge + 1 === ring.length ? 0 : edge + 1]!;
      const side = (b.x - a.x) * (point.y - a.y) - (b.y - a.y) * (point.x - a.x);
      // No edge was found that does not reach the point's height.
      if (side === 0 && (a.y !== b.y || Math.min(a.x, b.x) <= point.x)) return 'on';
      // An end counts as above the line, so that of two edges that meet on it one is crossed, or both.
      if (a.y > point.y !== b.y > point.y && side > 0 === b.y > a.y) inside = !inside;
    }
    return inside ? 'inside' : 'outside';
  }
}

function indexEdges(ring: Path64): Flatbush {
  const index = new Flatbush(ring.length);
  for (const [at, a] of ring.entries()) {
    const b = ring[at + 1 === ring.length ? 0 : at + 1]!;
    index.add(Math.min(a.x, b.x), Math.min(a.y, b.y), Math.max(a.x, b.x), Math.max(a.y, b.y));
  }
  index.finish();
  return index;
}
