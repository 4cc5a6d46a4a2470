// Outlines as polylines, as finely as they need at the size they are cut.

import { POINT_NOISE_MM } from '../units';
import type { Box } from './box';
import type { Arc, Contour, Segment } from './contour';
import type { Point } from './matrix';

/**
 * How far, in mm at real size, a flattened curve may stray from the true one. Far below what a knife can follow
 * (about 0.05 mm), and small enough that the area of a 10 mm dot is right within 0.1 %.
 */
export const FLATTENING_MM = 0.005;
const FINEST_FLATTENING_MM = 0.0002;

/** How finely small outlines are flattened: relative to their own extent, so that a 1 mm dot is as true as a large one. */
type Fineness = {
  /** Of the narrower way across; of an ellipse’s radius. */
  readonly share: number;
  readonly ellipseShare: number;
  readonly leastMm: number;
  readonly mostMm: number;
  /** Corners lie a little outside the curve, and sides as far inside: together they enclose what the curve does. */
  readonly even: boolean;
};
/** Chords lose area: of an ellipse less than 0.1 % with 96 of them. */
const CHORDS: Fineness = {
  share: 0.0002,
  ellipseShare: 0.00054,
  leastMm: FINEST_FLATTENING_MM,
  mostMm: FLATTENING_MM,
  even: false,
};
/** Its corners stray by no more than 0.7 of what chords over the same stretches do, its sides by less. */
const EVEN_STRAY = 0.7;
/** A small ellipse has 40 sides. */
const EVEN: Fineness = {
  ...CHORDS,
  share: 0.0014,
  ellipseShare: 0.0031,
  mostMm: FLATTENING_MM / EVEN_STRAY,
  even: true,
};
const ROUGH: Fineness = { share: 0.01, ellipseShare: 0.02, leastMm: 0, mostMm: Infinity, even: false };

const boundTolerance = (tolerance: number, { leastMm, mostMm }: Fineness): number =>
  Math.max(leastMm, Math.min(mostMm, tolerance));

/**
 * Across the contour's narrower way, control points included, mm: what it may lose of its area is calculated by that.
 */
function narrowExtent({ start, segments }: Contour): number {
  let left = start.x,
    right = start.x,
    top = start.y,
    bottom = start.y;
  for (const segment of segments) {
    const { to } = segment;
    left = Math.min(left, to.x);
    right = Math.max(right, to.x);
    top = Math.min(top, to.y);
    bottom = Math.max(bottom, to.y);
    if (segment.kind === 'cubic') {
      const { control1, control2 } = segment;
      left = Math.min(left, control1.x, control2.x);
      right = Math.max(right, control1.x, control2.x);
      top = Math.min(top, control1.y, control2.y);
      bottom = Math.max(bottom, control1.y, control2.y);
    }
    // An arc reaches as far as its chord, at least as far as its radius where it goes half round or more.
    if (segment.kind === 'arc' && Math.abs(segment.until - segment.from) > Math.PI / 2) {
      const { centre, u, v } = segment;
      const x = Math.hypot(u.x, v.x),
        y = Math.hypot(u.y, v.y);
      left = Math.min(left, centre.x - x);
      right = Math.max(right, centre.x + x);
      top = Math.min(top, centre.y - y);
      bottom = Math.max(bottom, centre.y + y);
    }
  }
  return Math.min(right - left, bottom - top);
}

/**
 * The polyline of a contour whose coordinates are mm at real size, first point included, repeated points left out. No
 * corner lies outside a curve: what only touches does not meet.
 */
export const flattenContour = (contour: Contour): readonly Point[] => flatten(contour, CHORDS);

/**
 * As `flattenContour`, in half as many points that enclose what the curve does to 0.01 %. Curves that touch may meet:
 * for contours that lie apart. `withinMm`: how far it may stray, where that is known better than from its extent.
 */
export const flattenEvenly = (contour: Contour, withinMm?: number): readonly Point[] =>
  flatten(contour, EVEN, withinMm);

/** As `flattenEvenly`, but it may stray so many times as far: into fewer points by the root of that. */
export const flattenCoarsely = (contour: Contour, coarser: number): readonly Point[] =>
  flatten(contour, EVEN, coarser * boundTolerance(narrowExtent(contour) * EVEN.share, EVEN));

/** Into how many points `flattenEvenly` turns the curves of a contour at so many times its size; whole ellipses are not counted. */
export function countCurvePoints(contour: Contour, scale: number): number {
  if (findWholeTurn(contour.segments)) return 0;
  const tolerance = boundTolerance(narrowExtent(contour) * scale * EVEN.share, EVEN) / scale;
  let points = 0,
    from = contour.start;
  for (const segment of contour.segments) {
    if (segment.kind === 'cubic') points += countCubicSteps(from, segment, tolerance);
    if (segment.kind === 'arc') points += countArcSteps(segment, tolerance);
    from = segment.to;
  }
  return points;
}

/** The box around a contour that is one whole ellipse, in any unit; null for any other. */
export function boundEllipse({ segments }: Contour): Box | null {
  const round = findWholeTurn(segments);
  if (!round) return null;
  const { centre, u, v } = round;
  const x = Math.hypot(u.x, v.x),
    y = Math.hypot(u.y, v.y);
  return { x: centre.x - x, y: centre.y - y, width: 2 * x, height: 2 * y };
}

/** In any unit, within a hundredth of its extent: where it lies, not how it looks. */
export const flattenRoughly = (contour: Contour): readonly Point[] => flatten(contour, ROUGH);

function flatten(contour: Contour, fineness: Fineness, withinMm?: number): readonly Point[] {
  const round = findWholeTurn(contour.segments);
  if (round) return flattenEllipse(round, fineness);
  const points: Point[] = [contour.start];
  const tolerance = withinMm ?? boundTolerance(narrowExtent(contour) * fineness.share, fineness);
  const way: Way = { tolerance, even: fineness.even };
  let current = contour.start;
  const push = (point: Point) => {
    if (Math.abs(point.x - current.x) > POINT_NOISE_MM || Math.abs(point.y - current.y) > POINT_NOISE_MM)
      points.push(point);
    current = point;
  };
  for (const segment of contour.segments) {
    if (segment.kind === 'line') push(segment.to);
    else if (segment.kind === 'cubic') flattenCubic(current, segment, way, push);
    else flattenArc(segment, way, push);
  }
  return points;
}

type Way = { readonly tolerance: number; readonly even: boolean };

/** In mm and radians: the middle of a half circle is only known as exactly as the root of a rounding error. */
const TURN_NOISE = 1e-5;

/** Of arcs that go once round one ellipse, as most programs write a circle: the first, as if it went all the way. */
function findWholeTurn(segments: readonly Segment[]): Arc | null {
  const [first] = segments;
  if (first?.kind !== 'arc') return null;
  let turned = 0;
  for (const arc of segments) {
    if (arc.kind !== 'arc' || !goesOn(first, turned, arc)) return null;
    turned += arc.until - arc.from;
  }
  return Math.abs(Math.abs(turned) - 2 * Math.PI) < TURN_NOISE
    ? { ...first, until: first.from + 2 * Math.PI * Math.sign(turned) }
    : null;
}

/** An arc of the same ellipse that begins where the first, after so much of a turn, has come to, and goes its way. */
function goesOn(first: Arc, turned: number, arc: Arc): boolean {
  const begins = first.from + turned;
  const near = (a: Point, b: Point) => Math.abs(a.x - b.x) < TURN_NOISE && Math.abs(a.y - b.y) < TURN_NOISE;
  return (
    near(first.centre, arc.centre) &&
    near(first.u, arc.u) &&
    near(first.v, arc.v) &&
    turned * (arc.until - arc.from) >= 0 &&
    Math.abs(Math.sin((arc.from - begins) / 2)) < TURN_NOISE
  );
}

/** Of three points at equal steps, how far the middle one strays from the others’, twice. */
const bendAt = (before: Point, at: Point, after: Point): number => {
  const x = before.x - 2 * at.x + after.x,
    y = before.y - 2 * at.y + after.y;
  return Math.sqrt(x * x + y * y);
};

/**
 * How far corners of a polyline go outwards, as a share of the second derivative by the step: a parabola rises over its
 * chord by a twelfth of that on average. The ends stay where they are, and the others make up for them.
 */
const pushOut = (steps: number): number => Math.min(MOST_PUSHED, steps / (steps - 1)) / 12 / (steps * steps);
/** Corners stray no further than sides do: an eighth is what a side strays, a twelfth what corners are pushed. */
const MOST_PUSHED = 12 / 8;

type Cubic = Extract<Segment, { kind: 'cubic' }>;

/** Largest second difference M bounds the deviation of n equal steps by 3·M/(4·n²): n = sqrt(0.75·M/tolerance). */
function countCubicSteps(from: Point, { control1, control2, to }: Cubic, tolerance: number): number {
  const bend = Math.max(bendAt(from, control1, control2), bendAt(control1, control2, to));
  return Math.max(1, Math.ceil(Math.sqrt((0.75 * bend) / tolerance)));
}

/** A chord over the angle d strays r·(1 − cos(d/2)) from its circle. */
function countArcSteps({ u, v, from, until }: Arc, tolerance: number): number {
  const radius = Math.hypot(u.x, u.y, v.x, v.y);
  if (radius === 0) return 1;
  const step = 2 * Math.acos(1 - Math.min(1, tolerance / radius));
  return Math.max(1, Math.ceil(Math.abs(until - from) / step));
}

function flattenCubic(from: Point, curve: Cubic, { tolerance, even }: Way, push: (point: Point) => void): void {
  const { control1, control2, to } = curve;
  const steps = countCubicSteps(from, curve, tolerance);
  // The second derivative runs evenly from 6·(first bend) to 6·(second bend).
  const out = even ? 6 * pushOut(steps) : 0;
  const startX = (from.x - 2 * control1.x + control2.x) * out,
    startY = (from.y - 2 * control1.y + control2.y) * out,
    endX = (control1.x - 2 * control2.x + to.x) * out,
    endY = (control1.y - 2 * control2.y + to.y) * out;
  for (let step = 1; step < steps; step++) {
    const t = step / steps;
    const s = 1 - t;
    push({
      x:
        s * s * s * from.x +
        3 * s * s * t * control1.x +
        3 * s * t * t * control2.x +
        t * t * t * to.x -
        (s * startX + t * endX),
      y:
        s * s * s * from.y +
        3 * s * s * t * control1.y +
        3 * s * t * t * control2.y +
        t * t * t * to.y -
        (s * startY + t * endY),
    });
  }
  push(to);
}

/**
 * Steps in multiples of four: the outermost points are on the line, so that its box is exact. Evenly, it is as large as
 * the ellipse to the last digit: the other points lie as far outside as that takes.
 */
function flattenEllipse(arc: Arc, fineness: Fineness): readonly Point[] {
  const radius = Math.hypot(arc.u.x, arc.u.y, arc.v.x, arc.v.y) / Math.SQRT2;
  if (radius === 0) return [arc.to];
  const tolerance = boundTolerance(radius * fineness.ellipseShare, fineness);
  const steps = Math.max(8, Math.ceil(Math.PI / Math.acos(1 - Math.min(0.5, tolerance / radius)) / 4) * 4);
  const angle = ((2 * Math.PI) / steps) * Math.sign(arc.until - arc.from);
  // Of the triangles round the middle of a unit circle eight have a side of 1 and one of `out`, the others two of `out`:
  // (8·out + (steps − 8)·out²)·sin(angle)/2 = π.
  const whole = (2 * Math.PI) / Math.sin(Math.abs(angle));
  const out = fineness.even ? (2 * whole) / (8 + Math.sqrt(64 + 4 * (steps - 8) * whole)) : 1;
  return Array.from({ length: steps }, (_, index) => {
    const reach = index % (steps / 4) === 0 ? 1 : out;
    const cosine = Math.cos(arc.from + index * angle) * reach,
      sine = Math.sin(arc.from + index * angle) * reach;
    return { x: arc.centre.x + arc.u.x * cosine + arc.v.x * sine, y: arc.centre.y + arc.u.y * cosine + arc.v.y * sine };
  });
}

function flattenArc(arc: Arc, { tolerance, even }: Way, push: (point: Point) => void): void {
  const sweep = arc.until - arc.from;
  const steps = countArcSteps(arc, tolerance);
  const reach = even ? 1 + sweep * sweep * pushOut(steps) : 1;
  for (let index = 1; index < steps; index++) {
    const angle = arc.from + (sweep * index) / steps;
    const cosine = Math.cos(angle) * reach,
      sine = Math.sin(angle) * reach;
    push({
      x: arc.centre.x + arc.u.x * cosine + arc.v.x * sine,
      y: arc.centre.y + arc.u.y * cosine + arc.v.y * sine,
    });
  }
  push(arc.to);
}
