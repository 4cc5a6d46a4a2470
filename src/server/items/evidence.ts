// What the shop's own log says of its items: your minutes, how often they go wrong, what blades and mats have cost.

import { believeFailure, type ItemEvidence, type WearPrices } from '../../core/costing';
import { computeRealLife, getSupplyFacts, keyOf, type SupplyKind } from '../../core/stock';
import { figure, type Figure } from '../../core/units';
import { findItemEvidence } from '../../data/evidence-store';
import { loadPricedLots } from '../../data/stock-store';
import { findFitted, findSupply, loadLives } from '../../data/supply-store';
import { getShop, type ShopContext } from '../context';
import { learnMinutesOf } from './learn-minutes';

/** By item, looked up as it is asked for; what is not logged is left out. */
export function loadEvidence(shop: ShopContext): { readonly of: (itemId: number) => ItemEvidence } {
  const { figures } = getShop(shop);
  const wear = loadWearPrices(shop);
  return {
    of: (itemId) => {
      const own = learnMinutesOf(shop, itemId),
        logged = findItemEvidence(shop.db, itemId);
      return {
        wear,
        ...(own ? { minutes: own } : {}),
        ...(logged && logged.made > 0 ? { spoilage: believeFailure(logged, figures).mean } : {}),
      };
    },
  };
}

/** From the blade and mat in use: their real lives where some were worn out, and what was paid for the newest. */
export function loadWearPrices(shop: ShopContext): WearPrices {
  const { figures } = getShop(shop);
  const fitted = findFitted(shop.db, ['blade', 'mat']);
  const priceOf = (kind: 'blade' | 'mat', label: string, shopPrice: number): Figure | undefined => {
    const supply = findSupply(shop.db, fitted.get(kind as SupplyKind) ?? -1);
    if (!supply || supply.life === null) return undefined;
    const paid = loadPricedLots(shop.db, keyOf({ kind: 'supply', supplyId: supply.id })).at(-1);
    const life = computeRealLife(supply, loadLives(shop.db, supply.id));
    const price = figure(paid ? `Paid for ${supply.name}` : 'Price', paid?.unitCost ?? shopPrice, 'money', 'shop');
    return figure(label, price.value / life.value, kind === 'blade' ? 'money/m' : 'money', life.source, {
      how: `price ÷ life in ${getSupplyFacts(kind).wears}`,
      parts: [price, life],
    });
  };
  const bladeMetre = priceOf('blade', 'A metre of blade', figures.bladePrice),
    matLoad = priceOf('mat', 'A load on the mat', figures.matPrice);
  return { ...(bladeMetre ? { bladeMetre } : {}), ...(matLoad ? { matLoad } : {}) };
}
