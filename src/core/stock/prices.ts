// What material is calculated at: the shelf's price, the oldest lots first, what was paid last, or what an offer asks.

import { figure, MM2_PER_M2, type Figure, COUNT_NOISE } from '../units';

export type PriceBasis = 'shelf' | 'oldest' | 'latest' | 'offer';
export const PRICE_BASES: readonly PriceBasis[] = ['shelf', 'oldest', 'latest', 'offer'];

/**
 * A lot that was bought: how much of it is left, mm² of its whole width or pieces, and what one m² or piece of it cost.
 */
export type PricedLot = {
  readonly label: string;
  readonly receivedAtMs: number;
  readonly left: number;
  readonly price: number;
};
export type PricedOffer = { readonly id: number; readonly label: string; readonly price: number };
export type Prices = { readonly lots: readonly PricedLot[]; readonly offers: readonly PricedOffer[] };

/**
 * The price of a m² or a piece when `needed` (mm², or pieces) are taken, in minor units, not rounded. Oldest first:
 * what the shelf has not is calculated at the newest lot's price. Null where the shelf's price is to be used: it is
 * asked for, or nothing was bought or is offered. An offer is the chosen one where it is among `chosenOffers`, else the
 * cheapest.
 */
export function choosePrice(
  prices: Prices,
  basis: PriceBasis,
  needed: number,
  unit: 'money/m²' | 'money',
  chosenOffers: readonly number[] = [],
): Figure | null {
  const lots = [...prices.lots].sort((a, b) => a.receivedAtMs - b.receivedAtMs);
  const newest = lots.at(-1);
  switch (basis) {
    case 'shelf':
      return null;
    case 'latest':
      return newest ? figure('Paid last', newest.price, unit, 'shop', { how: newest.label }) : null;
    case 'offer': {
      const chosen = prices.offers.filter((offer) => chosenOffers.includes(offer.id));
      const best = (chosen.length > 0 ? chosen : prices.offers).reduce<PricedOffer | null>(
        (least, offer) => (least && least.price <= offer.price ? least : offer),
        null,
      );
      return best && figure('Offered', best.price, unit, 'shop', { how: best.label });
    }
    case 'oldest':
      return newest ? priceOldest(lots, newest, needed, unit) : null;
    default:
      return basis satisfies never;
  }
}

function priceOldest(
  lots: readonly PricedLot[],
  newest: PricedLot,
  needed: number,
  unit: 'money/m²' | 'money',
): Figure {
  const taken: { readonly label: string; readonly amount: number; readonly price: number }[] = [];
  let open = needed;
  for (const lot of lots) {
    const amount = Math.min(open, lot.left);
    if (amount > 0) taken.push({ label: lot.label, amount, price: lot.price });
    open -= amount;
  }
  if (open > COUNT_NOISE || taken.length === 0)
    taken.push({ label: 'To be bought, as last', amount: Math.max(open, Number.MIN_VALUE), price: newest.price });
  const amount = taken.reduce((sum, part) => sum + part.amount, 0);
  return figure(
    'Oldest on the shelf first',
    taken.reduce((sum, part) => sum + part.amount * part.price, 0) / amount,
    unit,
    'shop',
    {
      how: 'what is taken of each lot × its price ÷ all',
      parts: taken.map((part) =>
        figure(part.label, part.price, unit, 'shop', {
          how:
            unit === 'money' ? `${Math.round(part.amount)} of it` : `${(part.amount / MM2_PER_M2).toFixed(3)} m² of it`,
        }),
      ),
    },
  );
}
