import { describe, expect, it } from 'vitest';
import { decideHandedness, DEFAULT_SHOP_FIGURES, getLayerMaterial, VINYL_KIND_NAMES, VINYL_KINDS, type VinylKind } from './index';

const vinyl = (kind: VinylKind, weedingFactor = 1, rollWidthMm = 500) => ({ kind, weedingFactor, rollWidthMm });
const shop = { ...DEFAULT_SHOP_FIGURES, cutterEdgeMm: 10, weedMarginMm: 6 };

describe('what a vinyl lets a layer be', () => {
  it.each([
    ['smooth', 1, 1, 0.8], ['stretch', 1, 1, 0.8], ['low-heat', 1.1, 1, 0.8], ['glitter', 1.2, 2.2, 2], ['flock', 1.1, 2.2, 2], ['puff', 1.2, 3, 3], ['permanent', 1, 0.8, 0.8], ['permanent', 1.8, 2, 2], ['removable', 1.1, 0.8, 0.8],
  ] as const)('%s, weeding factor %d: strokes from %d, gaps from %d mm', (kind, factor, strokeMm, gapMm) => {
    expect(getLayerMaterial(vinyl(kind, factor), shop).floor).toEqual({ strokeMm, gapMm });
  });

  it('is as wide as the roll less the rollers’ edges and the weed margins', () => {
    expect(getLayerMaterial(vinyl('smooth'), shop).usableMm).toBe(500 - 20 - 12);
  });

  it('is not turned where the vinyl has a direction, nor covered where nothing sticks', () => {
    for (const kind of VINYL_KIND_NAMES) {
      const material = getLayerMaterial(vinyl(kind), shop);
      expect(material.turnable).toBe(!VINYL_KINDS[kind].hasDirection);
      expect(material.takesLayers).toBe(VINYL_KINDS[kind].takesLayers);
    }
    expect(getLayerMaterial(vinyl('glitter'), shop).takesLayers).toBe(false);
    expect(getLayerMaterial(vinyl('flock'), shop).turnable).toBe(false);
  });
});

describe('which side the knife sees', () => {
  it.each(VINYL_KIND_NAMES.map((kind) => [kind] as const))('%s: by material and use alone', (kind) => {
    const plain = decideHandedness(kind, { seenThrough: false }), through = decideHandedness(kind, { seenThrough: true });
    expect(plain.mirrored).toBe(VINYL_KINDS[kind].cutFromBack);
    // Glass turns only what is stuck on: what is pressed on is never seen from behind.
    expect(through.mirrored).toBe(VINYL_KINDS[kind].cutFromBack || VINYL_KINDS[kind].family === 'adhesive');
  });
});
