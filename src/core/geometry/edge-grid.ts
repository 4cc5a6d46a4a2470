// Finds the edge nearest to a point, by a grid of cells about as many as there are edges. A tree index answers the same
// question; asked a hundred thousand times for a drawing, the grid took a tenth of its time.

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

  constructor(readonly x1: Float64Array, readonly y1: Float64Array, readonly x2: Float64Array, readonly y2: Float64Array) {
    let left = Infinity, top = Infinity, right = -Infinity, bottom = -Infinity;
    for (let edge = 0; edge < x1.length; edge++) {
      left = Math.min(left, x1[edge]!, x2[edge]!);
      right = Math.max(right, x1[edge]!, x2[edge]!);
      top = Math.min(top, y1[edge]!, y2[edge]!);
      bottom = Math.max(bottom, y1[edge]!, y2[edge]!);
    }
    this.left = left;
    this.top = top;
    const width = Math.max(right - left, 1e-6), height = Math.max(bottom - top, 1e-6);
    this.cell = Math.max(Math.sqrt((width * height) / Math.max(1, x1.length)), Math.max(width, height) / 2000);
    this.columns = Math.floor(width / this.cell) + 1;
    this.rows = Math.floor(height / this.cell) + 1;
    const counts = new Uint32Array(this.columns * this.rows + 1);
    this.eachCell((_, cell) => counts[cell + 1]!++);
    for (let cell = 1; cell < counts.length; cell++) counts[cell] = counts[cell]! + counts[cell - 1]!;
    this.starts = counts.slice();
    this.members = new Uint32Array(counts[counts.length - 1]!);
    this.eachCell((edge, cell) => (this.members[counts[cell]!++] = edge));
  }

  private eachCell(visit: (edge: number, cell: number) => void): void {
    for (let edge = 0; edge < this.x1.length; edge++) {
      const fromColumn = this.column(Math.min(this.x1[edge]!, this.x2[edge]!)), toColumn = this.column(Math.max(this.x1[edge]!, this.x2[edge]!));
      const fromRow = this.row(Math.min(this.y1[edge]!, this.y2[edge]!)), toRow = this.row(Math.max(this.y1[edge]!, this.y2[edge]!));
      for (let row = fromRow; row <= toRow; row++) for (let column = fromColumn; column <= toColumn; column++) visit(edge, row * this.columns + column);
    }
  }

  private column = (x: number): number => Math.max(0, Math.min(this.columns - 1, Math.floor((x - this.left) / this.cell)));
  private row = (y: number): number => Math.max(0, Math.min(this.rows - 1, Math.floor((y - this.top) / this.cell)));

  /** The edge nearest to (x, y) among those nearer than `radius`, or -1; its closest point is in nearX, nearY. */
  findNearest(x: number, y: number, radius: number): number {
    let best = -1, bestSquare = radius * radius, bestX = 0, bestY = 0;
    const column = this.column(x), row = this.row(y);
    const reach = Math.max(this.columns, this.rows);
    for (let ring = 0; ring < reach; ring++) {
      // No cell of this ring or a later one comes nearer than this.
      const gap = (ring - 1) * this.cell;
      if (gap > 0 && gap * gap > bestSquare) break;
      for (let r = Math.max(0, row - ring); r <= Math.min(this.rows - 1, row + ring); r++) {
        const whole = Math.abs(r - row) === ring;
        for (let c = column - ring; c <= column + ring; c += whole ? 1 : Math.max(1, 2 * ring)) {
          if (c < 0 || c >= this.columns) continue;
          const cell = r * this.columns + c;
          for (let at = this.starts[cell]!; at < this.starts[cell + 1]!; at++) {
            const edge = this.members[at]!;
            const square = this.approach(edge, x, y);
            if (square < bestSquare) {
              best = edge;
              bestSquare = square;
              bestX = this.nearX;
              bestY = this.nearY;
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
    const ax = this.x1[edge]!, ay = this.y1[edge]!;
    const dx = this.x2[edge]! - ax, dy = this.y2[edge]! - ay;
    const t = Math.max(0, Math.min(1, ((x - ax) * dx + (y - ay) * dy) / (dx * dx + dy * dy)));
    this.nearX = ax + dx * t;
    this.nearY = ay + dy * t;
    return (x - this.nearX) ** 2 + (y - this.nearY) ** 2;
  }
}
