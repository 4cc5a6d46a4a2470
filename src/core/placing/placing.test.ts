import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { listCovered, placeInArea, type PrintArea } from '../materials';
import { minor } from '../units';
import {
  findClear,
  findOverlapping,
  guessSpot,
  listPlacingSteps,
  measureSize,
  placeArtwork,
  type ArtworkToPlace,
  type PlacingBlank,
} from './index';

const sized = (...names: readonly string[]): PlacingBlank['sizes'] =>
  names.map((name) => ({ name, price: minor(500) }));
const SHIRT: PlacingBlank = { name: 'Cotton T-shirt', sizes: sized('S', 'M', '3XL', '104'), areas: [] };
const art = (place: string, more: Partial<ArtworkToPlace> = {}): ArtworkToPlace => ({
  place,
  widthMm: 260,
  heightMm: 200,
  ...more,
});

describe('how large a size is', () => {
  it.each([
    ['S', 479, 698, false],
    ['M', 510, 720, false],
    ['3XL', 632, 806, false],
    ['XXXL', 632, 806, false],
    ['104', 360, 425, true],
    ['98/104', 360, 425, true],
    ['5-6 years', 379, 462, true],
    ['youth L', 460, 622, true],
    ['something', 510, 720, false],
  ])('a shirt of %s is %i × %i mm', (size, width, length, isChild) => {
    const told = measureSize({ ...SHIRT, sizes: sized(size) }, size);
    expect([told.width.value, told.length.value, told.isChild]).toEqual([width, length, isChild]);
    expect(told.width.source).toBe('default');
  });

  it('as the shop measured it, where it did', () => {
    const own = { ...SHIRT, sizes: [{ name: 'M', price: minor(1), widthMm: 533, lengthMm: null }] };
    const { width, length } = measureSize(own, 'M');
    expect([width.value, width.source, length.source]).toEqual([533, 'shop', 'default']);
  });

  it('a number is a child’s height on what is worn only', () => {
    expect(measureSize({ name: 'Bag 104', sizes: sized('104') }, '104').isChild).toBe(false);
  });
});

describe('where it is meant to be', () => {
  it.each([
    ['Cotton T-shirt', 'on the left breast, small', 'left breast'],
    ['Cotton T-shirt', 'Front, centred', 'front'],
    ['Cotton T-shirt', 'centre of the back', 'back'],
    ['Cotton T-shirt', 'left sleeve', 'left sleeve'],
    ['Cotton T-shirt', 'wherever', 'front'],
    ['Rain jackets', 'as always', 'back'],
    ['Sun hat', 'front', 'hat front'],
    ['Joggers', 'down the right leg', 'right leg'],
    ['Camp mug', 'for a left-handed drinker', 'seen left-handed'],
    ['Tea towel bag', 'middle', 'middle'],
    ['Certificate', 'anywhere', 'middle'],
  ])('%s, "%s": %s', (name, place, spot) => {
    const { spot: found } = placeArtwork({ name, sizes: sized('one size'), areas: [] }, 'one size', art(place));
    expect(found).toBe(spot);
  });

  it('a word within another does not count', () => expect(guessSpot('t-shirt', 'feedback')).toBe('front'));
});

describe('placing', () => {
  it('a front lies in the middle, 75 mm below the neckline, equally far from both sides', () => {
    const { box, drop, left, right, faults, outline } = placeArtwork(SHIRT, 'M', art('front'));
    expect(box.x).toBe(-130);
    expect(box.y).toBeCloseTo(outline.datums.neckline! + 75, 9);
    expect([drop.value, drop.source]).toEqual([75, 'default']);
    // Below the armpits the body is 510 mm wide; at this height its armhole is a little nearer than that.
    expect(left!.value).toBeCloseTo(right!.value, 9);
    expect(left!.value).toBeLessThanOrEqual(125);
    expect(left!.value).toBeGreaterThan(115);
    expect(faults).toEqual([]);
  });

  it('a child’s front is higher up', () =>
    expect(placeArtwork(SHIRT, '104', art('front', { widthMm: 150 })).drop.value).toBe(55));

  it('the wearer’s left breast is seen right, half-way to the side seam', () => {
    const { box, aside } = placeArtwork(SHIRT, 'M', art('left breast', { widthMm: 90, heightMm: 80 }));
    expect(aside.value).toBe(127.5);
    expect(box.x + box.width / 2).toBe(127.5);
    expect(placeArtwork(SHIRT, 'M', art('right breast', { widthMm: 90 })).aside.value).toBe(-127.5);
  });

  it('a print area and the seller’s own measures win, in this order', () => {
    const areas: PrintArea[] = [
      {
        name: 'back',
        sizeName: '',
        datum: 'collar',
        dropMm: 90,
        widthMm: 300,
        heightMm: 320,
        obstacles: [],
        curve: null,
      },
    ];
    const jacket = { ...SHIRT, name: 'Jacket', areas };
    const { drop, datum, outline, box } = placeArtwork(jacket, 'M', art('back, below the collar'));
    expect([drop.value, drop.source, datum]).toEqual([90, 'shop', 'collar']);
    expect(box.y).toBeCloseTo(outline.datums.collar! + 90, 9);
    const own = placeArtwork(jacket, 'M', art('back', { placing: { spot: null, dropMm: 120, asideMm: 15 } }));
    expect([own.drop.value, own.drop.source, own.aside.value]).toEqual([120, 'typed', 15]);
    expect(own.right!.value).toBeCloseTo(own.left!.value - 30, 9);
    // The area stays where it is, whatever the seller moves.
    expect(own.areaBox).toEqual({ x: -150, y: outline.datums.collar! + 90, width: 300, height: 320 });
    expect(placeArtwork(SHIRT, 'M', art('front')).areaBox).toBeNull();
  });

  it('what leaves the blank is told, and by how much', () => {
    const wide = placeArtwork({ ...SHIRT, name: 'Bag' }, 'M', art('below the handles', { widthMm: 400 }));
    expect(wide.faults).toEqual([{ kind: 'off-the-blank', byMm: expect.closeTo(10, 9) as number }]);
    const low = placeArtwork({ ...SHIRT, name: 'Bag' }, 'M', art('below the handles', { heightMm: 340 }));
    expect(low.faults).toEqual([{ kind: 'off-the-blank', byMm: expect.closeTo(10, 9) as number }]);
  });

  it('two things on one side that lie on one another are told, but not layers of one place', () => {
    const [crest, name, low, back] = [
      art('front'),
      art('front, a name', { heightMm: 60 }),
      art('front, low', { placing: { spot: null, dropMm: 280, asideMm: null } }),
      art('back'),
    ].map((artwork) => ({ place: artwork.place, placed: placeArtwork(SHIRT, 'M', artwork) }));
    const all = [crest!, name!, low!, back!];
    expect(findOverlapping(crest!, all)).toEqual([name]);
    expect(findOverlapping(name!, all)).toEqual([crest]);
    expect(findOverlapping(low!, all)).toEqual([]);
    expect(findOverlapping(crest!, [crest!, { ...crest! }])).toEqual([]);
  });

  it('a hat’s front lies half-way up its dome', () => {
    const hat: PlacingBlank = { name: 'Cap', sizes: sized('one size'), areas: [] };
    const { box, outline, faults } = placeArtwork(hat, 'one size', art('front', { widthMm: 90, heightMm: 45 }));
    expect(box.y + box.height / 2).toBeCloseTo(outline.datums.rim! / 2, 9);
    expect(faults).toEqual([]);
  });
});

describe('on a cup', () => {
  const cup = (handleGapMm: number): PlacingBlank => ({
    name: 'Enamel cup',
    sizes: sized('one size'),
    areas: [
      {
        name: 'wall',
        sizeName: '',
        datum: 'rim',
        dropMm: 15,
        widthMm: 220,
        heightMm: 60,
        obstacles: [],
        curve: { topMm: 80, bottomMm: 80, handleGapMm },
      },
    ],
  });
  const place = (words: string) =>
    placeArtwork(cup(40), 'one size', art(`wall, ${words}`, { widthMm: 60, heightMm: 40 }));

  it('a right-handed drinker sees what is a quarter round to the right of opposite the handle', () => {
    // Seen from above and going round to the right as one looks at the wall: handle, far side, opposite, near side.
    expect(place('right-handed').aside.value).toBeCloseTo((Math.PI * 80) / 4, 9);
    expect(place('left-handed').aside.value).toBeCloseTo((-Math.PI * 80) / 4, 9);
    expect(place('opposite').aside.value).toBe(0);
  });

  it('the wall ends where the handle begins', () => {
    const { left, right } = place('opposite');
    expect(left!.value).toBeCloseTo((Math.PI * 80 - 40) / 2 - 30, 9);
    expect(right!.value).toBeCloseTo(left!.value, 9);
  });

  it('the print area is all of the wall, whoever sees it: what goes past its end is told', () => {
    // 220 mm of it, 110 to each side; a quarter round is 62.8, and half of 100 more than is left.
    const wide = placeArtwork(cup(0), 'one size', art('wall, right-handed', { widthMm: 100, heightMm: 40 }));
    expect(wide.areaBox).toMatchObject({ x: -110, width: 220 });
    expect(wide.faults).toEqual([
      { kind: 'outside', edge: 'right', byMm: expect.closeTo((Math.PI * 80) / 4 + 50 - 110, 9) as number },
    ]);
    expect(place('right-handed').faults).toEqual([]);
  });

  it('stays clear of the lip', () => {
    const near = placeArtwork(
      cup(40),
      'one size',
      art('wall', { widthMm: 60, heightMm: 40, placing: { spot: null, dropMm: 4, asideMm: null } }),
    );
    expect(near.faults).toContainEqual({ kind: 'near-the-lip', leastMm: 10 });
    expect(place('opposite').faults).toEqual([]);
  });
});

describe('clear of what is in the way', () => {
  const area = (obstacles: PrintArea['obstacles']): PrintArea => ({
    name: 'front',
    sizeName: '',
    datum: 'neckline',
    dropMm: 0,
    widthMm: 100,
    heightMm: 100,
    obstacles,
    curve: null,
  });
  const own = { dropMm: null, asideMm: null };

  it('is the shortest way, as trying every millimetre finds it', () => {
    const whole = (least: number, most: number) => fc.integer({ min: least, max: most });
    const obstacle = fc.record({
      kind: fc.constant('zip' as const),
      xMm: whole(0, 90),
      yMm: whole(0, 90),
      widthMm: whole(1, 40),
      heightMm: whole(1, 40),
    });
    fc.assert(
      fc.property(
        fc.array(obstacle, { minLength: 1, maxLength: 3 }),
        whole(5, 49),
        whole(10, 90),
        (obstacles, half, high) => {
          const size = { widthMm: 2 * half, heightMm: high };
          const on = area(obstacles);
          const from = placeInArea(on, size.widthMm, own);
          const isClear = (xMm: number, yMm: number) => listCovered(on, { xMm, yMm }, size).length === 0;
          let least = Infinity;
          for (let x = 0; x <= 100 - size.widthMm; x++)
            for (let y = 0; y <= 100 - size.heightMm; y++)
              if (isClear(x, y)) least = Math.min(least, Math.abs(x - from.xMm) + Math.abs(y - from.yMm));
          const found = findClear(on, size, own);
          if (isClear(from.xMm, from.yMm)) expect(found).toBeNull();
          else if (least === Infinity) expect(found).toBeNull();
          else expect(Math.abs(found!.rightMm) + Math.abs(found!.downMm)).toBe(least);
        },
      ),
      { numRuns: 150 },
    );
  });
});

describe('the way to find it by hand', () => {
  it('a front: fold the blank, fold the piece, four fingers down, both sides alike', () => {
    const steps = listPlacingSteps(placeArtwork(SHIRT, 'M', art('front')));
    expect(steps.map(({ kind }) => kind)).toEqual(['fold-blank', 'fold-piece', 'measure-down', 'check-sides']);
    expect(steps[2]).toEqual({ kind: 'measure-down', datum: 'neckline', mm: 75, isFourFingers: true });
  });

  it('a left breast: the fold is laid to the side seam seen on the right', () => {
    const steps = listPlacingSteps(placeArtwork(SHIRT, 'M', art('left breast', { widthMm: 90 })));
    expect(steps[1]).toEqual({ kind: 'fold-to-seam', seen: 'right' });
  });

  it('a tin has no handle: it is told by its seam', () => {
    const tin = placeArtwork({ name: 'Seed tin', sizes: sized('one size'), areas: [] }, 'one size', art('side'));
    expect(listPlacingSteps(tin)[0]).toEqual({ kind: 'opposite', of: 'seam' });
    const mug = placeArtwork({ name: 'Mug', sizes: sized('one size'), areas: [] }, 'one size', art('opposite'));
    expect(listPlacingSteps(mug)[0]).toEqual({ kind: 'opposite', of: 'handle' });
  });

  it('what was moved aside is told to which side', () => {
    const placing = { spot: null, dropMm: null, asideMm: -12 };
    expect(listPlacingSteps(placeArtwork(SHIRT, 'M', art('front', { placing })))).toContainEqual({
      kind: 'move-aside',
      byMm: 12,
      to: 'left',
    });
  });
});
