// What every item on the list costs now, in its usual quantity.

import type { CostProblem, ItemCost } from '../../core/costing';
import type { Result } from '../../core/units';
import { loadItems, type StoredItem } from '../../data/item-store';
import { getShop, type ShopContext } from '../context';
import { loadEvidence } from './evidence';
import { loadMaterials, type Materials } from './materials';
import { priceItem } from './price-item';

export function priceAllItems(shop: ShopContext): {
  readonly rows: readonly { readonly item: StoredItem; readonly cost: Result<ItemCost, CostProblem> }[];
  readonly materials: Materials;
} {
  const items = loadItems(shop.db);
  const materials = loadMaterials(shop, { plans: items }),
    evidence = loadEvidence(shop),
    { figures } = getShop(shop);
  return {
    materials,
    rows: items.map((item) => ({
      item,
      cost: priceItem({ item, quantity: item.quantity, materials, figures, evidence: evidence.of(item.id) }),
    })),
  };
}
