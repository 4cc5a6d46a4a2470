import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  checkLine,
  computeLengthByDiameter,
  computeLengthByWeight,
  computeOffcutArea,
  cornered,
  correctTo,
  findFittingOffcuts,
  fitRectangle,
  keyOf,
  listSpoiledSpotsOn,
  makeOffcutCode,
  parseKey,
  rectangle,
  STOCK_CAUSES,
  sumLines,
  takeFirstIn,
  type Lot,
  type LotForm,
  type StockCause,
} from './index';

const lot = (id: number, form: LotForm = 'roll', part: Partial<Lot> = {}): Lot => ({
  id,
  key: 'vinyl:1',
  form,
  widthMm: 500,
  lengthMm: 10_000,
  receivedAtMs: id,
  unitCost: 0.89,
  ...part,
});
const whole = (min: number, max: number) => fc.integer({ min, max });

describe('the ledger', () => {
  it('never goes below nothing and always adds up, whatever is tried', () => {
    const attempt = fc.record({
      cause: fc.constantFrom<StockCause>(...STOCK_CAUSES),
      quantity: whole(-60_000, 60_000).map((tenths) => tenths / 10),
    });
    fc.assert(
      fc.property(fc.constantFrom<LotForm>('roll', 'piece'), fc.array(attempt, { maxLength: 60 }), (form, attempts) => {
        const booked: { quantity: number }[] = [];
        let exactTenths = 0;
        for (const { cause, quantity } of attempts) {
          const left = sumLines(booked);
          const checked = checkLine(lot(1, form), left, { lotId: 1, cause, quantity });
          if (!checked.ok) continue;
          booked.push(checked.value);
          exactTenths += Math.round(checked.value.quantity * 10);
          expect(sumLines(booked)).toBeGreaterThanOrEqual(0);
          expect(sumLines(booked)).toBe(exactTenths / 10);
        }
      }),
    );
  });

  it('refuses with the figures: more than there is, the wrong way round, half a piece, nothing', () => {
    expect(checkLine(lot(1), 300, { lotId: 1, cause: 'cut', quantity: -300.1 })).toEqual({
      ok: false,
      problem: { kind: 'below-zero', has: 300, asked: 300.1 },
    });
    expect(checkLine(lot(1), 300, { lotId: 1, cause: 'cut', quantity: 5 })).toMatchObject({
      problem: { kind: 'wrong-sign' },
    });
    expect(checkLine(lot(1), 300, { lotId: 1, cause: 'received', quantity: -5 })).toMatchObject({
      problem: { kind: 'wrong-sign' },
    });
    expect(checkLine(lot(1, 'piece'), 3, { lotId: 1, cause: 'sold', quantity: -0.5 })).toMatchObject({
      problem: { kind: 'not-whole' },
    });
    for (const quantity of [0, 0.01, NaN, Infinity])
      expect(checkLine(lot(1), 300, { lotId: 1, cause: 'counted', quantity })).toMatchObject({
        problem: { kind: 'nothing' },
      });
  });

  it('is brought to what was counted by one line, or none', () => {
    expect(correctTo(lot(1), 4210.5, 4180)).toEqual({ lotId: 1, cause: 'counted', quantity: -30.5 });
    expect(correctTo(lot(1), 4210.5, 4210.52)).toBeNull();
    fc.assert(
      fc.property(whole(0, 1e6), whole(0, 1e6), (left, counted) => {
        const line = correctTo(lot(1), left / 10, counted / 10);
        expect(sumLines([{ quantity: left / 10 }, ...(line ? [line] : [])])).toBe(counted / 10);
        if (line) expect(checkLine(lot(1), left / 10, line).ok).toBe(true);
      }),
    );
  });
});

describe('first in, first out', () => {
  it('takes from the oldest lot and costs what that one cost', () => {
    const lots = [
      { lot: lot(2, 'roll', { unitCost: 2 }), left: 1000 },
      { lot: lot(1, 'roll', { unitCost: 1 }), left: 300 },
      { lot: lot(3, 'roll', { unitCost: 5 }), left: 0 },
    ];
    const taken = takeFirstIn(lots, 500);
    expect(taken.ok && taken.value.taken).toEqual([
      { lotId: 1, quantity: 300, cost: 300 },
      { lotId: 2, quantity: 200, cost: 400 },
    ]);
    expect(taken.ok && taken.value.cost.value).toBe(700);
    expect(takeFirstIn(lots, 1300.1)).toEqual({ ok: false, problem: { kind: 'below-zero', has: 1300, asked: 1300.1 } });
  });

  it('costs the same as taking piece by piece, and all of it costs what all of it cost', () => {
    fc.assert(
      fc.property(
        fc.array(fc.record({ left: whole(0, 20), cost: whole(1, 500) }), { minLength: 1, maxLength: 8 }),
        whole(1, 60),
        (list, quantity) => {
          const lots = list.map(({ left, cost }, index) => ({
            lot: lot(index + 1, 'piece', { unitCost: cost, receivedAtMs: (index * 7) % 5 }),
            left,
          }));
          const taken = takeFirstIn(lots, quantity);
          const single = [...lots]
            .sort((a, b) => a.lot.receivedAtMs - b.lot.receivedAtMs || a.lot.id - b.lot.id)
            .flatMap(({ lot: from, left }) => Array<number>(left).fill(from.unitCost));
          if (single.length < quantity) expect(taken.ok).toBe(false);
          else
            expect(taken.ok && taken.value.cost.value).toBe(
              single.slice(0, quantity).reduce((sum, cost) => sum + cost, 0),
            );
        },
      ),
    );
  });
});

describe('what is left on a roll', () => {
  it('by weight: 5 m of 500 mm at 220 g/m² weigh 550 g and the core', () => {
    const length = computeLengthByWeight({ grams: 550 + 180, coreGrams: 180, gramsPerM2: 220, widthMm: 500 });
    expect(length.ok && length.value.value).toBeCloseTo(5000, 6);
    expect(computeLengthByWeight({ grams: 100, coreGrams: 180, gramsPerM2: 220, widthMm: 500 })).toEqual({
      ok: false,
      problem: { kind: 'less-than-core' },
    });
  });

  it('by diameter, as winding it turn by turn finds', () => {
    const thicknessMm = 0.18,
      coreDiameterMm = 77;
    let lengthMm = 0,
      turns = 0;
    for (; turns < 40; turns++) lengthMm += Math.PI * (coreDiameterMm + (2 * turns + 1) * thicknessMm);
    const found = computeLengthByDiameter({
      diameterMm: coreDiameterMm + 2 * turns * thicknessMm,
      coreDiameterMm,
      thicknessMm,
    });
    expect(found.ok && found.value.value).toBeCloseTo(lengthMm, 6);
    expect(computeLengthByDiameter({ diameterMm: 70, coreDiameterMm, thicknessMm })).toEqual({
      ok: false,
      problem: { kind: 'less-than-core' },
    });
    expect(computeLengthByDiameter({ diameterMm: 90, coreDiameterMm, thicknessMm: 0 })).toEqual({
      ok: false,
      problem: { kind: 'out-of-range', what: 'thickness' },
    });
  });
});

describe('offcuts', () => {
  it('hold what fits, turned where that is allowed', () => {
    const piece = rectangle(300, 120);
    expect(fitRectangle(piece, 280, 100, false)).toMatchObject({ turned: false });
    expect(fitRectangle(piece, 100, 280, false)).toBeNull();
    expect(fitRectangle(piece, 100, 280, true)).toMatchObject({ turned: true });
    expect(fitRectangle(piece, 301, 10, true)).toBeNull();
    const ell = cornered(300, 200, 180, 120);
    expect(computeOffcutArea(ell)).toBe(300 * 200 - 180 * 120);
    expect(fitRectangle(ell, 300, 80, false)).not.toBeNull();
    expect(fitRectangle(ell, 120, 200, false)).not.toBeNull();
    expect(fitRectangle(ell, 130, 90, false)).toBeNull();
  });

  it('fit exactly where trying every place on a fine grid finds one', () => {
    fc.assert(
      fc.property(
        whole(6, 14),
        whole(6, 14),
        whole(1, 5),
        whole(1, 5),
        whole(1, 14),
        whole(1, 14),
        (width, length, cutWidth, cutLength, w, h) => {
          const inside = (x: number, y: number) =>
            x >= 0 &&
            y >= 0 &&
            x + w <= width &&
            y + h <= length &&
            !(x + w > width - cutWidth && y + h > length - cutLength);
          let found = false;
          for (let x = 0; x <= width; x++) for (let y = 0; y <= length; y++) found ||= inside(x, y);
          expect(fitRectangle(cornered(width, length, cutWidth, cutLength), w, h, false) !== null).toBe(found);
        },
      ),
      { numRuns: 300 },
    );
  });

  it('the one that loses least comes first', () => {
    const offcuts = [
      { code: 'large', shape: rectangle(400, 400), spoiledSpots: [] },
      { code: 'small', shape: rectangle(210, 110), spoiledSpots: [] },
      { code: 'tiny', shape: rectangle(90, 90), spoiledSpots: [] },
      { code: 'creased', shape: rectangle(205, 105), spoiledSpots: [{ x: 100, y: 50, width: 5, height: 5 }] },
    ];
    expect(findFittingOffcuts(offcuts, 200, 100, true).map(({ offcut }) => offcut.code)).toEqual(['small', 'large']);
    // What is spoiled of it is none of what could be used.
    expect(
      findFittingOffcuts(
        [{ shape: rectangle(100, 100), spoiledSpots: [{ x: 0, y: 0, width: 100, height: 50 }] }],
        100,
        25,
        false,
      )[0]!.usedShare,
    ).toBeCloseTo(0.5, 6);
  });

  it('keep clear of spoiled spots as brute force does', () => {
    const whole = (min: number, max: number) => fc.integer({ min, max });
    fc.assert(
      fc.property(
        whole(6, 14),
        whole(6, 14),
        whole(0, 10),
        whole(0, 10),
        whole(1, 4),
        whole(1, 4),
        whole(1, 12),
        whole(1, 12),
        (width, length, left, top, spotWidth, spotLength, w, h) => {
          const clear = (x: number, y: number) =>
            x >= left + spotWidth || x + w <= left || y >= top + spotLength || y + h <= top;
          let found = false;
          for (let x = 0; x + w <= width; x++) for (let y = 0; y + h <= length; y++) found ||= clear(x, y);
          expect(
            fitRectangle(rectangle(width, length), w, h, false, [
              { x: left, y: top, width: spotWidth, height: spotLength },
            ]) !== null,
          ).toBe(found);
        },
      ),
      { numRuns: 200 },
    );
  });

  it('what is cut from one takes along the spots in it, and counts without them', () => {
    const spots = [
      { x: 50, y: 50, width: 40, height: 20 },
      { x: 300, y: 0, width: 10, height: 10 },
    ];
    expect(computeOffcutArea(rectangle(400, 200), spots)).toBeCloseTo(80_000 - 800 - 100, 6);
    // Spots that overlap are not lost twice.
    expect(
      computeOffcutArea(rectangle(100, 100), [
        { x: 0, y: 0, width: 50, height: 50 },
        { x: 25, y: 0, width: 50, height: 50 },
      ]),
    ).toBeCloseTo(10_000 - 3_750, 6);
    expect(
      listSpoiledSpotsOn(
        rectangle(120, 100).map(({ x, y }) => ({ x: x + 70, y: y + 40 })),
        spots,
      ),
    ).toEqual([{ x: 0, y: 10, width: 20, height: 20 }]);
  });

  it('have codes that are not mistaken for one another', () => {
    const codes = Array.from({ length: 13_824 }, (_, number) => makeOffcutCode(number));
    expect(new Set(codes).size).toBe(codes.length);
    for (const code of codes) expect(code).toMatch(/^[ACDEFHJKLMNPRTUVWXY34679]{3}$/);
  });
});

it('keys name things, and back', () => {
  for (const thing of [
    { kind: 'vinyl', vinylId: 3 },
    { kind: 'blank', blankId: 2, sizeName: 'M/L: tall', colourName: 'sea:green' },
    { kind: 'supply', supplyId: 9 },
  ] as const)
    expect(parseKey(keyOf(thing))).toEqual(thing);
  for (const key of ['', 'vinyl', 'vinyl:x', 'vinyl:1:2', 'blank:1', 'melon:3', 'vinyl:-1'])
    expect(parseKey(key)).toBeNull();
});
