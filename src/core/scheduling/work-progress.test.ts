// How far work is, what counts down for it, and when a clock was most likely forgotten.

import { describe, expect, it } from 'vitest';
import { isForgotten, NO_PROGRESS, sumPresses, takeProgress, type ProgressStep, type WorkProgress } from './index';

const STEP: ProgressStep = { from: 0, to: 0, start: [], stop: [] };
const clock = (key: string) => ({ key, label: key, seconds: 10 });
function take(before: WorkProgress, step: Partial<ProgressStep>, atMs = 0, readC: number | null = null): WorkProgress {
  const taken = takeProgress(before, { ...STEP, from: before.at, to: before.at, ...step }, atMs, readC);
  if (!taken.ok) throw new Error(taken.problem.kind);
  return taken.value;
}
const keysOf = ({ clocks }: WorkProgress) => clocks.map(({ key, startedAtMs }) => [key, startedAtMs]);

describe('clocks', () => {
  it('run on beside others, end where they are stopped, and begin anew in place of themselves', () => {
    const both = take(take(NO_PROGRESS, { start: [clock('a')] }, 100), { start: [clock('b')] }, 200);
    expect(keysOf(both)).toEqual([
      ['a', 100],
      ['b', 200],
    ]);
    expect(keysOf(take(both, { stop: ['a'] }))).toEqual([['b', 200]]);
    expect(keysOf(take(both, { start: [clock('a')] }, 300))).toEqual([
      ['b', 200],
      ['a', 300],
    ]);
  });
});

describe('what is weeded', () => {
  const out = (piece: number, groups: readonly number[]) => ({ piece, groups });
  it('is kept by piece, the last word of each, and left alone by other steps', () => {
    const one = take(NO_PROGRESS, { weeded: out(0, [1]) });
    const two = take(one, { weeded: out(1, [4]) });
    const again = take(two, { weeded: out(0, [1, 2]) });
    expect(again.weeded).toEqual([out(1, [4]), out(0, [1, 2])]);
    expect(take(again, { to: 3 }).weeded).toEqual(again.weeded);
  });

  it('is not there before anything is counted, nor are presses before the first', () => {
    expect(take(NO_PROGRESS, { to: 2, start: [clock('a')] })).toEqual({
      at: 2,
      clocks: [{ ...clock('a'), startedAtMs: 0 }],
    });
  });
});

describe('presses', () => {
  const press = (vinylName: string) => ({ vinylName, plannedC: 150, peel: 'hot' }) as const;
  it('are told together where they were to be alike: vinyl, heat, seconds and peel', () => {
    const use = { ...press('A'), seconds: 12 };
    const other = { ...press('B'), seconds: 12 };
    const sums = sumPresses([
      { ...use, readC: 149 },
      { ...other, readC: null },
      { ...use, readC: 152 },
      { ...use, seconds: 15, readC: 150 },
    ]);
    expect(sums).toEqual([
      { ...use, count: 2, read: { lowC: 149, highC: 152 } },
      { ...other, count: 1, read: null },
      { ...use, seconds: 15, count: 1, read: { lowC: 150, highC: 150 } },
    ]);
  });

  it('of a stretch without end the last two thousand are kept', () => {
    const start = Array.from({ length: 1500 }, (_, at) => ({ ...clock(`${at}`), press: press('A') }));
    const once = take(NO_PROGRESS, { start }, 0, 150);
    const twice = take({ ...once, clocks: [] }, { start }, 0, 160);
    expect(twice.presses).toHaveLength(2000);
    expect(twice.presses!.filter(({ readC }) => readC === 160)).toHaveLength(1500);
  });
});

it.each([
  // Three times what is usual, and half an hour more than that: both.
  [3 * 3600, 3600, false],
  [3 * 3600 + 1, 3600, true],
  [600 + 1800, 600, false],
  [600 + 1801, 600, true],
  [700, 100, false],
])('a clock of %d s where %d are usual was forgotten: %s', (gone, usual, forgotten) =>
  expect(isForgotten(gone, usual)).toBe(forgotten),
);
