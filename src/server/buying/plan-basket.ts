// What to buy: the cheapest basket for what is needed, beside the plain orders from one supplier each.

import type { InferType } from 'yup';
import type { BasketInput, BasketProblem } from '../../core/buying';
import type { basketInput } from '../../core/input';
import { findAlikeVinyls, type Grade } from '../../core/materials';
import { keyOf, parseKey } from '../../core/stock';
import { findOffersOf } from '../../data/offer-store';
import { loadVinyls } from '../../data/shelf-store';
import type { BasketView } from '../../views/purchases';
import { getShop, type ShopContext } from '../context';
import { ShopError } from '../errors';
import type { BasketAnswer, BasketTask } from '../heavy/basket-thread';
import { heavyWork } from '../heavy/heavy-work';
import { listThings } from '../stock/things';
import { toOffer } from './offer-of';
import { loadOpenNeeds, type OpenNeed } from './needs';
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

const LIMIT_MS = 120_000;
const tooMuch = () => new ShopError('busy', { reason: 'basket-too-slow' });
const planInThread = (task: BasketTask): Promise<BasketAnswer> =>
  heavyWork.run({ kind: 'basket', task, limitMs: LIMIT_MS, tooMuch });

/** Needs that nothing covers are named, and the basket is worked out for the rest. */
export async function planBasket(
  shop: ShopContext,
  wish: InferType<typeof basketInput>,
  plan: (task: BasketTask) => Promise<BasketAnswer> = planInThread,
): Promise<BasketView> {
  const needs = acceptAlike(shop, loadOpenNeeds(shop, wish), wish.alike);
  const started = performance.now();
  const { found, setAside, plain } = await plan({ ...gatherChoice(shop, needs), thorough: wish.thorough });
  const problems = new Map(setAside.map((problem) => [problem.needId, describeProblem(problem, needs)]));
  return {
    needs: needs.map(({ id, label, amount, unit, because, withinDays }) => ({
      id,
      label,
      amount,
      unit,
      because,
      withinDays,
      problem: problems.get(id) ?? null,
    })),
    basket: found.ok ? found.value : null,
    plain,
    problem: found.ok ? null : describeProblem(found.problem, needs),
    things: listThings(shop),
    solvedMs: Math.round(performance.now() - started),
  };
}

/** What can be chosen from: the offers of what would do, by suppliers that still are. */
function gatherChoice(shop: ShopContext, needs: readonly OpenNeed[]): BasketInput {
  const suppliers = loadSuppliers(shop.db);
  const known = new Set(suppliers.map((supplier) => supplier.id));
  const offers = findOffersOf(shop.db, [...new Set(needs.flatMap((need) => need.accepts))])
    .filter((offer) => known.has(offer.supplierId))
    .map(toOffer);
  return { needs, offers, suppliers, margins: { sideMm: getShop(shop).figures.cutterEdgeMm, endMm: 0 } };
}
