// What work takes from the shelf and wears, with figures worked out by hand: strips off the oldest roll that is wide
// enough, blanks by the piece, metres, loads, presses and tape; and what each part bears of it.

import { beforeEach, describe, expect, it, vi } from 'vitest';
import { eachFresh, type TestShop } from '../../../test/demo-shop';
import { lotInput } from '../../core/input/index';
import { keyOf, type SupplyKind } from '../../core/stock/index';
import { minor } from '../../core/units/index';
import { loadBlanks, loadVinyls } from '../../data/shelf-store';
import { updateShop } from '../../data/shop-store';
import { findLot, loadLinesOfSession } from '../../data/stock-store';
import { insertSupply, loadWearOfSession } from '../../data/supply-store';
import { insertSession } from '../../data/work-store';
import { getShop } from '../context';
import { parseInput } from '../errors';
import type { ReadOrder, ReadPart } from '../orders/read-orders';
import { receiveLot } from '../stock/save-stock';
import { bookWear } from '../stock/save-supplies';
import { bookBlanks, bookStrips } from './book-stock';
import { bookCutWear, bookPressWear } from './book-wear';
import { bookWork } from './book-work';

const made = vi.hoisted(() => ({ lines: new Map<number, unknown>() }));
vi.mock('../items/materials', async (load) => ({ ...(await load<object>()), readMadeLines: () => made }));

let shop: TestShop;
eachFresh((fresh) => {
  shop = fresh;
});
let session = 0;
/** Rolls of 300 mm, 10 m at 6.00: 0.06 of a cent the millimetre, and an adhesive one; a plain blank. */
let heat: ReturnType<typeof loadVinyls>[number];
let sticky: typeof heat;
let blank: ReturnType<typeof loadBlanks>[number];

/** Five millimetres are free at each side of a roll, ten round a piece; a mat of 300 × 300 mm is free to its edge. */
const FIGURES = {
  cutterEdgeMm: 5,
  weedMarginMm: 10,
  matWidthMm: 300,
  matLengthMm: 300,
  matEdgeMm: 0,
  bladePrice: 600,
  bladeLifeMetres: 300,
  matPrice: 800,
  matLifeLoads: 100,
  coverSheetPrice: 300,
  coverSheetPresses: 100,
  pillowPrice: 1000,
  pillowPresses: 1000,
  heatTape: 6,
  tapePerM2: 200,
  tapeUses: 2,
};

beforeEach(() => {
  const { figures, version, ...identity } = getShop(shop);
  updateShop(shop.db, identity, { ...figures, ...FIGURES }, version);
  const vinyls = loadVinyls(shop.db).filter((vinyl) => vinyl.details.direction === 'none');
  const price = { rollWidthMm: 300, rollLengthMm: 10_000, rollPrice: minor(600) };
  heat = { ...vinyls.find((vinyl) => vinyl.kind === 'smooth')!, ...price };
  sticky = { ...vinyls.find((vinyl) => vinyl.kind === 'permanent')!, ...price };
  blank = loadBlanks(shop.db).find(({ sizes, heating }) => sizes.length > 0 && heating === 'flat')!;
  session = insertSession(shop.db, 'cut', shop.clock.ms, []);
  made.lines = new Map([[1, lineOf([layerOf(heat)])]]);
  shop.db.$client.exec('update lots set "left" = 0');
  shop.db.$client.exec('delete from supply_wear');
});

const layerOf = (vinyl: typeof heat, { width = 80, height = 40, metres = 3 } = {}) => ({
  vinyl,
  measurement: {
    box: { x: 0, y: 0, width, height },
    cutLengthMm: metres * 1000,
    keptAreaMm2: width * height,
    weededAreaMm2: 0,
  },
});
const lineOf = (layers: readonly object[], own: object = blank) => ({
  blank: own,
  layers,
  made: { blankId: blank.id, sizeName: blank.sizes[0]!.name, colourName: blank.colours[0]!.name, recipe: undefined },
});

type Shape = Partial<Pick<ReadPart, 'lineId' | 'layerIndex' | 'pieceId' | 'recut' | 'events'>>;
const partOf = (id: number, shape: Shape = {}): ReadPart =>
  ({ id, lineId: 1, layerIndex: 0, pieceId: id, recut: null, events: [], ...shape }) as ReadPart;
const workOf = (parts: readonly ReadPart[], others: readonly ReadPart[] = [], title = 'Two aprons') => ({
  sessionId: session,
  orders: [{ order: { title }, parts: [...parts, ...others] } as unknown as ReadOrder],
  parts,
});

const receive = (key: string, form: string, quantity: number, unitCost: number, widthMm: number | null) =>
  receiveLot(
    shop,
    parseInput(lotInput, { key, form, widthMm, lengthMm: null, quantity, price: Math.round(quantity * unitCost) }),
  ).id;
const rollOf = (vinyl: typeof heat, quantity: number, unitCost: number, widthMm = 300) =>
  receive(`vinyl:${vinyl.id}`, 'roll', quantity, unitCost, widthMm);
const blanksOf = (quantity: number, unitCost: number) => {
  const [size, colour] = [blank.sizes[0]!.name, blank.colours[0]!.name];
  return receive(
    keyOf({ kind: 'blank', blankId: blank.id, sizeName: size, colourName: colour }),
    'piece',
    quantity,
    unitCost,
    null,
  );
};
const leftOf = (lotId: number) => findLot(shop.db, lotId)!.left;

function fit(kind: SupplyKind): void {
  const plain = { supplier: '', widthMm: null, tack: null, angleDegrees: null, life: null, note: '' };
  bookWear(shop, insertSupply(shop.db, { name: `Own ${kind}`, kind, ...plain }), {
    kind: 'fitted',
    amount: 0,
    fromStock: false,
  });
}
const wornOf = (kind: SupplyKind) => loadWearOfSession(shop.db, session).find((wear) => wear.kind === kind);

describe('a strip', () => {
  it('is as long as the rows of its copies, and its parts bear it evenly', () => {
    // With its margin 100 × 60 mm, 290 mm to cut on: turned a quarter four lie side by side, so three are one row.
    const roll = rollOf(heat, 1000, 0.5);
    const { booked, costs, lots } = bookStrips(shop, workOf([partOf(1), partOf(2), partOf(3)]));
    expect(leftOf(roll)).toBeCloseTo(900, 6);
    expect(booked).toEqual([{ thingName: heat.name, form: 'roll', quantity: 100, missing: 0 }]);
    for (const id of [1, 2, 3]) expect(costs.get(id)).toBeCloseTo(50 / 3, 6);
    expect([...lots]).toEqual([1, 2, 3].map((id) => [id, roll]));
    expect(loadLinesOfSession(shop.db, [session])).toMatchObject([{ cause: 'cut', quantity: -100 }]);
  });

  it('comes off the oldest roll first, then the next, each at what it cost', () => {
    const old = rollOf(heat, 50, 1);
    shop.clock.ms += 1000;
    const next = rollOf(heat, 1000, 0.2);
    const { costs, lots } = bookStrips(shop, workOf([partOf(1)]));
    expect([leftOf(old), leftOf(next)]).toEqual([0, 990]);
    expect(costs.get(1)).toBeCloseTo(50 + 10 * 0.2, 6);
    expect(lots.get(1)).toBe(old);
  });

  it('passes by a roll that is too narrow, and takes one that is just wide enough', () => {
    // Across: 40 + 20 mm turned, 5 mm at each side.
    const narrow = rollOf(heat, 1000, 1, 69.9);
    const wide = rollOf(heat, 1000, 1, 70);
    made.lines = new Map([[1, lineOf([layerOf({ ...heat, rollWidthMm: 70 })])]]);
    bookStrips(shop, workOf([partOf(1)]));
    expect(leftOf(narrow)).toBe(1000);
    expect(leftOf(wide)).toBe(900);
  });

  it('that the book does not have is told, and costs what the vinyl usually costs', () => {
    const roll = rollOf(heat, 20, 0.5);
    const { booked, costs } = bookStrips(shop, workOf([partOf(1)]));
    expect(leftOf(roll)).toBe(0);
    expect(booked).toEqual([{ thingName: heat.name, form: 'roll', quantity: 20, missing: 40 }]);
    expect(costs.get(1)).toBeCloseTo(20 * 0.5 + 40 * 0.06, 6);
  });

  it('of a vinyl that the shop keeps no book of is borne all the same, and not told', () => {
    const { booked, costs, lots } = bookStrips(shop, workOf([partOf(1)]));
    expect(booked).toEqual([]);
    expect(costs.get(1)).toBeCloseTo(60 * 0.06, 6);
    expect(lots.size).toBe(0);
  });

  it('of a third of the letters is a third as long; a layer that is not there or fits no roll takes none', () => {
    const roll = rollOf(heat, 1000, 0.5);
    const again = partOf(1, { recut: { bits: [0, 1], of: 6 } });
    const { costs } = bookStrips(shop, workOf([again, partOf(2, { layerIndex: 5 }), partOf(3, { lineId: 9 })]));
    expect(leftOf(roll)).toBeCloseTo(1000 - 20, 6);
    expect(costs.get(1)).toBeCloseTo(10, 6);
    expect(costs.has(2) || costs.has(3)).toBe(false);
    made.lines = new Map([[1, lineOf([layerOf(heat, { width: 400, height: 400 })])]]);
    expect(bookStrips(shop, workOf([partOf(1)])).costs.size).toBe(0);
  });

  it('of two layers of one vinyl is one booking, borne by what each of them took', () => {
    const roll = rollOf(heat, 1000, 1);
    made.lines = new Map([[1, lineOf([layerOf(heat), layerOf(heat, { width: 200, height: 100 })])]]);
    const parts = [partOf(1), partOf(2, { layerIndex: 1 }), partOf(3, { layerIndex: 1 })];
    const { booked, costs } = bookStrips(shop, workOf(parts));
    // The small one 60 mm; two large ones, turned a quarter two of them side by side: 220 mm.
    expect(booked).toMatchObject([{ quantity: 60 + 220 }]);
    expect([1, 2, 3].map((id) => costs.get(id))).toEqual([60, 110, 110].map((cost) => expect.closeTo(cost, 6)));
    expect(leftOf(roll)).toBe(720);
  });

  it('is written down under its orders, each named once, those that are only looked at left out', () => {
    rollOf(heat, 1000, 1);
    const [one, two] = [workOf([partOf(1)], [], 'Aprons'), workOf([partOf(2)], [], 'Tins')];
    const idle = workOf([partOf(7)], [], 'Not worked on');
    const again = workOf([partOf(3)], [], 'Aprons');
    bookStrips(shop, {
      sessionId: session,
      orders: [one, two, idle, again].flatMap(({ orders }) => orders),
      parts: [one, two, again].flatMap(({ parts }) => parts),
    });
    expect(notes()).toEqual(['Aprons, Tins']);
    bookStrips(shop, workOf([partOf(1)], [], 'x'.repeat(300)));
    expect(notes().at(-1)).toBe('x'.repeat(180));
  });
  const notes = () =>
    shop.db.$client.prepare('select note from stock_lines where session_id = ? order by id').pluck().all(session);
});

describe('a blank', () => {
  it('leaves the shelf once a piece, and the part that brings it bears it', () => {
    const lot = blanksOf(10, 350);
    const { booked, costs } = bookBlanks(
      shop,
      workOf([partOf(1, { pieceId: 1 }), partOf(2, { pieceId: 1, layerIndex: 1 }), partOf(3, { pieceId: 2 })]),
    );
    expect(leftOf(lot)).toBe(8);
    expect(booked).toMatchObject([{ form: 'piece', quantity: 2, missing: 0 }]);
    expect([...costs]).toEqual([
      [1, 350],
      [3, 350],
    ]);
    expect(loadLinesOfSession(shop.db, [session])).toMatchObject([{ cause: 'used' }]);
  });

  it('that something was pressed on before is there already; lost, it is written down as spoiled', () => {
    const lot = blanksOf(10, 350);
    const pressed = { id: 1, partId: 9, kind: 'pressed', undoes: null, blankLost: false, sessionId: null };
    const before = partOf(9, { pieceId: 1, events: [pressed as never] });
    expect(bookBlanks(shop, workOf([partOf(1, { pieceId: 1 })], [before])).costs.size).toBe(0);
    expect(leftOf(lot)).toBe(10);
    bookBlanks(shop, workOf([partOf(2, { pieceId: 2 })], [before]), 'spoiled');
    expect(loadLinesOfSession(shop.db, [session])).toMatchObject([{ cause: 'spoiled', quantity: -1 }]);
  });

  it('that the book does not have costs its price by size', () => {
    const { booked, costs } = bookBlanks(shop, workOf([partOf(1), partOf(2, { lineId: 9 })]));
    expect(booked).toEqual([]);
    expect([...costs]).toEqual([[1, blank.sizes[0]!.price]]);
  });
});

describe('cutting wears', () => {
  it('the blade by the metre and the mat by the load, borne by what each part is of it', () => {
    fit('blade');
    fit('mat');
    // 100 × 60 mm with its margin: three across, five along, or five and three: 15 on a mat.
    const costs = bookCutWear(shop, workOf([partOf(1), partOf(2), partOf(3, { recut: { bits: [0], of: 2 } })]));
    expect(wornOf('blade')).toMatchObject({ amount: 3 + 3 + 1.5, unitCost: 2 });
    expect(wornOf('mat')).toMatchObject({ amount: 1, unitCost: 8 });
    expect(costs.get(1)).toBeCloseTo(3 * 2 + 8 / 2.5, 6);
    expect(costs.get(2)).toBeCloseTo(3 * 2 + 8 / 2.5, 6);
    expect(costs.get(3)).toBeCloseTo(1.5 * 2 + 4 / 2.5, 6);
  });

  it('one load more with the sixteenth on a mat for fifteen; another vinyl is a load of its own', () => {
    fit('mat');
    made.lines = new Map([[1, lineOf([layerOf(heat), layerOf(sticky)])]]);
    const many = (count: number, layerIndex = 0) =>
      Array.from({ length: count }, (_, at) => partOf(100 * layerIndex + at + 1, { layerIndex }));
    bookCutWear(shop, workOf(many(15)));
    expect(wornOf('mat')!.amount).toBe(1);
    const costs = bookCutWear(shop, workOf(many(16)));
    expect(wornOf('mat')!.amount).toBe(1 + 2);
    expect(costs.get(16)).toBeCloseTo(3 * 2 + (2 * 8) / 16, 6);
    bookCutWear(shop, workOf([...many(1), ...many(1, 1)]));
    expect(wornOf('mat')!.amount).toBe(1 + 2 + 2);
  });

  it('no mat with what is larger than it, and nothing where the layer is not there or nothing is in use', () => {
    made.lines = new Map([[1, lineOf([layerOf(heat, { width: 400 })])]]);
    const costs = bookCutWear(shop, workOf([partOf(1), partOf(2, { layerIndex: 4 }), partOf(3, { lineId: 9 })]));
    expect([...costs]).toEqual([[1, expect.closeTo(3 * 2, 6)]]);
    expect(loadWearOfSession(shop.db, session)).toEqual([]);
    fit('mat');
    bookCutWear(shop, workOf([partOf(1)]));
    expect(wornOf('mat')).toBeUndefined();
  });
});

describe('pressing wears', () => {
  it('cover sheet and pillow by the press cycle, shared by the parts of a piece', () => {
    fit('cover sheet');
    fit('pillow');
    const parts = [partOf(1, { pieceId: 1 }), partOf(2, { pieceId: 1 }), partOf(3, { pieceId: 2 })];
    const costs = bookPressWear(shop, workOf([...parts, partOf(4, { lineId: 9 })]));
    const { amount, unitCost } = wornOf('cover sheet')!;
    expect(unitCost).toBe(3);
    expect(wornOf('pillow')).toMatchObject({ amount, unitCost: 1 });
    const cycles = amount / 2;
    expect(cycles).toBeGreaterThanOrEqual(1);
    expect([...costs]).toEqual([
      [1, expect.closeTo((cycles * 4) / 2, 6)],
      [2, expect.closeTo((cycles * 4) / 2, 6)],
      [3, expect.closeTo(cycles * 4, 6)],
    ]);
  });

  it('transfer tape of adhesive vinyl as large as its box and margin, by its uses; of heat transfer none', () => {
    made.lines = new Map([
      [
        1,
        lineOf(
          [layerOf(sticky)],
          loadBlanks(shop.db).find(({ heating }) => heating === 'none')!,
        ),
      ],
    ]);
    const costs = bookPressWear(shop, workOf([partOf(1), partOf(2, { layerIndex: 3 })]));
    // 100 × 60 mm are 0.006 m² at 2.00, used twice.
    expect(costs.get(1)! - costs.get(2)!).toBeCloseTo((0.006 * 200) / 2, 9);
    made.lines = new Map([[1, lineOf([layerOf(heat)])]]);
    const plain = bookPressWear(shop, workOf([partOf(1), partOf(2, { layerIndex: 3 })]));
    expect(plain.get(1)).toBeCloseTo(plain.get(2)!, 9);
  });

  it('nothing of what cannot be pressed', () => {
    fit('cover sheet');
    made.lines = new Map([[1, lineOf([layerOf({ ...heat, press: null })])]]);
    const costs = bookPressWear(shop, workOf([partOf(1)]));
    expect(costs.get(1)).toBe(0);
    expect(wornOf('cover sheet')).toBeUndefined();
  });
});

describe('what each part is told to bear', () => {
  it('is vinyl and wear at the cutter, blank and wear at the press, nothing elsewhere', () => {
    rollOf(heat, 1000, 0.5);
    blanksOf(10, 350);
    const cut = bookWork(shop, 'cut', workOf([partOf(1)]));
    expect(cut.costs.get(1)).toMatchObject({ vinylCost: expect.closeTo(30, 6), wearCost: expect.any(Number) });
    expect(cut.costs.get(1)).not.toHaveProperty('blankCost');
    expect(cut.booked).toHaveLength(1);
    const pressed = bookWork(shop, 'press', workOf([partOf(2), partOf(3, { pieceId: 2 })]));
    expect(pressed.costs.get(2)).toMatchObject({ blankCost: 350 });
    expect(pressed.costs.get(3)).toMatchObject({ blankCost: null });
    for (const station of ['weed', 'check'] as const)
      expect(bookWork(shop, station, workOf([partOf(4)]))).toEqual({ booked: [], costs: new Map() });
    expect(bookWork(shop, 'cut', workOf([])).booked).toEqual([]);
  });
});
