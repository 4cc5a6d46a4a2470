import fc from 'fast-check';
import { expect, it } from 'vitest';
import { InscribedCircles } from './inscribed-circles';
import { ThinSearch } from './thin-search';

const OWN = new InscribedCircles([]);

/** As many, by width and in an order that has nothing to do with it; none near another. */
const apart = (widths: readonly number[]) => widths.map((widthMm, at) => ({ widthMm, x: at * 100, y: 0 }));

it('of thousands of thin places it lists the 200 thinnest, in whatever order they are found', () => {
  const widths = fc.array(fc.double({ min: 0.01, max: 2, noNaN: true }), { minLength: 1500, maxLength: 4000 });
  fc.assert(
    fc.property(widths, (found) => {
      const search = new ThinSearch(OWN, { thinnest: null, underMm: 1, mostMm: 400 });
      for (const place of apart(found)) search.take(place, -1, false);
      const { thinnest, places } = search.conclude();
      const rising = [...found].sort((a, b) => a - b);
      expect(thinnest?.widthMm).toBe(rising[0]);
      const listed = rising.filter((width) => width < 1).slice(0, 200);
      expect(places.map(({ widthMm }) => widthMm)).toEqual(listed);
    }),
    { numRuns: 40 },
  );
});

it('of places beside each other it lists the thinnest', () => {
  const search = new ThinSearch(OWN, { thinnest: null, underMm: 1, mostMm: 400 });
  for (const [widthMm, x] of [
    [0.8, 0],
    [0.5, 0.7],
    [0.6, 2],
  ] as const)
    search.take({ widthMm, x, y: 0 }, -1, false);
  expect(search.conclude().places.map(({ x }) => x)).toEqual([0.7, 2]);
});

it('looks for what is listed as far as that was asked for, and only nearer once there are plenty', () => {
  const search = new ThinSearch(OWN, { thinnest: null, underMm: 1, mostMm: 400 });
  expect(search.limit()).toBe(400);
  search.take({ widthMm: 0.4, x: 0, y: 0 }, -1, false);
  expect(search.limit()).toBe(1);
  for (const place of apart(Array.from({ length: 1200 }, (_, at) => 0.5 + at / 10_000))) search.take(place, -1, false);
  expect(search.limit()).toBeLessThan(0.6);
  expect(search.limit()).toBeGreaterThanOrEqual(search.conclude().places.at(-1)!.widthMm);
});
