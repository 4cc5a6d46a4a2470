// Where a log begins anew, and which of it is held out: logs made by hand, in no order, each job 100 s by the figures.

import { describe, expect, it } from 'vitest';
import { fitTimes, getStray, LEAST_LOGS, startAfresh, testFit, type TimeLog } from './fit-times';

const START = [100];
/** One job at so many times what is calculated; a hair apart, so that no two are alike. */
const log = (atMs: number, pace: number): TimeLog => ({
  amounts: [1],
  group: null,
  seconds: 100 * pace * (1 + ((atMs % 7) - 3) / 1000),
  atMs,
});
const run = (fromMs: number, count: number, pace: number): readonly TimeLog[] =>
  Array.from({ length: count }, (_, at) => log(fromMs + at, pace));
/** As the store may give them: not by time. */
const shuffled = (logs: readonly TimeLog[]): readonly TimeLog[] =>
  [...logs].sort((a, b) => ((a.atMs * 37) % 101) - ((b.atMs * 37) % 101));
const keptFrom = (logs: readonly TimeLog[], changesMs: readonly number[]): number =>
  Math.min(...startAfresh(shuffled(logs), START, changesMs).map(({ atMs }) => atMs));

describe('a new tool', () => {
  it('shows from eight jobs with it, and eight before it', () => {
    expect(keptFrom([...run(0, 20, 1), ...run(100, 8, 1.5)], [100])).toBe(100);
    expect(keptFrom([...run(0, 20, 1), ...run(100, 7, 1.5)], [100])).toBe(0);
    expect(keptFrom([...run(0, 8, 1), ...run(100, 20, 1.5)], [100])).toBe(100);
    expect(keptFrom([...run(0, 7, 1), ...run(100, 20, 1.5)], [100])).toBe(0);
  });

  it('may make it slower or quicker, by more than a tenth', () => {
    expect(keptFrom([...run(0, 20, 1), ...run(100, 20, 0.7)], [100])).toBe(100);
    expect(keptFrom([...run(0, 20, 1), ...run(100, 20, 1.08)], [100])).toBe(0);
    expect(keptFrom([...run(0, 20, 1), ...run(100, 20, 1.15)], [100])).toBe(100);
  });

  it('is no step where jobs stray as far from one another anyway', () => {
    const wild = (fromMs: number, pace: number) =>
      Array.from({ length: 10 }, (_, at) => log(fromMs + at, pace * (at % 2 === 0 ? 0.5 : 1.6)));
    expect(keptFrom([...wild(0, 1), ...wild(100, 1.2)], [100])).toBe(0);
  });

  it('is the last of several that shows one, in whatever order they are told', () => {
    const logs = [...run(0, 20, 1), ...run(100, 20, 1.5), ...run(200, 20, 2.2), ...run(300, 20, 2.2)];
    for (const changesMs of [
      [100, 200, 300],
      [300, 100, 200],
      [200, 300, 100],
    ])
      expect(keptFrom(logs, changesMs)).toBe(200);
    expect(keptFrom(logs, [])).toBe(0);
  });

  it('is judged by the thirty jobs nearest to it on either side', () => {
    // Long ago it took twice as long: that is not this tool's doing.
    const old = run(0, 80, 2);
    expect(keptFrom([...old, ...run(100, 30, 1), ...run(200, 30, 1)], [200])).toBe(0);
    expect(keptFrom([...run(0, 30, 1), ...run(100, 30, 1), ...run(200, 80, 2)], [100])).toBe(0);
  });

  it('takes what was done at its very moment for its own', () => {
    expect(keptFrom([...run(80, 20, 1), ...run(100, 8, 1.5)], [100])).toBe(100);
    // Seven later and one at the moment are eight.
    expect(startAfresh([...run(80, 20, 1), ...run(100, 8, 1.5)], START, [100])).toHaveLength(8);
  });
});

describe('the newest fifth is held out', () => {
  it('and guessed by the older ones, in whatever order they come', () => {
    // Eighty at 1.2 and twenty at 1.5 later: by the figures off by 50 %, by what the older teach by 25 %.
    const logs = [...run(0, 80, 1.2), ...run(1000, 20, 1.5)];
    const tested = testFit(shuffled(logs), START)!;
    expect(tested.heldOut).toBe(20);
    expect(tested.before).toBeCloseTo(0.5, 2);
    expect(tested.after).toBeCloseTo(0.25, 2);
  });

  it('where the older ones are enough to learn from', () => {
    // Of 25 the newest five are held out, of 24 as many: nineteen are too few.
    expect(testFit(run(0, 25, 1), START)!.heldOut).toBe(5);
    expect(testFit(run(0, 24, 1), START)).toBeNull();
    expect(LEAST_LOGS).toBe(20);
    expect(fitTimes(run(0, LEAST_LOGS, 1), START)).not.toBeNull();
    expect(fitTimes(run(0, LEAST_LOGS - 1, 1), START)).toBeNull();
  });

  it('without clocks that were forgotten', () => {
    const logs = [...run(0, 30, 1), ...run(100, 10, 9)];
    expect(testFit(logs, START)!.heldOut).toBe(6);
    expect(fitTimes(run(0, 19, 1).concat(run(100, 10, 9)), START)).toBeNull();
  });
});

it('a job strays by a fifth, and by eight seconds, whichever is more of the two together', () => {
  expect(getStray(0)).toBe(8);
  // √(6² + 8²)
  expect(getStray(30)).toBeCloseTo(10, 9);
});
