// A load that was laid out is cut: its parts move on, the strip or sheet leaves the stock, what is left becomes an offcut, and
// each part carries its share of what was cut off.

import type { InferType } from 'yup';
import type { cutLoadInput } from '../core/input';
import { STATION_STEPS } from '../core/orders';
import { computeOffcutArea, rectangle } from '../core/stock';
import { addPartEvents, findOrderIdsOfParts, loadOrders } from '../data/order-store';
import { findLot } from '../data/stock-store';
import { insertWork, loadRunningWork, stopWork } from '../data/work-store';
import type { ShopContext } from './context';
import { notFound, ShopError } from './errors';
import { readStored } from './read-orders';
import { bookBenchWear } from './stock/bench-wear';
import { keepOffcut, writeLine } from './stock/keep-stock';

export type CutLoad = { readonly eventIds: readonly number[]; readonly partIds: readonly number[]; readonly offcuts: readonly string[] };

/** One transaction: where a part is cut already or a lot has not so much left, nothing is done. */
export function cutLoad(shop: ShopContext, { sheets }: InferType<typeof cutLoadInput>): CutLoad {
  return shop.db.transaction(() => {
    const partIds = sheets.flatMap((sheet) => sheet.parts.map((part) => part.partId));
    if (new Set(partIds).size < partIds.length) throw new ShopError('invalid', 'A part lies in this load twice. Lay it out anew.', 'sheets');
    const orders = loadOrders(shop.db, findOrderIdsOfParts(shop.db, partIds)).map(readStored);
    const byId = new Map(orders.filter(({ stage }) => stage === 'to-cut' || stage === 'in-work').flatMap(({ parts }) => parts).map((part) => [part.id, part]));
    const cutting = new Set(loadRunningWork(shop.db).filter((work) => work.station === 'cut').flatMap((work) => work.parts.map((part) => part.partId)));
    const parts = partIds.map((id) => {
      const part = byId.get(id);
      if (!part) throw notFound('One of these parts');
      if (part.state !== STATION_STEPS.cut.from) throw new ShopError('conflict', `Piece ${part.unitNumber} is cut already, perhaps in another window. Reload, and lay out what still waits.`);
      if (cutting.has(id)) throw new ShopError('conflict', `Piece ${part.unitNumber} is on the cutter at the bench just now. Finish or stop that first.`);
      return part;
    });
    const atMs = shop.now();
    const titles = [...new Set(orders.map(({ order }) => order.title))].join(', ').slice(0, 180);
    const offcuts: string[] = [], eventIds: number[] = [];
    for (const sheet of sheets) {
      const own = parts.filter((part) => sheet.parts.some(({ partId }) => partId === part.id));
      // A piece of work of no length for each sheet ties parts and stock together, so that both are given back together.
      const workId = insertWork(shop.db, 'cut', atMs, own.map((part) => ({ partId: part.id, estimateSeconds: part.estimates.cut })));
      stopWork(shop.db, workId, atMs, 'done');
      bookBenchWear(shop, { id: workId, station: 'cut' }, orders, own);
      const { cost, code } = takeStock(shop, sheet, titles, workId);
      if (code) offcuts.push(code);
      const whole = sheet.parts.reduce((sum, part) => sum + part.areaMm2, 0);
      eventIds.push(...addPartEvents(shop.db, sheet.parts.map((part) => ({ partId: part.partId, kind: 'cut' as const, atMs, workId, undoes: null, cause: null, blankLost: false, vinylCost: (cost * part.areaMm2) / whole }))));
    }
    return { eventIds, partIds, offcuts };
  });
}

type Sheet = InferType<typeof cutLoadInput>['sheets'][number];

/** What the sheet took cost; and the code of the offcut that is left. Only what is cut off is paid for by the parts. */
function takeStock(shop: ShopContext, sheet: Sheet, titles: string, workId: number): { readonly cost: number; readonly code: string | null } {
  const lot = findLot(shop.db, sheet.lotId);
  if (!lot || lot.form === 'piece') throw notFound('This lot');
  const name = lot.code ? `Offcut ${lot.code}` : `Lot ${lot.id}`;
  const takes = lot.form === 'roll' ? Math.round(sheet.usedLengthMm * 10) / 10 : 1;
  if (takes > lot.left + 1e-6) throw new ShopError('conflict', lot.form === 'roll' ? `${name} has ${lot.left} mm left, and the load takes ${takes} mm. Another window may have cut from it: reload, and lay it out anew.` : `${name} is gone: another load was cut from it. Reload, and lay out anew.`);
  writeLine(shop, lot, 'cut', -takes, titles, workId);
  const { rest } = sheet;
  if (lot.form === 'roll' || !rest) return { cost: takes * lot.unitCost, code: null };
  const wholeMm2 = lot.shape ? computeOffcutArea(lot.shape) : (lot.widthMm ?? 0) * (lot.lengthMm ?? 0);
  const restMm2 = rest.widthMm * rest.lengthMm;
  const fits = lot.lengthMm !== null && rest.widthMm <= (lot.widthMm ?? 0) + 0.05 && rest.lengthMm <= lot.lengthMm - sheet.usedLengthMm + 0.05;
  if (!fits || restMm2 > wholeMm2) throw new ShopError('invalid', `${name}: no piece of ${rest.widthMm} × ${rest.lengthMm} mm is left behind ${Math.round(sheet.usedLengthMm)} mm of it. Lay the load out anew.`, 'sheets');
  const unitCost = (lot.unitCost * restMm2) / wholeMm2;
  const { code } = keepOffcut(shop, lot, { ...rest, shape: rectangle(rest.widthMm, rest.lengthMm), unitCost, remark: '' }, workId);
  return { cost: lot.unitCost - unitCost, code };
}
