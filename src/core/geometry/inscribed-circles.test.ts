// Room for a circle, told quickly, against the largest circle.

import { expect, it } from 'vitest';
import { InscribedCircles } from './inscribed-circles';
import type { Point } from './matrix';

const polygon = (...points: readonly (readonly [number, number])[]): Point[] => points.map(([x, y]) => ({ x, y }));
const square = (from: number, to: number) => polygon([from, from], [to, from], [to, to], [from, to]);

it('there is room in the middle of a square up to its side, and none round what lies in it', () => {
  const circles = new InscribedCircles([[square(0, 10)], [square(20, 30), square(24, 26)]]);
  expect(circles.hasRoom(0, 9.99)).toBe(true);
  expect(circles.hasRoom(0, 10.01)).toBe(false);
  expect(circles.find(0)!.widthMm).toBeCloseTo(10, 1);
  expect(circles.hasRoom(1, 0.1)).toBe(false);
});

it('a hook has no room where the middle of its box lies outside', () => {
  const hook = polygon([0, 0], [10, 0], [10, 2], [2, 2], [2, 10], [0, 10]);
  expect(new InscribedCircles([[hook]]).hasRoom(0, 0.5)).toBe(false);
});
