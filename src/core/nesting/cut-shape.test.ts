// Bits of a layer that are cut by themselves: chosen from left to right as seen from the front, mirrored or not.

import { describe, expect, it } from 'vitest';
import { boundPoints } from '../geometry';
import { readCutShape, sortIslands, type ShapeWish } from './index';

/** Drawn out of order: a square at 40, a ring at 0, a square at 20; 10 mm each. */
const DRAWING = `<svg xmlns="http://www.w3.org/2000/svg" width="50mm" height="10mm" viewBox="0 0 50 10">
  <path fill="#203040" fill-rule="evenodd" d="M40 0h10v10h-10zM0 0h10v10h-10zM3 3h4v4h-4zM20 0h10v10h-10z"/>
</svg>`;
const WISH: ShapeWish = { steps: [], savedWidthMm: 50, widthMm: 50, layerIndex: 0, mirrored: false };
const shapeOf = (part: Partial<ShapeWish>) => readCutShape(DRAWING, { ...WISH, ...part });
const boxOf = (part: Partial<ShapeWish>) => boundPoints(shapeOf(part)!.paths.map(({ points }) => points))!;

describe('bits of a layer', () => {
  it('are counted from the left, whatever the order they are drawn in', () => {
    const lefts = sortIslands(shapeOf({})!.islands, false).map(({ outline }) => boundPoints([outline])!.x);
    expect(lefts.map(Math.round)).toEqual([0, 20, 40]);
  });

  it('are cut with their cavities and without the rest', () => {
    expect(shapeOf({})!.paths).toHaveLength(4);
    const first = shapeOf({ bits: [0] })!;
    expect(first.paths).toHaveLength(2);
    expect(first.islands).toHaveLength(1);
    expect(boxOf({ bits: [0] })).toMatchObject({ x: 0, width: 10 });
    expect(shapeOf({ bits: [1, 2] })!.paths).toHaveLength(2);
    expect(boxOf({ bits: [1, 2] }).width).toBeCloseTo(30, 6);
  });

  it('are the same ones where the layer is cut mirrored', () => {
    // The ring is at the left as seen from the front, so at the right of the cut.
    expect(shapeOf({ bits: [0], mirrored: true })!.paths).toHaveLength(2);
    expect(boxOf({ bits: [0], mirrored: true }).x).toBeCloseTo(40, 6);
    expect(boxOf({ bits: [2], mirrored: true }).x).toBeCloseTo(0, 6);
  });

  it('are none where the drawing has no such bit any more', () => {
    expect(shapeOf({ bits: [7] })).toBeNull();
  });
});
