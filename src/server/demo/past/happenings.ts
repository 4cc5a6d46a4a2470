// What happened in the demo shop's past beside its orders: deliveries, new blades and mats, raised prices, trials.

import { lotInput, vinylInput } from '../../../core/input/index';
import { findVinyl } from '../../../data/shelf-store';
import { findLot } from '../../../data/stock-store';
import { loadWearInUse } from '../../../data/supply-store';
import { parseInput } from '../../errors';
import { bookStock, receiveLot } from '../../stock/save-stock';
import { changeVinyl } from '../../stock/save-shelf';
import { bookWear } from '../../stock/save-supplies';
import { addDemoSupply, fitDemoSupply, receiveDemoLot, sumWorn, type StockSeed } from '../seed-demo-stock';
import { DAY_MS, type Past } from './past';
import type { PastFile } from './past-file';
import { climbLadder, trySideBySide } from './try-out';

export type Happening = { readonly atMs: number; readonly run: () => void };
type OlderLot = PastFile['olderLots'][number];

/** Each on its day, the earliest first. What was so from the beginning is done at once. */
export function listHappenings(past: Past, olderLotIds: Set<number>): Happening[] {
  const { file, stock } = past;
  const agoMs = (days: number) => stock.nowMs - days * DAY_MS;
  const inHours = (days: number) => past.bench.freeFrom(agoMs(days));
  const rolls = stock.file.lots.filter(({ form }) => form === 'roll');
  return [
    ...file.olderLots.map((lot) => ({
      atMs: agoMs(lot.daysAgo),
      run: () => olderLotIds.add(receiveOlder(past, lot)),
    })),
    ...rolls.map((lot) => ({ atMs: agoMs(lot.daysAgo), run: () => receiveDemoLot(stock, lot) })),
    ...listFitted(past, agoMs),
    ...file.dearer.map(({ vinyl, daysAgo, was }) => {
      const now = setRollPrice(past, vinyl, was);
      return { atMs: agoMs(daysAgo), run: () => setRollPrice(past, vinyl, now) };
    }),
    ...file.ladders.map((ladder) => ({ atMs: inHours(ladder.daysAgo), run: () => climbLadder(past, ladder) })),
    ...file.sides.map((side) => ({ atMs: inHours(side.daysAgo), run: () => trySideBySide(past, side) })),
  ].sort((a, b) => a.atMs - b.atMs);
}

/** What wears was there from the beginning, and is changed for the one that is in use today. */
function listFitted({ file, stock }: Past, agoMs: (days: number) => number): Happening[] {
  return stock.file.supplies.flatMap((entry): Happening[] => {
    const id = addDemoSupply(stock, entry);
    const isFitted = entry.fittedDaysAgo !== undefined;
    return [
      ...(isFitted ? [{ atMs: agoMs(file.fromDaysAgo), run: () => fitNew(stock, id) }] : []),
      { atMs: agoMs(entry.fittedDaysAgo ?? 1), run: () => fitDemoSupply(stock, entry, id) },
    ];
  });
}

/** Bought for the day. */
const fitNew = ({ shop }: StockSeed, id: number) => bookWear(shop, id, { kind: 'fitted', amount: 0, fromStock: false });

function receiveOlder({ file, stock }: Past, { thing, daysAgo: _, lengthMm, ...lot }: OlderLot): number {
  const key = stock.keyOf.get(thing);
  const remark = file.vinyls[thing]?.olderLot?.remark ?? '';
  const input = parseInput(lotInput, { ...lot, key, form: 'roll', lengthMm, quantity: lengthMm, remark });
  return receiveLot(stock.shop, input).id;
}

/** Of what is worn today, so much is left for the orders that are on the books. */
const LEFT_FOR_TODAY = 0.2;

/** What is nearly as worn as it is today is changed for a new one. */
export function changeWorn({ stock }: Past): void {
  const inUse = loadWearInUse(stock.shop.db);
  for (const [{ worn }, id] of stock.supplies) {
    if (worn !== undefined && sumWorn(inUse.get(id)) > worn * (1 - LEFT_FOR_TODAY)) fitNew(stock, id);
  }
}

/** The last of the older rolls goes into samples. */
export function emptyOlder({ stock, olderLotIds }: Past): void {
  for (const id of olderLotIds) {
    const { left } = findLot(stock.shop.db, id)!;
    if (left > 0) bookStock(stock.shop, id, { cause: 'used', quantity: left, note: 'samples for the stall' });
  }
}

/** What it was before, minor units. */
function setRollPrice({ stock, ids }: Past, name: string, rollPrice: number): number {
  const { id, version, archived: _archived, ...vinyl } = findVinyl(stock.shop.db, ids.vinyls.get(name)!)!;
  changeVinyl(stock.shop, id, parseInput(vinylInput, { ...vinyl, rollPrice }), version);
  return vinyl.rollPrice;
}
