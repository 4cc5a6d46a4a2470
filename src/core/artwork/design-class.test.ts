import { describe, expect, it } from 'vitest';
import { classifyDesign, findFinestMm } from './design-class';

describe('how fine a design is', () => {
  it.each([
    [0.4, 'fine'],
    [1.49, 'fine'],
    [1.5, 'medium'],
    [2.99, 'medium'],
    [3, 'bold'],
    [40, 'bold'],
    [null, 'bold'],
  ] as const)('thinnest stroke or gap of %s mm: %s', (finestMm, design) => {
    expect(classifyDesign(finestMm)).toBe(design);
  });

  it('is told by the thinnest of all strokes and gaps', () => {
    const thin = (widthMm: number) => ({ widthMm });
    const layers = [
      { thinnestStroke: thin(2), thinnestGap: null },
      { thinnestStroke: thin(4), thinnestGap: thin(1.2) },
    ];
    expect(findFinestMm(layers)).toBe(1.2);
    expect(findFinestMm([{ thinnestStroke: null, thinnestGap: null }])).toBeNull();
  });
});
