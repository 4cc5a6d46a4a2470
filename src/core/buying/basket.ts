// The cheapest basket: which packs of which offers from which suppliers cover what is needed in time. An integer
// programme: `basket-programme` writes it, whoever solves it answers, `read-basket` reads the answer.

import { figure, fail, succeed, type Figure, type Result } from '../units';
import { findUncovered, reduceOffers } from './basket-offers';
import { writeProgramme } from './basket-programme';
import type { Basket, BasketInput, BasketProblem, Solver } from './basket-types';
import { readBasket } from './read-basket';

export * from './basket-types';

const MOST_NEEDS = 200;

/**
 * The cheapest basket. Problems: a need that nothing covers, minimum orders that nothing meets, more needs than are
 * solved at once.
 */
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
