// From a place on an edge to the side that it faces, as a calliper is put on and pushed together.

import { CROSS_NOISE, LENGTH_NOISE_MM } from '../units';
import type { LaidOut } from './compare-runs';
import type { EdgeGrid } from './edge-grid';
import { LEAST_WAY_ROUND, TOUCHING_MM } from './own-widths';
import { distance } from './polyline';
import type { RingEdges, Side } from './ring-edges';
import type { Place, RingWalk } from './ring-walk';
import type { ThinPlace } from './thin-place';

/** A circle that shrinks by no more than this share has settled. */
const SETTLED_SHARE = 1e-6;
/** A width that changes by no more than this share of itself is known well enough. */
const SETTLED_WIDTH_SHARE = 1e-4;
/** Sides that face each other within this angle count as facing before they are followed to where they are nearest. */
const FACING_COSINE = Math.cos((162 * Math.PI) / 180);
/** A ball counts as free when nothing reaches further into it than this share of its radius: flattened curves do. */
const BALL_SLACK = 1e-3;
const SETTLED_SLACK = 0.02;
/** The way round a right angle is one width; any shorter way goes round a blunter corner. */
const CORNER_WAY = 1.02;

/** `wide`: wider than was looked for; `corner`: nothing that faces it. */
type Found = ThinPlace | 'wide' | 'corner';

export class FacingSides {
  private readonly edges: RingEdges;
  private readonly grid: EdgeGrid;
  private readonly rings: RingWalk;
  /** Whether the two places settled last lie on one ring. */
  onOneRing = false;

  /** `widest`: how wide the side's material, or its air, can be at most beside an edge of the ring, mm. */
  constructor(
    { edges, grid, rings }: LaidOut,
    private readonly side: Side,
    private readonly widest: (ring: number) => number,
  ) {
    this.edges = edges;
    this.grid = grid;
    this.rings = rings;
  }

  /**
   * The largest ball that touches the edge at the place and nothing else, up to a width of `limit`, and what it faces.
   * It is looked for in the direction (nx, ny), of length 1.
   */
  look(sample: Place, nx: number, ny: number, limit: number): Found {
    const widest = this.widest(this.edges.ringOf[sample.edge]!);
    let radius = Math.min(limit, widest) / 2;
    let touched = -1,
      qx = 0,
      qy = 0;
    for (let round = 0; round < 24; round++) {
      const near = this.grid.findNearest(sample.x + nx * radius, sample.y + ny * radius, radius * (1 - BALL_SLACK));
      if (near === -1) break;
      const dx = this.grid.nearX - sample.x,
        dy = this.grid.nearY - sample.y;
      const height = dx * nx + dy * ny;
      if (height <= CROSS_NOISE) return 'corner';
      const next = (dx * dx + dy * dy) / (2 * height);
      if (next >= radius * (1 - SETTLED_SHARE)) break;
      radius = next;
      touched = near;
      qx = this.grid.nearX;
      qy = this.grid.nearY;
      // Touched just round a corner: smaller balls there touch the same corner, and say nothing of a thickness.
      if (
        this.edges.ringOf[near] === this.edges.ringOf[sample.edge] &&
        this.rings.wayRound(sample, { edge: near, x: qx, y: qy }) < 2 * radius * CORNER_WAY
      )
        return 'corner';
    }
    if (touched === -1) return limit >= widest ? 'corner' : 'wide';
    const cx = sample.x + nx * radius,
      cy = sample.y + ny * radius;
    const cosine = ((qx - cx) * (sample.x - cx) + (qy - cy) * (sample.y - cy)) / (radius * radius);
    return cosine > FACING_COSINE ? 'corner' : this.settle(sample, { edge: touched, x: qx, y: qy });
  }

  /** From two facing places to where their sides are nearest, each walking along its own edge in turn. */
  settle(a: Place, b: Place): ThinPlace | 'corner' {
    let width = Infinity,
      settled = false;
    for (let round = 0; round < 40 && !settled; round++) {
      a = this.rings.walk(a, b.x, b.y);
      b = this.rings.walk(b, a.x, a.y);
      const now = distance(a, b);
      settled = width - now < width * SETTLED_WIDTH_SHARE || now < LENGTH_NOISE_MM;
      width = now;
    }
    // Still sliding together: down a spike, which has no thickness.
    if (!settled) return 'corner';
    const sameRing = this.edges.ringOf[a.edge] === this.edges.ringOf[b.edge];
    this.onOneRing = sameRing;
    // Followed into a tip, the two sides meet: that is a corner, whatever its angle.
    if (width < TOUCHING_MM || (sameRing && this.rings.wayRound(a, b) < width * LEAST_WAY_ROUND)) return 'corner';
    if (!this.rings.facesInward(this.side, a, b) || !this.rings.facesInward(this.side, b, a)) return 'corner';
    const x = (a.x + b.x) / 2,
      y = (a.y + b.y) / 2;
    // Walked past something that lies between them, or out of sight of each other round a corner.
    return this.grid.findNearest(x, y, (width / 2) * (1 - SETTLED_SLACK)) === -1 ? { widthMm: width, x, y } : 'corner';
  }
}
