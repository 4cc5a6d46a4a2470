// Open contours whose ends meet are joined to longer ones, as a drawing program leaves them in pieces.

import type { Contour, Point, Segment } from '../geometry';

/** Ends nearer than this are one, mm: programs write coordinates to four places or fewer. */
const JOIN_MM = 0.05;

/** Open contours joined where their ends meet, until they close; those that never do come back apart. */
export function joinEnds(contours: readonly Contour[]): {
  readonly closed: readonly Contour[];
  readonly open: readonly Contour[];
} {
  const closed = contours.filter((contour) => contour.closed);
  const ends = new EndIndex(contours.filter((contour) => !contour.closed));
  const open: Contour[] = [];
  for (let chain = ends.takeAny(); chain; chain = ends.takeAny()) {
    let whole: Contour = chain;
    while (!meet(whole.start, endOf(whole))) {
      const next = ends.takeAt(endOf(whole));
      if (!next) break;
      whole = {
        ...whole,
        segments: [...whole.segments, ...(meet(next.start, endOf(whole)) ? next : reverseContour(next)).segments],
      };
    }
    if (meet(whole.start, endOf(whole)) && whole.segments.length > 1) closed.push({ ...whole, closed: true });
    else open.push(whole);
  }
  return { closed, open };
}

const endOf = (contour: Contour): Point => contour.segments[contour.segments.length - 1]!.to;

const meet = (a: Point, b: Point): boolean => Math.hypot(a.x - b.x, a.y - b.y) <= JOIN_MM;

/** Finds contours by where they end, in cells as wide as ends may lie apart. */
class EndIndex {
  private readonly cells = new Map<string, Set<Contour>>();
  private readonly waiting: Set<Contour>;

  constructor(contours: readonly Contour[]) {
    this.waiting = new Set(contours);
    for (const contour of contours)
      for (const end of [contour.start, endOf(contour)])
        this.cellsAround(end, 0).forEach((key) => this.cells.set(key, (this.cells.get(key) ?? new Set()).add(contour)));
  }

  private cellsAround(point: Point, reach: number): string[] {
    const x = Math.floor(point.x / JOIN_MM),
      y = Math.floor(point.y / JOIN_MM);
    const keys: string[] = [];
    for (let dx = -reach; dx <= reach; dx++) for (let dy = -reach; dy <= reach; dy++) keys.push(`${x + dx}/${y + dy}`);
    return keys;
  }

  takeAny(): Contour | undefined {
    const [first] = this.waiting;
    if (first) this.waiting.delete(first);
    return first;
  }

  takeAt(point: Point): Contour | undefined {
    for (const key of this.cellsAround(point, 1)) {
      for (const contour of this.cells.get(key) ?? []) {
        if (this.waiting.has(contour) && (meet(contour.start, point) || meet(endOf(contour), point))) {
          this.waiting.delete(contour);
          return contour;
        }
      }
    }
    return undefined;
  }
}

function reverseContour(contour: Contour): Contour {
  const starts = [contour.start, ...contour.segments.map((segment) => segment.to)];
  const segments = contour.segments
    .map((segment, index): Segment => {
      const to = starts[index]!;
      if (segment.kind === 'line') return { kind: 'line', to };
      if (segment.kind === 'cubic')
        return { kind: 'cubic', control1: segment.control2, control2: segment.control1, to };
      return { ...segment, from: segment.until, until: segment.from, to };
    })
    .reverse();
  return { start: starts[starts.length - 1]!, segments, closed: contour.closed };
}
