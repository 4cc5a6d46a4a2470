// What a price has to reach, by the shop's figures.

import type { ShopFigures } from '../../core/materials/index';
import type { ChannelGoal } from '../../core/pricing/index';
import type { PriceGoal } from '../../views/price-list';

export const toGoal = (goal: PriceGoal, figures: ShopFigures): ChannelGoal =>
  ({
    wage: { kind: 'wage', perHour: figures.wageGoalPerHour } as const,
    margin: { kind: 'margin', share: figures.marginGoal } as const,
    floor: { kind: 'floor' } as const,
  })[goal];
