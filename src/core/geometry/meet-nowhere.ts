// Whether closed rings cross or touch themselves or each other, and which do: all others bound regions as they stand.

import type { Point } from './matrix';

/** Pairs of edges looked at for each edge before the rings are left to the clipping library. */
const PAIRS_PER_EDGE = 60;

/**
 * True only for rings of three or more points, none repeated in a row, whose edges meet nowhere but at their common
 * ends. Says false also where it would take long to tell. Coordinates are whole numbers below 2^25, so that every
 * product is exact.
 */
export function meetNowhere(rings: readonly (readonly Point[])[]): boolean {
  if (rings.some((ring) => ring.length < 3)) return false;
  if (rings.length === 1) {
    const [ring] = rings as [readonly Point[]];
    if (isConvex(ring)) return true;
    if (ring.length <= FEW_EDGES) return isSimple(ring);
  }
  return rings.every(isClean) && visitMeetings(rings, () => false);
}

/**
 * Rings that meet themselves, or one another, directly or through others, together; those that meet nothing are left
 * out. Null where it would take long to tell. Rings and coordinates as for `meetNowhere`.
 */
export function findTangles<Ring extends readonly Point[]>(
  rings: readonly Ring[],
): readonly (readonly Ring[])[] | null {
  const groups = new Groups(rings.length);
  rings.forEach((ring, id) => {
    if (!isClean(ring)) groups.join(id, id);
  });
  const told = visitMeetings(rings, (one, other) => {
    groups.join(one, other);
    return true;
  });
  return told ? groups.list().map((members) => members.map((id) => rings[id]!)) : null;
}

/** Which of many things are together, known by their numbers. */
class Groups {
  private readonly leader: Uint32Array;
  private readonly joined: Uint8Array;

  constructor(count: number) {
    this.leader = new Uint32Array(count).map((_, id) => id);
    this.joined = new Uint8Array(count);
  }

  join(one: number, other: number): void {
    this.joined[one] = this.joined[other] = 1;
    this.leader[this.find(one)] = this.find(other);
  }

  /** Those that were joined, if only to themselves. */
  list(): readonly (readonly number[])[] {
    const groups = new Map<number, number[]>();
    this.joined.forEach((joined, id) => {
      if (!joined) return;
      const leader = this.find(id);
      const group = groups.get(leader);
      if (group) group.push(id);
      else groups.set(leader, [id]);
    });
    return [...groups.values()];
  }

  private find(id: number): number {
    const { leader } = this;
    while (leader[id] !== id) id = leader[id] = leader[leader[id]!]!;
    return id;
  }
}

/**
 * Tells the numbers of every two rings of which edges meet, the same twice where a ring meets itself, until `meet` wants
 * no more. Whether all was told: false too where it would take long.
 */
function visitMeetings(rings: readonly (readonly Point[])[], meet: (one: number, other: number) => boolean): boolean {
  const edges = layOut(rings);
  if (!edges) return false;
  let left = edges.left.length * PAIRS_PER_EDGE;
  for (const band of layInBands(edges)) {
    left = lookThrough(edges, band, left, meet);
    if (left < 0) return false;
  }
  return true;
}

/** Of so few edges each is held against each: to put them in order would take longer. */
const FEW_EDGES = 96;

function isSimple(ring: readonly Point[]): boolean {
  if (!isClean(ring)) return false;
  const count = ring.length;
  for (let one = 0; one < count; one++) {
    const a = ring[one]!,
      b = ring[one + 1 === count ? 0 : one + 1]!;
    const left = Math.min(a.x, b.x),
      right = Math.max(a.x, b.x),
      top = Math.min(a.y, b.y),
      bottom = Math.max(a.y, b.y);
    // The first edge follows the last one.
    const end = one === 0 ? count - 1 : count;
    for (let other = one + 2; other < end; other++) {
      const c = ring[other]!,
        d = ring[other + 1 === count ? 0 : other + 1]!;
      if ((c.x > right && d.x > right) || (c.x < left && d.x < left)) continue;
      if ((c.y > bottom && d.y > bottom) || (c.y < top && d.y < top)) continue;
      if (segmentsMeet(a, b, c, d)) return false;
    }
  }
  return true;
}

/** No point is repeated in a row, and no two edges in a row lie back on each other: those meet along a stretch. */
const isClean = (ring: readonly Point[]): boolean =>
  ring.every((a, at) => {
    const b = ring[at + 1 < ring.length ? at + 1 : 0]!,
      c = ring[at + 2 < ring.length ? at + 2 : at + 2 - ring.length]!;
    if (a.x === b.x && a.y === b.y) return false;
    return turn(a, b, c) !== 0 || (b.x - a.x) * (c.x - b.x) + (b.y - a.y) * (c.y - b.y) >= 0;
  });

/**
 * From left to right through edges that lie in that order. How many of the `most` looks are left; below 0 where `meet`
 * wants no more, or where they were too few.
 */
function lookThrough(
  { from, to, after, ringOf, left, right, top, bottom }: Edges,
  order: Uint32Array,
  most: number,
  meet: (one: number, other: number) => boolean,
): number {
  let looks = most;
  for (let at = 0; at < order.length; at++) {
    const one = order[at]!;
    const reach = right[one]!,
      oneTop = top[one]!,
      oneBottom = bottom[one]!;
    for (let next = at + 1; next < order.length; next++) {
      const other = order[next]!;
      if (left[other]! > reach) break;
      if (--looks < 0) return -1;
      if (top[other]! > oneBottom || bottom[other]! < oneTop) continue;
      if (after[one] === other || after[other] === one) continue;
      if (segmentsMeet(from[one]!, to[one]!, from[other]!, to[other]!) && !meet(ringOf[one]!, ringOf[other]!))
        return -1;
    }
  }
  return looks;
}

/** So many edges in one band; all of a small drawing. */
const EDGES_PER_BAND = 1000;
/** Edges that lie in more bands than this, on average, gain nothing by them. */
const MOST_BANDS_AN_EDGE = 4;

/**
 * The edges from left to right, in bands from top to bottom, each edge in all that it reaches: what stands above one
 * another is not compared. Two that meet do so in a band.
 */
function layInBands({ left, top, bottom }: Edges): readonly Uint32Array[] {
  const order = orderBy(left);
  const bands = Math.ceil(order.length / EDGES_PER_BAND);
  if (bands === 1) return [order];
  const first = top.reduce((least, y) => Math.min(least, y), Infinity),
    last = bottom.reduce((most, y) => Math.max(most, y), -Infinity);
  const height = (last - first + 1) / bands;
  const bandAt = (y: number) => Math.floor((y - first) / height);
  const counts = new Uint32Array(bands);
  let entries = 0;
  for (const edge of order)
    for (let band = bandAt(top[edge]!), end = bandAt(bottom[edge]!); band <= end; band++, entries++) counts[band]!++;
  if (entries > order.length * MOST_BANDS_AN_EDGE) return [order];
  const laid = Array.from(counts, (count) => new Uint32Array(count));
  const filled = new Uint32Array(bands);
  for (const edge of order)
    for (let band = bandAt(top[edge]!), end = bandAt(bottom[edge]!); band <= end; band++)
      laid[band]![filled[band]!++] = edge;
  return laid;
}

/** Indices by rising value. Numbers sort several times as fast as what has to be compared by a function. */
function orderBy(values: Float64Array): Uint32Array {
  const keys = values.map((value, index) => value * INDEX_ROOM + index).sort();
  const order = new Uint32Array(keys.length);
  for (let at = 0; at < keys.length; at++) order[at] = ((keys[at]! % INDEX_ROOM) + INDEX_ROOM) % INDEX_ROOM;
  return order;
}
/** Whole values below 2^31 and an index below this fit into one number. */
const INDEX_ROOM = 2 ** 22;

type Edges = {
  readonly from: readonly Point[];
  readonly to: readonly Point[];
  /** The next edge of the same ring. */
  readonly after: Uint32Array;
  readonly ringOf: Uint32Array;
  readonly left: Float64Array;
  readonly right: Float64Array;
  readonly top: Float64Array;
  readonly bottom: Float64Array;
};

/** The edges of all rings with their boxes; null of too many. */
function layOut(rings: readonly (readonly Point[])[]): Edges | null {
  const count = rings.reduce((sum, ring) => sum + ring.length, 0);
  if (count > INDEX_ROOM) return null;
  const from: Point[] = [],
    to: Point[] = [];
  const after = new Uint32Array(count),
    ringOf = new Uint32Array(count),
    left = new Float64Array(count),
    right = new Float64Array(count),
    top = new Float64Array(count),
    bottom = new Float64Array(count);
  let first = 0;
  for (const [id, ring] of rings.entries()) {
    const { length } = ring;
    ringOf.fill(id, first, first + length);
    for (let at = 0; at < length; at++) {
      const edge = first + at;
      const a = ring[at]!,
        b = ring[at + 1 === length ? 0 : at + 1]!;
      from.push(a);
      to.push(b);
      after[edge] = first + (at + 1 === length ? 0 : at + 1);
      left[edge] = Math.min(a.x, b.x);
      right[edge] = Math.max(a.x, b.x);
      top[edge] = Math.min(a.y, b.y);
      bottom[edge] = Math.max(a.y, b.y);
    }
    first += length;
  }
  return { from, to, after, ringOf, left, right, top, bottom };
}

const turn = (a: Point, b: Point, c: Point): number => (b.x - a.x) * (c.y - b.y) - (b.y - a.y) * (c.x - b.x);

/** All turns one way, and once round in all: the direction passes from right to left only twice. */
function isConvex(ring: readonly Point[]): boolean {
  const count = ring.length;
  let way = 0,
    reversals = 0;
  for (let at = 0; at < count; at++) {
    const a = ring[at]!,
      b = ring[at + 1 === count ? 0 : at + 1]!,
      c = ring[at + 2 >= count ? at + 2 - count : at + 2]!;
    const now = turn(a, b, c);
    if (now === 0) return false;
    if (way === 0) way = Math.sign(now);
    if (now * way < 0) return false;
    const before = b.x - a.x || b.y - a.y,
      after = c.x - b.x || c.y - b.y;
    if (before * after < 0) reversals++;
  }
  return reversals <= 2;
}

/** Whether the segments ab and cd share a point. Their boxes are known to meet. */
export function segmentsMeet(a: Point, b: Point, c: Point, d: Point): boolean {
  const c1 = turn(a, b, c),
    d1 = turn(a, b, d);
  if ((c1 > 0 && d1 > 0) || (c1 < 0 && d1 < 0)) return false;
  const a1 = turn(c, d, a),
    b1 = turn(c, d, b);
  return !((a1 > 0 && b1 > 0) || (a1 < 0 && b1 < 0));
}
