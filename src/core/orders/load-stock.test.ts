import { describe, expect, it } from 'vitest';
import { computeRingArea } from '../geometry';
import { at, box, figures, lot, piece, plain, shapes, sheetOf, source, usedOn } from './cut-examples';
import { countTagLetters, keyOfSource, makeJob, partIdOf, placementKey, tagOf } from './cut-job';
import { findClash, listPartIds } from './cut-sheet';
import { choicesOf, isOnMat, marginsOf, orderStock, toStock, toWholeStock } from './load-stock';

describe('how a lot is held', () => {
  it.each([
    ['roll', 'suited', false],
    ['sheet', 'suited', true],
    ['offcut', 'suited', true],
    ['roll', 'mat', true],
    ['offcut', 'free', false],
    ['sheet', 'free', false],
  ] as const)('%s, %s: on a mat %s', (form, hold, onMat) => {
    expect(isOnMat(form, hold)).toBe(onMat);
    expect(marginsOf(form, hold, figures)).toEqual(onMat ? { sideMm: 3, endMm: 3 } : { sideMm: 10, endMm: 15 });
  });

  it('a mat takes no more than it is wide and long', () => {
    expect(toStock(lot(1, 'roll', { widthMm: 500 }), 'suited', figures)).toEqual({
      kind: 'roll',
      id: '1',
      widthMm: 500,
      lengthMm: 5000,
      margins: { sideMm: 10, endMm: 15 },
    });
    expect(toStock(lot(1, 'roll', { widthMm: 500 }), 'mat', figures)).toMatchObject({ widthMm: 305, lengthMm: 610 });
    expect(toStock(lot(2, 'sheet', { widthMm: 200, lengthMm: 700 }), 'suited', figures)).toMatchObject({
      kind: 'sheet',
      widthMm: 200,
      lengthMm: 610,
      count: 2,
    });
    expect(toStock(lot(2, 'sheet', { left: 0.2 }), 'suited', figures)).toMatchObject({ count: 1 });
    expect(toStock(lot(2, 'sheet', { lengthMm: null }), 'suited', figures)).toBeNull();
    expect(toStock(lot(4, 'piece'), 'suited', figures)).toBeNull();
  });

  it('of an offcut that is larger than the mat what lies on it', () => {
    const heldOf = (widthMm: number, lengthMm: number, hold: 'suited' | 'free') => {
      const stock = toStock(lot(3, 'offcut', { widthMm, lengthMm }), hold, figures);
      return stock?.kind === 'offcut' ? computeRingArea(stock.shape) : null;
    };
    expect(heldOf(300, 400, 'suited')).toBeCloseTo(300 * 400, 3);
    expect(heldOf(400, 700, 'suited')).toBeCloseTo(305 * 610, 3);
    expect(heldOf(305, 700, 'suited')).toBeCloseTo(305 * 610, 3);
    expect(heldOf(400, 700, 'free')).toBeCloseTo(400 * 700, 3);
    expect(toStock(lot(3, 'offcut', { lengthMm: null }), 'suited', figures)).toBeNull();
    const corner = toStock(lot(3, 'offcut', { shape: box }), 'suited', figures);
    expect(corner?.kind === 'offcut' && corner.shape).toEqual(box);
  });

  it('all of a sheet or an offcut is what leftovers are of', () => {
    expect(toWholeStock(lot(1, 'roll'))).toBeNull();
    expect(toWholeStock(lot(4, 'piece'))).toBeNull();
    expect(toWholeStock(lot(2, 'sheet', { lengthMm: null }))).toBeNull();
    expect(toWholeStock(lot(2, 'sheet', { widthMm: 400, lengthMm: 900 }))).toEqual({
      kind: 'sheet',
      id: '2',
      widthMm: 400,
      lengthMm: 900,
      count: 1,
    });
    const spoiledSpots = [{ x: 5, y: 6, width: 7, height: 8 }];
    const offcut = toWholeStock(lot(3, 'offcut', { widthMm: 20, lengthMm: 30, spoiledSpots }));
    expect(
      offcut?.kind === 'offcut' && [computeRingArea(offcut.shape), computeRingArea(offcut.spoiledSpots[0]!)],
    ).toEqual([600, 56]);
    const shaped = toWholeStock(lot(3, 'offcut', { shape: box }));
    expect(shaped?.kind === 'offcut' && shaped.shape).toEqual(box);
  });
});

it('offcuts come before sheets, sheets before rolls, the smaller first', () => {
  const stock = [
    lot(1, 'roll', { left: 900 }),
    lot(2, 'roll', { left: 800 }),
    lot(3, 'sheet'),
    lot(4, 'offcut', { widthMm: 200, lengthMm: 300 }),
    lot(5, 'offcut', { widthMm: 300, lengthMm: 100 }),
  ];
  expect(orderStock(stock).map(({ lotId }) => lotId)).toEqual([5, 4, 3, 2, 1]);
});

it('a lot that is gone is still drawn, as it was', () => {
  const lots = [
    { lotId: 1, form: 'roll' as const, widthMm: 300, lengthMm: 700 },
    { lotId: 2, form: 'sheet' as const, widthMm: 300, lengthMm: 400 },
    { lotId: 3, form: 'roll' as const, widthMm: 300, lengthMm: null },
  ];
  const [roll, sheet, unknown] = choicesOf({ lots }, []);
  expect(roll).toMatchObject({ lotId: 1, lengthMm: null, left: 700, code: null, shape: null });
  expect(sheet).toMatchObject({ lotId: 2, lengthMm: 400, left: 1 });
  expect(unknown).toMatchObject({ lotId: 3, left: 0 });
  const there = lot(2, 'sheet', { left: 9 });
  expect(choicesOf({ lots: lots.slice(1, 2) }, [there])).toEqual([there]);
});

describe('pieces of a load', () => {
  it('say order and piece, or that nobody ordered them', () => {
    expect(tagOf({ orderId: 12, pieceNumber: 3 })).toBe('12/3');
    expect(tagOf(undefined)).toBe('spare');
    const cut = [piece('a', [1, null]), piece('b', [2])];
    expect(countTagLetters(cut, (id) => ({ orderId: 100, pieceNumber: id }))).toBe(5);
    expect(countTagLetters([piece('a', [1])], (id) => ({ orderId: 10_000, pieceNumber: id }))).toBe(7);
    expect(countTagLetters([], () => undefined)).toBe(0);
  });

  it('that are cut alike are one piece, mirrored or not are two', () => {
    expect(keyOfSource(source())).toBe('5/0/90/m');
    expect(keyOfSource(source({ mirrored: false, layerIndex: 2, widthMm: 60.5 }))).toBe('5/2/60.5/n');
    expect(placementKey({ pieceId: 'a', copy: 3 })).toBe('3 a');
  });

  it('are turned freely where the vinyl has no direction, else head to foot', () => {
    const turns = (turnable: boolean) => makeJob([piece('a', [1])], shapes, { ...plain, turnable }).pieces[0]!.turns;
    expect(turns(true)).toBe('free');
    expect(turns(false)).toEqual([0, 180]);
  });

  it('have a tag as wide as the longest is', () => {
    const tagged = (tagLetters: number) =>
      makeJob([piece('a', [1, 2])], shapes, { ...plain, marks: { tags: true }, tagLetters });
    const areaOf = (letters: number) => computeRingArea(tagged(letters).pieces[0]!.rings[0]!);
    // Two letters more of 2.5 mm are 5 mm more, as high as the tag of 4.5 mm and the 1.5 mm that hold it to its piece.
    expect(areaOf(6) - areaOf(4)).toBeCloseTo(30, 6);
    expect(tagged(4).tagAt.has('a')).toBe(true);
    expect(tagged(4).pieces[0]!.copies).toBe(2);
    const bare = makeJob([piece('a', [1])], shapes, plain);
    expect([bare.tagAt.size, bare.pieces[0]!.rings]).toEqual([0, [box]]);
  });

  it('are the part that was ordered, or none', () => {
    const job = makeJob([piece('a', [4, null])], shapes, plain);
    expect([0, 1, 2].map((copy) => partIdOf(job, { pieceId: 'a', copy }))).toEqual([4, null, null]);
    expect(partIdOf(job, { pieceId: 'z', copy: 0 })).toBeNull();
    expect(listPartIds({ pieces: [piece('a', [4, null, 2]), piece('b', [4])] })).toEqual([4, 2]);
  });
});

describe('two sheets that want the same', () => {
  const mine = sheetOf();
  const other = (more = {}) => ({ id: 8, sheet: sheetOf({ pieces: [piece('z', [9])], ...more }) });
  const plenty = () => 5000;

  it('part: the first that is laid out elsewhere is named, and where', () => {
    expect(findClash(mine, [{ id: 8, sheet: sheetOf({ pieces: [piece('z', [2])] }) }], plenty)).toEqual({
      kind: 'part',
      partId: 2,
      by: 8,
    });
    expect(findClash(mine, [other()], plenty)).toBeNull();
  });

  it('roll: by the length that each takes', () => {
    expect(findClash(mine, [other()], () => 200)).toBeNull();
    expect(findClash(mine, [other()], () => 199)).toEqual({
      kind: 'lot',
      lotId: 1,
      form: 'roll',
      left: 99,
      takes: 100,
      by: 8,
    });
    expect(findClash(mine, [], () => 40)).toMatchObject({ left: 40, by: null });
    expect(findClash(mine, [other()], () => 40)).toMatchObject({ left: 0 });
  });

  it('sheets: by the piece; what is not on the book belongs to nobody', () => {
    const lots = [{ lotId: 2, form: 'sheet' as const, widthMm: 300, lengthMm: 400 }];
    const two = {
      lots,
      sheets: [
        { ...usedOn(0, '2'), lotId: 2 },
        { ...usedOn(1, '2'), lotId: 2 },
      ],
    };
    expect(findClash(sheetOf(two), [other(two)], () => 4)).toBeNull();
    expect(findClash(sheetOf(two), [other(two)], () => 3)).toMatchObject({ form: 'sheet', left: 1, takes: 2 });
    const loose = { sheets: [{ ...usedOn(0, '0'), lotId: 0 }] };
    expect(findClash(sheetOf(loose), [other(loose)], () => 0)).toBeNull();
    expect(findClash(sheetOf({ ...two, lots: [] }), [], () => 1)).toMatchObject({ form: 'roll', takes: 2 });
    expect(at(0, 'a', 0).sheet).toBe(0);
  });
});
