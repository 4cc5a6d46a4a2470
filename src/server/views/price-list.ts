// The price list: all items by all channels.

import type { ShopFigures } from '../../core/materials';
import { priceOnChannel, readPrice, type ChannelGoal } from '../../core/pricing';
import { loadChannels } from '../../data/channel-store';
import { loadItems } from '../../data/item-store';
import type { PriceGoal, PriceListView } from '../../views/views';
import { describeCostProblem } from '../../wording/problems';
import { getShop, type ShopContext } from '../context';
import { loadMaterials, priceItem } from '../price-item';

const toGoal = (goal: PriceGoal, figures: ShopFigures): ChannelGoal => ({ wage: { kind: 'wage', perHour: figures.wageGoalPerHour } as const, margin: { kind: 'margin', share: figures.marginGoal } as const, floor: { kind: 'floor' } as const })[goal];

export function loadPriceList(shop: ShopContext, goal: PriceGoal): PriceListView {
  const { figures, ...identity } = getShop(shop);
  const items = loadItems(shop.db), channels = loadChannels(shop.db);
  const materials = loadMaterials(shop, items);
  const settings = { locale: identity.locale, currency: identity.currency, timeZone: identity.timeZone, system: 'metric' as const };
  return {
    goal, channels,
    rows: items.map((item) => {
      const cost = priceItem({ item, sizeName: item.sizeName, quantity: item.quantity, materials, figures });
      const row = { item, blankName: materials.blanks.get(item.blankId)?.name ?? '' };
      if (!cost.ok) return { ...row, cost: null, hourEarns: null, asks: channels.map(() => null), problem: describeCostProblem(cost.problem, settings) };
      const asks = channels.map((channel) => {
        const price = priceOnChannel(toGoal(goal, figures), cost.value, channel);
        return price.ok ? price.value : null;
      });
      return { ...row, cost: cost.value.withRisk, hourEarns: readPrice(item.price, cost.value, figures).hourEarns, asks, problem: null };
    }),
  };
}
