// A load that was laid out is cut: its parts move on, the strip or sheet leaves the stock, what is left becomes an offcut, and
// each part carries its share of what was cut off.

import type { InferType } from 'yup';
import type { cutLoadInput } from '../../core/input/index';
import { STATION_STEPS } from '../../core/orders/index';
import { computeOffcutArea, listSpoiledSpotsOn } from '../../core/stock/index';
import { deleteSavedSheet } from '../../data/cut-sheet-store';
import { addPartEvents, findOrderIdsOfParts, loadOrders } from '../../data/order-store';
import { findLot } from '../../data/stock-store';
import { insertSession, loadRunningSessions, stopSession } from '../../data/work-store';
import type { ShopContext } from '../context';
import { notFound, ShopError } from '../errors';
import { readStored } from '../orders/read-orders';
import { bookBenchWear } from '../bench/book-wear';
import { addOffcut, writeLine } from '../stock/save-stock';

type Sheet = Omit<InferType<typeof cutLoadInput>['sheets'][number], 'islands'> & {
  readonly islands?: readonly PartShare[];
};
type PartShare = { readonly partId: number; readonly areaMm2: number };
export type CutLoad = {
  readonly eventIds: readonly number[];
  readonly partIds: readonly number[];
  readonly offcuts: readonly string[];
};

/** One transaction: where a part is cut already or a lot has not so much left, nothing is done. */
export function cutLoad(
  shop: ShopContext,
  { sheets, sheetId }: { readonly sheets: readonly Sheet[]; readonly sheetId: number | null },
): CutLoad {
  return shop.db.transaction(() => {
    // A saved sheet that is gone was cut or thrown away by another window: its parts say which.
    if (sheetId !== null) deleteSavedSheet(shop.db, sheetId);
    const partIds = sheets.flatMap((sheet) => sheet.parts.map((part) => part.partId));
    if (new Set(partIds).size < partIds.length)
      throw new ShopError('invalid', 'A part lies in this load twice. Lay it out anew.', 'sheets');
    const orders = loadOrders(shop.db, findOrderIdsOfParts(shop.db, partIds)).map(readStored);
    const byId = new Map(
      orders
        .filter(({ stage }) => stage === 'to-cut' || stage === 'in-work')
        .flatMap(({ parts }) => parts)
        .map((part) => [part.id, part]),
    );
    const cutting = new Set(
      loadRunningSessions(shop.db)
        .filter((work) => work.station === 'cut')
        .flatMap((work) => work.parts.map((part) => part.partId)),
    );
    const parts = partIds.map((id) => {
      const part = byId.get(id);
      if (!part) throw notFound('One of these parts');
      if (part.state !== STATION_STEPS.cut.from)
        throw new ShopError(
          'conflict',
          `Piece ${part.pieceNumber} is cut already, perhaps in another window. Reload, and lay out what still waits.`,
        );
      if (cutting.has(id))
        throw new ShopError(
          'conflict',
          `Piece ${part.pieceNumber} is on the cutter at the bench just now. Finish or stop that first.`,
        );
      return part;
    });
    const atMs = shop.now();
    const titles = [...new Set(orders.map(({ order }) => order.title))].join(', ').slice(0, 180);
    const strays = sheets
      .flatMap((sheet) => sheet.islands ?? [])
      .filter(({ partId }) => !byId.has(partId) || !partIds.includes(partId));
    if (strays.length > 0)
      throw new ShopError(
        'invalid',
        'Some islands belong to parts that are not in this load. Lay it out anew.',
        'sheets',
      );
    const codesOf = new Map<Sheet, readonly string[]>(),
      vinylCost = new Map<number, number>(),
      sessionIds = new Map<Sheet, number>();
    // What is spare on a sheet without any part of an order is cut in the work of another, so that it is given back with that.
    let lastSessionId: number | undefined;
    for (const sheet of [...sheets].sort((a, b) => Number(b.parts.length > 0) - Number(a.parts.length > 0))) {
      const own = parts.filter((part) => sheet.parts.some(({ partId }) => partId === part.id));
      // A piece of work of no length for each sheet ties parts and stock together, so that both are given back together.
      const sessionId =
        own.length > 0 || lastSessionId === undefined
          ? insertSession(
              shop.db,
              'cut',
              atMs,
              own.map((part) => ({ partId: part.id, estimateSeconds: part.estimates.cut })),
            )
          : lastSessionId;
      if (sessionId !== lastSessionId) stopSession(shop.db, sessionId, atMs, 'done');
      lastSessionId = sessionId;
      sessionIds.set(sheet, sessionId);
      bookBenchWear(shop, { id: sessionId, station: 'cut' }, orders, own);
      const { cost, codes } = takeStock(shop, sheet, titles, sessionId);
      codesOf.set(sheet, codes);
      const shares = sharesOf(sheet),
        whole = shares.reduce((sum, part) => sum + part.areaMm2, sheet.spareMm2);
      for (const { partId, areaMm2 } of shares)
        vinylCost.set(partId, (vinylCost.get(partId) ?? 0) + (cost * areaMm2) / whole);
    }
    const eventIds = sheets.flatMap((sheet) =>
      addPartEvents(
        shop.db,
        sheet.parts.map(({ partId }) => ({
          partId,
          kind: 'cut' as const,
          atMs,
          sessionId: sessionIds.get(sheet)!,
          undoes: null,
          cause: null,
          blankLost: false,
          vinylCost: vinylCost.get(partId)!,
        })),
      ),
    );
    // In the order of the sheets, as they lie on the bench.
    return { eventIds, partIds, offcuts: sheets.flatMap((sheet) => codesOf.get(sheet) ?? []) };
  });
}

const sharesOf = (sheet: Sheet): readonly PartShare[] => [...sheet.parts, ...(sheet.islands ?? [])];

/** What the sheet took cost; and the codes of the offcuts that are left. Only what is gone is paid for by the parts. */
function takeStock(
  shop: ShopContext,
  sheet: Sheet,
  titles: string,
  sessionId: number,
): { readonly cost: number; readonly codes: readonly string[] } {
  const lot = findLot(shop.db, sheet.lotId);
  if (!lot || lot.form === 'piece') throw notFound('This lot');
  const name = lot.code ? `Offcut ${lot.code}` : `Lot ${lot.id}`;
  const takes = lot.form === 'roll' ? Math.round(sheet.usedLengthMm * 10) / 10 : 1;
  if (takes > lot.left + 1e-6)
    throw new ShopError(
      'conflict',
      lot.form === 'roll'
        ? `${name} has ${lot.left} mm left, and the load takes ${takes} mm. Another window may have cut from it: reload, and lay it out anew.`
        : `${name} is gone: another load was cut from it. Reload, and lay out anew.`,
    );
  writeLine(shop, lot, 'cut', -takes, titles, sessionId);
  if (lot.form === 'roll' || sheet.leftovers.length === 0) return { cost: takes * lot.unitCost, codes: [] };
  const wholeMm2 = lot.shape ? computeOffcutArea(lot.shape) : (lot.widthMm ?? 0) * (lot.lengthMm ?? 0);
  const room = { width: lot.widthMm ?? 0, length: lot.lengthMm ?? 0 };
  const leftovers = sheet.leftovers.map((ring) => {
    const left = Math.min(...ring.map((point) => point.x)),
      top = Math.min(...ring.map((point) => point.y));
    const shape = ring.map((point) => ({ x: round(point.x - left), y: round(point.y - top) }));
    return {
      shape,
      spoiledSpots: listSpoiledSpotsOn(ring, lot.spoiledSpots),
      left,
      top,
      widthMm: Math.max(...shape.map((point) => point.x)),
      lengthMm: Math.max(...shape.map((point) => point.y)),
      areaMm2: computeOffcutArea(shape),
    };
  });
  const partsMm2 = sharesOf(sheet).reduce((sum, part) => sum + part.areaMm2, sheet.spareMm2);
  const isWithin = leftovers.every(
    (leftover) =>
      leftover.left >= -0.05 &&
      leftover.top >= -0.05 &&
      leftover.left + leftover.widthMm <= room.width + 0.15 &&
      leftover.top + leftover.lengthMm <= room.length + 0.15,
  );
  // Half the gap about each part is gone too, and may reach over the edge of the sheet: hence the little that is let pass.
  if (
    !isWithin ||
    leftovers.reduce((sum, leftover) => sum + leftover.areaMm2, 0) > wholeMm2 - partsMm2 * PARTS_INSIDE + 1
  )
    throw new ShopError(
      'invalid',
      `${name}: what is to be saved of it is more than it can have left. Lay the load out anew.`,
      'sheets',
    );
  const codes = leftovers.map(({ widthMm, lengthMm, shape, spoiledSpots, areaMm2 }) => ({
    unitCost: (lot.unitCost * areaMm2) / wholeMm2,
    code: addOffcut(
      shop,
      lot,
      { widthMm, lengthMm, shape, spoiledSpots, unitCost: (lot.unitCost * areaMm2) / wholeMm2, remark: '' },
      sessionId,
    ).code,
  }));
  return {
    cost: lot.unitCost - codes.reduce((sum, saved) => sum + saved.unitCost, 0),
    codes: codes.map((saved) => saved.code),
  };
}

const round = (mm: number): number => Math.round(mm * 10) / 10;
/** Of what the parts share, so much lies on the sheet at least. */
const PARTS_INSIDE = 0.7;
