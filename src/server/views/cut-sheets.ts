// What waits to be cut, by vinyl, with the stock it can be cut from.

import { decideHandedness } from '../../core/materials';
import { keyOf } from '../../core/stock';
import { groupBy } from '../../core/units';
import { loadLotsOnShelf } from '../../data/stock-store';
import type { CutSheetsView, WaitingPart } from '../../views/views';
import { getShop, type ShopContext } from '../context';
import { readMadeLines } from '../items/materials';
import { readOpenOrders } from '../read-orders';

export function loadCutSheets(shop: ShopContext): CutSheetsView {
  const orders = readOpenOrders(shop);
  const { lines, materials } = readMadeLines(shop, orders);
  const parts = orders.flatMap(({ order, parts: own }) => own.filter((part) => part.state === 'to-cut').flatMap((part): (WaitingPart & { readonly vinylId: number })[] => {
    const line = lines.get(part.lineId), layer = line?.layers[part.layerIndex];
    if (!line || !layer) return [];
    return [{ partId: part.id, vinylId: part.vinylId, orderId: order.id, orderTitle: order.title, unitNumber: part.unitNumber, itemName: line.item.name, dueDay: order.dueDay, layerName: layer.name, broken: part.broken, artworkId: layer.artworkId, layerIndex: layer.layerIndex, widthMm: layer.widthMm, mirrored: decideHandedness(layer.vinyl, { seenThrough: layer.seenThrough }).mirrored }];
  }));
  const groups = [...groupBy(parts, (part) => part.vinylId)].flatMap(([vinylId, own]): CutSheetsView['groups'][number][] => {
    const vinyl = materials.vinyls.get(vinylId);
    const lots = loadLotsOnShelf(shop.db, keyOf({ kind: 'vinyl', vinylId }));
    return vinyl ? [{ vinyl, parts: own, stock: lots.flatMap(({ id, form, widthMm, lengthMm, left, shape, code }) => (widthMm ? [{ lotId: id, form, widthMm, lengthMm, left, shape, code }] : [])) }] : [];
  });
  const firstDue = (group: CutSheetsView['groups'][number]) => group.parts.map((part) => part.dueDay).sort()[0] ?? '';
  const artworks = [...materials.artworks.values()].map(({ id, steps, measurement }) => ({ id, steps, widthMm: measurement.widthMm }));
  return { groups: groups.sort((a, b) => firstDue(a).localeCompare(firstDue(b))), artworks, gapMm: getShop(shop).figures.weedMarginMm };
}
