// What to buy: the cheapest basket for what is needed, beside the plain orders from one supplier each.

import type { InferType } from 'yup';
import { findCheapestBasket, findPlainBaskets, type BasketInput, type BasketProblem } from '../../core/buying';
import type { basketInput } from '../../core/input';
import { makeAlikeFinder, type Grade } from '../../core/materials';
import { keyOf, parseKey } from '../../core/stock';
import { findOffersOf } from '../../data/offer-store';
import { loadVinyls } from '../../data/shelf-store';
import type { BasketView } from '../../views/purchases';
import { getShop, type ShopContext } from '../context';
import { makeSolver } from './solver';
import { listThings } from '../stock/things';
import { toOffer } from './offer-of';
import { loadTrustOf } from '../trials/load-trust';
import { loadOpenNeeds, type OpenNeed } from './needs';
import { plural } from '../../wording/plural';
import { describeDistrust } from '../../wording/trials';
import { loadSuppliers } from '../../data/supplier-store';

export type BasketWish = InferType<typeof basketInput>;

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
  const byId = new Map(vinyls.map((vinyl) => [vinyl.id, vinyl]));
  const findAlike = makeAlikeFinder(vinyls, grade);
  // Many orders need the same vinyl.
  const alike = new Map<string, readonly string[]>();
  const listAlike = (key: string): readonly string[] => {
    const known = alike.get(key);
    if (known) return known;
    const thing = parseKey(key);
    const own = thing?.kind === 'vinyl' ? byId.get(thing.vinylId) : undefined;
    const keys = own ? findAlike(own).map((vinyl) => keyOf({ kind: 'vinyl', vinylId: vinyl.id })) : [];
    alike.set(key, keys);
    return keys;
  };
  return needs.map((need) => ({ ...need, accepts: [...need.accepts, ...listAlike(need.accepts[0] ?? '')] }));
}

/**
 * How long the solver looks: for a first answer, which may still be in doubt by some cents; when the proof is asked
 * for; for each plain order beside it.
 */
const FIRST_ANSWER_S = 1.3;
const THOROUGH_S = 60;
const PLAIN_S = 0.3;
const MOST_PLAIN = 5;

/** Needs that nothing covers are named, and the basket is worked out for the rest. It does not pause: for threads. */
export async function planBasket(shop: ShopContext, wish: BasketWish): Promise<BasketView> {
  const needs = acceptAlike(shop, loadOpenNeeds(shop, wish), wish.alike);
  const started = performance.now();
  const { found, setAside, plain } = await findBaskets(gatherChoice(shop, needs), wish.thorough);
  const distrustOf = readDistrust(shop, needs);
  const problems = new Map(setAside.map((problem) => [problem.needId, describeProblem(problem, needs)]));
  return {
    needs: needs.map(({ id, label, amount, unit, because, withinDays, accepts }) => ({
      id,
      label,
      amount,
      unit,
      because,
      withinDays,
      distrust: distrustOf(accepts[0]),
      problem: problems.get(id) ?? null,
    })),
    basket: found.ok ? found.value : null,
    plain,
    problem: found.ok ? null : describeProblem(found.problem, needs),
    things: listThings(shop),
    solvedMs: Math.round(performance.now() - started),
  };
}

/** By the key of what is wanted in the first place. */
function readDistrust(shop: ShopContext, needs: readonly OpenNeed[]): (key: string | undefined) => string | null {
  const vinylOf = (key: string | undefined) => {
    const thing = key === undefined ? null : parseKey(key);
    return thing?.kind === 'vinyl' ? thing.vinylId : null;
  };
  const vinylIds = [...new Set(needs.flatMap(({ accepts }) => vinylOf(accepts[0]) ?? []))];
  const rows = new Map(loadTrustOf(shop, vinylIds).map((row) => [row.vinylId, row]));
  return (key) => {
    const row = rows.get(vinylOf(key) ?? 0);
    return row ? describeDistrust(row) : null;
  };
}

type NotOffered = Extract<BasketProblem, { readonly kind: 'not-offered' }>;

async function findBaskets(choice: BasketInput, thorough: boolean) {
  const setAside: NotOffered[] = [];
  const input = (): BasketInput => ({
    ...choice,
    needs: choice.needs.filter((need) => !setAside.some(({ needId }) => needId === need.id)),
  });
  const solve = makeSolver(thorough ? THOROUGH_S : FIRST_ANSWER_S);
  let found = await findCheapestBasket(input(), solve);
  while (!found.ok && found.problem.kind === 'not-offered') {
    setAside.push(found.problem);
    found = await findCheapestBasket(input(), solve);
  }
  // Nothing found at all in the first second: then as long as it takes.
  if (!found.ok && found.problem.kind === 'not-solved' && !thorough)
    found = await findCheapestBasket(input(), makeSolver(THOROUGH_S));
  const plain = found.ok && found.value.orders.length > 0 ? await findPlainBaskets(input(), makeSolver(PLAIN_S)) : [];
  return { found, setAside, plain: plain.slice(0, MOST_PLAIN) };
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
