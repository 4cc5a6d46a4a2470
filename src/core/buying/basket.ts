// The cheapest basket: which packs of which offers from which suppliers cover what is needed in time. An integer programme;
// this file writes it and reads its answer, whoever solves it.

import { figure, fail, succeed, type Figure, type Result } from '../units';
import {
  computePacksPrice,
  computeShipping,
  computeUsableArea,
  getPackPrice,
  type Margins,
  type Offer,
  type PackPart,
  type Supplier,
} from './offer';

export type Need = {
  readonly id: string;
  readonly label: string;
  /** Any of these things will do. */
  readonly accepts: readonly string[];
  /** Vinyl in usable mm²; pieces counted. Above 0. */
  readonly amount: number;
  /** Vinyl narrower than this does not do, mm, margins included; 0 for pieces. */
  readonly leastWidthMm: number;
  /** Days from now until it has to be here; null: whenever. */
  readonly withinDays: number | null;
};

export type BasketInput = {
  readonly needs: readonly Need[];
  readonly offers: readonly Offer[];
  readonly suppliers: readonly Supplier[];
  readonly margins: Margins;
};
export type BasketLine = {
  readonly offer: Offer;
  readonly packs: number;
  readonly goods: number;
  /** Needs it covers, and how much of each. */ readonly covers: readonly {
    readonly need: Need;
    readonly amount: number;
  }[];
};
export type BasketOrder = {
  readonly supplier: Supplier;
  readonly lines: readonly BasketLine[];
  readonly goods: number;
  readonly shipping: number;
};
export type Leftover = { readonly key: string; readonly amount: number };
export type Basket = {
  readonly orders: readonly BasketOrder[];
  readonly total: Figure;
  readonly days: number;
  readonly leftovers: readonly Leftover[];
  /** How much cheaper another basket could be at most; null where this one is proven cheapest. */ readonly doubt: Figure | null;
};
export type BasketProblem =
  /** No offer covers the need, not in time or not wide enough: the closest reason. */
  | { readonly kind: 'not-offered'; readonly needId: string; readonly because: 'no-offer' | 'too-narrow' | 'too-late' }
  | { readonly kind: 'no-basket' }
  | { readonly kind: 'too-many'; readonly most: number }
  | { readonly kind: 'not-solved'; readonly status: string };

/** What a solver of programmes in CPLEX LP format answers. */
export type SolverAnswer = {
  readonly status: string;
  /** What no answer costs less than, in whole units of the currency; absent where the answer is proven. */ readonly bound?: number;
  readonly values: Readonly<Record<string, number>>;
};
export type Solver = (programme: string) => SolverAnswer | Promise<SolverAnswer>;

export const MOST_NEEDS = 200;
const MOST_PACKS = 1000;

/** What of a need one part of a pack covers; 0 where it does not do. */
function coverageOf(need: Need, part: PackPart, margins: Margins): number {
  if (!need.accepts.includes(part.key)) return 0;
  if (part.widthMm === null) return part.count;
  return part.widthMm < need.leastWidthMm ? 0 : (computeUsableArea(part, margins) ?? 0);
}

const inTime = (need: Need, supplier: Supplier): boolean =>
  need.withinDays === null || supplier.leadDays <= need.withinDays;

/** The cheapest basket. Problems: a need that nothing covers, minimum orders that nothing meets, more needs than are solved at once. */
export async function findCheapestBasket(input: BasketInput, solve: Solver): Promise<Result<Basket, BasketProblem>> {
  if (input.needs.length === 0) return succeed(readBasket(input, { status: 'Optimal', values: {} }, []));
  if (input.needs.length > MOST_NEEDS) return fail({ kind: 'too-many', most: MOST_NEEDS });
  const refused = findUncovered(input);
  if (refused) return fail(refused);
  const useful = reduceOffers(input);
  const answer = await solve(writeProgramme(input, useful));
  if (answer.status === 'Infeasible') return fail({ kind: 'no-basket' });
  if (answer.status !== 'Optimal' && answer.status !== 'Time limit reached')
    return fail({ kind: 'not-solved', status: answer.status });
  if (Object.keys(answer.values).length === 0) return fail({ kind: 'not-solved', status: answer.status });
  return succeed(readBasket(input, answer, useful));
}

/** All from one supplier, where that one has everything: what a plain order would be. Cheapest first. */
export async function findPlainBaskets(input: BasketInput, solve: Solver): Promise<readonly Basket[]> {
  const plain: Basket[] = [];
  for (const supplier of input.suppliers) {
    const found = await findCheapestBasket(
      { ...input, suppliers: [supplier], offers: input.offers.filter((offer) => offer.supplierId === supplier.id) },
      solve,
    );
    if (found.ok) plain.push(found.value);
  }
  return plain.sort((a, b) => a.total.value - b.total.value);
}

/** What a plainer basket costs more, and how many days later it is there (below 0: sooner). */
export const compareBaskets = (
  plain: Basket,
  basket: Basket,
): { readonly more: Figure; readonly daysLater: number } => ({
  more: figure('More than the cheapest', plain.total.value - basket.total.value, 'money', 'computed', {
    how: 'all from one − the cheapest basket',
    parts: [plain.total, basket.total],
  }),
  daysLater: plain.days - basket.days,
});

function findUncovered({ needs, offers, suppliers, margins }: BasketInput): BasketProblem | null {
  const supplierOf = new Map(suppliers.map((supplier) => [supplier.id, supplier]));
  for (const need of needs) {
    const offered = offers.filter(
      (offer) => supplierOf.has(offer.supplierId) && offer.parts.some((part) => need.accepts.includes(part.key)),
    );
    const wide = offered.filter((offer) => offer.parts.some((part) => coverageOf(need, part, margins) > 0));
    const timely = wide.filter((offer) => inTime(need, supplierOf.get(offer.supplierId)!));
    if (timely.length === 0)
      return {
        kind: 'not-offered',
        needId: need.id,
        because: offered.length === 0 ? 'no-offer' : wide.length === 0 ? 'too-narrow' : 'too-late',
      };
  }
  return null;
}

/** Offers of what is needed, each with the most packs that could be of use. */
type UsefulOffer = {
  readonly offer: Offer;
  readonly supplier: Supplier;
  readonly most: number;
  readonly covers: readonly { readonly need: number; readonly part: number }[];
};

function reduceOffers({ needs, offers, suppliers, margins }: BasketInput): readonly UsefulOffer[] {
  const supplierOf = new Map(suppliers.map((supplier) => [supplier.id, supplier]));
  return offers.flatMap((offer): UsefulOffer[] => {
    const supplier = supplierOf.get(offer.supplierId);
    if (!supplier) return [];
    const covers = needs.flatMap((need, index) =>
      inTime(need, supplier)
        ? offer.parts.flatMap((part, at) => (coverageOf(need, part, margins) > 0 ? [{ need: index, part: at }] : []))
        : [],
    );
    // What comes too late may still fill an order up to its minimum.
    if (!needs.some((need) => offer.parts.some((part) => coverageOf(need, part, margins) > 0))) return [];
    // So many packs that any part alone covers all it could, and a break or a minimum order beyond that may still pay.
    const enough = Math.max(
      0,
      ...offer.parts.map((part, at) =>
        covers
          .filter((entry) => entry.part === at)
          .reduce((sum, { need }) => sum + needs[need]!.amount / coverageOf(needs[need]!, part, margins), 0),
      ),
    );
    const { take, pay } = offer.takePay ?? { take: 1, pay: 1 };
    const cheapest = (Math.min(offer.price, ...offer.breaks.map((step) => step.price)) * pay) / take;
    const toReach = (amount: number | null) =>
      amount !== null && cheapest > 0 ? Math.ceil(amount / cheapest) + take : 0;
    // Filling up to free shipping never pays for more than the shipping itself.
    const beyond =
      Math.max(take, ...offer.breaks.map((step) => step.fromPacks)) +
      toReach(supplier.minimumOrder) +
      (supplier.freeFrom === null ? 0 : toReach(supplier.shipping));
    return [{ offer, supplier, most: Math.min(MOST_PACKS, Math.ceil(enough) + beyond), covers }];
  });
}

/** Price levels of an offer: from so many packs on, so much each. */
const levelsOf = (offer: Offer): readonly { readonly from: number; readonly price: number }[] =>
  [1, ...offer.breaks.map((step) => step.fromPacks).filter((from) => from > 1)]
    .sort((a, b) => a - b)
    .map((from) => ({ from, price: getPackPrice(offer, from) }));

/**
 * Columns, o the offer, l its price level, s the supplier, n the need, p the part of the pack:
 * k_o_l packs paid at level l, g_o_l whole groups of "take three, pay two", b_o_l 1 where l is the level;
 * c_n_o_p amount of a need covered; y_s 1 where ordered from, f_s 1 where shipped free. Amounts in shares of their need, so
 * that no row mixes very large and very small numbers; money in whole units of the currency.
 */
function writeProgramme({ needs, suppliers, margins }: BasketInput, useful: readonly UsefulOffer[]): string {
  const objective: string[] = [],
    rows: string[] = [],
    bounds: string[] = [],
    whole: string[] = [],
    yesNo: string[] = [];
  const goodsOf = new Map<number, string[]>();
  const packTerms = useful.map(({ offer, supplier, most }, o) => {
    const { take, pay } = offer.takePay ?? { take: 1, pay: 1 };
    const terms: string[] = [];
    const levels = levelsOf(offer);
    // One price for any number: then being ordered from at all is the only question.
    const single = levels.length === 1;
    levels.forEach(({ from, price }, l) => {
      const until = Math.min(most, (levels[l + 1]?.from ?? most + 1) - 1);
      const k = `k_${o}_${l}`,
        g = `g_${o}_${l}`,
        b = `b_${o}_${l}`;
      const money = price / 100;
      const grouped = take > 1 && pay < take;
      const cost = [`${money} ${k}`, ...(grouped ? [`${money * pay} ${g}`] : [])];
      objective.push(...cost);
      goodsOf.set(supplier.id, [...(goodsOf.get(supplier.id) ?? []), ...cost]);
      const packs = grouped ? `${k} + ${take} ${g}` : k;
      terms.push(k, ...(grouped ? [`${take} ${g}`] : []));
      whole.push(k, ...(grouped ? [g] : []));
      if (!single) yesNo.push(b);
      // The supplier gives the offer whether asked or not: packs outside whole groups are fewer than a group.
      if (grouped) bounds.push(` 0 <= ${k} <= ${take - 1}`);
      if (single) rows.push(`hi_${o}: ${packs} - ${Math.max(1, most)} y_${supplier.id} <= 0`);
      else
        rows.push(
          `lo_${o}_${l}: ${packs} - ${from} ${b} >= 0`,
          `hi_${o}_${l}: ${packs} - ${Math.max(from, until)} ${b} <= 0`,
        );
    });
    if (!single) rows.push(`lv_${o}: ${levels.map((_, l) => `b_${o}_${l}`).join(' + ')} - y_${supplier.id} <= 0`);
    return terms;
  });
  const direct = findDirectNeeds(needs, useful);
  needs.forEach((need, n) => {
    const covering = useful.flatMap(({ covers }, o) =>
      covers.filter((entry) => entry.need === n).map(({ part }) => ({ o, part })),
    );
    if (!direct.has(n))
      return void rows.push(`need_${n}: ${covering.map(({ o, part }) => `c_${n}_${o}_${part}`).join(' + ')} >= 1`);
    // Whole numbers stay whole: the solver can reason about them.
    const unit = need.accepts.length > 0 && Number.isInteger(need.amount) && need.amount < 1e6 ? 1 : need.amount;
    const terms = covering.flatMap(({ o, part }) =>
      packTerms[o]!.map((term) => multiply(coverageOf(need, useful[o]!.offer.parts[part]!, margins) / unit, term)),
    );
    rows.push(`need_${n}: ${terms.join(' + ')} >= ${need.amount / unit}`);
  });
  useful.forEach(({ offer, covers }, o) =>
    offer.parts.forEach((part, p) => {
      const uses = covers.filter((entry) => entry.part === p);
      if (uses.length === 0 || uses.every(({ need }) => direct.has(need))) return;
      const one = coverageOf(needs[uses[0]!.need]!, part, margins);
      rows.push(
        `part_${o}_${p}: ${uses.map(({ need }) => `${needs[need]!.amount / one} c_${need}_${o}_${p}`).join(' + ')} - ${packTerms[o]!.join(' - ')} <= 0`,
      );
    }),
  );
  for (const supplier of suppliers) {
    const goods = goodsOf.get(supplier.id);
    if (!goods) continue;
    const y = `y_${supplier.id}`,
      f = `f_${supplier.id}`;
    yesNo.push(y);
    if (supplier.minimumOrder !== null)
      rows.push(`min_${supplier.id}: ${goods.join(' + ')} - ${supplier.minimumOrder / 100} ${y} >= 0`);
    if (supplier.shipping === 0) continue;
    objective.push(`${supplier.shipping / 100} ${y}`);
    if (supplier.freeFrom === null) continue;
    yesNo.push(f);
    objective.push(`-${supplier.shipping / 100} ${f}`);
    rows.push(
      `free_${supplier.id}: ${goods.join(' + ')} - ${supplier.freeFrom / 100} ${f} >= 0`,
      `fy_${supplier.id}: ${f} - ${y} <= 0`,
    );
  }
  return [
    'Minimize',
    ` cost: ${objective.join(' + ').replaceAll('+ -', '- ')}`,
    'Subject To',
    ...rows.map((row) => ` ${row}`),
    ...(bounds.length ? ['Bounds', ...bounds] : []),
    'General',
    ` ${whole.join(' ')}`,
    'Binary',
    ` ${yesNo.join(' ')}`,
    'End',
    '',
  ].join('\n');
}

/** Needs whose packs serve no other need: how much of each pack goes to which need is no question there. */
function findDirectNeeds(needs: readonly Need[], useful: readonly UsefulOffer[]): ReadonlySet<number> {
  const shared = new Set<number>();
  for (const { offer, covers } of useful) {
    offer.parts.forEach((_, p) => {
      const own = covers.filter((entry) => entry.part === p);
      if (own.length > 1) for (const { need } of own) shared.add(need);
    });
  }
  return new Set(needs.map((_, n) => n).filter((n) => !shared.has(n)));
}

/** A term such as "3 g_1_0" times a factor. */
function multiply(factor: number, term: string): string {
  const [first, name] = term.includes(' ')
    ? [Number(term.slice(0, term.indexOf(' '))), term.slice(term.indexOf(' ') + 1)]
    : [1, term];
  return `${factor * first} ${name}`;
}

/** Shares below this are noise of the solver. */
const NOISE = 1e-6;

function readBasket(
  { needs, margins }: BasketInput,
  { values, bound }: SolverAnswer,
  useful: readonly UsefulOffer[],
): Basket {
  const bySupplier = new Map<Supplier, BasketLine[]>();
  const left = new Map<string, number>();
  const direct = findDirectNeeds(needs, useful);
  const open = needs.map((need) => need.amount);
  useful.forEach(({ offer, supplier, covers }, o) => {
    const take = offer.takePay?.take ?? 1;
    const packs = levelsOf(offer).reduce(
      (sum, _, l) => sum + Math.round(values[`k_${o}_${l}`] ?? 0) + take * Math.round(values[`g_${o}_${l}`] ?? 0),
      0,
    );
    if (packs === 0) return;
    const takeDirect = (need: number, part: number): number => {
      const amount = Math.min(open[need]!, packs * coverageOf(needs[need]!, offer.parts[part]!, margins));
      open[need] = open[need]! - amount;
      return amount;
    };
    const covered = covers
      .map(({ need, part }) => ({
        need: needs[need]!,
        part,
        amount: direct.has(need)
          ? takeDirect(need, part)
          : (values[`c_${need}_${o}_${part}`] ?? 0) * needs[need]!.amount,
      }))
      .filter(({ need, amount }) => amount > need.amount * NOISE);
    offer.parts.forEach((part, p) => {
      const has = packs * (computeUsableArea(part, margins) ?? part.count);
      const rest = has - covered.filter((entry) => entry.part === p).reduce((sum, entry) => sum + entry.amount, 0);
      if (rest > has * NOISE) left.set(part.key, (left.get(part.key) ?? 0) + rest);
    });
    const merged = needs.flatMap((need) => {
      const amount = covered.filter((entry) => entry.need === need).reduce((sum, entry) => sum + entry.amount, 0);
      return amount > 0 ? [{ need, amount }] : [];
    });
    bySupplier.set(supplier, [
      ...(bySupplier.get(supplier) ?? []),
      { offer, packs, goods: computePacksPrice(offer, packs), covers: merged },
    ]);
  });
  const orders = [...bySupplier].map(([supplier, lines]): BasketOrder => {
    const goods = lines.reduce((sum, line) => sum + line.goods, 0);
    return { supplier, lines, goods, shipping: computeShipping(supplier, goods) };
  });
  const total = orders.reduce((sum, order) => sum + order.goods + order.shipping, 0);
  // Prices are whole cents: a bound of 12.341 means 12.35 or more.
  const least = bound === undefined ? total : Math.ceil(bound * 100 - 1e-4);
  return {
    orders,
    days: Math.max(0, ...orders.map(({ supplier }) => supplier.leadDays)),
    leftovers: [...left].map(([key, amount]) => ({ key, amount })),
    doubt:
      least >= total
        ? null
        : figure('Dearer than the cheapest, at most', total - least, 'money', 'computed', {
            how: 'this basket − what none costs less than',
            parts: [
              figure('This basket', total, 'money', 'computed'),
              figure('None costs less than', least, 'money', 'computed'),
            ],
          }),
    total: figure('Basket', total, 'money', 'computed', {
      how: 'goods + shipping, of each supplier',
      parts: orders.flatMap(({ supplier, goods, shipping }) => [
        figure(`${supplier.name}, goods`, goods, 'money', 'computed'),
        figure(`${supplier.name}, shipping`, shipping, 'money', 'computed'),
      ]),
    }),
  };
}
