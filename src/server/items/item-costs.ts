// What items cost now: as it is kept where nothing changed that it rests on, else calculated and kept.

import {
  explainChange,
  getAcross,
  getUsualVariant,
  listArtworkIds,
  listMadeLayers,
  listVinylIds,
  resolveVariant,
  toBareCost,
  type CostChange,
  type ItemCost,
} from '../../core/costing/index';
import { readPrice } from '../../core/pricing/index';
import { keyOf } from '../../core/stock/index';
import { toBareFigure } from '../../core/units/index';
import { inTransaction } from '../../data/database';
import { findUncosted, loadItemCosts, saveItemCost, type KeptCost } from '../../data/item-cost-store';
import { findItems, type StoredItem } from '../../data/item-store';
import { getShop, type ShopContext } from '../context';
import { loadEvidence } from './evidence';
import { loadMaterials, type Materials } from './materials';
import { priceItem } from './price-item';

/** What each of these items costs in its usual quantity, by its id. */
export function readItemCosts(shop: ShopContext, items: readonly StoredItem[]): ReadonlyMap<number, KeptCost> {
  const kept = loadItemCosts(
    shop.db,
    items.map((item) => item.id),
  );
  const missing = items.filter((item) => !kept.has(item.id));
  return missing.length === 0
    ? kept
    : new Map([...kept, ...calculate(shop, missing).map((one) => [one.itemId, one] as const)]);
}

function calculate(shop: ShopContext, items: readonly StoredItem[]): readonly KeptCost[] {
  const materials = loadMaterials(shop, { plans: items });
  const evidence = loadEvidence(shop);
  const { figures } = getShop(shop);
  const costs = items.map((item): KeptCost => {
    const priced = priceItem({ item, quantity: item.quantity, materials, figures, evidence: evidence.of(item.id) });
    const cost = priced.ok ? priced.value : null;
    return {
      itemId: item.id,
      cost: cost && toBareCost(cost),
      problem: priced.ok ? null : priced.problem,
      change: cost && findChange(item, cost),
      withRisk: cost && cost.withRisk.value,
      hourEarns: cost && (readPrice(item.price, cost, figures).hourEarns?.value ?? null),
      acrossMm: measureAcross(item, materials, figures.weedMarginMm),
    };
  });
  inTransaction(shop.db, () => {
    for (const [at, cost] of costs.entries()) saveItemCost(shop.db, cost, listGrounds(items[at]!));
  });
  return costs;
}

function findChange({ acceptedCost }: StoredItem, cost: ItemCost): CostChange | null {
  const change = acceptedCost && explainChange(acceptedCost, cost);
  return change && { ...change, now: toBareFigure(change.now) };
}

/** What the item's cost rests on, besides itself, its log and the shop. */
function listGrounds(item: StoredItem): readonly string[] {
  const vinylIds = listVinylIds(item);
  const { blankId, details } = item;
  const { sizeName, colourName } = resolveVariant(item, getUsualVariant(item));
  const priced =
    details.priceBasis === 'shelf'
      ? []
      : [
          ...vinylIds.map((vinylId) => keyOf({ kind: 'vinyl', vinylId })),
          keyOf({ kind: 'blank', blankId, sizeName, colourName }),
        ];
  return [
    ...new Set([
      `blank:${blankId}`,
      ...vinylIds.map((id) => `vinyl:${id}`),
      ...listArtworkIds(item).map((id) => `artwork:${id}`),
      ...priced.map((key) => `price:${key}`),
    ]),
  ];
}

/** How wide a machine must be to cut all its layers, mm. */
const measureAcross = (item: StoredItem, materials: Materials, marginMm: number): number =>
  Math.max(
    0,
    ...listMadeLayers(resolveVariant(item, getUsualVariant(item)), materials).map((layer) =>
      getAcross(layer, marginMm),
    ),
  );

/** False where all are known. */
export function calculateSome(shop: ShopContext, count: number): boolean {
  const ids = findUncosted(shop.db, count);
  if (ids.length === 0) return false;
  calculate(shop, findItems(shop.db, ids));
  return true;
}

/** Before they are sorted or summed: what each item on the list costs. */
export function calculateAll(shop: ShopContext): void {
  while (calculateSome(shop, ALL_AT_ONCE));
}
const ALL_AT_ONCE = 50;
