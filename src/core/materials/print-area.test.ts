import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { checkPlacement, computeWrap, findNamedArea, getAreasOfSize, type PrintArea } from './index';

const FRONT: PrintArea = {
  name: 'front',
  sizeName: '',
  datum: 'neckline',
  dropMm: 75,
  widthMm: 280,
  heightMm: 340,
  obstacles: [{ kind: 'pocket', xMm: 170, yMm: 40, widthMm: 90, heightMm: 110 }],
  curve: null,
};

describe('what fits a print area', () => {
  it('is told when it is too wide, too high, or lies on something', () => {
    expect(checkPlacement(FRONT, 60, 60)).toEqual([]);
    expect(checkPlacement(FRONT, 300, 20)).toEqual([{ kind: 'too-wide', byMm: 20, atMostMm: 280 }]);
    expect(checkPlacement(FRONT, 100, 345).map((fault) => fault.kind)).toEqual(['too-high', 'obstacle']);
    expect(checkPlacement(FRONT, 200, 300)).toEqual([{ kind: 'obstacle', obstacle: 'pocket' }]);
  });

  it('moved by the seller, it leaves the area, or comes to lie on something', () => {
    const moved = (dropMm: number | null, asideMm: number | null) => checkPlacement(FRONT, 60, 60, { dropMm, asideMm });
    expect(moved(60, null)).toEqual([{ kind: 'outside', edge: 'top', byMm: 15 }]);
    expect(moved(360, null)).toEqual([{ kind: 'outside', edge: 'bottom', byMm: 5 }]);
    expect(moved(null, -120)).toEqual([{ kind: 'outside', edge: 'left', byMm: 10 }]);
    // The pocket begins 40 mm down and 170 mm across: 60 mm in the middle end at 170, at the top edge at 60.
    expect(moved(null, 1)).toEqual([{ kind: 'obstacle', obstacle: 'pocket' }]);
    expect(moved(225, 1)).toEqual([]);
  });

  it('touching a seam is not lying on it', () => {
    const seam: PrintArea = { ...FRONT, obstacles: [{ kind: 'seam', xMm: 190, yMm: 0, widthMm: 5, heightMm: 340 }] };
    expect(checkPlacement(seam, 100, 100)).toEqual([]);
    expect(checkPlacement(seam, 100.1, 100)).toEqual([{ kind: 'obstacle', obstacle: 'seam' }]);
  });

  it('an area of one size takes the place of that for all', () => {
    const large = { ...FRONT, sizeName: 'XL', widthMm: 320 },
      sleeve = { ...FRONT, name: 'sleeve' };
    expect(getAreasOfSize([FRONT, large, sleeve], 'XL')).toEqual([large, sleeve]);
    expect(getAreasOfSize([FRONT, large, sleeve], 'S')).toEqual([FRONT, sleeve]);
  });
});

it('a placement names its area', () => {
  const back = { ...FRONT, name: 'back' },
    low = { ...FRONT, name: 'lower back' };
  expect(findNamedArea([back, low, FRONT], 'M', 'Lower back, 90 mm up')).toBe(low);
  expect(findNamedArea([back, low, FRONT], 'M', 'back, centred')).toBe(back);
  expect(findNamedArea([back], 'M', 'left sleeve')).toBeNull();
});

describe('round a cup', () => {
  it('a straight wall is π × diameter less the handle, and no arc', () => {
    const { round, radius } = computeWrap({ topMm: 80, bottomMm: 80, handleGapMm: 40 }, 90);
    expect(round.value).toBeCloseTo(Math.PI * 80 - 40, 9);
    expect(radius).toBeNull();
  });

  it('the arc of a tapered wall is as long as each edge is round, and its radii are a slant apart', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 40, max: 110, noNaN: true }),
        fc.double({ min: 1, max: 30, noNaN: true }),
        fc.double({ min: 30, max: 150, noNaN: true }),
        (narrow, more, height) => {
          const wide = narrow + more;
          const { radius, angleDegrees } = computeWrap({ topMm: wide, bottomMm: narrow, handleGapMm: 0 }, height);
          const angle = (angleDegrees * Math.PI) / 180;
          const slant = Math.hypot(height, more / 2);
          expect(angle * radius!.value).toBeCloseTo(Math.PI * wide, 6);
          expect(angle * (radius!.value - slant)).toBeCloseTo(Math.PI * narrow, 6);
        },
      ),
    );
  });
});
