// The demo shop's past: four months of orders from the wish to the money, worked on at one bench, with deliveries,
// changed prices, trials and washes between them; through the same use cases as the screens.

import { orderInput, paymentInput } from '../../../core/input/index';
import { addDays } from '../../../core/scheduling/index';
import { dayOf } from '../../../core/units/index';
import { inTransaction } from '../../../data/database';
import { findItem } from '../../../data/item-store';
import { makeChance } from '../../chance';
import { getShop } from '../../context';
import { parseInput } from '../../errors';
import { moveOrder } from '../../orders/move-order';
import { addPayment } from '../../orders/pay-order';
import { placeOrder } from '../../orders/save-order';
import type { Ids } from '../demo-ids';
import type { StockSeed } from '../seed-demo-stock';
import { makeBenchClock } from './bench-clock';
import { changeWorn, listHappenings, emptyOlder, type Happening } from './happenings';
import { lookAt, planLooks } from './look-later';
import { DAY_MS, type Past } from './past';
import { readPastFile, type PastWish } from './past-file';
import type { FirstSeconds } from './real-seconds';
import { workThrough } from './work-through';

const SEED = 0.3131;
const MEANS = ['transfer', 'cash', 'card'] as const;
/** Days from the order to the day it is promised for. */
const PROMISED = { least: 8, most: 18 };
const CANCELLED = 0.03;

/** Made before the orders that are on the books, so that they carry the later numbers. */
export function seedPast(stock: StockSeed, ids: Ids): void {
  // In one transaction: thousands of small ones would each wait for the disk.
  inTransaction(stock.shop.db, () => liveThrough(begin(stock, ids)));
}

function begin(stock: StockSeed, ids: Ids): Past {
  const olderLotIds = new Set<number>();
  const happenings: Happening[] = [];
  const past: Past = {
    file: readPastFile(),
    stock,
    ids,
    chance: makeChance(SEED),
    bench: makeBenchClock(getShop(stock.shop).timeZone),
    olderLotIds,
    goTo: (ms) => {
      while (happenings[0] && happenings[0].atMs <= ms) {
        const { atMs, run } = happenings.shift()!;
        stock.clock.ms = atMs;
        run();
      }
      stock.clock.ms = ms;
    },
  };
  stock.clock.ms = stock.nowMs - past.file.fromDaysAgo * DAY_MS;
  happenings.push(...listHappenings(past, olderLotIds));
  return past;
}

function liveThrough(past: Past): void {
  const { file, stock, chance } = past;
  const firsts: FirstSeconds = new Map();
  const looks: number[] = [];
  for (let at = 0; at < file.orders; at++) {
    past.goTo(tellPlacedMs(past, at));
    const { id, agreed } = place(past, chance.weigh(file.wishes));
    if (chance.happens(CANCELLED)) {
      stock.clock.ms += DAY_MS;
      moveOrder(stock.shop, id, { move: 'cancel', detail: chance.pick(file.cancelled) });
      continue;
    }
    stock.clock.ms += Math.round(chance.between(0.5, 2) * DAY_MS);
    workThrough(past, id, firsts);
    changeWorn(past);
    handOver(past, id, agreed);
    if (chance.happens(file.lookedAt)) looks.push(...planLooks(past, id));
  }
  past.goTo(stock.nowMs - DAY_MS);
  emptyOlder(past);
  lookAt(past, looks);
}

/** Evenly over the months, but for chance. */
function tellPlacedMs({ file, stock, chance }: Past, at: number): number {
  const days = file.fromDaysAgo - file.untilDaysAgo;
  const ago = file.fromDaysAgo - (days * (at + chance.between(0, 1))) / file.orders;
  return Math.round(stock.nowMs - ago * DAY_MS);
}

function place({ stock, ids, chance }: Past, wish: PastWish): { readonly id: number; readonly agreed: number } {
  const { shop } = stock;
  const itemId = ids.items.get(wish.item)!;
  const colourName = chance.pick(wish.colours);
  const sizes = [...new Set([chance.pick(wish.sizes), chance.pick(wish.sizes)])];
  const pieces = Math.max(sizes.length, chance.whole(wish.least, wish.most));
  const lines = sizes.map((sizeName, at) => ({
    itemId,
    sizeName,
    colourName,
    quantity: Math.floor((pieces + at) / sizes.length),
  }));
  const agreed = pieces * (findItem(shop.db, itemId)!.price ?? 0);
  const input = parseInput(orderInput, {
    title: chance.pick(wish.titles),
    customerName: wish.customer,
    contact: wish.contact,
    dueDay: addDays(dayOf(shop.now(), getShop(shop).timeZone), chance.whole(PROMISED.least, PROMISED.most)),
    agreed,
    note: '',
    lines,
    earlyAccepted: true,
  });
  return { id: placeOrder(shop, input).id, agreed };
}

/** A day or two after its last check, and paid. */
function handOver({ stock, chance }: Past, id: number, owed: number): void {
  const { shop, clock, nowMs } = stock;
  clock.ms = Math.min(nowMs - DAY_MS / 2, clock.ms + Math.round(chance.between(0.1, 2) * DAY_MS));
  const payment = { kind: 'payment', amount: owed, means: chance.pick(MEANS) };
  addPayment(shop, id, parseInput(paymentInput, payment));
  moveOrder(shop, id, { move: 'hand-over' });
}
