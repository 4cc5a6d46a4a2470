// In a thread: needs, offers and suppliers in, the cheapest basket and the plain orders beside it out.

import {
  findCheapestBasket,
  findPlainBaskets,
  type Basket,
  type BasketInput,
  type BasketProblem,
} from '../../core/buying';
import type { Result } from '../../core/units';
import { heavyJob } from './heavy-job';
import { makeSolver } from './solver';

export type BasketTask = BasketInput & {
  /** Looks on until it is proven. */
  readonly thorough: boolean;
};

export type BasketAnswer = {
  readonly found: Result<Basket, BasketProblem>;
  /** What nothing covers: the basket is for the rest. */
  readonly setAside: readonly Extract<BasketProblem, { readonly kind: 'not-offered' }>[];
  readonly plain: readonly Basket[];
};

/**
 * How long the solver looks: for a first answer, which may still be in doubt by some cents; when the proof is asked
 * for; for each plain order beside it.
 */
const FIRST_ANSWER_S = 1.3;
const THOROUGH_S = 60;
const PLAIN_S = 0.3;
const MOST_PLAIN = 5;

export async function planCheapest({ thorough, ...asked }: BasketTask): Promise<BasketAnswer> {
  const setAside: BasketAnswer['setAside'][number][] = [];
  const input = (): BasketInput => ({
    ...asked,
    needs: asked.needs.filter((need) => !setAside.some(({ needId }) => needId === need.id)),
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

export default heavyJob(planCheapest);
