// Round a wall: who sees it, how far from the lip, and how a straight drawing is bent so that it lies level on a taper.

import type { CutLayer, CutPath } from '../artwork';
import { boundPoints, distance, type Point, type Polyline } from '../geometry';
import { tellSlant, type Curve } from '../materials';
import { figure, type Figure } from '../units';
import type { PlacedArtwork } from './place-artwork';

/** Where a drawing lies on the wall: straight up, mm from the upper edge of the wall to the drawing's own middle. */
export type OnWall = {
  readonly curve: Curve;
  /** Height of the wall between the two diameters, straight up. */
  readonly wallHeightMm: number;
  readonly middleMm: number;
};

export type Bend = {
  /** Of the arc on which the drawing's middle line lies, on the wall laid flat. */
  readonly radius: Figure;
  /** 1 where the ends of the arc point down, −1 up. */
  readonly sense: 1 | -1;
};

/** Less taper than this and no strip shows. */
const LEAST_TAPER_MM = 0.5;

/**
 * Null where the wall is straight. Development of a truncated cone: with slant s = √(h² + ((D − d) ÷ 2)²), a circle of
 * diameter q lies on an arc of radius s·q ÷ (D − d).
 */
export function planBend({ curve, wallHeightMm, middleMm }: OnWall): Bend | null {
  const { topMm, bottomMm } = curve;
  const taper = Math.abs(topMm - bottomMm);
  if (taper < LEAST_TAPER_MM) return null;
  const slant = tellSlant(curve, wallHeightMm);
  const diameter = topMm + ((bottomMm - topMm) * middleMm) / wallHeightMm;
  return {
    sense: topMm > bottomMm ? 1 : -1,
    radius: figure('Radius of its middle line', (slant.value * diameter) / taper, 'mm', 'computed', {
      how: 'slant × diameter there ÷ (wider − narrower diameter): the cone laid flat',
      parts: [slant, figure('Diameter at its middle', diameter, 'mm', 'computed')],
    }),
  };
}

/** For an artwork at its place; null where its wall is straight, or not round. */
export function planBendOf({ area, drop, box }: Pick<PlacedArtwork, 'area' | 'drop' | 'box'>): Bend | null {
  if (!area?.curve) return null;
  const middleMm = drop.value - area.dropMm + box.height / 2;
  return planBend({ curve: area.curve, wallHeightMm: area.heightMm, middleMm });
}

/**
 * A straight drawing on the arc: its middle line keeps its length, uprights stay upright on the wall. Coordinates of the
 * drawing, mm from its upper left corner; `size` is its own. Of the bent drawing: mm from the same middle.
 */
export function bendPoint({ x, y }: Point, size: Size, bend: Bend): Point {
  const radius = bend.radius.value;
  const along = x - size.width / 2;
  const down = y - size.height / 2;
  const angle = along / radius;
  const reach = radius - bend.sense * down;
  return { x: reach * Math.sin(angle), y: bend.sense * (radius - reach * Math.cos(angle)) };
}

/** How much lower (or higher) its ends come to lie than its middle: what a straight strip would smile by. */
export const tellSag = (widthMm: number, bend: Bend): Figure =>
  figure(
    'A straight strip would be off by',
    bend.radius.value * (1 - Math.cos(widthMm / 2 / bend.radius.value)),
    'mm',
    'computed',
    {
      how: 'radius × (1 − cos(half its width ÷ radius))',
      parts: [bend.radius, figure('Width', widthMm, 'mm', 'measured')],
    },
  );

/** Off by less than this, a strip looks level. */
const LEVEL_MM = 0.5;

/** Transfer tape that lies straight is slit so often along its edge: between two slits it may be off by half a mm. */
export const spaceSlits = (bend: Bend): Figure =>
  figure('A slit every', Math.sqrt(8 * bend.radius.value * LEVEL_MM), 'mm', 'computed', {
    how: '√(8 × radius × 0.5 mm): between two slits the tape is off by half a mm',
    parts: [bend.radius],
  });

/**
 * A layer as it goes to the knife, bent. All layers of an artwork have the same size, so that they still lie on one
 * another; mirrored ones bend alike, for the arc is the same on both sides of its middle.
 */
export function bendLayer(layer: CutLayer, bend: Bend): CutLayer {
  const size = { width: layer.widthMm, height: layer.heightMm };
  const box = boundPoints([bendRing(rectangle(size), size, bend)])!;
  const shift = (line: Polyline): Polyline => line.map(({ x, y }) => ({ x: x - box.x, y: y - box.y }));
  const bendPath = (path: CutPath): CutPath => ({
    ...path,
    points: shift(path.open ? bendOpen(path.points, size, bend) : bendRing(path.points, size, bend)),
  });
  return {
    ...layer,
    widthMm: box.width,
    heightMm: box.height,
    paths: layer.paths.map(bendPath),
    ...(layer.pen ? { pen: layer.pen.map(bendPath) } : {}),
  };
}

type Size = { readonly width: number; readonly height: number };
const rectangle = ({ width, height }: Size): Polyline => [
  { x: 0, y: 0 },
  { x: width, y: 0 },
  { x: width, y: height },
  { x: 0, y: height },
];

/** A chord of a bent line is nowhere further than this from the arc; finer than a knife follows. */
const BEND_TOLERANCE_MM = 0.01;

/** Long straight lines get points between, so that they bend too. */
const bendRing = (ring: Polyline, size: Size, bend: Bend): Polyline =>
  ring.flatMap((from, index) => bendSegment(from, ring[(index + 1) % ring.length]!, size, bend));

const bendOpen = (line: Polyline, size: Size, bend: Bend): Polyline => [
  ...line.slice(0, -1).flatMap((from, index) => bendSegment(from, line[index + 1]!, size, bend)),
  ...line.slice(-1).map((point) => bendPoint(point, size, bend)),
];

/** Without its end. */
function bendSegment(from: Point, to: Point, size: Size, bend: Bend): Polyline {
  const mostMm = Math.sqrt(8 * bend.radius.value * BEND_TOLERANCE_MM);
  const count = Math.max(1, Math.ceil(distance(from, to) / mostMm));
  return Array.from({ length: count }, (_, step) => {
    const share = step / count;
    return bendPoint({ x: from.x + (to.x - from.x) * share, y: from.y + (to.y - from.y) * share }, size, bend);
  });
}
