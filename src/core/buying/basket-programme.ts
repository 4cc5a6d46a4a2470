// The cheapest basket as an integer programme in CPLEX LP format.

import { coverageOf, findDirectNeeds, levelsOf, type UsefulOffer } from './basket-offers';
import { SOLVER_SCALE, type BasketInput, type Need } from './basket-types';
import type { Offer, Supplier } from './offer';

/** Amounts up to this stay whole numbers in the programme. */
const MOST_WHOLE = 1e6;

type Programme = {
  readonly objective: string[];
  readonly rows: string[];
  readonly bounds: string[];
  readonly whole: string[];
  readonly yesNo: string[];
  /** What is paid to each supplier, as terms. */
  readonly goodsOf: Map<number, string[]>;
};

/**
 * Columns, o the offer, l its price level, s the supplier, n the need, p the part of the pack:
 * k_o_l packs paid at level l, g_o_l whole groups of "take three, pay two", b_o_l 1 where l is the level;
 * c_n_o_p amount of a need covered; y_s 1 where ordered from, f_s 1 where shipped free. Amounts in shares of their
 * need, so that no row mixes very large and very small numbers; money in units of SOLVER_SCALE.
 */
export function writeProgramme(input: BasketInput, useful: readonly UsefulOffer[]): string {
  const programme: Programme = { objective: [], rows: [], bounds: [], whole: [], yesNo: [], goodsOf: new Map() };
  const packTerms = useful.map((entry, index) => writeOffer(programme, entry, index));
  const direct = findDirectNeeds(input.needs, useful);
  input.needs.forEach((need, n) => writeNeed(programme, input, useful, packTerms, { need, n, direct: direct.has(n) }));
  useful.forEach((entry, index) => writeShares(programme, input, entry, index, packTerms[index]!, direct));
  for (const supplier of input.suppliers) writeSupplier(programme, supplier);
  return print(programme);
}

/** What its packs cost and how many there are; answers the terms that count its packs. */
function writeOffer(programme: Programme, { offer, supplier, most }: UsefulOffer, o: number): readonly string[] {
  const levels = levelsOf(offer);
  // One price for any number: then being ordered from at all is the only question.
  const single = levels.length === 1;
  const terms = levels.flatMap((level, l) => {
    const until = Math.min(most, (levels[l + 1]?.from ?? most + 1) - 1);
    const { packs, own } = writeLevel(programme, offer, supplier.id, level.price, `${o}_${l}`);
    if (single) programme.rows.push(`hi_${o}: ${packs} - ${Math.max(1, most)} y_${supplier.id} <= 0`);
    else {
      programme.yesNo.push(`b_${o}_${l}`);
      programme.rows.push(
        `lo_${o}_${l}: ${packs} - ${level.from} b_${o}_${l} >= 0`,
        `hi_${o}_${l}: ${packs} - ${Math.max(level.from, until)} b_${o}_${l} <= 0`,
      );
    }
    return own;
  });
  if (!single)
    programme.rows.push(`lv_${o}: ${levels.map((_, l) => `b_${o}_${l}`).join(' + ')} - y_${supplier.id} <= 0`);
  return terms;
}

/** The supplier gives the offer whether asked or not: packs outside whole groups are fewer than a group. */
function writeLevel(
  { objective, goodsOf, whole, bounds }: Programme,
  offer: Offer,
  supplierId: number,
  price: number,
  name: string,
): { readonly packs: string; readonly own: readonly string[] } {
  const { take, pay } = offer.takePay ?? { take: 1, pay: 1 };
  const grouped = take > 1 && pay < take;
  const paid = price / SOLVER_SCALE;
  const [k, g] = [`k_${name}`, `g_${name}`];
  const cost = [`${paid} ${k}`, ...(grouped ? [`${paid * pay} ${g}`] : [])];
  objective.push(...cost);
  goodsOf.set(supplierId, [...(goodsOf.get(supplierId) ?? []), ...cost]);
  whole.push(k, ...(grouped ? [g] : []));
  if (grouped) bounds.push(` 0 <= ${k} <= ${take - 1}`);
  return { packs: grouped ? `${k} + ${take} ${g}` : k, own: [k, ...(grouped ? [`${take} ${g}`] : [])] };
}

function writeNeed(
  { rows }: Programme,
  { margins }: BasketInput,
  useful: readonly UsefulOffer[],
  packTerms: readonly (readonly string[])[],
  { need, n, direct }: { readonly need: Need; readonly n: number; readonly direct: boolean },
): void {
  const covering = useful.flatMap(({ covers }, o) =>
    covers.filter((entry) => entry.need === n).map(({ part }) => ({ o, part })),
  );
  if (!direct) {
    rows.push(`need_${n}: ${covering.map(({ o, part }) => `c_${n}_${o}_${part}`).join(' + ')} >= 1`);
    return;
  }
  // Whole numbers stay whole: the solver can reason about them.
  const isWhole = need.accepts.length > 0 && Number.isInteger(need.amount) && need.amount < MOST_WHOLE;
  const per = isWhole ? 1 : need.amount;
  const terms = covering.flatMap(({ o, part }) =>
    packTerms[o]!.map((term) => multiply(coverageOf(need, useful[o]!.offer.parts[part]!, margins) / per, term)),
  );
  rows.push(`need_${n}: ${terms.join(' + ')} >= ${need.amount / per}`);
}

/** How a part of a pack is shared out among the needs that it may serve. */
function writeShares(
  { rows }: Programme,
  { needs, margins }: BasketInput,
  { offer, covers }: UsefulOffer,
  o: number,
  packTerms: readonly string[],
  direct: ReadonlySet<number>,
): void {
  offer.parts.forEach((part, p) => {
    const uses = covers.filter((entry) => entry.part === p);
    if (uses.length === 0 || uses.every(({ need }) => direct.has(need))) return;
    const one = coverageOf(needs[uses[0]!.need]!, part, margins);
    const shares = uses.map(({ need }) => `${needs[need]!.amount / one} c_${need}_${o}_${p}`);
    rows.push(`part_${o}_${p}: ${shares.join(' + ')} - ${packTerms.join(' - ')} <= 0`);
  });
}

/** Its minimum order, and its shipping where that is not free. */
function writeSupplier({ goodsOf, yesNo, rows, objective }: Programme, supplier: Supplier): void {
  const goods = goodsOf.get(supplier.id)?.join(' + ');
  if (goods === undefined) return;
  const { id, minimumOrder, freeFrom } = supplier;
  const shipping = supplier.shipping / SOLVER_SCALE;
  yesNo.push(`y_${id}`);
  if (minimumOrder !== null) rows.push(`min_${id}: ${goods} - ${minimumOrder / SOLVER_SCALE} y_${id} >= 0`);
  if (shipping === 0) return;
  objective.push(`${shipping} y_${id}`);
  if (freeFrom === null) return;
  yesNo.push(`f_${id}`);
  objective.push(`-${shipping} f_${id}`);
  rows.push(`free_${id}: ${goods} - ${freeFrom / SOLVER_SCALE} f_${id} >= 0`, `fy_${id}: f_${id} - y_${id} <= 0`);
}

function print({ objective, rows, bounds, whole, yesNo }: Programme): string {
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

/** A term such as "3 g_1_0" times a factor. */
function multiply(factor: number, term: string): string {
  const [first, name] = term.includes(' ')
    ? [Number(term.slice(0, term.indexOf(' '))), term.slice(term.indexOf(' ') + 1)]
    : [1, term];
  return `${factor * first} ${name}`;
}
