// Finds the edge nearest to a point, by a grid of cells about as many as there are edges. A tree index answers the same
// question; asked a hundred thousand times for a drawing, the grid took a tenth of its time.

import { LENGTH_NOISE_MM } from '../units';
export class EdgeGrid {
  private readonly left: number;
  private readonly top: number;
  private readonly cell: number;
  private readonly columns: number;
  private readonly rows: number;
  /** Edges of cell c stand in `members` from `starts[c]` up to `starts[c + 1]`. */
  private readonly starts: Uint32Array;
  private readonly members: Uint32Array;
  /** The closest point on the edge found last. */
  nearX = 0;
  nearY = 0;

  constructor(
    readonly x1: Float64Array,
    readonly y1: Float64Array,
    readonly x2: Float64Array,
    readonly y2: Float64Array,
  ) {
    let left = Infinity,
      top = Infinity,
      right = -Infinity,
      bottom = -Infinity;
    for (let edge = 0; edge < x1.length; edge++) {
      const ax = x1[edge]!,
        ay = y1[edge]!,
        bx = x2[edge]!,
        by = y2[edge]!;
      if (ax < left) left = ax;
      if (bx < left) left = bx;
      if (ax > right) right = ax;
      if (bx > right) right = bx;
      if (ay < top) top = ay;
      if (by < top) top = by;
      if (ay > bottom) bottom = ay;
      if (by > bottom) bottom = by;
    }
    this.left = left;
    this.top = top;
    const width = Math.max(right - left, LENGTH_NOISE_MM),
      height = Math.max(bottom - top, LENGTH_NOISE_MM);
    this.cell = Math.max(Math.sqrt((width * height) / Math.max(1, x1.length)), Math.max(width, height) / 2000);
    this.columns = Math.floor(width / this.cell) + 1;
    this.rows = Math.floor(height / this.cell) + 1;
    const counts = new Uint32Array(this.columns * this.rows + 1);
    this.visitCells(counts, null);
    for (let cell = 1; cell < counts.length; cell++) counts[cell] = counts[cell]! + counts[cell - 1]!;
    this.starts = counts.slice();
    this.members = new Uint32Array(counts[counts.length - 1]!);
    this.visitCells(counts, this.members);
  }

  /**
   * Counts the edges of each cell into the place after it; given members, writes each edge at its cell's place, and
   * moves that on.
   */
  private visitCells(counts: Uint32Array, members: Uint32Array | null): void {
    const { x1, y1, x2, y2, left, top, cell: size, columns } = this;
    const lastColumn = columns - 1,
      lastRow = this.rows - 1;
    for (let edge = 0; edge < x1.length; edge++) {
      const ax = (x1[edge]! - left) / size,
        bx = (x2[edge]! - left) / size,
        ay = (y1[edge]! - top) / size,
        by = (y2[edge]! - top) / size;
      const toColumn = Math.min(lastColumn, (ax > bx ? ax : bx) | 0),
        toRow = Math.min(lastRow, (ay > by ? ay : by) | 0);
      for (let row = Math.min(lastRow, (ay < by ? ay : by) | 0); row <= toRow; row++) {
        for (let column = Math.min(lastColumn, (ax < bx ? ax : bx) | 0); column <= toColumn; column++) {
          const cell = row * columns + column;
          if (members) members[counts[cell]!++] = edge;
          else counts[cell + 1]!++;
        }
      }
    }
  }

  private column = (x: number): number =>
    Math.max(0, Math.min(this.columns - 1, Math.floor((x - this.left) / this.cell)));
  private row = (y: number): number => Math.max(0, Math.min(this.rows - 1, Math.floor((y - this.top) / this.cell)));

  /** The edge nearest to (x, y) among those nearer than `radius`, or -1; its closest point is in nearX, nearY. */
  findNearest(x: number, y: number, radius: number): number {
    const { x1, y1, x2, y2, starts, members, columns, rows, cell: size } = this;
    let best = -1,
      bestSquare = radius * radius,
      bestX = 0,
      bestY = 0;
    const column = this.column(x),
      row = this.row(y);
    const reach = Math.max(columns, rows);
    for (let ring = 0; ring < reach; ring++) {
      // No cell of this ring or a later one comes nearer than this.
      const gap = (ring - 1) * size;
      if (gap > 0 && gap * gap > bestSquare) break;
      for (let r = Math.max(0, row - ring); r <= Math.min(rows - 1, row + ring); r++) {
        const down = r < row ? y - (this.top + (r + 1) * size) : r > row ? this.top + r * size - y : 0;
        if (down * down >= bestSquare) continue;
        const whole = Math.abs(r - row) === ring;
        for (let c = column - ring; c <= column + ring; c += whole ? 1 : Math.max(1, 2 * ring)) {
          if (c < 0 || c >= columns) continue;
          const aside = c < column ? x - (this.left + (c + 1) * size) : c > column ? this.left + c * size - x : 0;
          if (aside * aside + down * down >= bestSquare) continue;
          const cell = r * columns + c;
          const end = starts[cell + 1]!;
          for (let at = starts[cell]!; at < end; at++) {
            const edge = members[at]!;
            // As `approach` does, a call and two fields the less for each of so many edges.
            const dx = x2[edge]! - x1[edge]!,
              dy = y2[edge]! - y1[edge]!,
              fromX = x - x1[edge]!,
              fromY = y - y1[edge]!;
            let along = (fromX * dx + fromY * dy) / (dx * dx + dy * dy);
            if (!(along > 0)) along = 0;
            else if (along > 1) along = 1;
            const offX = fromX - dx * along,
              offY = fromY - dy * along,
              square = offX * offX + offY * offY;
            if (square < bestSquare) {
              best = edge;
              bestSquare = square;
              bestX = x - offX;
              bestY = y - offY;
            }
          }
        }
      }
    }
    this.nearX = bestX;
    this.nearY = bestY;
    return best;
  }

  /** Squared distance from (x, y) to an edge; the closest point is in nearX, nearY. */
  approach(edge: number, x: number, y: number): number {
    const ax = this.x1[edge]!,
      ay = this.y1[edge]!;
    const dx = this.x2[edge]! - ax,
      dy = this.y2[edge]! - ay;
    const t = Math.max(0, Math.min(1, ((x - ax) * dx + (y - ay) * dy) / (dx * dx + dy * dy)));
    this.nearX = ax + dx * t;
    this.nearY = ay + dy * t;
    return (x - this.nearX) ** 2 + (y - this.nearY) ** 2;
  }
}
