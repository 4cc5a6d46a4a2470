// A shape turned by one angle, written into memory of its own: turning anew is far cheaper than fetching one of
// thousands of poses that were kept.

/** Turns are tried in steps of this many to a full one; a turn may also lie between two. */
export const TURN_STEPS = 720;

/** What of a shape is turned: its corners about its own middle, its parts, and the circles in it. */
export type Turnable = {
  readonly xs: Float64Array;
  readonly ys: Float64Array;
  /** Corners of the convex parts, part by part. */
  readonly corners: Uint32Array;
  /** Where in `corners` each part begins; one more than there are parts. */
  readonly starts: Uint32Array;
  readonly normalX: Float64Array;
  readonly normalY: Float64Array;
  readonly getPoles: () => { readonly x: Float64Array; readonly y: Float64Array; readonly r: Float64Array };
};

/** Coordinates about the middle of the shape. Made for one shape; turned again and again. */
export class Pose {
  step = NaN;
  cos = 1;
  sin = 0;
  minX = 0;
  minY = 0;
  maxX = 0;
  maxY = 0;
  /** Corners in the order of the shape's `corners`, part by part, and outward normals of the edges that begin there. */
  readonly px: Float64Array;
  readonly py: Float64Array;
  readonly nx: Float64Array;
  readonly ny: Float64Array;
  /** The box of each part: left, top, right, bottom. */
  readonly boxes: Float64Array;
  private poleX: Float64Array | null = null;
  private poleY: Float64Array | null = null;
  private polesTurned = false;
  private xs: Float64Array | null = null;
  private ys: Float64Array | null = null;
  private outlineTurned = false;

  constructor(
    private readonly shape: Turnable,
    step: number,
  ) {
    const corners = shape.corners.length;
    this.px = new Float64Array(corners);
    this.py = new Float64Array(corners);
    this.nx = new Float64Array(corners);
    this.ny = new Float64Array(corners);
    this.boxes = new Float64Array((shape.starts.length - 1) * 4);
    this.turn(step);
  }

  /** Where a corner along the outline has come to. */
  xAt(corner: number): number {
    return this.shape.xs[corner]! * this.cos - this.shape.ys[corner]! * this.sin;
  }

  yAt(corner: number): number {
    return this.shape.xs[corner]! * this.sin + this.shape.ys[corner]! * this.cos;
  }

  turn(step: number): this {
    if (step === this.step) return this;
    const { shape, px, py, nx, ny, boxes } = this,
      { corners, starts, xs, ys, normalX, normalY } = shape;
    const angle = (step * 2 * Math.PI) / TURN_STEPS;
    // Quarters are exact: rectangles stay upright.
    const quarter = step % (TURN_STEPS / 4) === 0 ? (step / (TURN_STEPS / 4)) % 4 : -1;
    const cos = quarter < 0 ? Math.cos(angle) : [1, 0, -1, 0][quarter]!,
      sin = quarter < 0 ? Math.sin(angle) : [0, 1, 0, -1][quarter]!;
    let minX = Infinity,
      minY = Infinity,
      maxX = -Infinity,
      maxY = -Infinity;
    for (let part = 0, box = 0, at = 0; box < boxes.length; part++, box += 4) {
      let left = Infinity,
        top = Infinity,
        right = -Infinity,
        bottom = -Infinity;
      for (const end = starts[part + 1]!; at < end; at++) {
        const corner = corners[at]!,
          restX = xs[corner]!,
          restY = ys[corner]!,
          restNx = normalX[at]!,
          restNy = normalY[at]!;
        const x = restX * cos - restY * sin,
          y = restX * sin + restY * cos;
        px[at] = x;
        py[at] = y;
        nx[at] = restNx * cos - restNy * sin;
        ny[at] = restNx * sin + restNy * cos;
        if (x < left) left = x;
        if (x > right) right = x;
        if (y < top) top = y;
        if (y > bottom) bottom = y;
      }
      boxes[box] = left;
      boxes[box + 1] = top;
      boxes[box + 2] = right;
      boxes[box + 3] = bottom;
      if (left < minX) minX = left;
      if (top < minY) minY = top;
      if (right > maxX) maxX = right;
      if (bottom > maxY) maxY = bottom;
    }
    this.step = step;
    this.cos = cos;
    this.sin = sin;
    this.minX = minX;
    this.minY = minY;
    this.maxX = maxX;
    this.maxY = maxY;
    this.polesTurned = false;
    this.outlineTurned = false;
    return this;
  }

  /** Corners along the outlines, where they have come to. */
  turnOutline(): { readonly xs: Float64Array; readonly ys: Float64Array } {
    this.xs ??= new Float64Array(this.shape.xs.length);
    this.ys ??= new Float64Array(this.shape.xs.length);
    if (!this.outlineTurned) {
      for (let at = 0; at < this.xs.length; at++) {
        this.xs[at] = this.xAt(at);
        this.ys[at] = this.yAt(at);
      }
      this.outlineTurned = true;
    }
    return { xs: this.xs, ys: this.ys };
  }

  /** Middles of the circles in it. */
  turnPoles(): { readonly x: Float64Array; readonly y: Float64Array } {
    const { x, y, r } = this.shape.getPoles();
    this.poleX ??= new Float64Array(r.length);
    this.poleY ??= new Float64Array(r.length);
    if (!this.polesTurned) {
      for (let at = 0; at < r.length; at++) {
        this.poleX[at] = x[at]! * this.cos - y[at]! * this.sin;
        this.poleY[at] = x[at]! * this.sin + y[at]! * this.cos;
      }
      this.polesTurned = true;
    }
    return { x: this.poleX, y: this.poleY };
  }
}
