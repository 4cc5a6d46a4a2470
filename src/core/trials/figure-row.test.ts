import { describe, expect, it } from 'vitest';
import { makeTestFigure, TEST_FIGURES } from '../cutting';
import { boundPoints, computeRingArea } from '../geometry';
import { costFigures, countInRow, countLadderSeconds, getRowLength, placeNext } from './figure-row';
import { proposeForFine, suggestUse } from './fine-design';

describe('figures side by side', () => {
  it('stand 5 mm apart, and begin a new row when one is full', () => {
    // 4 × 25 + 3 × 5 = 115 mm
    expect(countInRow(115, 25)).toBe(4);
    expect(countInRow(114.9, 25)).toBe(3);
    expect(countInRow(10, 25)).toBe(1);
    expect([0, 1, 3, 4].map((placed) => placeNext(placed, 115, 25))).toEqual([
      { x: 0, beginsRow: true },
      { x: 30, beginsRow: false },
      { x: 90, beginsRow: false },
      { x: 0, beginsRow: true },
    ]);
    expect(getRowLength(25)).toBe(30);
  });

  it('cost what their rows took of the roll', () => {
    // Two rows of 30 mm at 0.6 of a cent a millimetre.
    expect(costFigures({ rollMm: 60, unitCost: 0.6, figures: 5 }).value).toBeCloseTo(36, 9);
  });

  it('take the time between answers, a long pause ten minutes at most', () => {
    const minute = 60_000;
    expect(countLadderSeconds(0, [2 * minute, 3 * minute, 93 * minute]).value).toBe(60 * (2 + 1 + 10));
    // A clock that was set back takes nothing away.
    expect(countLadderSeconds(5 * minute, [4 * minute, 6 * minute]).value).toBe(120);
  });
});

describe('test figures', () => {
  it.each(TEST_FIGURES)('%s: closed lines within its square, which is cut last', (figure) => {
    const lines = makeTestFigure({ x: 10, y: 20 }, figure, 30);
    const outer = lines.at(-1)!;
    expect(outer.inner).toBe(false);
    expect(boundPoints([outer.points])).toEqual({ x: 10, y: 20, width: 30, height: 30 });
    for (const { points, inner } of lines.slice(0, -1)) {
      expect(inner).toBe(true);
      const box = boundPoints([points])!;
      expect(box.x).toBeGreaterThan(10);
      expect(box.y).toBeGreaterThan(20);
      expect(box.x + box.width).toBeLessThan(40);
      expect(box.y + box.height).toBeLessThan(50);
      expect(Math.abs(computeRingArea(points))).toBeGreaterThan(1);
    }
  });

  it('the net leaves threads of 0.9 mm between its diamonds', () => {
    const [first, second] = makeTestFigure({ x: 0, y: 0 }, 'net', 25);
    const right = Math.max(...first!.points.map(({ x }) => x));
    const left = Math.min(...second!.points.map(({ x }) => x));
    // Across a thread, at 45°.
    expect((left - right) / Math.SQRT2).toBeCloseTo(0.9, 9);
  });
});

describe('the fine design', () => {
  const setting = { forceGrams: 90, speedMmPerS: 60, passes: 1, bladeDegrees: 45 } as const;
  it('makes a setting good for everything; else it is for bold work, or tried slower', () => {
    expect(suggestUse('clean')).toBe('everything');
    expect(suggestUse('tears')).toBe('bold');
    expect(suggestUse(null)).toBe('bold');
    expect(proposeForFine(setting, 'clean')).toBeNull();
    expect(proposeForFine(setting, 'tears')).toEqual({ ...setting, speedMmPerS: 40 });
    expect(proposeForFine({ ...setting, speedMmPerS: 10 }, 'lifts')).toBeNull();
  });
});
