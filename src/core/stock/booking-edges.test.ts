// Bookings at their edges, what lots are worth, and a roll that is weighed or measured.

import { describe, expect, it } from 'vitest';
import { printWorking } from '../../../test/print-working';
import {
  checkLine,
  computeLengthByDiameter,
  computeLengthByWeight,
  correctTo,
  parseKey,
  STOCK_CAUSES,
  takeFirstIn,
  valueStock,
  type Lot,
  type LotForm,
} from './index';

const lot = (id: number, form: LotForm = 'roll', part: Partial<Lot> = {}): Lot => ({
  id,
  key: 'vinyl 1',
  form,
  widthMm: 500,
  lengthMm: null,
  receivedAtMs: id,
  unitCost: 1,
  ...part,
});

describe('a line', () => {
  it('adds by some causes, takes by others; only a count does either', () => {
    const allowed = (quantity: number) =>
      STOCK_CAUSES.filter((cause) => checkLine(lot(1), 100, { lotId: 1, cause, quantity }).ok);
    expect(allowed(5)).toEqual(['received', 'counted', 'returned']);
    expect(allowed(-5)).toEqual(['cut', 'used', 'spoiled', 'counted', 'sold', 'set-aside']);
  });

  it('takes a roll by tenths of a millimetre, all else by the piece', () => {
    const book = (form: LotForm, quantity: number, left = 100) =>
      checkLine(lot(1, form), left, { lotId: 1, cause: 'used', quantity });
    expect(book('roll', -12.34)).toMatchObject({ ok: true, value: { quantity: -12.3 } });
    expect(book('roll', -0.04)).toEqual({ ok: false, problem: { kind: 'nothing' } });
    expect(book('sheet', -1.5)).toEqual({ ok: false, problem: { kind: 'not-whole' } });
    expect(book('roll', -100)).toMatchObject({ ok: true });
    expect(book('roll', -100.1)).toEqual({ ok: false, problem: { kind: 'below-zero', has: 100, asked: 100.1 } });
    expect(correctTo(lot(1, 'piece'), 7, 9)).toEqual({ lotId: 1, cause: 'counted', quantity: 2 });
    expect(correctTo(lot(1, 'roll'), 7, 7.04)).toBeNull();
  });
});

describe('first in, first out', () => {
  const lots = [
    { lot: lot(3, 'roll', { receivedAtMs: 5, unitCost: 3 }), left: 30 },
    { lot: lot(1, 'roll', { receivedAtMs: 5, unitCost: 1 }), left: 10 },
    { lot: lot(2, 'roll', { receivedAtMs: 1, unitCost: 2 }), left: 0 },
  ];

  it('of lots that came together the one booked first goes first; an empty one is passed over', () => {
    const found = takeFirstIn(lots, 25);
    if (!found.ok) throw new Error(found.problem.kind);
    expect(found.value.taken).toEqual([
      { lotId: 1, quantity: 10, cost: 10 },
      { lotId: 3, quantity: 15, cost: 45 },
    ]);
    expect(printWorking(found.value.cost).split('\n')).toEqual([
      'Cost, first in first out: 55 money, computed (what is taken from each lot × what it cost)',
      '  Lot 1: 10 money, computed',
      '  Lot 3: 45 money, computed',
    ]);
    const first = takeFirstIn(lots, 10);
    expect(first.ok && first.value.taken.map(({ lotId }) => lotId)).toEqual([1]);
  });

  it('takes nothing of nothing, and no more than there is', () => {
    for (const quantity of [0, -1, NaN])
      expect(takeFirstIn(lots, quantity)).toEqual({ ok: false, problem: { kind: 'nothing' } });
    expect(takeFirstIn(lots, 40).ok).toBe(true);
    expect(takeFirstIn(lots, 40.1)).toEqual({ ok: false, problem: { kind: 'below-zero', has: 40, asked: 40.1 } });
  });
});

it('lots are worth what is left of them at what they cost, each to the cent', () => {
  const roll = { lot: lot(1, 'roll', { unitCost: 0.125 }), left: 1234.5 };
  const sheets = { lot: lot(2, 'sheet', { unitCost: 333.335 }), left: 3 };
  // 154.3125 → 154, 1000.005 → 1000.
  expect(valueStock([roll, sheets]).value).toBe(1154);
  expect(valueStock([roll, sheets]).parts).toBeUndefined();
  expect(valueStock([]).value).toBe(0);
  expect(printWorking(valueStock([roll])).split('\n')).toEqual([
    'Value of stock: 154 money, computed (what is left of each lot × what it cost)',
    '  Left: 1234.5 mm, measured',
  ]);
  expect(valueStock([sheets]).parts).toMatchObject([{ value: 3, unit: 'count' }]);
});

describe('a roll that is not unrolled', () => {
  const weight = { grams: 800, coreGrams: 250, gramsPerM2: 220, widthMm: 500 };
  const size = { diameterMm: 90, coreDiameterMm: 80, thicknessMm: 0.2 };

  it.each([
    ['grams', 0, 'weight'],
    ['coreGrams', -1, 'core-weight'],
    ['gramsPerM2', 0, 'grammage'],
    ['widthMm', 0, 'width'],
  ] as const)('weighed, with %s of %d: names the %s', (field, value, what) => {
    expect(computeLengthByWeight({ ...weight, [field]: value })).toEqual({
      ok: false,
      problem: { kind: 'out-of-range', what },
    });
  });

  it.each([
    ['diameterMm', 0, 'diameter'],
    ['coreDiameterMm', 0, 'core-diameter'],
    ['thicknessMm', 0, 'thickness'],
  ] as const)('measured, with %s of %d: names the %s', (field, value, what) => {
    expect(computeLengthByDiameter({ ...size, [field]: value })).toEqual({
      ok: false,
      problem: { kind: 'out-of-range', what },
    });
  });

  it('may be empty, but is no less than its core', () => {
    expect(computeLengthByWeight({ ...weight, grams: 250 })).toMatchObject({ ok: true, value: { value: 0 } });
    expect(computeLengthByWeight({ ...weight, grams: 249 })).toEqual({
      ok: false,
      problem: { kind: 'less-than-core' },
    });
    expect(computeLengthByWeight({ ...weight, coreGrams: 0 }).ok).toBe(true);
    expect(computeLengthByDiameter({ ...size, diameterMm: 80 })).toMatchObject({ ok: true, value: { value: 0 } });
    expect(computeLengthByDiameter({ ...size, diameterMm: 79 })).toEqual({
      ok: false,
      problem: { kind: 'less-than-core' },
    });
  });

  it('shows what it was worked out from', () => {
    const byWeight = computeLengthByWeight(weight);
    // 550 g ÷ 220 g/m² = 2.5 m², 500 mm wide.
    expect(byWeight.ok && printWorking(byWeight.value).split('\n')).toEqual([
      'Length by weight: 5000 mm, computed ((weight − core) ÷ (220 g/m² × width))',
      '  Weight, g: 800 factor, typed',
      '  Core, g: 250 factor, typed',
      '  Width: 500 mm, measured',
    ]);
    const bySize = computeLengthByDiameter(size);
    // π (8100 − 6400) ÷ 0.8
    expect(bySize.ok && printWorking(bySize.value).split('\n')).toEqual([
      'Length by diameter: 6675.88 mm, computed (π (D² − d²) ÷ 4 × thickness)',
      '  Diameter: 90 mm, typed',
      '  Core: 80 mm, typed',
      '  Thickness: 0.2 mm, typed',
    ]);
  });
});

it('a key that is none names nothing, and says so without a fault', () => {
  for (const key of [
    '',
    'vinyl',
    'vinyl:0',
    'vinyl:1x',
    'x1:1',
    'vinyl:1:M',
    'vinyl:1234567890123456',
    'supply:3:M',
    'blank:3',
    'blank:3:M',
    'blank:3:%:red',
    'blank:3:M:%E0%A4',
    'roll:1',
    'roll:1:M:red',
  ])
    expect(parseKey(key), key).toBeNull();
  expect(parseKey('blank:3:M:light%20blue')).toEqual({
    kind: 'blank',
    blankId: 3,
    sizeName: 'M',
    colourName: 'light blue',
  });
  expect(parseKey('supply:3')).toEqual({ kind: 'supply', supplyId: 3 });
});
