// What work gives back when its steps are taken back: stock and wear. What can't be given back stays lost, and the parts
// go on bearing it: what the orders bear is always what the ledger and the log lost.

import type { PartEvent } from '../../core/orders/index';
import { getSupplyFacts } from '../../core/stock/index';
import { groupBy } from '../../core/units/index';
import { loadLiveEventsOfSession, loadLostOfSession } from '../../data/part-event-store';
import { findLot, loadLinesOfSession, type StoredLot } from '../../data/stock-store';
import { addWear, loadWearOfSession } from '../../data/supply-store';
import type { ShopContext } from '../context';
import { writeLine } from '../stock/save-stock';

type CostKind = 'vinylCost' | 'blankCost' | 'wearCost';
/** Of one step taken back, what of its costs is gone all the same; minor units. */
export type Lost = Pick<PartEvent, CostKind>;
/** What work took and still has, and what came back of it; minor units. */
type Returned = { readonly out: number; readonly back: number };

/**
 * Gives back what these steps took, all of them of one piece of work and not taken back yet. By the step's id, what
 * stays lost. Call it inside a transaction, before the steps are taken back.
 */
export function giveBack(
  shop: ShopContext,
  sessionId: number,
  undone: readonly PartEvent[],
): ReadonlyMap<number, Lost> {
  const live = loadLiveEventsOfSession(shop.db, sessionId);
  const left = live.filter((event) => !undone.some(({ id }) => id === event.id));
  const all = left.length === 0;
  const shareOf = (events: readonly PartEvent[], kind: CostKind) => getShare(events, live, kind);
  const { material, blanks } = readOut(shop, sessionId);
  const returned: Readonly<Record<CostKind, Returned>> = {
    vinylCost: returnMaterial(shop, sessionId, material, all ? 1 : shareOf(undone, 'vinylCost')),
    blankCost: returnBlanks(shop, sessionId, blanks, left),
    wearCost: returnWear(shop, sessionId, all ? 1 : shareOf(undone, 'wearCost')),
  };
  const before = loadLostOfSession(shop.db, sessionId);
  const lostOf = (event: PartEvent, kind: CostKind): number =>
    all
      ? // Nothing is left that bears it: what the steps bear is then just what did not come back.
        (returned[kind].out - returned[kind].back - before[kind]) * shareOf([event], kind)
      : getLost(event[kind], returned[kind], shareOf(undone, kind));
  return new Map(
    undone.map((event) => [
      event.id,
      {
        vinylCost: lostOf(event, 'vinylCost'),
        blankCost: lostOf(event, 'blankCost'),
        wearCost: lostOf(event, 'wearCost'),
      },
    ]),
  );
}

const sumOf = (events: readonly PartEvent[], kind: CostKind): number =>
  events.reduce((sum, event) => sum + (event[kind] ?? 0), 0);

/** How much of what the work took falls on these of its steps: by what they cost, evenly where nothing is known. */
function getShare(some: readonly PartEvent[], all: readonly PartEvent[], kind: CostKind): number {
  const whole = sumOf(all, kind);
  return whole > 0 ? sumOf(some, kind) / whole : some.length / all.length;
}

/** What the ledger never took is not lost. */
function getLost(cost: number | null | undefined, { out, back }: Returned, share: number): number {
  if (!cost || out <= 0) return 0;
  return cost * (1 - back / (out * share));
}

type LotOut = { readonly lot: StoredLot; readonly out: number };

/** What the work still has of each lot: offcuts that it left are below nothing. */
function readOut(
  shop: ShopContext,
  sessionId: number,
): { readonly material: readonly LotOut[]; readonly blanks: readonly LotOut[] } {
  const all = [...groupBy(loadLinesOfSession(shop.db, [sessionId]), (line) => line.lotId)].map(([lotId, lines]) => ({
    lot: findLot(shop.db, lotId)!,
    out: -lines.reduce((sum, line) => sum + line.quantity, 0),
  }));
  return {
    material: all.filter(({ lot }) => lot.form !== 'piece'),
    blanks: all.filter(({ lot }) => lot.form === 'piece'),
  };
}

const costOf = (lots: readonly LotOut[]): number => lots.reduce((sum, { lot, out }) => sum + out * lot.unitCost, 0);

/**
 * A roll takes back a part of the strip; a sheet comes back whole or not at all, and an offcut that was left of it is a
 * part of it: the one is there or the other, never both.
 */
function returnMaterial(shop: ShopContext, sessionId: number, lots: readonly LotOut[], share: number): Returned {
  const out = costOf(lots);
  const offcuts = lots.filter((one) => one.out < 0);
  const whole = share >= 1;
  if (offcuts.length > 0 && (!whole || offcuts.some(({ lot }) => lot.left < 1))) return { out, back: 0 };
  for (const { lot } of offcuts)
    writeLine(shop, lot, 'set-aside', -1, 'the load that left it was taken back', sessionId);
  let back = costOf(offcuts);
  for (const { lot, out: taken } of lots.filter((one) => one.out > 0)) {
    const quantity = whole ? taken : lot.form === 'roll' ? Math.round(taken * share * 10) / 10 : 0;
    if (quantity <= 0) continue;
    writeLine(shop, lot, 'returned', quantity, TAKEN_BACK, sessionId);
    back += quantity * lot.unitCost;
  }
  return { out, back };
}

const TAKEN_BACK = 'the step at the bench was taken back';

/** As many blanks come back as pieces of this work have none now. */
function returnBlanks(
  shop: ShopContext,
  sessionId: number,
  lots: readonly LotOut[],
  left: readonly PartEvent[],
): Returned {
  const holding = left.filter((event) => event.blankCost !== null && event.blankCost !== undefined).length;
  let over = lots.reduce((sum, { out }) => sum + out, 0) - holding;
  let back = 0;
  for (const { lot, out } of [...lots].reverse()) {
    const quantity = Math.min(over, out);
    if (quantity <= 0) continue;
    writeLine(shop, lot, 'returned', quantity, TAKEN_BACK, sessionId);
    over -= quantity;
    back += quantity * lot.unitCost;
  }
  return { out: costOf(lots), back };
}

/** Metres and presses come back by their share; a load of the mat was one, unless nothing of it is left. */
function returnWear(shop: ShopContext, sessionId: number, share: number): Returned {
  let out = 0;
  let back = 0;
  for (const { supplyId, kind, amount, unitCost } of loadWearOfSession(shop.db, sessionId)) {
    const isLoads = getSupplyFacts(kind).wears === 'loads';
    const given = isLoads ? (share >= 1 ? amount : 0) : amount * share;
    out += amount * unitCost;
    back += given * unitCost;
    if (given > 0)
      addWear(shop.db, { supplyId, atMs: shop.now(), kind: 'given-back', amount: given, unitCost, sessionId });
  }
  return { out, back };
}
