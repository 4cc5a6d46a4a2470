import { expect, it } from 'vitest';
import { layScale } from './scale';

it('lays values evenly along a line, and tells them from where they lie', () => {
  const scale = layScale([0, 2000], [10, 510]);
  expect([0, 500, 2000, 4000, -400].map(scale.at)).toEqual([10, 135, 510, 1010, -90]);
  for (const value of [0, 77, 1999, 4000]) expect(scale.valueAt(scale.at(value))).toBeCloseTo(value, 9);
});

it('holds what lies beyond its ends at them, where it is told to', () => {
  const scale = layScale([8, 18], [40, 240], { holds: true });
  expect([7, 8, 13, 18, 30].map(scale.at)).toEqual([40, 40, 140, 240, 240]);
  expect(scale.valueAt(500)).toBe(18);
});
