import type { Offer } from '../../core/buying';
import type { StoredOffer } from '../../data/offer-store';

/** An offer as core calculates with it: parts that nothing on the shelf is matched to count for nothing. */
export const toOffer = (offer: StoredOffer): Offer => ({
  ...offer,
  parts: offer.parts.map((part) => ({ ...part, key: part.key ?? '' })),
});
