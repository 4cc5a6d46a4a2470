// A picture traced to flat colours with shared edges: where two colours meet, both follow the very same curve.

import { contours as makeContours } from 'd3-contour';
import fitCurve from 'fit-curve';
import { topology } from 'topojson-server';
import { presimplify, simplify } from 'topojson-simplify';
import { fail, succeed, type Result, POINT_NOISE_MM } from '../../units';
import { EMPTY, findGround, flattenColours, removeSpeckles, type FlatPicture, type Pixels } from './flatten-colours';

export type TraceOptions = {
  /** 1 to 8. */
  readonly colours: number;
  /** Patches smaller than this are taken for dirt, pixels. */
  readonly specklePixels: number;
  /** 0 (every pixel's edge) to 1 (soft curves). */
  readonly smoothing: number;
  /** Leaves out the colour that most of the rim has. */
  readonly withoutGround: boolean;
};
export const TRACE_DEFAULTS: TraceOptions = { colours: 3, specklePixels: 12, smoothing: 0.5, withoutGround: true };
export type TraceProblem =
  | { readonly kind: 'empty-picture' }
  | { readonly kind: 'picture-too-large'; readonly pixels: number; readonly limit: number };

/** Larger pictures are to be scaled down before: their edges would not get truer. */
export const TRACE_PIXEL_LIMIT = 2_000_000;

type Arc = readonly (readonly [number, number])[];
type Topology = {
  readonly arcs: readonly Arc[];
  readonly objects: Readonly<Record<string, { readonly arcs: readonly (readonly (readonly number[])[])[] }>>;
};

/**
 * The tracing as an SVG file, a unit a pixel. Problems: nothing but ground, too many pixels. Cost about linear in the
 * pixels.
 */
export function traceImage(pixels: Pixels, options: TraceOptions): Result<string, TraceProblem> {
  if (pixels.width * pixels.height > TRACE_PIXEL_LIMIT)
    return fail({ kind: 'picture-too-large', pixels: pixels.width * pixels.height, limit: TRACE_PIXEL_LIMIT });
  const flat = removeSpeckles(
    flattenColours(pixels, options.colours + (options.withoutGround ? 1 : 0)),
    options.specklePixels,
  );
  const ground = options.withoutGround ? findGround(flat) : EMPTY;
  const shapes = outlineColours(flat).filter(({ label }) => label !== ground);
  if (shapes.length === 0) return fail({ kind: 'empty-picture' });
  const traced = topology(
    Object.fromEntries(shapes.map(({ label, geometry }) => [`c${label}`, geometry])),
  ) as unknown as Parameters<typeof presimplify>[0];
  // Visvalingam's weight is the area a point adds, in square pixels.
  const simple = simplify(presimplify(traced), 0.02 + options.smoothing * 2.2) as unknown as Topology;
  const curves = simple.arcs.map((arc) => fitArc(arc, 0.25 + options.smoothing * 1.8));
  const paths = shapes.map(({ label }) => {
    const data = (simple.objects[`c${label}`]?.arcs ?? [])
      .flatMap((polygon) => polygon.map((ring) => drawRing(ring, curves)))
      .join('');
    return `<path fill="${flat.colours[label]}" fill-rule="evenodd" d="${data}"/>`;
  });
  return succeed(
    `<svg xmlns="http://www.w3.org/2000/svg" width="${flat.width}" height="${flat.height}" viewBox="0 0 ${flat.width} ${flat.height}">\n${paths.join('\n')}\n</svg>\n`,
  );
}

function outlineColours(
  flat: FlatPicture,
): readonly { readonly label: number; readonly geometry: ReturnType<ReturnType<typeof makeContours>['contour']> }[] {
  const outline = makeContours().size([flat.width, flat.height]).smooth(true);
  return flat.colours.flatMap((_, label) => {
    const mask = Array.from(flat.labels, (own) => (own === label ? 1 : 0));
    const geometry = outline.contour(mask, 0.5);
    return geometry.coordinates.length > 0 ? [{ label, geometry }] : [];
  });
}

type Curve = {
  readonly start: readonly [number, number];
  readonly end: readonly [number, number];
  readonly forward: string;
  readonly backward: string;
};
const number = (value: number): string => String(Math.round(value * 100) / 100);
const pair = ([x, y]: readonly number[]): string => `${number(x!)} ${number(y!)}`;
/** A turn of more than this stays a corner, degrees. */
const CORNER_DEGREES = 55;

/** Cubic curves through an arc within `tolerance` pixels (Schneider 1990), broken at its corners; drawn either way. */
function fitArc(given: Arc, tolerance: number): Curve {
  const arc = beginOnLongestEdge(given);
  const pieces = splitAtCorners(sharpenCorners(arc)).flatMap((piece) =>
    fitCurve(
      piece.map((point) => [...point]),
      tolerance,
    ),
  );
  const start = arc[0]!,
    end = arc[arc.length - 1]!;
  return {
    start,
    end,
    forward: pieces.map(([, a, b, to]) => `C${pair(a!)} ${pair(b!)} ${pair(to!)}`).join(''),
    backward: [...pieces]
      .reverse()
      .map(([to, a, b]) => `C${pair(b!)} ${pair(a!)} ${pair(to!)}`)
      .join(''),
  };
}

/** A closed arc begun in the middle of its longest edge, so that no corner lies at its ends. */
function beginOnLongestEdge(arc: Arc): Arc {
  const last = arc[arc.length - 1]!;
  if (arc.length < 4 || gap(arc[0]!, last) > 0) return arc;
  let at = 0;
  for (let index = 0; index < arc.length - 1; index++)
    if (gap(arc[index]!, arc[index + 1]!) > gap(arc[at]!, arc[at + 1]!)) at = index;
  const [a, b] = [arc[at]!, arc[at + 1]!];
  const middle: Place = [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2];
  return [middle, ...arc.slice(at + 1, -1), ...arc.slice(0, at + 1), middle];
}

/**
 * Edges of pixels cut every corner off by half a pixel: where two long straight edges are joined so, the corner is put
 * back.
 */
function sharpenCorners(arc: Arc): Arc {
  const sharp: (readonly [number, number])[] = [];
  for (let at = 0; at < arc.length; at++) {
    const [a, b, c, d] = [arc[at - 1], arc[at]!, arc[at + 1], arc[at + 2]];
    const corner = a && c && d && isCutCorner(a, b, c, d) ? meet(a, b, c, d) : null;
    sharp.push(corner ?? b);
    if (corner) at++;
  }
  return sharp;
}

type Place = readonly [number, number];
const gap = (p: Place, q: Place) => Math.hypot(q[0] - p[0], q[1] - p[1]);
const LONG_EDGE = 3,
  SHORT_EDGE = 1.5;

function isCutCorner(a: Place, b: Place, c: Place, d: Place): boolean {
  if (gap(b, c) > SHORT_EDGE || gap(a, b) < LONG_EDGE || gap(c, d) < LONG_EDGE) return false;
  const first = Math.atan2(b[1] - a[1], b[0] - a[0]),
    last = Math.atan2(d[1] - c[1], d[0] - c[0]);
  const turn = Math.abs(Math.atan2(Math.sin(last - first), Math.cos(last - first)));
  return turn > (CORNER_DEGREES * Math.PI) / 180 && turn < (150 * Math.PI) / 180;
}

/** Where the line from a through b meets the line from d through c; null when they hardly do. */
function meet(a: Place, b: Place, c: Place, d: Place): Place | null {
  const ux = b[0] - a[0],
    uy = b[1] - a[1],
    vx = d[0] - c[0],
    vy = d[1] - c[1];
  const cross = ux * vy - uy * vx;
  if (Math.abs(cross) < POINT_NOISE_MM) return null;
  const t = ((c[0] - a[0]) * vy - (c[1] - a[1]) * vx) / cross;
  const at: Place = [a[0] + ux * t, a[1] + uy * t];
  return gap(at, b) < 2 * SHORT_EDGE ? at : null;
}

function splitAtCorners(arc: Arc): readonly Arc[] {
  const pieces: Arc[] = [];
  let from = 0;
  for (let at = 1; at < arc.length - 1; at++) {
    const [a, b, c] = [arc[at - 1]!, arc[at]!, arc[at + 1]!];
    const turn = Math.abs(
      Math.atan2(
        (b[0] - a[0]) * (c[1] - b[1]) - (b[1] - a[1]) * (c[0] - b[0]),
        (b[0] - a[0]) * (c[0] - b[0]) + (b[1] - a[1]) * (c[1] - b[1]),
      ),
    );
    if (turn < (CORNER_DEGREES * Math.PI) / 180) continue;
    pieces.push(arc.slice(from, at + 1));
    from = at;
  }
  return [...pieces, arc.slice(from)];
}

/** A ring is arcs in turn; ~i is arc i backwards (TopoJSON specification, 2.1.4). */
function drawRing(ring: readonly number[], curves: readonly Curve[]): string {
  const [first] = ring;
  if (first === undefined) return '';
  const begin = first < 0 ? curves[~first]!.end : curves[first]!.start;
  return `M${pair(begin)}${ring.map((index) => (index < 0 ? curves[~index]!.backward : curves[index]!.forward)).join('')}Z`;
}
