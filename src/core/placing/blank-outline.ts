// The outline of a blank, drawn to scale by us from its width and length laid flat. Proportions are those of ordinary
// ready-made clothing; mm, x from the middle line to the right as one looks at it, y down from the highest place.

import type { BlankShape, Datum } from '../materials';
import type { Point, Polyline } from '../geometry';

export type BlankSide = 'front' | 'back' | 'left sleeve' | 'right sleeve' | 'wall';

export type BlankOutline = {
  readonly side: BlankSide;
  /** Closed; the first point is not repeated. */
  readonly outline: Polyline;
  /** The same without its sleeves, whose edges are no edges of the front; left out where it has none. */
  readonly body?: Polyline;
  /** Open lines within it: seams, a zip, the edge of a pocket. */
  readonly lines: readonly Polyline[];
  /** How far down each thing that is measured from lies on the middle line. */
  readonly datums: Partial<Readonly<Record<Datum, number>>>;
  /** From the middle to the side seam, mm, where something on the breast is centred. */
  readonly halfWidthMm: number;
};
export type FlatSize = { readonly widthMm: number; readonly lengthMm: number };

export function drawBlank(shape: BlankShape, side: BlankSide, size: FlatSize): BlankOutline {
  if (side === 'left sleeve' || side === 'right sleeve') return drawSleeve(side, size, shape !== 't-shirt');
  switch (shape) {
    case 't-shirt':
      return drawBody(side, size, { isLong: false });
    case 'hoodie':
      return drawBody(side, size, { isLong: true, pocket: side === 'front' });
    case 'jacket':
      return drawBody(side, size, { isLong: true, zip: side === 'front' });
    case 'apron':
      return drawApron(size);
    case 'bag':
      return drawBag(side, size);
    case 'hat':
      return drawHat(size);
    case 'trousers':
      return drawTrousers(side, size);
    case 'bandana':
      return drawBandana(size);
    case 'cup':
    case 'tin':
      return drawRectangle('wall', size, { rim: 0 });
    case 'cloth':
    case 'flat thing':
      return drawRectangle('front', size, { 'top edge': 0, hem: size.lengthMm });
    default:
      return shape satisfies never;
  }
}

const at = (x: number, y: number): Point => ({ x, y });
/** The other half, from the bottom of the middle line back up. */
const mirror = (half: Polyline): Polyline => half.map(({ x, y }) => at(-x, y)).reverse();
const CURVE_STEPS = 12;
/** Quadratic curve, its first point left out. */
const curve = (from: Point, pull: Point, to: Point): Polyline =>
  Array.from({ length: CURVE_STEPS }, (_, index) => {
    const t = (index + 1) / CURVE_STEPS;
    const mix = (a: number, b: number, c: number) => (1 - t) ** 2 * a + 2 * t * (1 - t) * b + t ** 2 * c;
    return at(mix(from.x, pull.x, to.x), mix(from.y, pull.y, to.y));
  });

type BodyParts = { readonly isLong: boolean; readonly pocket?: boolean; readonly zip?: boolean };

/** Shirt, hoodie or jacket; shares of the chest's width. */
function drawBody(
  side: BlankSide,
  { widthMm: w, lengthMm }: FlatSize,
  { isLong, pocket, zip }: BodyParts,
): BlankOutline {
  const neckY = (side === 'back' ? 0.045 : isLong ? 0.14 : 0.17) * w;
  const neck = at(0.17 * w, 0);
  const shoulder = at(0.44 * w, 0.085 * w);
  const armpit = at(0.5 * w, 0.4 * w);
  const sleeve = isLong
    ? [at(0.66 * w, 0.5 * w), at(0.74 * w, 1.14 * w), at(0.6 * w, 1.16 * w), at(0.53 * w, 0.62 * w)]
    : [at(0.7 * w, 0.36 * w), at(0.59 * w, 0.46 * w)];
  const toShoulder = [...curve(at(0, neckY), at(0.15 * w, neckY), neck), shoulder];
  const toHem = [armpit, at(0.5 * w, lengthMm)];
  const half = [...toShoulder, ...sleeve, ...toHem];
  const armhole = at(0.455 * w, 0.25 * w);
  const body = [...toShoulder, armhole, ...toHem];
  return {
    side: side === 'back' ? 'back' : 'front',
    outline: [at(0, neckY), ...half, ...mirror(half)],
    body: [at(0, neckY), ...body, ...mirror(body)],
    lines: [
      ...bothSides([shoulder, armhole, armpit]),
      ...(zip ? [[at(0, neckY), at(0, lengthMm)]] : []),
      ...(pocket ? [kangarooPocket(w, lengthMm)] : []),
    ],
    datums: { neckline: neckY, collar: neckY, 'shoulder seam': 0, 'top edge': 0, hem: lengthMm },
    halfWidthMm: w / 2,
  };
}

const bothSides = (line: Polyline): readonly Polyline[] => [line, line.map(({ x, y }) => at(-x, y))];
const kangarooPocket = (w: number, lengthMm: number): Polyline => {
  const top = lengthMm - 0.42 * w;
  const half = [at(0.19 * w, top), at(0.32 * w, top + 0.2 * w), at(0.32 * w, lengthMm - 0.06 * w)];
  return [...half.map(({ x, y }) => at(-x, y)).reverse(), ...half, at(-0.32 * w, lengthMm - 0.06 * w)];
};

/** Folded along the shoulder: the middle line is the fold. */
function drawSleeve(side: BlankSide, { widthMm: w }: FlatSize, isLong: boolean): BlankOutline {
  const lengthMm = (isLong ? 1.12 : 0.42) * w;
  const half = [at(0.2 * w, 0.06 * w), at(0.36 * w, 0.24 * w), at((isLong ? 0.16 : 0.31) * w, lengthMm)];
  return {
    side,
    outline: [at(0, 0), ...half, ...mirror(half)],
    lines: [],
    datums: { 'shoulder seam': 0, 'top edge': 0, hem: lengthMm },
    halfWidthMm: 0.3 * w,
  };
}

function drawApron({ widthMm: w, lengthMm }: FlatSize): BlankOutline {
  const bib = 0.19 * w;
  const waist = 0.34 * lengthMm;
  const half = [at(bib, 0), ...curve(at(bib, 0), at(bib, waist), at(w / 2, waist)), at(w / 2, lengthMm)];
  return {
    side: 'front',
    outline: [...half, ...mirror(half)],
    lines: [
      [
        at(-0.2 * w, 0.46 * lengthMm),
        at(-0.2 * w, 0.7 * lengthMm),
        at(0.2 * w, 0.7 * lengthMm),
        at(0.2 * w, 0.46 * lengthMm),
        at(-0.2 * w, 0.46 * lengthMm),
      ],
    ],
    datums: { 'top edge': 0, hem: lengthMm },
    halfWidthMm: bib,
  };
}

function drawBag(side: BlankSide, { widthMm: w, lengthMm }: FlatSize): BlankOutline {
  const handle = 0.24 * lengthMm;
  const top: Polyline = [at(0.26 * w, 0), ...curve(at(0.26 * w, 0), at(0.24 * w, -handle), at(0, -handle))];
  return {
    ...drawRectangle('front', { widthMm: w, lengthMm }, { 'top edge': 0, hem: lengthMm }),
    side,
    lines: [[...top, ...mirror(top)]],
  };
}

/** The front, as one looks at it: a dome over its brim. */
function drawHat({ widthMm: w, lengthMm }: FlatSize): BlankOutline {
  const half = [...curve(at(0, 0), at(0.46 * w, 0), at(w / 2, lengthMm)), at(0.56 * w, lengthMm + 0.02 * w)];
  const brim = curve(half.at(-1)!, at(0.5 * w, lengthMm + 0.24 * w), at(0, lengthMm + 0.26 * w));
  return {
    side: 'front',
    outline: [at(0, 0), ...half, ...brim, ...mirror([...half, ...brim])],
    lines: [[at(-w / 2, lengthMm), at(w / 2, lengthMm)]],
    datums: { 'top edge': 0, rim: lengthMm },
    halfWidthMm: w / 2,
  };
}

function drawTrousers(side: BlankSide, { widthMm: w, lengthMm }: FlatSize): BlankOutline {
  const crotch = 0.3 * lengthMm;
  const half = [
    at(0.5 * w, 0),
    at(0.58 * w, crotch),
    at(0.5 * w, lengthMm),
    at(0.12 * w, lengthMm),
    at(0.02 * w, crotch),
  ];
  return {
    side,
    outline: [...half, ...mirror(half)],
    lines: [[at(0, 0), at(0, crotch)]],
    datums: { 'top edge': 0, hem: lengthMm, 'side seam': 0 },
    halfWidthMm: 0.58 * w,
  };
}

/** Its long edge round the neck, its point down. */
const drawBandana = ({ widthMm: w, lengthMm }: FlatSize): BlankOutline => ({
  side: 'front',
  outline: [at(-w / 2, 0), at(w / 2, 0), at(0, lengthMm)],
  lines: [],
  datums: { 'top edge': 0, neckline: 0, point: lengthMm },
  halfWidthMm: w / 2,
});

const drawRectangle = (
  side: BlankSide,
  { widthMm: w, lengthMm }: FlatSize,
  datums: BlankOutline['datums'],
): BlankOutline => ({
  side,
  outline: [at(-w / 2, 0), at(w / 2, 0), at(w / 2, lengthMm), at(-w / 2, lengthMm)],
  lines: [],
  datums,
  halfWidthMm: w / 2,
});
