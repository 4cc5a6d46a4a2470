// What waits to be cut, by vinyl, with the stock it can be cut from, what is laid out already, and what could fill the
// rest.

import { listMadeLayers, resolveVariant, getUsualVariant } from '../../core/costing/index';
import { decideHandedness } from '../../core/materials/index';
import { computeFreeSeconds } from '../../core/scheduling/index';
import { dayOf } from '../../core/units/index';
import { keyOf } from '../../core/stock/index';
import { groupBy } from '../../core/units/index';
import { loadSavedSheets } from '../../data/cut-sheet-store';
import { findItemIdsUsingVinyls, findItems } from '../../data/item-store';
import { loadLotsOnShelf } from '../../data/stock-store';
import { toLotChoice } from './lot-choice';
import type { CutSheetsView, UsualPiece, WaitingPart } from '../../views/cut-sheets';
import { narrowToPieces } from '../bench/bench-views';
import { getShop, type ShopContext } from '../context';
import { loadMaterials, readMadeLines } from '../items/materials';
import { readOrdersInHand } from '../orders/read-orders';
import { rememberUntilChange } from '../remember';

/** Vinyls shown at first, and those with a saved sheet: a day at the cutter has no more loads. */
const VINYLS_SHOWN = 20;

type Shown = 'first' | 'all';
export const readShown = (params: URLSearchParams): Shown => (params.get('shown') === 'all' ? 'all' : 'first');

export function loadCutSheets(shop: ShopContext, shown: Shown = 'all'): CutSheetsView {
  const { figures, timeZone } = getShop(shop);
  const nowMs = shop.now();
  return {
    ...rememberUntilChange(shop, `cut sheets, ${shown}`, () => gatherLoads(shop, shown)),
    gapMm: figures.weedMarginMm,
    freeSeconds: computeFreeSeconds({ nowMs, day: dayOf(nowMs, timeZone), timeZone, shop: figures }),
  };
}

/** What waits to be cut, by vinyl, the first due first. */
function gatherLoads(shop: ShopContext, shown: Shown): Pick<CutSheetsView, 'groups' | 'artworks' | 'later'> {
  const sheets = loadSavedSheets(shop.db);
  const waiting = keepParts(readOrdersInHand(shop), (part) => part.state === 'to-cut');
  const vinylIds = listVinyls(waiting);
  const first = new Set([...vinylIds.slice(0, VINYLS_SHOWN), ...sheets.map(({ vinylId }) => vinylId)]);
  const orders = shown === 'all' ? waiting : keepParts(waiting, (part) => first.has(part.vinylId));
  const { lines, materials } = readMadeLines(shop, orders);
  const parts = listWaiting(orders, lines);
  const saved = groupBy(sheets, (sheet) => sheet.vinylId);
  const usual = loadUsual(shop, [...new Set(parts.map((part) => part.vinylId))]);
  const groups = [...groupBy(parts, (part) => part.vinylId)].flatMap(
    ([vinylId, own]): CutSheetsView['groups'][number][] => {
      const vinyl = materials.vinyls.get(vinylId);
      const lots = loadLotsOnShelf(shop.db, keyOf({ kind: 'vinyl', vinylId }));
      return vinyl
        ? [
            {
              vinyl,
              parts: own,
              stock: lots.flatMap((lot) => toLotChoice(lot) ?? []),
              saved: (saved.get(vinylId) ?? []).map(({ id, version, savedAtMs, sheet }) => ({
                id,
                version,
                savedAtMs,
                sheet,
              })),
              usual: usual.pieces.get(vinylId) ?? [],
            },
          ]
        : [];
    },
  );
  const firstDue = (group: CutSheetsView['groups'][number]) => group.parts.map((part) => part.dueDay).sort()[0] ?? '';
  const artworks = [...new Map([...materials.artworks, ...usual.artworks]).values()].map(
    ({ id, steps, measurement }) => ({ id, steps, widthMm: measurement.widthMm }),
  );
  return {
    groups: groups.sort((a, b) => firstDue(a).localeCompare(firstDue(b))),
    artworks,
    later: {
      vinyls: shown === 'all' ? 0 : vinylIds.filter((id) => !first.has(id)).length,
      parts: countParts(waiting) - countParts(orders),
    },
  };
}

type InHand = ReturnType<typeof readOrdersInHand>;

/** Orders with some of their parts, and the pieces that these are of. */
const keepParts = (orders: InHand, keeps: (part: InHand[number]['parts'][number]) => boolean): InHand =>
  narrowToPieces(orders.map((entry) => ({ ...entry, parts: entry.parts.filter(keeps) })));

const countParts = (orders: InHand): number => orders.reduce((sum, { parts }) => sum + parts.length, 0);

/** The vinyls of what waits, the first due first. */
function listVinyls(orders: InHand): readonly number[] {
  const due = new Map<number, string>();
  for (const { order, parts } of orders)
    for (const { vinylId } of parts) if (order.dueDay < (due.get(vinylId) ?? '~')) due.set(vinylId, order.dueDay);
  return [...due].sort(([, a], [, b]) => a.localeCompare(b)).map(([id]) => id);
}

type WaitingOfVinyl = WaitingPart & { readonly vinylId: number };

/** The parts of open orders that are to be cut yet. */
function listWaiting(
  orders: ReturnType<typeof readOrdersInHand>,
  lines: ReturnType<typeof readMadeLines>['lines'],
): readonly WaitingOfVinyl[] {
  return orders.flatMap(({ order, parts: own }) =>
    own
      .filter((part) => part.state === 'to-cut')
      .flatMap((part): WaitingOfVinyl[] => {
        const line = lines.get(part.lineId),
          layer = line?.layers[part.layerIndex];
        if (!line || !layer) return [];
        return [
          {
            partId: part.id,
            vinylId: part.vinylId,
            orderId: order.id,
            orderTitle: order.title,
            pieceNumber: part.pieceNumber,
            itemName: line.item.name,
            dueDay: order.dueDay,
            layerName: part.recut ? `${part.recut.bits.length} of ${part.recut.of} bits of ${layer.name}` : layer.name,
            broken: part.broken,
            artworkId: layer.artworkId,
            layerIndex: layer.layerIndex,
            widthMm: layer.widthMm,
            mirrored: decideHandedness(layer.vinyl, { seenThrough: layer.seenThrough }).mirrored,
            cutSeconds: part.estimates.cut,
            ...(part.recut ? { bits: part.recut.bits } : {}),
          },
        ];
      }),
  );
}

/** The layers of items on the list that are cut from these vinyls, as they are usually made, by vinyl. */
function loadUsual(
  shop: ShopContext,
  vinylIds: readonly number[],
): {
  readonly pieces: ReadonlyMap<number, readonly UsualPiece[]>;
  readonly artworks: ReturnType<typeof loadMaterials>['artworks'];
} {
  const items = findItems(shop.db, findItemIdsUsingVinyls(shop.db, vinylIds));
  const made = items.map((item) => ({ item, made: resolveVariant(item, { ...getUsualVariant(item), options: [] }) }));
  const materials = loadMaterials(shop, { made: made.map((entry) => entry.made) });
  const pieces = made.flatMap(({ item, made: own }) =>
    listMadeLayers(own, materials).map((layer) => ({
      vinylId: layer.vinyl.id,
      piece: {
        key: `${item.id}/${layer.placement}/${layer.layerIndex}`,
        name: `${layer.name} of ${item.name}`,
        source: {
          artworkId: layer.artworkId,
          layerIndex: layer.layerIndex,
          widthMm: layer.widthMm,
          mirrored: decideHandedness(layer.vinyl, { seenThrough: layer.seenThrough }).mirrored,
        },
      },
    })),
  );
  return {
    artworks: materials.artworks,
    pieces: new Map(
      [...groupBy(pieces, (entry) => entry.vinylId)].map(([id, own]) => [id, own.map((entry) => entry.piece)]),
    ),
  };
}
