// From a solver's answer back to packs, what they cover, and what is left over.

import { figure, type Figure } from '../units';
import { coverageOf, findDirectNeeds, levelsOf, type UsefulOffer } from './basket-offers';
import {
  SOLVER_SCALE,
  type Basket,
  type BasketInput,
  type BasketLine,
  type BasketOrder,
  type SolverAnswer,
} from './basket-types';
import { computePacksPrice, computeShipping, computeUsableArea, type Margins, type Supplier } from './offer';

/** Shares below this are noise of the solver. */
const NOISE = 1e-6;
/** A bound this far above a whole minor unit is still that unit: the solver's own tolerance. */
const BOUND_TOLERANCE = 1e-4;

type Covered = BasketLine['covers'][number] & { readonly part: number };

export function readBasket(input: BasketInput, answer: SolverAnswer, useful: readonly UsefulOffer[]): Basket {
  const { needs, margins } = input;
  const bySupplier = new Map<Supplier, BasketLine[]>();
  const left = new Map<string, number>();
  const cover = makeCover(input, answer, useful);
  useful.forEach((entry, index) => {
    const packs = countPacks(entry, index, answer);
    if (packs === 0) return;
    const covered = cover(entry, index, packs);
    addLeftovers(left, entry, packs, covered, margins);
    const covers = needs.flatMap((need) => {
      const amount = covered.filter((one) => one.need === need).reduce((sum, one) => sum + one.amount, 0);
      return amount > 0 ? [{ need, amount }] : [];
    });
    const goods = computePacksPrice(entry.offer, packs);
    const lines = bySupplier.get(entry.supplier) ?? [];
    bySupplier.set(entry.supplier, [...lines, { offer: entry.offer, packs, goods, covers }]);
  });
  const orders = [...bySupplier].map(([supplier, lines]): BasketOrder => {
    const goods = lines.reduce((sum, line) => sum + line.goods, 0);
    return { supplier, lines, goods, shipping: computeShipping(supplier, goods) };
  });
  const total = orders.reduce((sum, order) => sum + order.goods + order.shipping, 0);
  return {
    orders,
    days: Math.max(0, ...orders.map(({ supplier }) => supplier.leadDays)),
    leftovers: [...left].map(([key, amount]) => ({ key, amount })),
    doubt: computeDoubt(total, answer.bound),
    total: figure('Basket', total, 'money', 'computed', {
      how: 'goods + shipping, of each supplier',
      parts: orders.flatMap(({ supplier, goods, shipping }) => [
        figure(`${supplier.name}, goods`, goods, 'money', 'computed'),
        figure(`${supplier.name}, shipping`, shipping, 'money', 'computed'),
      ]),
    }),
  };
}

function countPacks({ offer }: UsefulOffer, index: number, { values }: SolverAnswer): number {
  const take = offer.takePay?.take ?? 1;
  return levelsOf(offer).reduce(
    (sum, _, level) =>
      sum + Math.round(values[`k_${index}_${level}`] ?? 0) + take * Math.round(values[`g_${index}_${level}`] ?? 0),
    0,
  );
}

/**
 * What an offer's packs cover of each need: as the solver shared it out, or whatever is still open where no other need
 * wants it.
 */
function makeCover({ needs, margins }: BasketInput, { values }: SolverAnswer, useful: readonly UsefulOffer[]) {
  const direct = findDirectNeeds(needs, useful);
  const open = needs.map((need) => need.amount);
  const takeOpen = (need: number, amount: number): number => {
    const taken = Math.min(open[need]!, amount);
    open[need] = open[need]! - taken;
    return taken;
  };
  return ({ offer, covers }: UsefulOffer, index: number, packs: number): readonly Covered[] =>
    covers
      .map(({ need, part }) => ({
        need: needs[need]!,
        part,
        amount: direct.has(need)
          ? takeOpen(need, packs * coverageOf(needs[need]!, offer.parts[part]!, margins))
          : (values[`c_${need}_${index}_${part}`] ?? 0) * needs[need]!.amount,
      }))
      .filter(({ need, amount }) => amount > need.amount * NOISE);
}

function addLeftovers(
  left: Map<string, number>,
  { offer }: UsefulOffer,
  packs: number,
  covered: readonly Covered[],
  margins: Margins,
): void {
  offer.parts.forEach((part, at) => {
    const has = packs * (computeUsableArea(part, margins) ?? part.count);
    const used = covered.filter((entry) => entry.part === at).reduce((sum, entry) => sum + entry.amount, 0);
    const over = has - used;
    if (over > has * NOISE) left.set(part.key, (left.get(part.key) ?? 0) + over);
  });
}

/** Prices are whole minor units: a bound of 12.341 means 12.35 or more. */
function computeDoubt(total: number, bound: number | undefined): Figure | null {
  const least = bound === undefined ? total : Math.ceil(bound * SOLVER_SCALE - BOUND_TOLERANCE);
  if (least >= total) return null;
  return figure('Dearer than the cheapest, at most', total - least, 'money', 'computed', {
    how: 'this basket − what none costs less than',
    parts: [
      figure('This basket', total, 'money', 'computed'),
      figure('None costs less than', least, 'money', 'computed'),
    ],
  });
}
