// What a supplier offers, and what buying it comes to: packs, price breaks, "take three, pay two", bundles, shipping.

import { figure, MM2_PER_M2, roundMoney, type Figure, type Minor } from '../units';

/** Part of a pack: so many rolls or sheets of a width and length, or pieces. */
export type PackPart = {
  /** The thing's key. */
  readonly key: string;
  readonly count: number;
  /** Null for pieces. */
  readonly widthMm: number | null;
  readonly lengthMm: number | null;
};
export type PriceBreak = { readonly fromPacks: number; readonly price: Minor };
export type Offer = {
  readonly id: number;
  readonly supplierId: number;
  readonly name: string;
  readonly parts: readonly PackPart[];
  /** Of one pack; breaks replace it from so many packs on. */
  readonly price: Minor;
  readonly breaks: readonly PriceBreak[];
  /** Of every `take` packs only `pay` are paid; null where there is no such offer. */
  readonly takePay: { readonly take: number; readonly pay: number } | null;
};
export type Supplier = {
  readonly id: number;
  readonly name: string;
  readonly shipping: Minor;
  /** Goods worth this much and more are shipped free; null: never. */
  readonly freeFrom: Minor | null;
  /** Orders below are not taken; null: any is. */
  readonly minimumOrder: Minor | null;
  readonly leadDays: number;
};

/** Price of one pack when so many are bought. */
export function getPackPrice(offer: Pick<Offer, 'price' | 'breaks'>, packs: number): Minor {
  return offer.breaks
    .filter((step) => packs >= step.fromPacks)
    .reduce((best, step) => (step.price < best ? step.price : best), offer.price);
}

/**
 * What so many packs cost, 0 for none. "Take three, pay two" counts whole threes; of price breaks and it, the seller
 * gets both.
 */
export function computePacksPrice(offer: Pick<Offer, 'price' | 'breaks' | 'takePay'>, packs: number): Minor {
  const each = getPackPrice(offer, packs);
  const { take, pay } = offer.takePay ?? { take: 1, pay: 1 };
  return roundMoney(each * (Math.floor(packs / take) * pay + (packs % take)));
}

export type Margins = {
  /** On each side across, and at each end, mm: what no machine reaches. */
  readonly sideMm: number;
  readonly endMm: number;
};

/** What can be cut of a part of the pack, mm²; null for pieces. Never below 0. */
export function computeUsableArea(part: PackPart, margins: Margins): number | null {
  if (part.widthMm === null || part.lengthMm === null) return null;
  return part.count * Math.max(0, part.widthMm - 2 * margins.sideMm) * Math.max(0, part.lengthMm - 2 * margins.endMm);
}

export type UnitPrices = {
  /** Of a usable m² of the colours that are wanted; null where nothing of it is, or it is no vinyl. */
  readonly perM2: Figure | null;
  readonly perMetre: Figure | null;
  readonly perPiece: Figure | null;
};

/**
 * The true unit price of an offer when `packs` are bought, landed with `shipping` (this offer's share of it, minor
 * units). Only what is `wanted` counts: the other colours of a bundle are paid for and lie there.
 */
export function computeUnitPrices(
  offer: Offer,
  packs: number,
  options: { readonly wanted: (key: string) => boolean; readonly margins: Margins; readonly shipping: number },
): UnitPrices {
  const goods = computePacksPrice(offer, packs);
  const total = figure('Landed price', goods + options.shipping, 'money', 'computed', {
    how: 'packs + share of shipping',
    parts: [
      figure(`${packs} × ${offer.name}`, goods, 'money', 'typed'),
      figure('Share of shipping', options.shipping, 'money', 'computed'),
    ],
  });
  const wanted = offer.parts.filter((part) => options.wanted(part.key));
  const usable = packs * wanted.reduce((sum, part) => sum + (computeUsableArea(part, options.margins) ?? 0), 0);
  const lengthMm =
    packs * wanted.reduce((sum, part) => sum + (part.lengthMm === null ? 0 : part.count * part.lengthMm), 0);
  const pieces = packs * wanted.reduce((sum, part) => sum + (part.widthMm === null ? part.count : 0), 0);
  const all = packs * offer.parts.reduce((sum, part) => sum + (computeUsableArea(part, options.margins) ?? 0), 0);
  const per = (label: string, amount: number, unit: Figure['unit'], of: Figure): Figure =>
    figure(label, total.value / amount, unit, 'computed', {
      how: `landed price ÷ ${of.label.toLowerCase()}`,
      parts: [total, of],
    });
  return {
    perM2:
      usable > 0
        ? per(
            'A usable m²',
            usable / MM2_PER_M2,
            'money/m²',
            figure(usable < all ? 'Usable area of the wanted colours' : 'Usable area', usable, 'mm²', 'computed', {
              how: 'width and length less the margins, of what is wanted',
            }),
          )
        : null,
    perMetre:
      lengthMm > 0 ? per('A metre', lengthMm / 1000, 'money/m', figure('Length', lengthMm, 'mm', 'typed')) : null,
    perPiece: pieces > 0 ? per('A piece', pieces, 'money', figure('Pieces', pieces, 'count', 'typed')) : null,
  };
}

/** What an order of goods at one supplier costs to ship; 0 for no order. */
export const computeShipping = (supplier: Pick<Supplier, 'shipping' | 'freeFrom'>, goods: number): number =>
  goods <= 0 || (supplier.freeFrom !== null && goods >= supplier.freeFrom) ? 0 : supplier.shipping;

/**
 * What a m² of the whole width comes to when one pack of the offer is bought alone, with all of its shipping; null for
 * what is no vinyl.
 */
export function computeLandedPerM2(offer: Offer, supplier: Pick<Supplier, 'shipping' | 'freeFrom'>): Figure | null {
  return computeUnitPrices(offer, 1, {
    wanted: () => true,
    margins: { sideMm: 0, endMm: 0 },
    shipping: computeShipping(supplier, computePacksPrice(offer, 1)),
  }).perM2;
}
