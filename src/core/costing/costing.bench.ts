import { bench, describe } from 'vitest';
import { PLAIN_ITEM, PLAIN_SHOP, PLAIN_VINYL } from '../../../test/worked-example';
import { minor } from '../units';
import { drawOdds } from './compare-odds';
import type { Candidate } from './compare-vinyls';
import { computeItemCost } from './index';

/** Against the limits: an item in 100 ms, 1,000 items in 2 s, 20,000 draws in 500 ms. */
const FEW = { iterations: 5, time: 0, warmupIterations: 1, warmupTime: 0 };
const wait = (ms: number) => () => {
  const until = performance.now() + ms;
  while (performance.now() < until) {
    /* as long as it may take */
  }
};
const candidates: readonly Candidate[] = [0, 1, 2, 3].map((index) => ({
  vinyl: { ...PLAIN_VINYL, id: index, rollPrice: minor(3000 + 900 * index) },
  evidence: { made: 20, spoiled: index },
}));

describe('an item', () => {
  bench('limit: 100 ms', wait(100), FEW);
  bench('costed at one quantity', () => void computeItemCost(PLAIN_ITEM, 10, PLAIN_SHOP), FEW);
});
describe('1,000 items', () => {
  bench('limit: 2 s', wait(2000), { ...FEW, iterations: 1 });
  bench(
    'costed anew',
    () => {
      for (let index = 0; index < 1000; index++) computeItemCost(PLAIN_ITEM, 1 + (index % 50), PLAIN_SHOP);
    },
    FEW,
  );
});
describe('20,000 draws between four vinyls', () => {
  bench('limit: 500 ms', wait(500), { ...FEW, iterations: 2 });
  bench(
    'drawn',
    () => void drawOdds({ spec: PLAIN_ITEM, layerIndex: 0, widthMm: 100, quantity: 10, shop: PLAIN_SHOP }, candidates),
    FEW,
  );
});
