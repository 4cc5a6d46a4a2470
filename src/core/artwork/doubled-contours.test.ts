import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Point, Polyline } from '../geometry';
import { DOUBLED_WITHIN_MM, findDoubledContours } from './doubled-contours';
import { computeSafeWidth, DETAIL_CLASSES, DETAIL_FLOORS } from './detail-floors';

const box = (x: number, y: number, width: number, height: number): Polyline => [
  { x, y },
  { x: x + width, y },
  { x: x + width, y: y + height },
  { x, y: y + height },
];
const wave = (x: number, y: number, size: number): Polyline =>
  Array.from({ length: 60 }, (_, k): Point => ({
    x: x + size * (1 + 0.2 * Math.sin((k / 60) * 8 * Math.PI)) * Math.cos((k / 60) * 2 * Math.PI),
    y: y + size * Math.sin((k / 60) * 2 * Math.PI),
  }));
const startElsewhere = (line: Polyline, at: number): Polyline => [...line.slice(at), ...line.slice(0, at)];

describe('doubled contours', () => {
  it('are found whichever way they run and wherever they start; the first of each stays', () => {
    const line = wave(50, 50, 20);
    expect(findDoubledContours([line, box(0, 0, 10, 10), [...line].reverse(), startElsewhere(line, 17)])).toEqual([
      2, 3,
    ]);
    expect(findDoubledContours([line])).toEqual([]);
    expect(findDoubledContours([])).toEqual([]);
  });

  it('may lie a hair apart, but no further', () => {
    expect(findDoubledContours([box(0, 0, 40, 30), box(0.15, 0.1, 40, 30)])).toEqual([1]);
    expect(findDoubledContours([box(0, 0, 40, 30), box(0.13, 0.13, 39.74, 29.74)])).toEqual([1]);
    expect(findDoubledContours([box(0, 0, 40, 30), box(0.4, 0, 40, 30)])).toEqual([]);
    expect(findDoubledContours([box(0, 0, 40, 30), box(0.4, 0, 40, 30)], 0.5)).toEqual([1]);
  });

  it('are not shapes that share a box, nor tiny ones side by side', () => {
    const diamond: Polyline = [
      { x: 20, y: 0 },
      { x: 40, y: 15 },
      { x: 20, y: 30 },
      { x: 0, y: 15 },
    ];
    expect(findDoubledContours([box(0, 0, 40, 30), diamond])).toEqual([]);
    expect(findDoubledContours([box(0, 0, 0.1, 0.1), box(0.15, 0, 0.1, 0.1)])).toEqual([]);
  });

  it('are as many as were pasted again', () => {
    const placed = fc.uniqueArray(fc.tuple(fc.integer({ min: 0, max: 12 }), fc.integer({ min: 0, max: 12 })), {
      minLength: 1,
      maxLength: 15,
      selector: ([x, y]) => `${x}/${y}`,
    });
    fc.assert(
      fc.property(placed, fc.array(fc.tuple(fc.nat(), fc.nat(), fc.boolean()), { maxLength: 8 }), (places, pasted) => {
        const originals = places.map(([x, y], index) => wave(x * 30, y * 30, 6 + (index % 5)));
        const copies = pasted.map(([which, start, turned]) => {
          const line = startElsewhere(originals[which % originals.length]!, start % 60).map((point) => ({
            x: point.x + DOUBLED_WITHIN_MM / 3,
            y: point.y,
          }));
          return turned ? line.reverse() : line;
        });
        expect(findDoubledContours([...originals, ...copies])).toEqual(
          copies.map((_, index) => originals.length + index),
        );
      }),
      { numRuns: 60 },
    );
  });
});

describe('the width from which a drawing holds', () => {
  const layer = (stroke: number | null, gap: number | null) =>
    ({
      thinnestStroke: stroke === null ? null : { widthMm: stroke, x: 0, y: 0 },
      thinnestGap: gap === null ? null : { widthMm: gap, x: 0, y: 0 },
    }) as never;
  it('is that of the worst detail of all layers', () => {
    const measured = { widthMm: 100, layers: [layer(2, 4), layer(0.5, null)] };
    expect(computeSafeWidth(measured, DETAIL_FLOORS.smooth)).toBeCloseTo(200, 9);
    expect(computeSafeWidth(measured, DETAIL_FLOORS.puff)).toBeCloseTo(600, 9);
    expect(computeSafeWidth({ widthMm: 100, layers: [layer(null, 0.4)] }, DETAIL_FLOORS.smooth)).toBeCloseTo(200, 9);
    expect(computeSafeWidth({ widthMm: 100, layers: [layer(null, null)] }, DETAIL_FLOORS.smooth)).toBeNull();
  });

  it('has a floor for every class, none finer than a knife', () => {
    for (const name of DETAIL_CLASSES)
      expect(Math.min(DETAIL_FLOORS[name].strokeMm, DETAIL_FLOORS[name].gapMm)).toBeGreaterThanOrEqual(0.5);
  });
});
