// How good the estimates are: what a piece of work was calculated to take, against what the clock said.

import { median, quantile } from 'simple-statistics';
import { figure, groupBy, type Figure } from '../units';

/** One stretch of work that was done, seconds. */
export type Guess<Station extends string = string> = {
  readonly station: Station;
  /** What all of it was calculated to take when it was begun. */
  readonly estimated: number;
  readonly real: number;
  readonly atMs: number;
  /** The vinyl most of it was of; null where that says nothing. */
  readonly vinylName: string | null;
};

/** Work shorter than this says more of the hand on the button than of the estimate, seconds. */
const LEAST_SECONDS = 20;
/** A clock that runs so much longer than was calculated was forgotten; one that is so much quicker was started late. */
const ABSURD = { longer: 8, quicker: 0.05 } as const;

/** No minutes of work, whatever the log says: against what such work usually takes. Both in seconds. */
export const isAbsurd = (real: number, usual: number): boolean =>
  usual > 0 && (real > ABSURD.longer * usual || real < ABSURD.quicker * usual);

export type GuessProblem = 'too-short' | 'forgotten' | 'started-late';

/** Why a stretch is left out; null where it counts. */
export function findGuessProblem({ estimated, real }: Pick<Guess, 'estimated' | 'real'>): GuessProblem | null {
  if (estimated < LEAST_SECONDS || real <= 0) return 'too-short';
  if (real > ABSURD.longer * estimated) return 'forgotten';
  return real < ABSURD.quicker * estimated ? 'started-late' : null;
}

export type GuessSum = {
  readonly count: number;
  /** How far off an estimate ordinarily is, share of it: the median. */
  readonly error: Figure;
  /** Real against estimated, the median: above 1 it takes longer than was calculated. */
  readonly ratio: Figure;
  /** Between which nine in ten lie, real against estimated. */
  readonly low: number;
  readonly high: number;
};

/** Null where nothing counts. */
export function sumGuesses(guesses: readonly Pick<Guess, 'estimated' | 'real'>[]): GuessSum | null {
  const ratios = guesses.filter((one) => findGuessProblem(one) === null).map(({ estimated, real }) => real / estimated);
  if (ratios.length === 0) return null;
  const errors = ratios.map((ratio) => Math.abs(ratio - 1));
  const parts = [figure('Pieces of work', ratios.length, 'count', 'measured')];
  return {
    count: ratios.length,
    error: figure('Off by', median(errors), 'share', 'measured', {
      how: 'the median of |real − estimated| ÷ estimated: half are closer, half are further off',
      parts,
    }),
    ratio: figure('Real against estimated', median(ratios), 'factor', 'measured', {
      how: 'the median of real ÷ estimated',
      parts,
    }),
    low: quantile(ratios, 0.05),
    high: quantile(ratios, 0.95),
  };
}

export type JobSize = 'under 5 min' | '5 to 30 min' | 'over 30 min';
const SHORT_SECONDS = 300;
const LONG_SECONDS = 1800;
export const sizeOf = ({ estimated }: Pick<Guess, 'estimated'>): JobSize => {
  if (estimated < SHORT_SECONDS) return 'under 5 min';
  return estimated <= LONG_SECONDS ? '5 to 30 min' : 'over 30 min';
};

export type GuessGroup = { readonly by: 'station' | 'size' | 'vinyl'; readonly name: string; readonly sum: GuessSum };
/** Of fewer pieces of work nothing is said. */
const LEAST_OF_GROUP = 3;

/** By station, by size of the job and by vinyl; within each, those that are worst guessed first. */
export function groupGuesses(guesses: readonly Guess[]): readonly GuessGroup[] {
  const groups = (by: GuessGroup['by'], nameOf: (guess: Guess) => string | null): readonly GuessGroup[] =>
    [...groupBy(guesses, nameOf)]
      .flatMap(([name, own]): GuessGroup[] => {
        const sum = name === null ? null : sumGuesses(own);
        return name !== null && sum && sum.count >= LEAST_OF_GROUP ? [{ by, name, sum }] : [];
      })
      .sort((a, b) => b.sum.error.value - a.sum.error.value);
  return [
    ...groups('station', ({ station }) => station),
    ...groups('size', sizeOf),
    ...groups('vinyl', ({ vinylName }) => vinylName),
  ];
}
