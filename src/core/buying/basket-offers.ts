// Which offers can cover which needs, and in how many packs at most.

import { computeUsableArea, getPackPrice, type Margins, type Offer, type PackPart, type Supplier } from './offer';
import type { BasketInput, BasketProblem, Need } from './basket-types';

const MOST_PACKS = 1000;

/** What of a need one part of a pack covers; 0 where it does not do. */
export function coverageOf(need: Need, part: PackPart, margins: Margins): number {
  if (!need.accepts.includes(part.key)) return 0;
  if (part.widthMm === null) return part.count;
  return part.widthMm < need.leastWidthMm ? 0 : (computeUsableArea(part, margins) ?? 0);
}

const inTime = (need: Need, supplier: Supplier): boolean =>
  need.withinDays === null || supplier.leadDays <= need.withinDays;

/** The first need that no offer covers; null where each is. */
export function findUncovered({ needs, offers, suppliers, margins }: BasketInput): BasketProblem | null {
  const supplierOf = new Map(suppliers.map((supplier) => [supplier.id, supplier]));
  for (const need of needs) {
    const offered = offers.filter(
      (offer) => supplierOf.has(offer.supplierId) && offer.parts.some((part) => need.accepts.includes(part.key)),
    );
    const wide = offered.filter((offer) => offer.parts.some((part) => coverageOf(need, part, margins) > 0));
    const timely = wide.filter((offer) => inTime(need, supplierOf.get(offer.supplierId)!));
    if (timely.length === 0)
      return {
        kind: 'not-offered',
        needId: need.id,
        because: offered.length === 0 ? 'no-offer' : wide.length === 0 ? 'too-narrow' : 'too-late',
      };
  }
  return null;
}

/** Offers of what is needed, each with the most packs that could be of use. */
export type UsefulOffer = {
  readonly offer: Offer;
  readonly supplier: Supplier;
  readonly most: number;
  readonly covers: readonly { readonly need: number; readonly part: number }[];
};

export function reduceOffers({ needs, offers, suppliers, margins }: BasketInput): readonly UsefulOffer[] {
  const supplierOf = new Map(suppliers.map((supplier) => [supplier.id, supplier]));
  return offers.flatMap((offer): UsefulOffer[] => {
    const supplier = supplierOf.get(offer.supplierId);
    if (!supplier) return [];
    const covers = needs.flatMap((need, index) =>
      inTime(need, supplier)
        ? offer.parts.flatMap((part, at) => (coverageOf(need, part, margins) > 0 ? [{ need: index, part: at }] : []))
        : [],
    );
    // What comes too late may still fill an order up to its minimum.
    if (!needs.some((need) => offer.parts.some((part) => coverageOf(need, part, margins) > 0))) return [];
    // So many packs that any part alone covers all it could, and a break or a minimum order beyond that may still pay.
    const enough = Math.max(
      0,
      ...offer.parts.map((part, at) =>
        covers
          .filter((entry) => entry.part === at)
          .reduce((sum, { need }) => sum + needs[need]!.amount / coverageOf(needs[need]!, part, margins), 0),
      ),
    );
    const { take, pay } = offer.takePay ?? { take: 1, pay: 1 };
    const cheapest = (Math.min(offer.price, ...offer.breaks.map((step) => step.price)) * pay) / take;
    const toReach = (amount: number | null) =>
      amount !== null && cheapest > 0 ? Math.ceil(amount / cheapest) + take : 0;
    // Filling up to free shipping never pays for more than the shipping itself.
    const beyond =
      Math.max(take, ...offer.breaks.map((step) => step.fromPacks)) +
      toReach(supplier.minimumOrder) +
      (supplier.freeFrom === null ? 0 : toReach(supplier.shipping));
    return [{ offer, supplier, most: Math.min(MOST_PACKS, Math.ceil(enough) + beyond), covers }];
  });
}

/** Price levels of an offer: from so many packs on, so much each. */
export const levelsOf = (offer: Offer): readonly { readonly from: number; readonly price: number }[] =>
  [1, ...offer.breaks.map((step) => step.fromPacks).filter((from) => from > 1)]
    .sort((a, b) => a - b)
    .map((from) => ({ from, price: getPackPrice(offer, from) }));

/** Needs whose packs serve no other need: how much of each pack goes to which need is no question there. */
export function findDirectNeeds(needs: readonly Need[], useful: readonly UsefulOffer[]): ReadonlySet<number> {
  const shared = new Set<number>();
  for (const { offer, covers } of useful) {
    offer.parts.forEach((_, p) => {
      const own = covers.filter((entry) => entry.part === p);
      if (own.length > 1) for (const { need } of own) shared.add(need);
    });
  }
  return new Set(needs.map((_, n) => n).filter((n) => !shared.has(n)));
}
