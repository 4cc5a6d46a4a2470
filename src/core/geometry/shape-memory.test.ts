// What is known of a shape holds for its copies, and for nothing else.

import { describe, expect, it } from 'vitest';
import type { Point } from './matrix';
import { ShapeMemory } from './shape-memory';

const ring = (x: number, y: number, size: number, nudge = 0): readonly Point[] => [
  { x, y },
  { x: x + size, y: y + nudge },
  { x: x + size, y: y + size },
  { x, y: y + size },
];

function counting(mostPoints = 1000) {
  const memory = new ShapeMemory<string>(mostPoints);
  let found = 0;
  return (shape: readonly (readonly Point[])[]) => memory.recall(shape, () => `found ${(found += 1)}`);
}

describe('what is known of a shape', () => {
  it('is said of a copy, with how far off it lies, however the file rounded it', () => {
    const recall = counting();
    expect(recall([ring(0, 0, 10), ring(2, 2, 3)])).toEqual({ value: 'found 1', shift: { dx: 0, dy: 0 } });
    const copy = recall([ring(40.0004, -7, 10), ring(42, -5, 3)]);
    expect(copy.value).toBe('found 1');
    expect(copy.shift.dx).toBeCloseTo(40, 3);
    expect(copy.shift.dy).toBe(-7);
  });

  it('is not said of another size, of another hole, nor of one that only looks alike', () => {
    const recall = counting();
    recall([ring(0, 0, 10), ring(2, 2, 3)]);
    expect(recall([ring(0, 0, 10.2), ring(2, 2, 3)]).value).toBe('found 2');
    expect(recall([ring(0, 0, 10), ring(4, 4, 3)]).value).toBe('found 3');
    expect(recall([ring(0, 0, 10)]).value).toBe('found 4');
    expect(recall([ring(0, 0, 10, 0.01), ring(2, 2, 3)]).value).toBe('found 5');
    expect(recall([ring(9, 9, 10), ring(11, 11, 3)]).value).toBe('found 1');
  });

  it('is forgotten when it is too much', () => {
    const recall = counting(9);
    recall([ring(0, 0, 10)]);
    recall([ring(0, 0, 20)]);
    expect(recall([ring(5, 5, 10)]).value).toBe('found 1');
    recall([ring(0, 0, 30)]);
    expect(recall([ring(5, 5, 10)]).value).toBe('found 4');
  });

  it('is none of what has no extent', () => {
    expect(counting()([]).shift).toEqual({ dx: 0, dy: 0 });
  });
});
