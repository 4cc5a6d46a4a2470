// What a job needs beyond what is free on the shelf, and how soon anybody delivers it.

import { computeStripNeed, listMadeLayers, type Made } from '../../core/costing';
import { keyOf } from '../../core/stock';
import { AMOUNT_NOISE } from '../../core/units';
import { loadShortestLeads } from '../../data/offer-store';
import { getShop, type ShopContext } from '../context';
import type { Materials } from '../items/materials';
import { loadStock } from '../stock/load-stock';
import { nameThings } from '../stock/things';

export type WishedPieces = { readonly made: Made; readonly quantity: number };
/** `days` until it is here; null where nobody offers it. */
export type Missing = { readonly name: string; readonly days: number | null };

export function findMissing(
  shop: ShopContext,
  pieces: readonly WishedPieces[],
  materials: Materials,
): readonly Missing[] {
  const needed = sumNeeds(shop, pieces, materials);
  const free = new Map(loadStock(shop).rows.map((row) => [row.thing.key, row.free.value]));
  const missing = [...needed]
    .filter(([key, amount]) => (free.get(key) ?? 0) < amount - AMOUNT_NOISE)
    .map(([key]) => key);
  const leads = loadShortestLeads(shop.db, missing);
  const nameOf = nameThings(shop);
  return missing.map((key) => ({ name: nameOf(key).name, days: leads.get(key) ?? null }));
}

/** Blanks by the piece, vinyl by mm², by the key of the thing. */
function sumNeeds(shop: ShopContext, pieces: readonly WishedPieces[], materials: Materials) {
  const { figures } = getShop(shop);
  const needed = new Map<string, number>();
  const add = (key: string, amount: number) => needed.set(key, (needed.get(key) ?? 0) + amount);
  for (const { made, quantity } of pieces) {
    const { blankId, sizeName, colourName } = made;
    add(keyOf({ kind: 'blank', blankId, sizeName, colourName }), quantity);
    for (const { measurement, vinyl } of listMadeLayers(made, materials)) {
      const need = computeStripNeed(measurement, vinyl, quantity, figures);
      add(keyOf({ kind: 'vinyl', vinylId: vinyl.id }), need?.usableMm2 ?? 0);
    }
  }
  return needed;
}
