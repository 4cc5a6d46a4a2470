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

export function loadCutSheets(shop: ShopContext): CutSheetsView {
  const { figures, timeZone } = getShop(shop);
  const nowMs = shop.now();
  return {
    ...rememberUntilChange(shop, 'cut sheets', () => gatherLoads(shop)),
    gapMm: figures.weedMarginMm,
    freeSeconds: computeFreeSeconds({ nowMs, day: dayOf(nowMs, timeZone), timeZone, shop: figures }),
  };
}

/** What waits to be cut, by vinyl, the first due first. */
function gatherLoads(shop: ShopContext): Pick<CutSheetsView, 'groups' | 'artworks'> {
  const orders = narrowToPieces(
    readOrdersInHand(shop).map((entry) => ({ ...entry, parts: entry.parts.filter((part) => part.state === 'to-cut') })),
  );
  const { lines, materials } = readMadeLines(shop, orders);
  const parts = listWaiting(orders, lines);
  const saved = groupBy(loadSavedSheets(shop.db), (sheet) => sheet.vinylId);
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
  };
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
