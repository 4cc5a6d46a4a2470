import { colord } from 'colord';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { PLAIN_VINYL } from '../../../test/worked-example';
import {
  decideHandedness,
  DEFAULT_SHOP_FIGURES,
  makeAlikeFinder,
  getLayerMaterial,
  getOrdinaryDetails,
  getPressSetting,
  isSafeOn,
  VINYL_KIND_NAMES,
  VINYL_KINDS,
  type VinylDetails,
  type VinylKind,
} from './index';

const vinyl = (kind: VinylKind, weedingFactor = 1, rollWidthMm = 500, details: Partial<VinylDetails> = {}) => ({
  kind,
  weedingFactor,
  rollWidthMm,
  details: { ...getOrdinaryDetails(kind), ...details },
});
const shop = { ...DEFAULT_SHOP_FIGURES, cutterEdgeMm: 10, weedMarginMm: 6 };

describe('what a vinyl lets a layer be', () => {
  it.each([
    ['smooth', 1, 1, 0.8],
    ['stretch', 1, 1, 0.8],
    ['low-heat', 1.1, 1, 0.8],
    ['glitter', 1.2, 2.2, 2],
    ['flock', 1.1, 2.2, 2],
    ['puff', 1.2, 3, 3],
    ['permanent', 1, 0.8, 0.8],
    ['permanent', 1.8, 2, 2],
    ['removable', 1.1, 0.8, 0.8],
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
    const plain = decideHandedness(vinyl(kind), { seenThrough: false }),
      through = decideHandedness(vinyl(kind), { seenThrough: true });
    expect(plain.mirrored).toBe(VINYL_KINDS[kind].cutFromBack);
    // Glass turns only what is stuck on: what is pressed on is never seen from behind.
    expect(through.mirrored).toBe(VINYL_KINDS[kind].cutFromBack || VINYL_KINDS[kind].family === 'adhesive');
  });
});

describe('what the maker or a trial says goes before what is ordinary', () => {
  it('floors, direction, carrier and layers', () => {
    const own = vinyl('glitter', 1, 500, { strokeMm: 1.4, direction: 'across', takesLayers: true, carrier: 'back' });
    expect(getLayerMaterial(own, shop)).toEqual({
      floor: { strokeMm: 1.4, gapMm: 2 },
      hasOwnFloor: true,
      takesLayers: true,
      usableMm: 500 - 20 - 12,
      turnable: false,
    });
    expect(decideHandedness(own, { seenThrough: false }).mirrored).toBe(false);
  });

  it('a setting for one fabric counts on it alone', () => {
    const cool = { lowC: 130, highC: 140, seconds: 15, pressure: 'light', peel: 'cold' } as const;
    const own = { ...PLAIN_VINYL, details: { ...PLAIN_VINYL.details, pressOn: { softshell: cool } } };
    expect(getPressSetting(own, 'softshell')).toEqual(cool);
    expect(getPressSetting(own, 'cotton')).toEqual(PLAIN_VINYL.press);
    expect(isSafeOn(PLAIN_VINYL, 'softshell')).toBe(false);
    expect(isSafeOn(own, 'softshell')).toBe(true);
    expect(isSafeOn(own, 'glass-tin')).toBe(false);
  });

  it('alike are those of the same kind, nearly the colour, and good enough', () => {
    const like = { ...PLAIN_VINYL, id: 2, colourHex: '#40608a' },
      green = { ...PLAIN_VINYL, id: 3, colourHex: '#3e7650' },
      glitter = { ...like, id: 4, kind: 'glitter' } as const;
    const rough = { ...like, id: 5, details: { ...like.details, grade: 'own use' } } as const;
    expect(
      makeAlikeFinder([PLAIN_VINYL, like, green, glitter, rough], 'sell')(PLAIN_VINYL).map(({ id }) => id),
    ).toEqual([2]);
    expect(makeAlikeFinder([like, rough], 'own use')(PLAIN_VINYL).map(({ id }) => id)).toEqual([2, 5]);
  });

  it('alike are just those whose colours lie near by the formula itself, whatever is left out beforehand', () => {
    const hex = fc.integer({ min: 0, max: 0xffffff }).map((value) => `#${value.toString(16).padStart(6, '0')}`);
    /** Near ones are rare at random: the second colour is the first, a little moved. */
    const near = fc.tuple(hex, fc.array(fc.integer({ min: -40, max: 40 }), { minLength: 3, maxLength: 3 })).map(
      ([colour, moves]) =>
        [
          colour,
          `#${[1, 3, 5]
            .map((at, index) =>
              Math.min(255, Math.max(0, parseInt(colour.slice(at, at + 2), 16) + moves[index]!))
                .toString(16)
                .padStart(2, '0'),
            )
            .join('')}`,
        ] as const,
    );
    fc.assert(
      fc.property(fc.oneof(near, fc.tuple(hex, hex)), ([first, second]) => {
        const [own, other] = [first, second].map((colourHex, id) => ({ ...PLAIN_VINYL, id: id + 50, colourHex }));
        const isNear = colord(first).delta(second) <= 0.08;
        expect(makeAlikeFinder([other!], 'sell')(own!)).toHaveLength(isNear ? 1 : 0);
      }),
      { numRuns: 500 },
    );
  });
});
