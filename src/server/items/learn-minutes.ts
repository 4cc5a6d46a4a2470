// Your minutes at each station, item by item, from the log of the bench.

import { countLoads, learnMinutes, type OwnMinutes } from '../../core/costing';
import { getWatchedSeconds, learnCutting, type LoggedCutting } from '../../core/estimating';
import type { ShopFigures } from '../../core/materials';
import { shareSessionSeconds } from '../../core/orders';
import { groupBy } from '../../core/units';
import { loadLoggedParts } from '../../data/evidence-store';
import { loadSessionsSince, type StoredSession } from '../../data/work-store';
import { getShop, type ShopContext } from '../context';

/** Older work says little of how it is done now. */
const LOOK_BACK_MS = 365 * 86_400_000;

type LoggedPart = ReturnType<typeof loadLoggedParts>[number];
type PartsById = ReadonlyMap<number, LoggedPart>;

/** By item; what is not logged is left out. */
export function learnAllMinutes(shop: ShopContext): ReadonlyMap<number, OwnMinutes> {
  const { figures } = getShop(shop);
  const works = loadSessionsSince(shop.db, shop.now() - LOOK_BACK_MS).filter(
    (work) => work.stoppedAtMs !== null && work.stoppedAtMs > work.startedAtMs && work.outcome !== 'discarded',
  );
  const partIds = [...new Set(works.flatMap((work) => work.parts.map((part) => part.partId)))];
  const parts: PartsById = new Map(loadLoggedParts(shop.db, partIds).map((part) => [part.id, part]));
  const cutting = listCutting(
    works.filter((work) => work.station === 'cut'),
    parts,
    figures,
  );
  const pieces = { weed: listPieceSeconds(works, parts, 'weed'), press: listPieceSeconds(works, parts, 'press') };
  const itemIds = new Set([...cutting.keys(), ...pieces.weed.keys(), ...pieces.press.keys()]);
  return new Map(
    [...itemIds].flatMap((itemId): [number, OwnMinutes][] => {
      const learned = learnCutting(cutting.get(itemId) ?? []);
      const weed = learnMinutes('Weed, as logged', { seconds: pieces.weed.get(itemId) ?? [] });
      const press = learnMinutes('Press, as logged', { seconds: pieces.press.get(itemId) ?? [] });
      const own = {
        ...(learned ? { cutting: learned } : {}),
        ...(weed ? { weed } : {}),
        ...(press ? { press } : {}),
      };
      return Object.keys(own).length > 0 ? [[itemId, own]] : [];
    }),
  );
}

const secondsOf = (work: StoredSession): number => (work.stoppedAtMs! - work.startedAtMs) / 1000;

/** Seconds of each piece that went through a station with all its parts: only those tell what one takes. */
function listPieceSeconds(
  works: readonly StoredSession[],
  parts: PartsById,
  station: 'weed' | 'press',
): ReadonlyMap<number, readonly number[]> {
  const spent = new Map<number, { itemId: number; seconds: number; seen: Set<number>; all: number }>();
  for (const work of works) {
    if (work.station !== station) continue;
    const shares = shareSessionSeconds(
      secondsOf(work),
      work.parts.map((part) => part.estimateSeconds),
    );
    for (const [index, { partId }] of work.parts.entries()) {
      const part = parts.get(partId);
      if (!part) continue;
      const own = spent.get(part.pieceId) ?? {
        itemId: part.itemId,
        seconds: 0,
        seen: new Set<number>(),
        all: part.partsOfPiece,
      };
      own.seconds += shares[index]!;
      own.seen.add(partId);
      spent.set(part.pieceId, own);
    }
  }
  const whole = [...spent.values()].filter((piece) => piece.seen.size === piece.all);
  return new Map(
    [...groupBy(whole, (piece) => piece.itemId)].map(([itemId, own]) => [itemId, own.map((piece) => piece.seconds)]),
  );
}

/** What is estimated of an item's share of one stretch at the cutter, seconds. */
type EstimatedCutting = Omit<LoggedCutting, 'seconds'> & { readonly itemId: number; readonly setup: number };

/**
 * Each stretch at the cutter, item by item. The clock there runs for the set-up too, which is a line of its own. Shares
 * go by what the trade estimates and never by what was learned before: else the log would confirm itself.
 */
function listCutting(
  works: readonly StoredSession[],
  parts: PartsById,
  figures: ShopFigures,
): ReadonlyMap<number, readonly LoggedCutting[]> {
  const logged = works.flatMap((work) => {
    const estimated = estimateStretch(work, parts, figures);
    const whole = estimated.reduce((sum, one) => sum + one.setup + one.loading + one.watching, 0);
    return whole <= 0
      ? []
      : estimated.map((one) => ({ ...one, seconds: (secondsOf(work) * (one.loading + one.watching)) / whole }));
  });
  return groupBy(logged, (one) => one.itemId);
}

function estimateStretch(work: StoredSession, parts: PartsById, figures: ShopFigures): readonly EstimatedCutting[] {
  const cut = work.parts.flatMap(({ partId }) => parts.get(partId) ?? []);
  return [...groupBy(cut, (part) => part.itemId)].map(([itemId, own]) => {
    const layers = [...groupBy(own, (part) => part.layerIndex).values()];
    const watch = (copies: readonly LoggedPart[]) =>
      getWatchedSeconds(
        copies.reduce((sum, part) => sum + (part.quote.layers[part.layerIndex]?.cutMachineSeconds ?? 0), 0),
        figures,
      );
    return {
      itemId,
      pieces: own.reduce((sum, part) => sum + 1 / part.partsOfPiece, 0),
      loading: layers.reduce((sum, copies) => sum + countLoadsOf(copies), 0) * figures.cutterLoadSeconds,
      watching: layers.reduce((sum, copies) => sum + watch(copies), 0),
      setup: own.reduce((sum, part) => sum + part.quote.setupSeconds / part.partsOfPiece, 0),
    };
  });
}

const countLoadsOf = (copies: readonly LoggedPart[]): number =>
  countLoads(copies.length, copies[0]!.quote.layers[copies[0]!.layerIndex]?.onMat ?? 0).value;
