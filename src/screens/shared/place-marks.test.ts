import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { placeMarks, type Placed } from './place-marks';

const covers = (a: Placed<string>, b: Placed<string>) => a.row === b.row && a.from < b.to && b.from < a.to;

describe('marks of a scale', () => {
  it('stand in one row where there is room, right of their lines, and left of it at the end', () => {
    const { placed, rows } = placeMarks(
      [
        { mark: 'floor', x: 100, length: 80 },
        { mark: 'wage', x: 300, length: 80 },
        { mark: 'others', x: 580, length: 80 },
      ],
      600,
    );
    expect(rows).toBe(1);
    expect(placed.map((one) => [one.mark, one.from, one.to])).toEqual([
      ['floor', 105, 185],
      ['wage', 305, 385],
      ['others', 495, 575],
    ]);
  });

  it('never lie over one another, and are never cut off, however narrow the scale and however near they are', () => {
    const mark = fc.record({
      x: fc.double({ min: 0, max: 1, noNaN: true }),
      length: fc.integer({ min: 40, max: 240 }),
    });
    fc.assert(
      fc.property(
        fc.array(mark, { minLength: 1, maxLength: 9 }),
        fc.integer({ min: 280, max: 1100 }),
        (marks, width) => {
          const { placed } = placeMarks(
            marks.map((one, at) => ({ mark: String(at), x: one.x * width, length: one.length })),
            width,
          );
          for (const [at, one] of placed.entries()) {
            expect(one.from).toBeGreaterThanOrEqual(0);
            expect(one.to).toBeLessThanOrEqual(width);
            for (const other of placed.slice(at + 1)) expect(covers(one, other)).toBe(false);
          }
        },
      ),
    );
  });
});
