// What the shop's own log says of its items: your minutes for a piece, how often it goes wrong, what blades and mats
// have cost.

import { believeFailure, learnMinutes, type ItemEvidence, type OwnMinutes, type WearPrices } from '../../core/costing';
import { getQuotedSeconds, shareSessionSeconds, type Station } from '../../core/orders';
import { computeRealLife, getSupplyFacts, keyOf, type SupplyKind } from '../../core/stock';
import { figure, groupBy, type Figure } from '../../core/units';
import { findFitted, findSupply, loadWear } from '../../data/supply-store';
import { loadBoughtLots } from '../../data/stock-store';
import { loadSessionsSince } from '../../data/work-store';
import { getShop, type ShopContext } from '../context';
import { loadItemEvidence, loadLoggedParts } from '../../data/evidence-store';

/** Older work says little of how it is done now. */
const LOOK_BACK_MS = 365 * 86_400_000;

/** By item; what is not logged is left out. */
export function loadEvidence(shop: ShopContext): { readonly of: (itemId: number) => ItemEvidence } {
  const { figures } = getShop(shop);
  const minutes = learnAllMinutes(shop),
    counts = loadItemEvidence(shop.db),
    wear = loadWearPrices(shop);
  return {
    of: (itemId) => {
      const own = minutes.get(itemId),
        logged = counts.get(itemId);
      return {
        wear,
        ...(own ? { minutes: own } : {}),
        ...(logged && logged.made > 0 ? { spoilage: believeFailure(logged, figures).mean } : {}),
      };
    },
  };
}

const NAMES = { cut: 'Cut, your hands, as logged', weed: 'Weed, as logged', press: 'Press, as logged' } as const;

function learnAllMinutes(shop: ShopContext): ReadonlyMap<number, OwnMinutes> {
  const works = loadSessionsSince(shop.db, shop.now() - LOOK_BACK_MS).filter(
    (work) =>
      work.stoppedAtMs !== null &&
      work.stoppedAtMs > work.startedAtMs &&
      work.outcome !== 'discarded' &&
      work.station !== 'check',
  );
  const parts = new Map(
    loadLoggedParts(shop.db, [...new Set(works.flatMap((work) => work.parts.map((part) => part.partId)))]).map(
      (part) => [part.id, part],
    ),
  );
  const spent = new Map<
    string,
    {
      readonly itemId: number;
      readonly station: keyof typeof NAMES;
      seconds: number;
      readonly seen: Set<number>;
      readonly all: number;
    }
  >();
  for (const work of works) {
    const station = work.station as keyof typeof NAMES;
    const shares = shareSessionSeconds(
      (work.stoppedAtMs! - work.startedAtMs) / 1000,
      work.parts.map((part) => part.estimateSeconds),
    );
    for (const [index, { partId }] of work.parts.entries()) {
      const part = parts.get(partId);
      if (!part) continue;
      const key = `${part.pieceId} ${station}`;
      const own = spent.get(key) ?? {
        itemId: part.itemId,
        station,
        seconds: 0,
        seen: new Set<number>(),
        all: part.partsOfPiece,
      };
      own.seconds += shares[index]! * getHandsShare(part.quote, station);
      own.seen.add(partId);
      spent.set(key, own);
    }
  }
  // Only pieces that went through with all their parts tell what one takes.
  const whole = groupBy(
    [...spent.values()].filter((one) => one.seen.size === one.all),
    (one) => one.itemId,
  );
  return new Map(
    [...whole].map(([itemId, pieces]) => [
      itemId,
      Object.fromEntries(
        [...groupBy(pieces, (piece) => piece.station)].flatMap(([station, own]): [string, Figure][] => {
          const learned = learnMinutes(NAMES[station], { seconds: own.map((piece) => piece.seconds) });
          return learned ? [[station, learned]] : [];
        }),
      ) as OwnMinutes,
    ]),
  );
}

/** At the cutter the clock also runs for the set-up, which is a line of its own. */
function getHandsShare(quote: Parameters<typeof getQuotedSeconds>[0], station: Station): number {
  if (station !== 'cut') return 1;
  const all = getQuotedSeconds(quote).cut;
  return all > 0 ? (all - quote.setupSeconds) / all : 1;
}

/** From the blade and mat in use: their real lives where some were worn out, and what was paid for the newest. */
export function loadWearPrices(shop: ShopContext): WearPrices {
  const { figures } = getShop(shop);
  const fitted = findFitted(shop.db, ['blade', 'mat']);
  const priceOf = (kind: 'blade' | 'mat', label: string, shopPrice: number): Figure | undefined => {
    const supply = findSupply(shop.db, fitted.get(kind as SupplyKind) ?? -1);
    if (!supply || supply.life === null) return undefined;
    const paid = loadBoughtLots(shop.db, keyOf({ kind: 'supply', supplyId: supply.id })).at(-1);
    const life = computeRealLife(supply, loadWear(shop.db, supply.id)),
      price = figure(paid ? `Paid for ${supply.name}` : 'Price', paid?.unitCost ?? shopPrice, 'money', 'shop');
    return figure(label, price.value / life.value, kind === 'blade' ? 'money/m' : 'money', life.source, {
      how: `price ÷ life in ${getSupplyFacts(kind).wears}`,
      parts: [price, life],
    });
  };
  const bladeMetre = priceOf('blade', 'A metre of blade', figures.bladePrice),
    matLoad = priceOf('mat', 'A load on the mat', figures.matPrice);
  return { ...(bladeMetre ? { bladeMetre } : {}), ...(matLoad ? { matLoad } : {}) };
}
