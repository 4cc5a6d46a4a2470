// What orders bear is what the ledger of the stock and the log of wear lost, whatever is cut, spoiled and taken back.

import fc from 'fast-check';
import { sql } from 'drizzle-orm';
import { beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { copyDemoShop, seedDemoShop, type TestShop } from '../../../test/demo-shop';
import { priceAllItems } from '../../../test/price-all';
import { readKeptSums } from '../../../test/kept-sums';
import { keyOf, type SupplyKind } from '../../core/stock/index';
import { insertSupply } from '../../data/supply-store';
import { recountParts } from '../../data/evidence-store';
import { findItems } from '../../data/item-store';
import { loadLotsOnShelf } from '../../data/stock-store';
import { behind } from '../cut-sheets/cut-load-examples';
import { cutLoad } from '../cut-sheets/cut-load';
import { recountMinutes } from '../items/recount';
import { loadOrderView } from '../orders/load-order-view';
import { readOrder } from '../orders/read-orders';
import { placeOrder } from '../orders/save-order';
import { receiveLot } from '../stock/save-stock';
import { bookWear, loadSuppliesView } from '../stock/save-supplies';
import { spoilParts } from './spoil-parts';
import { undoSteps } from './undo-steps';
import { finishSession, startSession } from './work-at-bench';

let seeded: Buffer;
let shop: TestShop;
let orderId: number;

beforeAll(async () => {
  seeded = await seedDemoShop();
}, 60_000);

beforeEach(() => {
  shop = copyDemoShop(seeded);
  orderId = takeOrder();
});

function takeOrder(): number {
  const { item } = priceAllItems(shop).find((row) => row.item.name === 'Bakery apron')!;
  const [stored] = findItems(shop.db, [item.id]);
  const line = { itemId: item.id, quantity: 3, sizeName: 'one size', colourName: 'charcoal' };
  const remark = '';
  const blank = keyOf({ kind: 'blank', blankId: stored!.blankId, ...line });
  receiveLot(shop, { key: blank, form: 'piece', widthMm: null, lengthMm: null, quantity: 200, price: 123_457, remark });
  for (const vinylId of stored!.placements.flatMap((placement) => placement.vinylIds)) {
    const key = keyOf({ kind: 'vinyl', vinylId });
    receiveLot(shop, { key, form: 'roll', widthMm: 500, lengthMm: null, quantity: 90_000, price: 54_321, remark });
    receiveLot(shop, { key, form: 'sheet', widthMm: 500, lengthMm: 700, quantity: 50, price: 9_999, remark });
  }
  for (const kind of ['blade', 'mat', 'cover sheet', 'pillow'] as const) fit(kind);
  const fields = { customerName: 'Ansel Thrush', contact: '', dueDay: '2026-12-01', agreed: 6000, note: '' };
  return placeOrder(shop, { title: 'Three aprons', ...fields, lines: [line] }).id;
}

function fit(kind: SupplyKind): void {
  const plain = { supplier: '', widthMm: null, tack: null, angleDegrees: null, life: 500, note: '' };
  const id = insertSupply(shop.db, { name: `Own ${kind}`, kind, ...plain });
  bookWear(shop, id, { kind: 'fitted', amount: 0, fromStock: false });
}

const parts = () => readOrder(shop, orderId)!.parts;
const idsIn = (state: string) => parts().flatMap((part) => (part.state === state ? [part.id] : []));

/** What work booked and did not give back, summed by the database from the ledger and the log alone. */
function sumLost(): { readonly stock: number; readonly wear: number } {
  const [stock] = shop.db.all<{ sum: number }>(
    sql`select coalesce(sum(-l.quantity * t.unit_cost), 0) as sum from stock_lines l join lots t on t.id = l.lot_id
        where l.session_id in (${ownSessions()})`,
  );
  const [wear] = shop.db.all<{ sum: number }>(
    sql`select coalesce(sum(case kind when 'worn' then amount when 'given-back' then -amount end * unit_cost), 0) as sum
        from supply_wear where session_id in (${ownSessions()})`,
  );
  return { stock: stock!.sum, wear: wear!.sum };
}
const ownSessions = () =>
  sql`select session_id from work_session_parts where part_id in (${sql.join(
    parts().map((part) => sql`${part.id}`),
    sql`, `,
  )})`;

const sumBorne = () => ({
  stock: parts().reduce((sum, part) => sum + part.knownVinyl + part.blankCost, 0),
  wear: parts().reduce((sum, part) => sum + part.wearCost, 0),
});

type Step = { readonly kind: string; readonly count: number; readonly blankLost: boolean };
let done: (readonly number[])[] = [];

/** One step of a day at the bench, with what there is; a step that makes no sense then does nothing. */
function take({ kind, count, blankLost }: Step): void {
  const some = (state: string) => idsIn(state).slice(0, count);
  const whole = (state: string) => {
    const ready = idsIn(state);
    const byPiece = new Map(parts().map((part) => [part.pieceId, true]));
    for (const part of parts()) if (!ready.includes(part.id)) byPiece.set(part.pieceId, false);
    return ready.filter((id) => byPiece.get(parts().find((part) => part.id === id)!.pieceId)).slice(0, 2 * count);
  };
  if (kind === 'cut') work('cut', some('to-cut'));
  else if (kind === 'load') cutOnSheet(some('to-cut'));
  else if (kind === 'spoil while cutting') spoilWhileCutting(some('to-cut'));
  else if (kind === 'weed') work('weed', idsIn('cut'));
  else if (kind === 'press') work('press', whole('weeded'));
  else if (kind === 'check') work('check', whole('pressed'));
  else if (kind === 'spoil') spoil(['cut', 'weeded', 'pressed', 'checked'].flatMap(some).slice(0, count), blankLost);
  else undo();
}

function work(station: 'cut' | 'weed' | 'press' | 'check', partIds: readonly number[]): void {
  if (partIds.length === 0) return;
  const { id } = startSession(shop, { station, partIds: [...partIds] });
  shop.clock.ms += 120_000;
  done.push(finishSession(shop, id, 'done').eventIds);
}

function spoil(partIds: readonly number[], blankLost: boolean): void {
  if (partIds.length > 0) done.push(spoilParts(shop, { partIds: [...partIds], cause: 'lifted', blankLost }).eventIds);
}

function spoilWhileCutting(partIds: readonly number[]): void {
  if (partIds.length === 0) return;
  const { id } = startSession(shop, { station: 'cut', partIds: [...partIds] });
  spoil(partIds.slice(0, 1), false);
  done.push(finishSession(shop, id, 'done').eventIds);
}

/** Parts of one vinyl on a whole sheet of it, a quarter of which is saved as an offcut. */
function cutOnSheet(partIds: readonly number[]): void {
  const own = parts().filter((part) => partIds.includes(part.id));
  const same = own.filter((part) => part.vinylId === own[0]!.vinylId);
  if (same.length === 0) return;
  const key = keyOf({ kind: 'vinyl', vinylId: same[0]!.vinylId });
  const lot = loadLotsOnShelf(shop.db, key).find((one) => one.form === 'sheet')!;
  const sheet = {
    lotId: lot.id,
    usedLengthMm: 500,
    leftovers: [behind(500, 500, 200)],
    spareMm2: 0,
    parts: same.map((part, index) => ({ partId: part.id, areaMm2: 20_000 + 5_000 * index })),
    islands: [],
  };
  done.push(cutLoad(shop, { sheets: [sheet], sheetId: null }).eventIds);
}

function undo(): void {
  const eventIds = done.pop();
  if (!eventIds || eventIds.length === 0) return;
  try {
    undoSteps(
      shop,
      eventIds,
      parts().map((part) => part.id),
    );
  } catch {
    // Something was built upon it: it stays as it is.
  }
}

const KINDS = ['cut', 'load', 'spoil while cutting', 'weed', 'press', 'check', 'spoil', 'undo', 'undo'] as const;

/** What lists and costs go by is kept with each step: the whole log, counted anew, says the same. */
function expectKeptAsRecounted(): void {
  const kept = readKeptSums(shop.db);
  recountParts(shop.db);
  recountMinutes(shop);
  expect(kept).toEqual(readKeptSums(shop.db));
}

describe('what an order bears', () => {
  it('is what the ledger and the log lost, for any day at the bench', () => {
    const step = fc.record({
      kind: fc.constantFrom(...KINDS),
      count: fc.integer({ min: 1, max: 4 }),
      blankLost: fc.boolean(),
    });
    fc.assert(
      fc.property(fc.array(step, { minLength: 4, maxLength: 16 }), (steps) => {
        shop = copyDemoShop(seeded);
        orderId = takeOrder();
        done = [];
        for (const one of steps) {
          take(one);
          expect(sumBorne().stock).toBeCloseTo(sumLost().stock, 3);
          expect(sumBorne().wear).toBeCloseTo(sumLost().wear, 3);
        }
        expectKeptAsRecounted();
      }),
      { numRuns: 40, seed: 14 },
    );
  }, 120_000);

  it('a recut takes a strip, wear and machine time of its own, more than its share of a full row', () => {
    const before = parts();
    work(
      'cut',
      before.map((part) => part.id),
    );
    const [first] = parts();
    spoil([first!.id], false);
    work('cut', [first!.id]);
    const recut = parts()[0]!;
    expect(recut.cuts).toBe(2);
    expect(recut.knownVinyl - first!.knownVinyl).toBeGreaterThan(first!.knownVinyl);
    expect(recut.wearCost).toBeGreaterThan(2 * first!.wearCost - 1e-9);
  });

  it('taking a cut back gives back strip, blade and mat to the last line', () => {
    const wornBefore = loadSuppliesView(shop).supplies.map((supply) => supply.wear?.worn.value ?? 0);
    work('cut', idsIn('to-cut'));
    expect(sumLost().stock).toBeGreaterThan(0);
    expect(loadSuppliesView(shop).supplies.map((supply) => supply.wear?.worn.value ?? 0)).not.toEqual(wornBefore);
    undo();
    expect(sumLost()).toEqual({ stock: 0, wear: 0 });
    expect(loadSuppliesView(shop).supplies.map((supply) => supply.wear?.worn.value ?? 0)).toEqual(wornBefore);
    expect(loadOrderView(shop, orderId).against.cash.real.value).toBe(0);
  });

  it('of two cut in one load, taking one back gives back its strip and metres, but not the load', () => {
    const mats = () => loadSuppliesView(shop).supplies.find((supply) => supply.name === 'Own mat')!.wear!.worn.value;
    const blades = () =>
      loadSuppliesView(shop).supplies.find((supply) => supply.name === 'Own blade')!.wear!.worn.value;
    const first = parts()[0]!;
    const two = parts()
      .filter((part) => part.vinylId === first.vinylId)
      .slice(0, 2);
    work(
      'cut',
      two.map((part) => part.id),
    );
    const metres = blades();
    expect(mats()).toBe(1);
    const events = parts().find((part) => part.id === two[0]!.id)!.events;
    undoSteps(
      shop,
      events.map((event) => event.id),
      [two[0]!.id],
    );
    expect(mats()).toBe(1);
    expect(blades()).toBeCloseTo(metres / 2, 9);
    undoSteps(
      shop,
      parts()
        .find((part) => part.id === two[1]!.id)!
        .events.map((event) => event.id),
      [two[1]!.id],
    );
    expect([mats(), Math.round(blades() * 1e9)]).toEqual([0, 0]);
  });

  it('a blank spoiled under the press before the piece was done leaves the shelf once', () => {
    work('cut', idsIn('to-cut'));
    work('weed', idsIn('cut'));
    const piece = parts()
      .slice(0, 2)
      .map((part) => part.id);
    const { id } = startSession(shop, { station: 'press', partIds: piece });
    spoil([piece[0]!], true);
    finishSession(shop, id, 'done');
    const [blanks] = shop.db.all<{ taken: number; cost: number }>(
      sql`select -sum(l.quantity) as taken, -sum(l.quantity * t.unit_cost) as cost
          from stock_lines l join lots t on t.id = l.lot_id
          where t.form = 'piece' and l.session_id in (${ownSessions()})`,
    );
    expect(blanks!.taken).toBe(1);
    const { against } = loadOrderView(shop, orderId);
    expect(against.cash.real.parts!.find((part) => part.label.startsWith('Blanks'))!.value).toBe(
      Math.round(blanks!.cost),
    );
  });
});
