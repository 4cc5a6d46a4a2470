// The price list: all items by all channels.

import type { ShopFigures } from '../../core/materials/index';
import { priceOnChannel, readPrice, type ChannelGoal } from '../../core/pricing/index';
import { loadChannels } from '../../data/channel-store';
import type { PriceGoal, PriceListView } from '../../views/price-list';
import { describeCostProblem } from '../../wording/problems';
import { getShop, type ShopContext } from '../context';
import { priceAllItems } from './price-all';

const toGoal = (goal: PriceGoal, figures: ShopFigures): ChannelGoal =>
  ({
    wage: { kind: 'wage', perHour: figures.wageGoalPerHour } as const,
    margin: { kind: 'margin', share: figures.marginGoal } as const,
    floor: { kind: 'floor' } as const,
  })[goal];

export function loadPriceList(shop: ShopContext, goal: PriceGoal): PriceListView {
  const { figures, ...identity } = getShop(shop);
  const channels = loadChannels(shop.db);
  const { rows, materials } = priceAllItems(shop);
  const settings = {
    locale: identity.locale,
    currency: identity.currency,
    timeZone: identity.timeZone,
    system: 'metric' as const,
  };
  return {
    goal,
    channels,
    rows: rows.map(({ item, cost }) => {
      const row = { item, blankName: materials.blanks.get(item.blankId)?.name ?? '' };
      if (!cost.ok)
        return {
          ...row,
          cost: null,
          hourEarns: null,
          asks: channels.map(() => null),
          problem: describeCostProblem(cost.problem, settings),
        };
      const asks = channels.map((channel) => {
        const price = priceOnChannel(toGoal(goal, figures), cost.value, channel);
        return price.ok ? price.value : null;
      });
      return {
        ...row,
        cost: cost.value.withRisk,
        hourEarns: readPrice(item.price, cost.value, figures).hourEarns,
        asks,
        problem: null,
      };
    }),
  };
}
