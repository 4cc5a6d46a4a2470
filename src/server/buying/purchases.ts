// Orders to suppliers: placed, sent as CSV, PDF or a mail, and received against, in part or damaged, into lots of their
// own.

import type { InferType } from 'yup';
import { inTransaction } from '../../data/database';
import { computePacksPrice, computeShipping, computeUsableArea, writeCsv } from '../../core/buying';
import type { purchaseInput, receiveInput } from '../../core/input';
import { apportion, groupBy, minor, printMajor } from '../../core/units';
import { findOffers, type StoredOffer } from '../../data/offer-store';
import type { PurchasesView, PurchaseView } from '../../views/purchases';
import type { ShopContext } from '../context';
import { notFound, ShopError, stale } from '../errors';
import { receiveLot } from '../stock/save-stock';
import { toSupplierView } from './view-offer';
import { addReceived, insertPurchase, loadPurchases, updatePurchase } from '../../data/purchase-store';
import { findSupplier } from '../../data/supplier-store';
import type { StoredPurchase } from '../../data/purchase-store';

/** One purchase a supplier. Prices are those of the offers now, not what a page says. */
export function placePurchases(shop: ShopContext, input: InferType<typeof purchaseInput>): { ids: readonly number[] } {
  return inTransaction(shop.db, () => {
    const offers = new Map(
      findOffers(
        shop.db,
        input.lines.map((line) => line.offerId),
      ).map((offer) => [offer.id, offer]),
    );
    const lines = input.lines.map((line) => {
      const offer = offers.get(line.offerId);
      if (!offer || offer.archived) throw new ShopError('conflict', { reason: 'offer-withdrawn' });
      return { ...line, supplierId: offer.supplierId, goods: computePacksPrice(offer, line.packs) };
    });
    const ids = [...groupBy(lines, (line) => line.supplierId)].map(([supplierId, own]) => {
      const supplier = findSupplier(shop.db, supplierId)!;
      const goods = own.reduce((sum, line) => sum + line.goods, 0);
      if (supplier.minimumOrder !== null && goods < supplier.minimumOrder)
        throw new ShopError('conflict', { reason: 'below-minimum-order', supplier: supplier.name });
      return insertPurchase(shop.db, {
        supplierId,
        placedAtMs: shop.now(),
        shipping: minor(computeShipping(supplier, goods)),
        lines: own.map(({ offerId, packs, goods: price }) => ({ offerId, packs, goods: price })),
      });
    });
    return { ids };
  });
}

function requirePurchase(shop: ShopContext, id: number): StoredPurchase {
  const [purchase] = loadPurchases(shop.db, { id });
  if (!purchase) throw notFound('This purchase');
  return purchase;
}

/**
 * Books what came. Each thing in each pack becomes a lot at its landed cost: its share of the line by area (pieces: by
 * count), with the line's share of shipping by value. Damaged packs are written down, and become no stock.
 */
export function receivePurchase(
  shop: ShopContext,
  id: number,
  input: Omit<InferType<typeof receiveInput>, 'moreAccepted'> & { readonly moreAccepted?: boolean },
  version: number,
): void {
  inTransaction(shop.db, () => {
    const purchase = requirePurchase(shop, id);
    if (purchase.closedAtMs !== null) throw new ShopError('conflict', { reason: 'purchase-closed' });
    const offers = new Map(
      findOffers(
        shop.db,
        purchase.lines.map((line) => line.offerId),
      ).map((offer) => [offer.id, offer]),
    );
    const shippingShares = apportionShipping(purchase);
    for (const { lineId, received, damaged } of input.lines) {
      const index = purchase.lines.findIndex((line) => line.id === lineId);
      const line = purchase.lines[index];
      if (!line) throw new ShopError('invalid', { reason: 'line-of-other-purchase' }, 'lines');
      const came = line.receivedPacks + line.damagedPacks + received + damaged;
      if (received + damaged > 0 && came > line.packs && !input.moreAccepted)
        throw new ShopError(
          'conflict',
          { reason: 'more-came', offer: offers.get(line.offerId)?.name ?? 'This line', came, ordered: line.packs },
          'lines',
        );
      addReceived(shop.db, lineId, received, damaged);
      if (received > 0)
        stockPacks(
          shop,
          purchase,
          offers.get(line.offerId)!,
          received,
          (line.goods + shippingShares[index]!) / line.packs,
        );
    }
    const [after] = loadPurchases(shop.db, { id });
    const complete = after!.lines.every((line) => line.receivedPacks + line.damagedPacks >= line.packs);
    if (!updatePurchase(shop.db, id, input.close || complete ? shop.now() : null, version))
      throw stale('This purchase');
  });
}

function apportionShipping({ shipping, lines }: StoredPurchase): readonly number[] {
  const goods = lines.reduce((sum, line) => sum + line.goods, 0);
  return goods === 0
    ? lines.map(() => shipping / lines.length)
    : apportion(
        lines.map((line) => (shipping * line.goods) / goods),
        shipping,
      );
}

function stockPacks(
  shop: ShopContext,
  purchase: StoredPurchase,
  offer: StoredOffer,
  packs: number,
  packCost: number,
): void {
  const weightOf = (part: StoredOffer['parts'][number]) =>
    computeUsableArea({ ...part, key: '' }, { sideMm: 0, endMm: 0 }) ?? part.count;
  const all = offer.parts.reduce((sum, part) => sum + weightOf(part), 0);
  for (const part of offer.parts) {
    if (part.key === null)
      throw new ShopError('conflict', { reason: 'offer-not-matched', offer: part.label || offer.name });
    const cost = (packCost * weightOf(part)) / all;
    const from = { supplierId: purchase.supplierId, note: `purchase ${purchase.id}, ${offer.name}` };
    // A long strip is a roll, and each roll a lot of its own; sheets and pieces are counted.
    const asRoll = part.widthMm !== null && part.lengthMm! >= ROLL_FROM_MM;
    const base = { key: part.key, widthMm: part.widthMm, remark: '', price: 0 };
    if (asRoll)
      for (let roll = 0; roll < packs * part.count; roll++)
        receiveLot(
          shop,
          { ...base, form: 'roll', lengthMm: part.lengthMm, quantity: part.lengthMm! },
          { ...from, unitCost: cost / part.count / part.lengthMm! },
        );
    else
      receiveLot(
        shop,
        {
          ...base,
          form: part.widthMm === null ? 'piece' : 'sheet',
          lengthMm: part.lengthMm,
          quantity: packs * part.count,
        },
        { ...from, unitCost: cost / part.count },
      );
  }
}

/** Vinyl of this length and more comes rolled. */
export const ROLL_FROM_MM = 1000;

export function loadPurchasesView(shop: ShopContext): PurchasesView {
  return { purchases: loadPurchases(shop.db, { newest: 60 }).map((purchase) => toView(shop, purchase)) };
}

function toView(shop: ShopContext, purchase: StoredPurchase): PurchaseView {
  const offers = new Map(
    findOffers(
      shop.db,
      purchase.lines.map((line) => line.offerId),
    ).map((offer) => [offer.id, offer]),
  );
  return {
    id: purchase.id,
    supplier: toSupplierView(findSupplier(shop.db, purchase.supplierId)!, 0),
    placedAtMs: purchase.placedAtMs,
    closed: purchase.closedAtMs !== null,
    version: purchase.version,
    shipping: purchase.shipping,
    total: minor(purchase.lines.reduce((sum, line) => sum + line.goods, purchase.shipping as number)),
    lines: purchase.lines.map((line) => ({
      id: line.id,
      offerName: offers.get(line.offerId)?.name ?? '',
      code: offers.get(line.offerId)?.code ?? '',
      packs: line.packs,
      goods: line.goods,
      receivedPacks: line.receivedPacks,
      damagedPacks: line.damagedPacks,
    })),
  };
}

export const viewPurchase = (shop: ShopContext, id: number): PurchaseView => toView(shop, requirePurchase(shop, id));

export const writePurchaseCsv = (purchase: PurchaseView, currency: string): string =>
  writeCsv(
    ['article', 'name', 'packs', `price ${currency}`],
    purchase.lines.map((line) => [line.code, line.offerName, line.packs, printMajor(line.goods, currency)]),
  );
