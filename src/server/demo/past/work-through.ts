// An order of the demo shop's past at the bench: station by station, with what went wrong and was made again.

import { findReadyParts, type SpoilageCause, type Station } from '../../../core/orders/index';
import { keyOf } from '../../../core/stock/index';
import { groupBy, MS_PER_S } from '../../../core/units/index';
import { loadLotsOnShelf } from '../../../data/stock-store';
import { finishSession, startSession } from '../../bench/work-at-bench';
import { spoilParts } from '../../bench/spoil-parts';
import { readMadeLines } from '../../items/materials';
import { readStandingOrder, type WaitingOrder, type WaitingPart } from '../../orders/read-orders';
import type { Past } from './past';
import { tellRealSeconds, type FirstSeconds } from './real-seconds';

const PAUSE_MS = 10 * 60_000;
const SPOIL_MS = 60_000;
/** What goes wrong again and again is made at most so often: a past that never ends is none. */
const MOST_ROUNDS = 4;

/** From cutting to the last check. The shop's clock stands when it is through. */
export function workThrough(past: Past, orderId: number, firsts: FirstSeconds): void {
  const at = (station: Station): Worked => workAt(past, orderId, station, firsts);
  for (let round = 1; round <= MOST_ROUNDS; round++) {
    const isLast = round === MOST_ROUNDS;
    at('cut');
    const weeded = at('weed');
    if (!isLast && loseFilm(past, weeded)) continue;
    const pressed = at('press');
    if (isLast || !losePressed(past, pressed)) break;
  }
  at('check');
}

/** What lay ready, as it was before. */
type Worked = { readonly order: WaitingOrder; readonly parts: readonly WaitingPart[] };

/** All that lies ready there; what that was. */
function workAt(past: Past, orderId: number, station: Station, firsts: FirstSeconds): Worked {
  const { shop, clock } = past.stock;
  const order = readStandingOrder(shop, orderId)!;
  const parts = findReadyParts(station, order.parts);
  if (parts.length === 0) return { order, parts };
  // What is of one vinyl is weeded in one go, then the next.
  const batches = station === 'weed' ? [...groupBy(parts, (part) => part.vinylId).values()] : [parts];
  for (const batch of batches) {
    past.goTo(past.bench.freeFrom(clock.ms));
    const { id } = startSession(shop, { station, partIds: batch.map((part) => part.id) });
    clock.ms += Math.round(tellRealSeconds(past, firsts, station, { order, parts: batch }) * MS_PER_S);
    finishSession(shop, id, 'done');
    past.bench.busyUntil(clock.ms + PAUSE_MS);
  }
  return { order, parts };
}

/** By the vinyl and its lot. True where something has to be made again. */
function loseFilm(past: Past, weeded: Worked): boolean {
  const { file, chance } = past;
  const shareLost = makeShareLost(past, weeded.order);
  const lost = weeded.parts.filter((part) => chance.happens(shareLost(part)));
  for (const part of lost) lose(past, part, chance.pick(file.filmCauses), false);
  return lost.length > 0;
}

/** More of an older lot goes wrong, where one is said to be worse: it is cut from while any of it lies there. */
function makeShareLost({ file, stock, olderLotIds }: Past, order: WaitingOrder): (part: WaitingPart) => number {
  const { lines } = readMadeLines(stock.shop, [order]);
  return ({ lineId, layerIndex }) => {
    const vinyl = lines.get(lineId)?.layers[layerIndex]?.vinyl;
    if (!vinyl) return 0;
    const { lost, olderLot } = file.vinyls[vinyl.name]!;
    const [lot] = loadLotsOnShelf(stock.shop.db, keyOf({ kind: 'vinyl', vinylId: vinyl.id }));
    return olderLot && lot && olderLotIds.has(lot.id) ? olderLot.lost : lost;
  };
}

/** At the press the blank is lost with it. True where a piece has to be made again. */
function losePressed(past: Past, pressed: Worked): boolean {
  const { file, chance } = past;
  const pieces = new Map(pressed.parts.map((part) => [part.pieceId, part]));
  const lost = [...pieces.values()].filter(() => chance.happens(file.pressLost));
  for (const part of lost) lose(past, part, chance.pick(file.pressCauses), true);
  return lost.length > 0;
}

function lose({ stock }: Past, part: WaitingPart, cause: SpoilageCause, blankLost: boolean): void {
  stock.clock.ms += SPOIL_MS;
  spoilParts(stock.shop, { partIds: [part.id], cause, blankLost });
}
