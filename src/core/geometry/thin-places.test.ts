import { describe, expect, it } from 'vitest';
import {
  fillRegion,
  findThinGaps,
  findThinStrokes,
  flattenContour,
  splitPieces,
  type Contour,
  type Point,
} from './index';

const polygon = (...points: readonly (readonly [number, number])[]): Point[] => points.map(([x, y]) => ({ x, y }));
const circle = (x: number, y: number, radius: number): readonly Point[] =>
  flattenContour({
    start: { x: x + radius, y },
    closed: true,
    segments: [
      {
        kind: 'arc',
        centre: { x, y },
        u: { x: radius, y: 0 },
        v: { x: 0, y: radius },
        from: 0,
        until: 2 * Math.PI,
        to: { x: x + radius, y },
      },
    ],
  } satisfies Contour);
const pieces = (...rings: (readonly Point[])[]) => splitPieces(fillRegion(rings, 'evenodd'));
const box = (x: number, y: number, width: number, height: number) =>
  polygon([x, y], [x + width, y], [x + width, y + height], [x, y + height]);
/** An hourglass of two curves whose waist is 2 mm wide. */
const hourglass = flattenContour({
  start: { x: 0, y: 0 },
  closed: true,
  segments: [
    { kind: 'line', to: { x: 50, y: 0 } },
    { kind: 'cubic', control1: { x: 30, y: 40 }, control2: { x: 26, y: 45 }, to: { x: 26, y: 50 } },
    { kind: 'cubic', control1: { x: 26, y: 55 }, control2: { x: 30, y: 60 }, to: { x: 50, y: 100 } },
    { kind: 'line', to: { x: 0, y: 100 } },
    { kind: 'cubic', control1: { x: 20, y: 60 }, control2: { x: 24, y: 55 }, to: { x: 24, y: 50 } },
    { kind: 'cubic', control1: { x: 24, y: 45 }, control2: { x: 20, y: 40 }, to: { x: 0, y: 0 } },
  ],
});
/** Within 0.05 mm or 2 %. */
const near = (found: number | undefined, expected: number) =>
  expect(Math.abs((found ?? NaN) - expected)).toBeLessThanOrEqual(Math.max(0.05, expected * 0.02));

describe('the thinnest stroke', () => {
  it.each([
    ['a disc: its diameter', pieces(circle(50, 50, 20)), 40],
    ['a ring: its band', pieces(circle(50, 50, 20), circle(50, 50, 18.5)), 1.5],
    ['an eccentric ring: its narrow side', pieces(circle(50, 50, 20), circle(51, 50, 18)), 1],
    ['a bar: its short side', pieces(box(0, 0, 60, 7)), 7],
    ['a square: its side', pieces(box(0, 0, 20, 20)), 20],
    ['a turned bar', pieces(polygon([0, 0], [40, 30], [38.2, 32.4], [-1.8, 2.4])), 3],
    [
      'a cross: its arm',
      pieces(
        polygon(
          [8, 0],
          [11, 0],
          [11, 8],
          [19, 8],
          [19, 11],
          [11, 11],
          [11, 19],
          [8, 19],
          [8, 11],
          [0, 11],
          [0, 8],
          [8, 8],
        ),
      ),
      3,
    ],
    [
      'an E: its arms',
      pieces(
        polygon(
          [0, 0],
          [30, 0],
          [30, 4],
          [8, 4],
          [8, 24],
          [26, 24],
          [26, 28],
          [8, 28],
          [8, 48],
          [30, 48],
          [30, 52],
          [0, 52],
        ),
      ),
      4,
    ],
    ['an hourglass: its waist', pieces(hourglass), 2],
    [
      'a plate with a small hole near its edge: what is left between',
      pieces(box(0, 0, 60, 60), circle(8, 30, 1.5)),
      6.5,
    ],
    ['a lattice: its thinnest bar', pieces(box(0, 0, 50, 50), box(3, 3, 20, 44), box(24.6, 3, 22, 44)), 1.6],
    ['a triangle: the circle in it', pieces(polygon([0, 0], [40, 0], [20, 30])), 21.36],
    ['two discs: the smaller', pieces(circle(0, 0, 4), circle(30, 0, 1.1)), 2.2],
  ])('%s', (_, shape, expected) => near(findThinStrokes(shape).thinnest?.widthMm, expected));

  it('does not take the tip of a spike for a stroke', () => {
    near(findThinStrokes(pieces(polygon([0, 0], [30, 5], [0, 10]))).thinnest?.widthMm, 8.5);
  });

  it('lists the places below a floor where they are, not others', () => {
    const shape = pieces(
      polygon(
        [0, 0],
        [20, 0],
        [20, 9],
        [40, 9],
        [40, 0],
        [60, 0],
        [60, 20],
        [40, 20],
        [40, 10],
        [20, 10],
        [20, 20],
        [0, 20],
      ),
    );
    const { places } = findThinStrokes(shape, 2);
    expect(places.length).toBeGreaterThan(3);
    for (const place of places) {
      near(place.widthMm, 1);
      expect(place.x).toBeGreaterThan(19);
      expect(place.x).toBeLessThan(41);
      near(place.y, 9.5);
    }
    expect(findThinStrokes(shape, 0.9).places).toEqual([]);
  });
});

describe('the narrowest gap', () => {
  it.each([
    ['between two discs', pieces(circle(10, 10, 5), circle(21.2, 10, 5)), 1.2],
    [
      'between two tips',
      pieces(polygon([10, 0], [15, 10], [10, 20], [5, 10]), polygon([20.7, 0], [25.7, 10], [20.7, 20], [15.7, 10])),
      0.7,
    ],
    ['between a tip and an edge', pieces(polygon([0, 0], [10, 5], [0, 10]), box(10.6, -20, 4, 50)), 0.6],
    [
      'across a slot',
      pieces(polygon([0, 0], [20, 0], [20, 9.4], [5, 9.4], [5, 10.3], [20, 10.3], [20, 20], [0, 20])),
      0.9,
    ],
    ['across a round cavity', pieces(box(0, 0, 40, 40), circle(20, 20, 3)), 6],
  ])('%s', (_, shape, expected) => near(findThinGaps(shape).thinnest?.widthMm, expected));

  it('lies within one cavity, or around what lies in it: not across the bridge between two', () => {
    // Two round cavities 0.3 mm apart, in the second an island that nearly reaches its edge.
    const lace = [box(0, 0, 60, 40), circle(20, 20, 8), circle(36.3, 20, 8)];
    near(findThinStrokes(pieces(...lace)).thinnest?.widthMm, 0.3);
    near(findThinGaps(pieces(...lace)).thinnest?.widthMm, 16);
    near(findThinGaps(pieces(...lace, circle(39, 20, 4.5))).thinnest?.widthMm, 0.8);
  });

  it('is none around a single bar', () => {
    expect(findThinGaps(pieces(box(0, 0, 60, 7))).thinnest).toBeNull();
    expect(findThinStrokes([]).thinnest).toBeNull();
  });
});

describe('in a crowd of shapes', () => {
  // Wavy blobs on a grid, each turned and sized a little differently: every one has neighbours to come near to.
  const blob = (x: number, y: number, index: number) =>
    Array.from({ length: 120 }, (_, k) => {
      const angle = (k / 120) * 2 * Math.PI,
        radius = 2.2 * (1 + 0.2 * Math.sin((3 + (index % 4)) * angle + index));
      return { x: x + radius * Math.cos(angle), y: y + radius * Math.sin(angle) };
    });
  const crowd = Array.from({ length: 400 }, (_, index) => blob((index % 20) * 6, Math.floor(index / 20) * 6, index));

  it('finds the narrowest gap that comparing every point with every neighbour finds', () => {
    let least = Infinity;
    crowd.forEach((one, index) =>
      crowd.slice(index + 1).forEach((other) => {
        if (Math.hypot(one[0]!.x - other[0]!.x, one[0]!.y - other[0]!.y) > 14) return;
        for (const a of one) for (const b of other) least = Math.min(least, Math.hypot(a.x - b.x, a.y - b.y));
      }),
    );
    expect(Math.abs(findThinGaps(pieces(...crowd)).thinnest!.widthMm - least)).toBeLessThan(0.02);
  });

  it('finds the one thin stroke among many thick ones', () => {
    const shape = pieces(...crowd, box(130, 10, 12, 0.7));
    const { thinnest } = findThinStrokes(shape);
    near(thinnest!.widthMm, 0.7);
    expect(thinnest!.x).toBeGreaterThan(129);
  });

  it('lists the thin places of every copy, where each copy is', () => {
    const neck = (x: number) =>
      polygon(
        [x, 0],
        [x + 10, 0],
        [x + 10, 4.5],
        [x + 15, 4.5],
        [x + 15, 0],
        [x + 25, 0],
        [x + 25, 10],
        [x + 15, 10],
        [x + 15, 5.5],
        [x + 10, 5.5],
        [x + 10, 10],
        [x, 10],
      );
    const { places } = findThinStrokes(pieces(neck(0), neck(40), neck(80)), 2);
    for (const left of [10, 50, 90])
      expect(places.some((place) => place.x > left && place.x < left + 5 && Math.abs(place.widthMm - 1) < 0.02)).toBe(
        true,
      );
    const rings = pieces(circle(10, 10, 5), circle(10, 10, 4.2), circle(30, 10, 5), circle(30, 10, 4.2));
    for (const x of [10, 30])
      expect(
        findThinStrokes(rings, 2).places.some(
          (place) => Math.abs(place.x - x) < 6 && Math.abs(place.widthMm - 0.8) < 0.02,
        ),
      ).toBe(true);
  });
});

describe('in a large drawing', () => {
  // Of so many corners and curves that they are looked at in coarser steps.
  const star = (x: number, y: number) =>
    Array.from({ length: 20 }, (_, k) => {
      const angle = (k / 20) * 2 * Math.PI,
        radius = k % 2 ? 1.2 : 2;
      return { x: x + radius * Math.cos(angle), y: y + radius * Math.sin(angle) };
    });
  const side = 70;
  const stars = Array.from({ length: side * side }, (_, at) =>
    star((at % side) * 6 + 3, Math.floor(at / side) * 6 + 3),
  );
  const sheet = box(0, 0, side * 6, side * 6);

  it('the bridge between two holes and the one beside the edge are found as by themselves', () => {
    const between = pieces(sheet, ...stars, box(100.4, 102.2, 3.3, 1.6));
    const byItself = pieces(box(96, 96, 12, 12), star(99, 105), star(105, 105), box(100.4, 102.2, 3.3, 1.6));
    expect(findThinStrokes(between).thinnest!.widthMm).toBeCloseTo(findThinStrokes(byItself).thinnest!.widthMm, 3);
    near(findThinStrokes(pieces(sheet, ...stars, box(0.25, 200.2, 3, 1.6))).thinnest?.widthMm, 0.25);
  });

  it('a slot in from the edge, and what reaches into a hole from it', () => {
    const slotted = polygon(
      [0, 0],
      [side * 6, 0],
      [side * 6, 216],
      [side * 6 - 8, 216],
      [side * 6 - 8, 216.3],
      [side * 6, 216.3],
      [side * 6, side * 6],
      [0, side * 6],
    );
    near(findThinGaps(pieces(slotted, ...stars)).thinnest?.widthMm, 0.3);
    // An island in a hole of the sheet, which is one of many rings of the air.
    const island = [box(418.2, 418.2, 1.4, 1.4), box(418.4, 418.4, 1, 1)];
    near(findThinGaps(pieces(sheet, ...stars, ...island)).thinnest?.widthMm, 0.2);
  });
});

it('what lies in one cavity is not found in its copies', () => {
  const frames = pieces(
    circle(20, 20, 18),
    circle(20, 20, 12),
    circle(20, 20, 11),
    circle(80, 20, 18),
    circle(80, 20, 12),
  );
  const { places } = findThinGaps(frames, 2);
  expect(places.length).toBeGreaterThan(0);
  for (const place of places) expect(place.x).toBeLessThan(40);
});

it('scales with the shape', () => {
  const scaled = (k: number) =>
    findThinStrokes(pieces(hourglass.map((point) => ({ x: point.x * k, y: point.y * k })))).thinnest!.widthMm / k;
  for (const k of [0.2, 1, 7]) near(scaled(k), 2);
});
