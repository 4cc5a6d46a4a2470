// Offers: entered by hand, changed, matched to the shelf, archived; and what their prices were.

import type { InferType } from 'yup';
import type { offerInput } from '../../core/input';
import { minor } from '../../core/units';
import { inTransaction } from '../../data/database';
import {
  findOffers,
  loadOffers,
  loadPrices,
  putOffer,
  setOfferArchived,
  setPartKey,
  type OfferFields,
} from '../../data/offer-store';
import type { OfferHistory } from '../../views/offers';
import type { ShopContext } from '../context';
import { notFound, ShopError, stale } from '../errors';
import { added, changed, type Saved } from '../saved';
import { listThings, requireThing } from '../stock/things';
import { findSupplier } from '../../data/supplier-store';

/** Adds an offer by hand. @throws ShopError where the supplier has one of that article already. */
export function addOffer(shop: ShopContext, input: InferType<typeof offerInput>): Saved {
  return inTransaction(shop.db, () => {
    if (!findSupplier(shop.db, input.supplierId)) throw notFound('This supplier');
    if (loadOffers(shop.db, input.supplierId).some((offer) => offer.code === input.code))
      throw new ShopError('conflict', { reason: 'article-taken', article: input.code }, 'code');
    return added(putOffer(shop.db, toOfferFields(shop, input), shop.now()));
  });
}

/** The article and its supplier stay what they are. */
export function changeOffer(
  shop: ShopContext,
  id: number,
  input: InferType<typeof offerInput>,
  version: number,
): Saved {
  return inTransaction(shop.db, () => {
    const [offer] = findOffers(shop.db, [id]);
    if (!offer) throw notFound('This offer');
    if (offer.version !== version) throw stale('This offer');
    const fields = { ...toOfferFields(shop, input), supplierId: offer.supplierId, code: offer.code };
    return changed(putOffer(shop.db, fields, shop.now()), version);
  });
}

export function archiveOffer(shop: ShopContext, id: number, archived: boolean): void {
  if (!setOfferArchived(shop.db, id, archived ? shop.now() : null)) throw notFound('This offer');
}

function toOfferFields(shop: ShopContext, input: InferType<typeof offerInput>): OfferFields {
  for (const part of input.parts) if (part.key !== null) requireThing(shop, part.key);
  return {
    ...input,
    price: minor(input.price),
    breaks: [...input.breaks]
      .sort((a, b) => a.fromPacks - b.fromPacks)
      .map((step) => ({ fromPacks: step.fromPacks, price: minor(step.price) })),
  };
}

export function loadHistory(shop: ShopContext, offerId: number): OfferHistory {
  if (findOffers(shop.db, [offerId]).length === 0) throw notFound('This offer');
  return { prices: loadPrices(shop.db, offerId) };
}

export function matchPart(shop: ShopContext, offerId: number, position: number, key: string | null): void {
  if (key !== null && !listThings(shop).some((thing) => thing.key === key))
    throw new ShopError('invalid', { reason: 'thing-archived' }, 'key');
  if (!inTransaction(shop.db, () => setPartKey(shop.db, offerId, position, key))) throw notFound('This offer');
}
