// What work takes from the shelf, worked out by hand: strips off the oldest roll that is wide enough, blanks by the
// piece; and what each part bears of it.

import { describe, expect, it, vi } from 'vitest';
import { eachFresh } from '../../../test/demo-shop';
import { keyOf } from '../../core/stock/index';
import { minor } from '../../core/units/index';
import { loadLinesOfSession } from '../../data/stock-store';
import { receiveLot } from '../stock/save-stock';
import { bookBlanks, bookStrips } from './book-stock';
import { bookWork } from './book-work';
import { layerOf, layOutBench, partOf, type HandBench } from './hand-bench-examples';

const made = vi.hoisted(() => ({ lines: new Map<number, unknown>() }));
vi.mock('../items/materials', async (load) => ({ ...(await load<object>()), readMadeLines: () => made }));

let bench: HandBench;
eachFresh((shop) => {
  bench = layOutBench(shop);
  made.lines = new Map([[1, bench.lineOf([layerOf(bench.heat)])]]);
});

describe('a strip', () => {
  it('is as long as the rows of its copies, and its parts bear it evenly', () => {
    // With its margin 100 × 60 mm, 290 mm to cut on: turned a quarter four lie side by side, so three are one row.
    const roll = bench.rollOf(bench.heat, 1000, 0.5);
    const { booked, costs, lots } = bookStrips(bench.shop, bench.workOf([partOf(1), partOf(2), partOf(3)]));
    expect(bench.leftOf(roll)).toBeCloseTo(900, 6);
    expect(booked).toEqual([{ thingName: bench.heat.name, form: 'roll', quantity: 100, missing: 0 }]);
    for (const id of [1, 2, 3]) expect(costs.get(id)).toBeCloseTo(50 / 3, 6);
    expect([...lots]).toEqual([1, 2, 3].map((id) => [id, roll]));
    expect(loadLinesOfSession(bench.shop.db, [bench.session])).toMatchObject([{ cause: 'cut', quantity: -100 }]);
  });

  it('comes off the oldest roll first, then the next, each at what it cost', () => {
    const old = bench.rollOf(bench.heat, 50, 1);
    const next = bench.rollOf(bench.heat, 1000, 0.2);
    const { costs, lots } = bookStrips(bench.shop, bench.workOf([partOf(1)]));
    expect([bench.leftOf(old), bench.leftOf(next)]).toEqual([0, 990]);
    expect(costs.get(1)).toBeCloseTo(50 + 10 * 0.2, 6);
    expect(lots.get(1)).toBe(old);
  });

  it('passes by a roll that is too narrow, and takes one that is just wide enough', () => {
    // Across: 40 + 20 mm turned, 5 mm at each side.
    const narrow = bench.rollOf(bench.heat, 1000, 1, 69.9);
    const wide = bench.rollOf(bench.heat, 1000, 1, 70);
    made.lines = new Map([[1, bench.lineOf([layerOf({ ...bench.heat, rollWidthMm: 70 })])]]);
    bookStrips(bench.shop, bench.workOf([partOf(1)]));
    expect(bench.leftOf(narrow)).toBe(1000);
    expect(bench.leftOf(wide)).toBe(900);
  });

  it('of several layers is cut from a roll that is wide enough for the widest; a sheet is no roll', () => {
    const { heat } = bench;
    const sheet = receiveSheet();
    const narrow = bench.rollOf(heat, 1000, 1, 100);
    const wide = bench.rollOf(heat, 1000, 1, 300);
    made.lines = new Map([[1, bench.lineOf([layerOf(heat), layerOf(heat, { width: 200, height: 200 })])]]);
    bookStrips(bench.shop, bench.workOf([partOf(1), partOf(2, { layerIndex: 1 })]));
    expect([sheet, narrow, wide].map(bench.leftOf)).toEqual([5, 1000, 1000 - 60 - 220]);
  });
  const receiveSheet = () => {
    const key = keyOf({ kind: 'vinyl', vinylId: bench.heat.id });
    const size = { widthMm: 500, lengthMm: 700, remark: '' };
    return receiveLot(bench.shop, { key, form: 'sheet', ...size, quantity: 5, price: 500 }).id;
  };

  it('that the book does not have is told, and costs what the vinyl usually costs', () => {
    const roll = bench.rollOf(bench.heat, 20, 0.5);
    const { booked, costs } = bookStrips(bench.shop, bench.workOf([partOf(1)]));
    expect(bench.leftOf(roll)).toBe(0);
    expect(booked).toEqual([{ thingName: bench.heat.name, form: 'roll', quantity: 20, missing: 40 }]);
    expect(costs.get(1)).toBeCloseTo(20 * 0.5 + 40 * 0.06, 6);
  });

  it('of a vinyl that the shop keeps no book of is borne all the same, and not told', () => {
    const { booked, costs, lots } = bookStrips(bench.shop, bench.workOf([partOf(1)]));
    expect(booked).toEqual([]);
    expect(costs.get(1)).toBeCloseTo(60 * 0.06, 6);
    expect(lots.size).toBe(0);
  });

  it('of a third of the letters is a third as long; a layer that is not there or fits no roll takes none', () => {
    const roll = bench.rollOf(bench.heat, 1000, 0.5);
    const again = partOf(1, { recut: { bits: [0, 1], of: 6 } });
    const { costs } = bookStrips(
      bench.shop,
      bench.workOf([again, partOf(2, { layerIndex: 5 }), partOf(3, { lineId: 9 })]),
    );
    expect(bench.leftOf(roll)).toBeCloseTo(1000 - 20, 6);
    expect(costs.get(1)).toBeCloseTo(10, 6);
    expect(costs.has(2) || costs.has(3)).toBe(false);
    made.lines = new Map([[1, bench.lineOf([layerOf(bench.heat, { width: 400, height: 400 })])]]);
    expect(bookStrips(bench.shop, bench.workOf([partOf(1)])).costs.size).toBe(0);
  });

  it('of two layers of one vinyl is one booking, borne by what each of them took', () => {
    const roll = bench.rollOf(bench.heat, 1000, 1);
    made.lines = new Map([[1, bench.lineOf([layerOf(bench.heat), layerOf(bench.heat, { width: 200, height: 100 })])]]);
    const parts = [partOf(1), partOf(2, { layerIndex: 1 }), partOf(3, { layerIndex: 1 })];
    const { booked, costs } = bookStrips(bench.shop, bench.workOf(parts));
    // The small one 60 mm; two large ones, turned a quarter two of them side by side: 220 mm.
    expect(booked).toMatchObject([{ quantity: 60 + 220 }]);
    expect([1, 2, 3].map((id) => costs.get(id))).toEqual([60, 110, 110].map((cost) => expect.closeTo(cost, 6)));
    expect(bench.leftOf(roll)).toBe(720);
  });

  it('is written down under its orders, each named once, those that are only looked at left out', () => {
    bench.rollOf(bench.heat, 1000, 1);
    const [one, two] = [bench.workOf([partOf(1)], [partOf(8)], 'Aprons'), bench.workOf([partOf(2)], [], 'Tins')];
    const idle = bench.workOf([partOf(7)], [], 'Not worked on');
    const again = bench.workOf([partOf(3)], [], 'Aprons');
    bookStrips(bench.shop, {
      sessionId: bench.session,
      orders: [one, two, idle, again].flatMap(({ orders }) => orders),
      parts: [one, two, again].flatMap(({ parts }) => parts),
    });
    expect(notes()).toEqual(['Aprons, Tins']);
    bookStrips(bench.shop, bench.workOf([partOf(1)], [], 'x'.repeat(300)));
    expect(notes().at(-1)).toBe('x'.repeat(180));
  });
  const notes = () =>
    bench.shop.db.$client
      .prepare('select note from stock_lines where session_id = ? order by id')
      .pluck()
      .all(bench.session);
});

describe('a blank', () => {
  it('leaves the shelf once a piece, and the part that brings it bears it', () => {
    const lot = bench.blanksOf(10, 350);
    const { booked, costs } = bookBlanks(
      bench.shop,
      bench.workOf([partOf(1, { pieceId: 1 }), partOf(2, { pieceId: 1, layerIndex: 1 }), partOf(3, { pieceId: 2 })]),
    );
    expect(bench.leftOf(lot)).toBe(8);
    expect(booked).toMatchObject([{ form: 'piece', quantity: 2, missing: 0 }]);
    expect([...costs]).toEqual([
      [1, 350],
      [3, 350],
    ]);
    expect(loadLinesOfSession(bench.shop.db, [bench.session])).toMatchObject([{ cause: 'used' }]);
  });

  it('that something was pressed on before is there already; lost, it is written down as spoiled', () => {
    const lot = bench.blanksOf(10, 350);
    const pressed = { id: 1, partId: 9, kind: 'pressed', undoes: null, blankLost: false, sessionId: null };
    const before = partOf(9, { pieceId: 1, events: [pressed as never] });
    expect(bookBlanks(bench.shop, bench.workOf([partOf(1, { pieceId: 1 })], [before])).costs.size).toBe(0);
    expect(bench.leftOf(lot)).toBe(10);
    bookBlanks(bench.shop, bench.workOf([partOf(2, { pieceId: 2 })], [before]), 'spoiled');
    expect(loadLinesOfSession(bench.shop.db, [bench.session])).toMatchObject([{ cause: 'spoiled', quantity: -1 }]);
  });

  it('that the book does not have costs the price of its size; nothing where that size is gone', () => {
    const sizes = ['S', 'XL'].map((name, at) => ({ name, price: minor(400 + 100 * at) }));
    const costOf = (sizeName: string) => {
      const line = bench.lineOf([layerOf(bench.heat)], { ...bench.blank, sizes });
      made.lines = new Map([[1, { ...line, made: { ...line.made, sizeName } }]]);
      return bookBlanks(bench.shop, bench.workOf([partOf(1)])).costs.get(1);
    };
    expect(['S', 'XL', 'XXL'].map(costOf)).toEqual([400, 500, 0]);
  });

  it('of what is not there any more is none', () => {
    const { booked, costs } = bookBlanks(bench.shop, bench.workOf([partOf(1), partOf(2, { lineId: 9 })]));
    expect(booked).toEqual([]);
    expect([...costs]).toEqual([[1, bench.blank.sizes[0]!.price]]);
  });
});

describe('what each part is told to bear', () => {
  it('at the cutter is vinyl and the wear of the blade, with the lot it was cut from', () => {
    const roll = bench.rollOf(bench.heat, 1000, 0.5);
    bench.fit('blade');
    bench.fit('cover sheet');
    const cut = bookWork(bench.shop, 'cut', bench.workOf([partOf(1), partOf(2, { lineId: 9 })]));
    expect(cut.costs.get(1)).toEqual({
      vinylCost: expect.closeTo(30, 6),
      wearCost: expect.closeTo(3 * 2 + 8, 6),
      lotId: roll,
      design: 'bold',
      finestMm: null,
    });
    expect(cut.costs.get(2)).toEqual({ vinylCost: null, wearCost: null, lotId: null, design: null, finestMm: null });
    expect(cut.booked).toMatchObject([{ thingName: bench.heat.name, quantity: 60 }]);
    expect([bench.wornOf('blade')?.amount, bench.wornOf('cover sheet')]).toEqual([3, undefined]);
  });

  it('at the press is the blank and the wear of the cover sheet, and no lot', () => {
    const lot = bench.blanksOf(10, 350);
    bench.fit('blade');
    bench.fit('cover sheet');
    const pressed = bookWork(bench.shop, 'press', bench.workOf([partOf(2), partOf(3, { pieceId: 2 })]));
    expect(pressed.costs.get(2)).toEqual({ blankCost: 350, wearCost: expect.any(Number) });
    expect(pressed.costs.get(3)).toEqual({ blankCost: null, wearCost: expect.any(Number) });
    expect(bench.leftOf(lot)).toBe(9);
    expect(bench.wornOf('blade')).toBeUndefined();
    expect(bench.wornOf('cover sheet')!.amount).toBeGreaterThan(0);
  });

  it('at another station, or of nothing, is nothing', () => {
    for (const station of ['weed', 'check'] as const)
      expect(bookWork(bench.shop, station, bench.workOf([partOf(4)]))).toEqual({ booked: [], costs: new Map() });
    expect(bookWork(bench.shop, 'cut', bench.workOf([]))).toEqual({ booked: [], costs: new Map() });
  });
});
