import { randomExponential, randomLcg, randomNormal, randomUniform } from 'd3-random';
import { bench, describe } from 'vitest';
import { fitTimes, getStray, type TimeLog } from './index';

/** 10,000 logs in one second: of bold letters, of dots and of lace. */
const START = [20, 25, 4, 5, 45];
const SHOPS = [
  ['letters', [2, 8, 6, 2, 4]],
  ['dots', [3, 4, 200, 180, 1]],
  ['lace', [8, 2, 600, 90, 30]],
] as const;
const ONE = { iterations: 2, time: 0, warmupIterations: 1, warmupTime: 0 };

function makeLogs(usual: readonly number[]): readonly TimeLog[] {
  const source = randomLcg(0.42);
  const [uniform, normal, exponential] = [
    randomUniform.source(source)(0, 1),
    randomNormal.source(source)(0, 1),
    randomExponential.source(source)(1),
  ];
  return Array.from({ length: 10_000 }, (_, atMs) => {
    const amounts = usual.map((mean) => mean * exponential());
    const plain = amounts.reduce((sum, amount, at) => sum + amount * START[at]!, 0) * 1.2;
    const seconds = Math.max(1, plain + normal() * getStray(plain)) * (uniform() < 0.05 ? 4 : 1);
    return { amounts, group: atMs % 12, seconds, atMs };
  });
}

describe.each(SHOPS)('10,000 logs of %s', (_, usual) => {
  const logs = makeLogs(usual);
  bench(
    'limit: 1 s',
    () => {
      const until = performance.now() + 1000;
      while (performance.now() < until) {
        /* as long as it may take */
      }
    },
    ONE,
  );
  bench('fitted', () => void fitTimes(logs, START), ONE);
});
