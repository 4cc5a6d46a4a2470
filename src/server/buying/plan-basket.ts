// What to buy: the cheapest basket for what is needed, beside the plain orders from one supplier each.

import type { InferType } from 'yup';
import { findCheapestBasket, findPlainBaskets, type BasketInput, type BasketProblem } from '../../core/buying';
import type { basketInput } from '../../core/input';
import { loadOffers, loadSuppliers } from '../../data/offer-store';
import type { BasketView } from '../../views/views';
import { getShop, type ShopContext } from '../context';
import { listThings } from '../stock/things';
import { toOffer } from './keep-offers';
import { loadOpenNeeds, type OpenNeed } from './needs';
import { withSolver } from './solve';

function describeProblem(problem: BasketProblem, needs: readonly OpenNeed[]): string {
  switch (problem.kind) {
    case 'not-offered': {
      const need = needs.find((candidate) => candidate.id === problem.needId);
      if (problem.because === 'no-offer') return 'No supplier offers it. Match one of the offers to it, or import a price list that has it.';
      if (problem.because === 'too-narrow') return `Every offer of it is narrower than the ${Math.ceil(need?.leastWidthMm ?? 0)} mm its order needs.`;
      return `Nobody delivers it within ${need?.withinDays} days. Ask the customer for another day, or use something else.`;
    }
    case 'no-basket':
      return 'Nothing covers all of it: minimum orders can’t be met. Add to what is needed, or order from elsewhere.';
    case 'too-many':
      return `More than ${problem.most} needs at once: leave some out.`;
    case 'not-solved':
      return `The basket could not be worked out (${problem.status}). Try it with fewer needs.`;
    default:
      return problem satisfies never;
  }
}

/** Needs that nothing covers are named, and the basket is worked out for the rest. */
export async function planBasket(shop: ShopContext, wish: InferType<typeof basketInput>): Promise<BasketView> {
  const { figures } = getShop(shop);
  const suppliers = loadSuppliers(shop.db);
  const known = new Set(suppliers.map((supplier) => supplier.id));
  const all = loadOpenNeeds(shop, wish);
  const accepted = new Set(all.flatMap((need) => need.accepts));
  const offers = loadOffers(shop.db).filter((offer) => known.has(offer.supplierId)).map(toOffer).filter((offer) => offer.parts.some((part) => accepted.has(part.key)));
  const problems = new Map<string, string>();
  let needs = all;
  const started = performance.now();
  const input = (): BasketInput => ({ needs, offers, suppliers, margins: { sideMm: figures.cutterEdgeMm, endMm: 0 } });
  const { found, plain } = await withSolver(async (solve) => {
    let answer = await findCheapestBasket(input(), solve);
    while (!answer.ok && answer.problem.kind === 'not-offered') {
      const { needId } = answer.problem;
      problems.set(needId, describeProblem(answer.problem, all));
      needs = needs.filter((need) => need.id !== needId);
      answer = await findCheapestBasket(input(), solve);
    }
    return { found: answer, plain: answer.ok && answer.value.orders.length > 0 ? await findPlainBaskets(input(), solve) : [] };
  });
  return {
    needs: all.map(({ id, label, amount, unit, because, withinDays }) => ({ id, label, amount, unit, because, withinDays, problem: problems.get(id) ?? null })),
    basket: found.ok ? found.value : null, plain: plain.slice(0, 5), problem: found.ok ? null : describeProblem(found.problem, all), things: listThings(shop), solvedMs: Math.round(performance.now() - started),
  };
}
