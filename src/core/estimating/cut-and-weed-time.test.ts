import { describe, expect, it } from 'vitest';
import { PLAIN_VINYL } from '../../../test/worked-example';
import { measureArtwork, readDrawing, type LayerMeasurement } from '../artwork';
import { DEFAULT_SHOP_FIGURES } from '../materials';
import { figure } from '../units';
import { estimateCutHandsSeconds, estimateCutSeconds, estimateWeedSeconds, sumSmallness } from './index';

const MINUTE = 60;
const shop = DEFAULT_SHOP_FIGURES;

/** A layer of one colour, drawn in mm. */
function measure(widthMm: number, heightMm: number, body: string): LayerMeasurement {
  const text = `<svg xmlns="http://www.w3.org/2000/svg" width="${widthMm}mm" height="${heightMm}mm" viewBox="0 0 ${widthMm} ${heightMm}">${body}</svg>`;
  const read = readDrawing(text);
  if (!read.ok) throw new Error(read.problem.kind);
  const measured = measureArtwork(read.value, { widthMm });
  if (!measured.ok) throw new Error(measured.problem.kind);
  return measured.value.layers[0]!;
}
const grid = (columns: number, rows: number, stepMm: number, draw: (x: number, y: number) => string) =>
  Array.from({ length: columns * rows }, (_, at) =>
    draw((at % columns) * stepMm + stepMm / 2, Math.floor(at / columns) * stepMm + stepMm / 2),
  ).join('');
/** Dots at the outer corners keep the drawing as wide as it says. */
const dots = (columns: number, rows: number, diameterMm: number, stepMm = diameterMm * 1.6) => {
  const width = (columns - 1) * stepMm + diameterMm;
  const body = grid(columns, rows, stepMm, (x, y) => `<circle cx="${x}" cy="${y}" r="${diameterMm / 2}"/>`);
  return measure(width, rows * stepMm, body);
};
const lace = (columns: number, rows: number, holeMm: number) =>
  measure(
    400,
    300,
    `<path fill-rule="evenodd" d="M0 0H400V300H0Z${grid(columns, rows, 400 / columns, (x, y) => {
      const r = holeMm / 2;
      return `M${x - r} ${y}a${r} ${r} 0 1 0 ${holeMm} 0a${r} ${r} 0 1 0 ${-holeMm} 0Z`;
    })}"/>`,
  );
const weedMinutes = (layer: LayerMeasurement) => estimateWeedSeconds(layer, PLAIN_VINYL, shop).value / MINUTE;
const cutMinutes = (layer: LayerMeasurement, cutterSpeed = shop.cutterSpeed) =>
  estimateCutSeconds(layer, { ...shop, cutterSpeed }).value / MINUTE;

describe('weeding has no cliff', () => {
  it('600 dots a hair smaller take about as long: what stays costs nothing by itself', () => {
    const larger = weedMinutes(dots(30, 20, 2.3));
    const smaller = weedMinutes(dots(30, 20, 2.2));
    expect(larger / smaller).toBeGreaterThan(0.9);
    expect(larger / smaller).toBeLessThan(1.1);
    expect(larger).toBeLessThan(4);
  });

  it('holes take the longer the smaller they are, without a jump', () => {
    const of = (holeMm: number) => sumSmallness({ cavityAreasMm2: [(Math.PI * holeMm ** 2) / 4] });
    const sizes = Array.from({ length: 200 }, (_, at) => 0.2 + at * 0.1).map(of);
    for (const [at, smallness] of sizes.entries()) {
      expect(smallness).toBeGreaterThan(0);
      expect(smallness).toBeLessThanOrEqual(1);
      if (at > 0) expect(sizes[at - 1]! - smallness).toBeGreaterThan(0);
      if (at > 0) expect(sizes[at - 1]! - smallness).toBeLessThan(0.08);
    }
    // Half of it at 4 mm², a hole of 2.26 mm.
    expect(of(Math.sqrt(16 / Math.PI))).toBeCloseTo(0.5, 9);
  });
});

describe('how far it may be off, and what it rests on', () => {
  const layer = measure(40, 20, '<rect width="40" height="20"/>');

  it('a machine’s own time lies within a fifth; hands within what the shop says of good and bad days', () => {
    const cut = estimateCutSeconds(layer, shop);
    expect(cut.low! / cut.value).toBeCloseTo(0.85, 9);
    expect(cut.high! / cut.value).toBeCloseTo(1.2, 9);
    const own = { ...shop, cutterLoadSeconds: 90, cutterWatchSeconds: 60, cutHandsLeast: 0.5, cutHandsMost: 3 };
    const loads = figure('Loads', 2, 'count', 'computed');
    // Twice 90 s and 60 s of watching.
    expect(estimateCutHandsSeconds({ machineSeconds: 500, loads }, own)).toMatchObject({
      value: 240,
      low: 120,
      high: 720,
    });
    const weed = estimateWeedSeconds(layer, PLAIN_VINYL, { ...shop, weedLeast: 0.4, weedMost: 2.5 });
    expect([weed.low! / weed.value, weed.high! / weed.value]).toEqual([0.4, 2.5].map((at) => expect.closeTo(at, 9)));
  });

  it('says whether the floor of the vinyl is ordinary for its kind or the shop’s own', () => {
    const sourceOf = (strokeMm: number | null): unknown => {
      const vinyl = { ...PLAIN_VINYL, details: { ...PLAIN_VINYL.details, strokeMm } };
      const parts = estimateWeedSeconds(layer, vinyl, shop).parts!.flatMap((part) => [part, ...(part.parts ?? [])]);
      return parts.find(({ label }) => label.startsWith('Thinnest stroke'))!.source;
    };
    expect([sourceOf(null), sourceOf(1.4)]).toEqual(['default', 'shop']);
  });
});

// The table of docs/architecture.md, "What a job takes".
describe('jobs that a practitioner knows take what they take', () => {
  it('5,000 dots of 3 mm', () => {
    const field = dots(100, 50, 3);
    expect(cutMinutes(field)).toBeGreaterThan(35);
    expect(cutMinutes(field)).toBeLessThan(60);
    expect(weedMinutes(field)).toBeGreaterThan(15);
    expect(weedMinutes(field)).toBeLessThan(40);
  });

  it('a lace of 400 × 300 mm with 600 holes, on a slow machine', () => {
    const towel = lace(30, 20, 7);
    expect(towel.cavities).toBe(600);
    expect(cutMinutes(towel, 10)).toBeGreaterThan(25);
    expect(cutMinutes(towel, 10)).toBeLessThan(75);
    expect(weedMinutes(towel)).toBeGreaterThan(35);
    expect(weedMinutes(lace(30, 20, 2))).toBeLessThan(120);
    expect(weedMinutes(lace(30, 20, 2))).toBeGreaterThan(weedMinutes(towel));
  });

  it('a short word, and a slogan', () => {
    // Letters of 40 mm, each a ring with its counter; the outline of a letter is about five times its height.
    const letters = (count: number) =>
      measure(
        count * 30,
        40,
        Array.from(
          { length: count },
          (_, at) => `<path fill-rule="evenodd" d="M${at * 30} 0h26v40h-26zM${at * 30 + 7} 10h12v20h-12z"/>`,
        ).join(''),
      );
    expect(weedMinutes(letters(4))).toBeGreaterThan(0.5);
    expect(weedMinutes(letters(4))).toBeLessThan(2);
    expect(weedMinutes(letters(18))).toBeGreaterThan(1.5);
    expect(weedMinutes(letters(18))).toBeLessThan(5);
  });
});
