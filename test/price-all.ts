// What every item on the list costs, calculated anew with all its workings: what kept costs are held against.

import { explainChange, type CostChange, type CostProblem, type ItemCost } from '../src/core/costing';
import { readPrice } from '../src/core/pricing';
import type { Figure, Result } from '../src/core/units';
import { loadItems, type StoredItem } from '../src/data/item-store';
import { getShop, type ShopContext } from '../src/server/context';
import { loadEvidence } from '../src/server/items/evidence';
import { loadMaterials } from '../src/server/items/materials';
import { priceItem } from '../src/server/items/price-item';

export type PricedRow = {
  readonly item: StoredItem;
  readonly priced: Result<ItemCost, CostProblem>;
  readonly cost: ItemCost | null;
  readonly change: CostChange | null;
  readonly hourEarns: Figure | null;
};

export function priceAllItems(shop: ShopContext): readonly PricedRow[] {
  const items = loadItems(shop.db);
  const materials = loadMaterials(shop, { plans: items });
  const evidence = loadEvidence(shop);
  const { figures } = getShop(shop);
  return items.map((item) => {
    const priced = priceItem({ item, quantity: item.quantity, materials, figures, evidence: evidence.of(item.id) });
    const cost = priced.ok ? priced.value : null;
    return {
      item,
      priced,
      cost,
      change: cost && item.acceptedCost ? explainChange(item.acceptedCost, cost) : null,
      hourEarns: cost && readPrice(item.price, cost, figures).hourEarns,
    };
  });
}
