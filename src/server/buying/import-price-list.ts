// Price lists: looked at first, then imported as a whole or not at all.

import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { ListedOffer } from '../../core/buying';
import { inTransaction } from '../../data/database';
import { putOffer, setOfferArchived, type StoredOffer, type StoredPart } from '../../data/offer-store';
import type { ListPreview } from '../../views/offers';
import { programRoot, type ShopContext } from '../context';
import { notFound, ShopError } from '../errors';
import { readList, type KeyFinder, type ListFacts } from './read-price-list';
import { findSupplier } from '../../data/supplier-store';

export const previewList = (shop: ShopContext, supplierId: number, bytes: Uint8Array, facts: ListFacts): ListPreview =>
  readList(shop, supplierId, bytes, facts).preview;

/** All of the readable lines or, where anything fails, none. What was matched to the shelf by hand stays so. */
export function applyList(
  shop: ShopContext,
  supplierId: number,
  bytes: Uint8Array,
  facts: ListFacts,
): { readonly fresh: number; readonly changed: number; readonly dropped: number } {
  return inTransaction(shop.db, () => {
    const { preview, offers, gone, known, findKey } = readList(shop, supplierId, bytes, facts);
    refuseUnreadable(preview, offers);
    const touched = new Set([...preview.fresh, ...preview.changed].map((change) => change.code));
    for (const offer of offers.filter(({ code }) => touched.has(code))) {
      const before = known.get(offer.code);
      const { code, name, price, breaks } = offer;
      const parts = matchParts(offer, before, findKey);
      putOffer(shop.db, { supplierId, code, name, price, parts, breaks, takePay: before?.takePay ?? null }, shop.now());
    }
    if (facts.dropMissing) for (const offer of gone) setOfferArchived(shop.db, offer.id, shop.now());
    return {
      fresh: preview.fresh.length,
      changed: preview.changed.length,
      dropped: facts.dropMissing ? gone.length : 0,
    };
  });
}

function refuseUnreadable({ missingColumns }: ListPreview, offers: readonly ListedOffer[]): void {
  if (missingColumns.length > 0)
    throw new ShopError('invalid', { reason: 'columns-missing', columns: missingColumns }, 'match');
  if (offers.length === 0) throw new ShopError('invalid', { reason: 'no-offer-in-list' }, 'match');
}

const matchParts = (offer: ListedOffer, before: StoredOffer | undefined, findKey: KeyFinder): readonly StoredPart[] =>
  offer.parts.map((part, index): StoredPart => {
    const byHand = before?.parts[index]?.label === part.thing ? before.parts[index].key : null;
    return {
      label: part.thing,
      count: part.count,
      widthMm: part.widthMm,
      lengthMm: part.lengthMm,
      key: byHand ?? findKey(part.thing, offer.name),
    };
  });

/** The newest list of a simulated supplier, as its own shop would send it. */
export function fetchSimulatedList(shop: ShopContext, supplierId: number): { bytes: Uint8Array; fileName: string } {
  const supplier = findSupplier(shop.db, supplierId);
  if (!supplier) throw notFound('This supplier');
  if (!supplier.listFile) throw new ShopError('invalid', { reason: 'no-list-to-fetch' });
  return {
    bytes: readFileSync(join(programRoot(), 'src', 'data', 'demo', 'price-lists', supplier.listFile)),
    fileName: supplier.listFile,
  };
}
