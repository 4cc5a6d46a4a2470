import { describe, expect, it } from 'vitest';
import { findGuessProblem, groupGuesses, isAbsurd, sizeOf, sumGuesses, type Guess } from './guesses';

const guess = (estimated: number, real: number, more: Partial<Guess> = {}): Guess => ({
  station: 'cut',
  estimated,
  real,
  atMs: 0,
  vinylName: null,
  ...more,
});

describe('what counts', () => {
  it.each([
    [19, 20, 'too-short'],
    [20, 20, null],
    [100, 0, 'too-short'],
    [100, 801, 'forgotten'],
    [100, 800, null],
    [100, 4, 'started-late'],
    [100, 5, null],
  ] as const)('calculated %i s, took %i s: %s', (estimated, real, problem) => {
    expect(findGuessProblem({ estimated, real })).toBe(problem);
  });
});

it.each([
  [299, 'under 5 min'],
  [300, '5 to 30 min'],
  [1800, '5 to 30 min'],
  [1801, 'over 30 min'],
])('work calculated at %i s is %s', (estimated, size) => expect(sizeOf({ estimated })).toBe(size));

it.each([
  [801, true],
  [800, false],
  [5, false],
  [4.9, true],
])('%d s against 100 that are usual is absurd: %s', (real, absurd) => {
  expect(isAbsurd(real, 100)).toBe(absurd);
  expect(isAbsurd(real, 0)).toBe(false);
});

describe('how good the guesses are', () => {
  it('is the median of how far they are off, whatever the worst of them', () => {
    // Off by 10, 20, 50 %; and one that was forgotten, which is left out.
    const sum = sumGuesses([guess(100, 110), guess(200, 160), guess(100, 150), guess(100, 2000)])!;
    expect(sum.count).toBe(3);
    expect(sum.error.value).toBeCloseTo(0.2, 12);
    expect(sum.ratio.value).toBeCloseTo(1.1, 12);
    expect(sum.low).toBeCloseTo(0.83, 12);
    expect(sum.high).toBeCloseTo(1.46, 12);
    expect(sumGuesses([guess(5, 5)])).toBeNull();
  });

  it('is told by station, size and vinyl, the worst first, and of nothing that was done twice only', () => {
    const groups = groupGuesses([
      ...[110, 120, 130].map((real) => guess(100, real, { vinylName: 'Plain' })),
      ...[700, 720, 740].map((real) => guess(400, real, { station: 'weed', vinylName: 'Glint' })),
      ...[90, 95].map((real) => guess(100, real, { station: 'press', vinylName: 'Seldom' })),
    ]);
    expect(groups.map(({ by, name, sum }) => [by, name, sum.count])).toEqual([
      ['station', 'weed', 3],
      ['station', 'cut', 3],
      ['size', '5 to 30 min', 3],
      ['size', 'under 5 min', 5],
      ['vinyl', 'Glint', 3],
      ['vinyl', 'Plain', 3],
    ]);
    expect(groups[0]!.sum.ratio.value).toBeCloseTo(1.8, 12);
  });
});
