// The prices that stand on the rule: what it costs, what it must not fall below, and what each goal proposes.

import type { ItemCost } from '../../core/costing';
import type { ShopFigures } from '../../core/materials';
import { computeFloor, priceForMargin, priceForMarkup, priceForWage } from '../../core/pricing';
import { figure, formatShare, type FormatSettings, type Minor } from '../../core/units';
import type { RuleMark } from '../shared/PriceRule';

/** A mark of a price that can be asked, and not only of what it costs. */
export type PriceMark = RuleMark & { readonly proposed: boolean };

export function markPrices(cost: ItemCost, figures: ShopFigures, othersAsk: Minor | null, settings: FormatSettings) {
  const floor = computeFloor(cost, figures);
  const margin = priceForMargin(figures.marginGoal, cost, figures);
  const markup = priceForMarkup(figures.markupGoal, cost, figures);
  const wage = priceForWage(figures.wageGoalPerHour, cost, figures);
  const share = (value: number) => formatShare(value, settings, 0);
  const marks: PriceMark[] = [
    { label: 'cash', figure: cost.cash, tone: 'soft', proposed: false },
    { label: 'full', figure: cost.full, tone: 'soft', proposed: false },
    { label: 'with risk', figure: cost.withRisk, tone: 'bad', proposed: false },
  ];
  const propose = (label: string, found: typeof floor, tone: RuleMark['tone']) => {
    if (found.ok) marks.push({ label, figure: found.value, tone, proposed: true });
  };
  propose('floor', floor, 'bad');
  propose('wage goal', wage, 'good');
  propose(`markup ${share(figures.markupGoal)}`, markup, 'info');
  if (othersAsk !== null) {
    const asked = figure('A shop asks for the like', othersAsk, 'money', 'typed');
    marks.push({ label: 'a shop asks', figure: asked, tone: 'soft', proposed: true });
  }
  propose(`margin ${share(figures.marginGoal)}`, margin, 'info');
  return { floor, margin, wage, marks };
}
