// What to buy: the cheapest basket for what is needed, beside the plain orders from one supplier each.

import type { InferType } from 'yup';
import { findCheapestBasket, findPlainBaskets, type BasketInput, type BasketProblem } from '../../core/buying';
import type { basketInput } from '../../core/input';
import { findAlikeVinyls, type Grade } from '../../core/materials';
import { keyOf, parseKey } from '../../core/stock';
import { loadOffers } from '../../data/offer-store';
import { loadVinyls } from '../../data/shelf-store';
import type { BasketView } from '../../views/purchases';
import { getShop, type ShopContext } from '../context';
import { listThings } from '../stock/things';
import { toOffer } from './offer-of';
import { loadOpenNeeds, type OpenNeed } from './needs';
import { makeSolver } from './solve';
import { plural } from '../../wording/plural';
import { loadSuppliers } from '../../data/supplier-store';

function describeProblem(problem: BasketProblem, needs: readonly OpenNeed[]): string {
  switch (problem.kind) {
    case 'not-offered': {
      const need = needs.find((candidate) => candidate.id === problem.needId);
      if (problem.because === 'no-offer')
        return 'No supplier offers it. Match one of the offers to it, or import a price list that has it.';
      if (problem.because === 'too-narrow')
        return `Every offer of it is narrower than the ${Math.ceil(need?.leastWidthMm ?? 0)} mm its order needs.`;
      return `Nobody delivers it within ${plural(need?.withinDays ?? 0, 'day')}. Ask the customer for another day, or use something else.`;
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

/** With a grade, other vinyls of the same kind and nearly the colour do as well, when they are at least that good. */
function acceptAlike(shop: ShopContext, needs: readonly OpenNeed[], grade: Grade | null): readonly OpenNeed[] {
  if (grade === null) return needs;
  const vinyls = loadVinyls(shop.db);
  return needs.map((need) => {
    const thing = parseKey(need.accepts[0] ?? '');
    const own = thing?.kind === 'vinyl' ? vinyls.find((vinyl) => vinyl.id === thing.vinylId) : undefined;
    return own
      ? {
          ...need,
          accepts: [
            ...need.accepts,
            ...findAlikeVinyls(own, vinyls, grade).map((vinyl) => keyOf({ kind: 'vinyl', vinylId: vinyl.id })),
          ],
        }
      : need;
  });
}

/**
 * How long the solver looks: for a first answer, which may still be in doubt by some cents; when the proof is asked
 * for; for each plain order beside it.
 */
const FIRST_ANSWER_S = 1.3;
const THOROUGH_S = 60;
const PLAIN_S = 0.3;

/** Needs that nothing covers are named, and the basket is worked out for the rest. */
export async function planBasket(shop: ShopContext, wish: InferType<typeof basketInput>): Promise<BasketView> {
  const { figures } = getShop(shop);
  const suppliers = loadSuppliers(shop.db);
  const known = new Set(suppliers.map((supplier) => supplier.id));
  const all = acceptAlike(shop, loadOpenNeeds(shop, wish), wish.alike);
  const accepted = new Set(all.flatMap((need) => need.accepts));
  const offers = loadOffers(shop.db)
    .filter((offer) => known.has(offer.supplierId))
    .map(toOffer)
    .filter((offer) => offer.parts.some((part) => accepted.has(part.key)));
  const problems = new Map<string, string>();
  let needs = all;
  const started = performance.now();
  const input = (): BasketInput => ({ needs, offers, suppliers, margins: { sideMm: figures.cutterEdgeMm, endMm: 0 } });
  const solve = makeSolver(wish.thorough ? THOROUGH_S : FIRST_ANSWER_S);
  let found = await findCheapestBasket(input(), solve);
  while (!found.ok && found.problem.kind === 'not-offered') {
    const { needId } = found.problem;
    problems.set(needId, describeProblem(found.problem, all));
    needs = needs.filter((need) => need.id !== needId);
    found = await findCheapestBasket(input(), solve);
  }
  // Nothing found at all in the first second: then as long as it takes.
  if (!found.ok && found.problem.kind === 'not-solved' && !wish.thorough)
    found = await findCheapestBasket(input(), makeSolver(THOROUGH_S));
  const plain = found.ok && found.value.orders.length > 0 ? await findPlainBaskets(input(), makeSolver(PLAIN_S)) : [];
  return {
    needs: all.map(({ id, label, amount, unit, because, withinDays }) => ({
      id,
      label,
      amount,
      unit,
      because,
      withinDays,
      problem: problems.get(id) ?? null,
    })),
    basket: found.ok ? found.value : null,
    plain: plain.slice(0, 5),
    problem: found.ok ? null : describeProblem(found.problem, all),
    things: listThings(shop),
    solvedMs: Math.round(performance.now() - started),
  };
}
