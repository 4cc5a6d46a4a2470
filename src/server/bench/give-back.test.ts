// What steps give back that are taken back, to the millimetre and the cent: rolls by their share, sheets whole, offcuts
// never twice, blanks by the piece, blades by the metre; and what stays lost.

import { beforeEach, describe, expect, it } from 'vitest';
import { listBenchParts } from '../../../test/bench-parts';
import { eachFresh, type TestShop } from '../../../test/demo-shop';
import { lotInput, supplyInput } from '../../core/input/index';
import type { PartEvent } from '../../core/orders/index';
import type { SupplyKind } from '../../core/stock/index';
import { addPartEvents, loadLiveEventsOfSession } from '../../data/part-event-store';
import { findLot, loadLinesOfSession } from '../../data/stock-store';
import { addWear, loadWearOfSession } from '../../data/supply-store';
import { insertSession, stopSession } from '../../data/work-store';
import { parseInput } from '../errors';
import { receiveLot, writeLine } from '../stock/save-stock';
import { addSupply } from '../stock/save-supplies';
import { newEvent } from './bench-parts';
import { giveBack } from './give-back';

let shop: TestShop;
eachFresh((fresh) => {
  shop = fresh;
});
let vinylKey = '';
let blankKey = '';
let parts: readonly number[] = [];
let session = 0;

beforeEach(() => {
  const waiting = listBenchParts(shop).filter(({ state }) => state === 'to-cut');
  parts = waiting.slice(0, 4).map(({ partId }) => partId);
  vinylKey = `vinyl:${waiting[0]!.vinylId}`;
  blankKey = shop.db.$client.prepare("select key from lots where form = 'piece' limit 1").pluck().get() as string;
  session = insertSession(shop.db, 'cut', shop.clock.ms, []);
  stopSession(shop.db, session, shop.clock.ms + 60_000, 'done');
});

const receive = (lot: object) => receiveLot(shop, parseInput(lotInput, lot)).id;
const vinyl = (form: 'roll' | 'sheet', quantity: number, unitCost: number) => {
  const size = { widthMm: 300, lengthMm: form === 'roll' ? null : 400 };
  return receive({ key: vinylKey, form, ...size, quantity, price: Math.round(quantity * unitCost) });
};
/** A piece of vinyl as a load leaves it. */
const offcutWorth = (unitCost: number) => vinyl('sheet', 1, unitCost);
const blanks = (quantity: number, unitCost: number) =>
  receive({ key: blankKey, form: 'piece', widthMm: null, lengthMm: null, quantity, price: quantity * unitCost });
const take = (lotId: number, quantity: number) =>
  writeLine(shop, findLot(shop.db, lotId)!, 'cut', -quantity, '', session);
const use = (lotId: number, quantity: number) =>
  writeLine(shop, findLot(shop.db, lotId)!, 'used', -quantity, '', session);
const leftOf = (lotId: number) => findLot(shop.db, lotId)!.left;

/** Of one part each, with what they cost. */
function cut(costs: readonly Partial<PartEvent>[]): readonly PartEvent[] {
  const ids = addPartEvents(
    shop.db,
    costs.map((own, at) => newEvent(parts[at]!, 'cut', { atMs: shop.clock.ms, sessionId: session, ...own })),
  );
  return loadLiveEventsOfSession(shop.db, session).filter(({ id }) => ids.includes(id));
}
/** Taken back, and written down as taken back. */
function takeBack(events: readonly PartEvent[]) {
  const lost = giveBack(shop, session, events);
  addPartEvents(
    shop.db,
    events.map(({ id, partId }) =>
      newEvent(partId, 'undone', { atMs: shop.clock.ms, sessionId: session, undoes: id, ...lost.get(id) }),
    ),
  );
  return events.map(({ id }) => lost.get(id)!);
}

describe('a roll', () => {
  it('takes back the share of what is taken back, to a tenth of a millimetre; then the rest', () => {
    const roll = vinyl('roll', 1000, 2);
    take(roll, 100);
    const steps = cut([{ vinylCost: 50 }, { vinylCost: 50 }, { vinylCost: 100 }]);
    const [lost] = takeBack(steps.slice(0, 1));
    expect(leftOf(roll)).toBeCloseTo(925, 6);
    expect(lost).toEqual({ vinylCost: 0, blankCost: 0, wearCost: 0 });
    takeBack(steps.slice(2));
    expect(leftOf(roll)).toBeCloseTo(975, 6);
    const [rest] = takeBack(steps.slice(1, 2));
    expect(leftOf(roll)).toBeCloseTo(1000, 6);
    expect(rest!.vinylCost).toBeCloseTo(0, 6);
    expect(loadLinesOfSession(shop.db, [session]).map(({ cause }) => cause)).toEqual([
      'cut',
      'returned',
      'returned',
      'returned',
    ]);
  });

  it('comes back evenly where nobody knows what the steps cost', () => {
    const roll = vinyl('roll', 1000, 2);
    take(roll, 90);
    const steps = cut([{}, {}, {}]);
    expect(takeBack(steps.slice(0, 1))).toEqual([{ vinylCost: 0, blankCost: 0, wearCost: 0 }]);
    expect(leftOf(roll)).toBeCloseTo(940, 6);
    takeBack(steps.slice(1));
    expect(leftOf(roll)).toBeCloseTo(1000, 6);
  });

  it('rounds to what can be booked, and the step bears what that leaves', () => {
    const roll = vinyl('roll', 1000, 2);
    take(roll, 100);
    const steps = cut([{ vinylCost: 200 / 3 }, { vinylCost: 200 / 3 }, { vinylCost: 200 / 3 }]);
    const [lost] = takeBack(steps.slice(0, 1));
    expect(leftOf(roll)).toBeCloseTo(933.3, 6);
    expect(lost!.vinylCost).toBeCloseTo(200 / 3 - 66.6, 6);
    const others = takeBack(steps.slice(1));
    expect(leftOf(roll)).toBeCloseTo(1000, 6);
    expect(others.reduce((sum, one) => sum + one.vinylCost!, lost!.vinylCost!)).toBeCloseTo(0, 6);
  });

  it('that was not on the book gives nothing back, and nothing of it is lost', () => {
    const steps = cut([{ vinylCost: 80 }, { vinylCost: 40 }]);
    expect(takeBack(steps.slice(0, 1))).toEqual([{ vinylCost: 0, blankCost: 0, wearCost: 0 }]);
    expect(loadLinesOfSession(shop.db, [session])).toEqual([]);
  });
});

describe('a sheet', () => {
  it('comes back whole with the last of its parts, and not before: until then they bear it', () => {
    const sheet = vinyl('sheet', 5, 300);
    take(sheet, 1);
    const steps = cut([{ vinylCost: 200 }, { vinylCost: 100 }]);
    const [first] = takeBack(steps.slice(0, 1));
    expect(leftOf(sheet)).toBe(4);
    expect(first!.vinylCost).toBeCloseTo(200, 6);
    const [last] = takeBack(steps.slice(1));
    expect(leftOf(sheet)).toBe(5);
    // What the first bore is given back with it.
    expect(last!.vinylCost).toBeCloseTo(-200, 6);
  });

  it('beside a roll: the roll gives its share, the sheet waits', () => {
    const [roll, sheet] = [vinyl('roll', 1000, 1), vinyl('sheet', 3, 100)];
    take(roll, 100);
    take(sheet, 1);
    const steps = cut([{ vinylCost: 100 }, { vinylCost: 100 }]);
    const [lost] = takeBack(steps.slice(0, 1));
    expect(leftOf(roll)).toBeCloseTo(950, 6);
    expect(leftOf(sheet)).toBe(2);
    expect(lost!.vinylCost).toBeCloseTo(50, 6);
  });
});

describe('an offcut that the load left', () => {
  /** The roll gave 200 mm, and a piece of it worth 60 came back into the drawer. */
  function loadWithOffcut() {
    const [roll, offcut] = [vinyl('roll', 1000, 1), offcutWorth(60)];
    take(roll, 200);
    writeLine(shop, findLot(shop.db, offcut)!, 'set-aside', -1, '', undefined);
    writeLine(shop, findLot(shop.db, offcut)!, 'returned', 1, '', session);
    return { roll, offcut };
  }

  it('stays while some of the load stays: then the roll gives nothing back', () => {
    const { roll, offcut } = loadWithOffcut();
    const steps = cut([{ vinylCost: 70 }, { vinylCost: 70 }]);
    const [lost] = takeBack(steps.slice(0, 1));
    expect([leftOf(roll), leftOf(offcut)]).toEqual([800, 1]);
    expect(lost!.vinylCost).toBeCloseTo(70, 6);
  });

  it('goes when the whole load is taken back, and the roll is whole again', () => {
    const { roll, offcut } = loadWithOffcut();
    const lost = takeBack(cut([{ vinylCost: 70 }, { vinylCost: 70 }]));
    expect([leftOf(roll), leftOf(offcut)]).toEqual([1000, 0]);
    expect(lost.map(({ vinylCost }) => Math.abs(vinylCost!) < 1e-6)).toEqual([true, true]);
    const lines = loadLinesOfSession(shop.db, [session]);
    expect(lines.map(({ cause, quantity }) => [cause, quantity])).toEqual([
      ['cut', -200],
      ['returned', 1],
      ['set-aside', -1],
      ['returned', 200],
    ]);
    expect(lines.slice(2).every(({ note }) => note.length > 0)).toBe(true);
  });

  it('that something was cut from since is gone: the roll gives nothing back, and the load bears it', () => {
    const { roll, offcut } = loadWithOffcut();
    writeLine(shop, findLot(shop.db, offcut)!, 'cut', -1, '', undefined);
    const lost = takeBack(cut([{ vinylCost: 70 }, { vinylCost: 70 }]));
    expect([leftOf(roll), leftOf(offcut)]).toEqual([800, 0]);
    expect(lost.reduce((sum, one) => sum + one.vinylCost!, 0)).toBeCloseTo(140, 6);
  });
});

it('of two offcuts one was cut from since: then neither goes, and the roll gives nothing back', () => {
  const roll = vinyl('roll', 1000, 1);
  const offcuts = [offcutWorth(60), offcutWorth(40)];
  take(roll, 200);
  for (const offcut of offcuts) {
    writeLine(shop, findLot(shop.db, offcut)!, 'set-aside', -1, '', undefined);
    writeLine(shop, findLot(shop.db, offcut)!, 'returned', 1, '', session);
  }
  writeLine(shop, findLot(shop.db, offcuts[1]!)!, 'cut', -1, '', undefined);
  takeBack(cut([{ vinylCost: 50 }, { vinylCost: 50 }]));
  expect([roll, ...offcuts].map(leftOf)).toEqual([800, 1, 0]);
});

describe('blanks', () => {
  it('come back by the piece, from the lot that was opened last, as pieces of the work have none now', () => {
    const [older, newer] = [blanks(10, 400), blanks(10, 500)];
    use(older, 2);
    use(newer, 1);
    const steps = cut([{ blankCost: 400 }, { blankCost: 400 }, { blankCost: 500 }, {}]);
    // A part that bears no blank gives none back.
    takeBack(steps.slice(3));
    expect([leftOf(older), leftOf(newer)]).toEqual([8, 9]);
    takeBack(steps.slice(2, 3));
    expect([leftOf(older), leftOf(newer)]).toEqual([8, 10]);
    takeBack(steps.slice(0, 2));
    expect([leftOf(older), leftOf(newer)]).toEqual([10, 10]);
  });

  it('come back although a part that bears none is still done', () => {
    const lot = blanks(10, 400);
    use(lot, 1);
    const steps = cut([{ blankCost: 400 }, {}]);
    takeBack(steps.slice(0, 1));
    expect(leftOf(lot)).toBe(10);
  });

  it('that another work took are not touched; a blank that costs nothing is one all the same', () => {
    const lot = blanks(10, 400);
    writeLine(shop, findLot(shop.db, lot)!, 'used', -3, '', undefined);
    use(lot, 2);
    const steps = cut([{ blankCost: 0 }, { blankCost: 400 }]);
    takeBack(steps.slice(1));
    expect(leftOf(lot)).toBe(6);
    takeBack(steps.slice(0, 1));
    expect(leftOf(lot)).toBe(7);
  });

  it('of several lots: both give back what they gave', () => {
    const [older, newer] = [blanks(10, 400), blanks(10, 500)];
    use(older, 1);
    use(newer, 1);
    const lost = takeBack(cut([{ blankCost: 400 }, { blankCost: 500 }]));
    expect([leftOf(older), leftOf(newer)]).toEqual([10, 10]);
    expect(lost.map(({ blankCost }) => Math.abs(blankCost!) < 1e-6)).toEqual([true, true]);
  });
});

describe('what wears', () => {
  const supply = (kind: SupplyKind) =>
    addSupply(
      shop,
      parseInput(supplyInput, {
        ...{ kind, name: `Test ${kind}`, widthMm: null, tack: null, life: 100 },
        angleDegrees: kind === 'blade' ? 45 : null,
      }),
    ).id;
  const wear = (supplyId: number, amount: number, unitCost: number) =>
    addWear(shop.db, { supplyId, atMs: shop.clock.ms, kind: 'worn', amount, unitCost, sessionId: session });
  const wornBy = (supplyId: number) =>
    loadWearOfSession(shop.db, session).find((one) => one.supplyId === supplyId)?.amount ?? 0;

  const countGivenBack = (supplyId: number) =>
    shop.db.$client
      .prepare(`select count(*) from supply_wear where kind = 'given-back' and supply_id = ?`)
      .pluck()
      .get(supplyId);

  it('a blade gets its metres back by their share, a mat its load once nothing of it is left', () => {
    const [blade, mat] = [supply('blade'), supply('mat')];
    wear(blade, 12, 5);
    wear(mat, 1, 20);
    const steps = cut([{ wearCost: 60 }, { wearCost: 20 }]);
    const [first] = takeBack(steps.slice(0, 1));
    expect(wornBy(blade)).toBeCloseTo(3, 9);
    expect(wornBy(mat)).toBe(1);
    expect(countGivenBack(mat)).toBe(0);
    // Three quarters of the 80 were the step's; of those the mat's share stays lost.
    expect(first!.wearCost).toBeCloseTo(60 - 45, 6);
    takeBack(steps.slice(1));
    expect(wornBy(blade)).toBeCloseTo(0, 9);
    expect(wornBy(mat)).toBe(0);
  });

  it('nothing worn, nothing given back', () => {
    const before = shop.db.$client.prepare('select count(*) from supply_wear').pluck().get();
    expect(takeBack(cut([{ wearCost: 10 }]))).toEqual([{ vinylCost: 0, blankCost: 0, wearCost: 0 }]);
    expect(shop.db.$client.prepare('select count(*) from supply_wear').pluck().get()).toBe(before);
  });
});
