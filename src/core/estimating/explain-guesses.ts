// Why guesses are off: what they have in common that are, and by how much less they would be off without it.

import { mean, median } from 'simple-statistics';
import { groupBy } from '../units';
import { findGuessProblem, sizeOf, type Guess } from './guesses';

/** What would put most of it right; `name`: of the vinyl or the size. */
type GuessCause =
  | { readonly kind: 'steady'; readonly ratio: number; readonly errorWithout: number }
  | {
      readonly kind: 'vinyl' | 'size';
      readonly name: string;
      readonly ratio: number;
      readonly errorWithout: number;
    }
  /** Nothing in common: the same work takes now more, now less. */
  | { readonly kind: 'scatter' };

export type GuessReason<Station extends string = string> = {
  readonly station: Station;
  /** The median of |real − estimated| ÷ estimated, as a share. */
  readonly error: number;
  readonly because: GuessCause;
  /** The same of the oldest and of the newest third, where they differ enough to say so; else null. */
  readonly trend: { readonly oldest: number; readonly newest: number } | null;
};

/** Of fewer pieces of work nothing is said. */
const LEAST = 12;
const LEAST_OF_GROUP = 5;
/** A cause takes at least this share of what they stray away, or it is none. */
const WORTH = 0.2;
/** Guesses became better or worse, where the newest third is off by so much less or more. */
const BETTER = 0.75;

type Judged = { readonly ratio: number; readonly vinylName: string | null; readonly size: string };

/** For each station of which there is enough, the worst guessed first. */
export function explainGuesses<Station extends string>(
  guesses: readonly Guess<Station>[],
): readonly GuessReason<Station>[] {
  const sound = guesses.filter((guess) => findGuessProblem(guess) === null);
  return [...groupBy(sound, ({ station }) => station)]
    .filter(([, own]) => own.length >= LEAST)
    .map(([station, own]) => {
      const judged = own.map((guess): Judged => ({
        ratio: guess.real / guess.estimated,
        vinylName: guess.vinylName,
        size: sizeOf(guess),
      }));
      return { station, error: errorOf(judged), because: findCause(judged), trend: findTrend(own) };
    })
    .sort((a, b) => b.error - a.error);
}

const errorOf = (works: readonly { readonly ratio: number }[]): number =>
  median(works.map(({ ratio }) => Math.abs(ratio - 1)));

/** What lies behind it is found by the mean of logarithms: a median would not see the lesser half. */
const strayOf = (works: readonly Judged[]): number => mean(works.map(({ ratio }) => Math.abs(Math.log(ratio))));

type Tried = { readonly cause: GuessCause; readonly stray: number };

function findCause(works: readonly Judged[]): GuessCause {
  const ratio = median(works.map((work) => work.ratio));
  const right = dividedBy(works, () => ratio);
  const steady: Tried = {
    cause: { kind: 'steady', ratio, errorWithout: errorOf(right) },
    stray: strayOf(right),
  };
  const tried = [
    steady,
    ...tryGroups(works, 'vinyl', ({ vinylName }) => vinylName),
    ...tryGroups(works, 'size', ({ size }) => size),
  ];
  const best = tried.reduce((a, b) => (b.stray < a.stray ? b : a));
  return best.stray <= strayOf(works) * (1 - WORTH) ? best.cause : { kind: 'scatter' };
}

const dividedBy = (works: readonly Judged[], ratioOf: (work: Judged) => number): readonly Judged[] =>
  works.map((work) => ({ ...work, ratio: work.ratio / ratioOf(work) }));

/** Each group alone put right: how far all of it would then be off. */
function tryGroups(
  works: readonly Judged[],
  kind: 'vinyl' | 'size',
  nameOf: (work: Judged) => string | null,
): readonly Tried[] {
  return [...groupBy(works, nameOf)].flatMap(([name, own]): Tried[] => {
    if (name === null || own.length < LEAST_OF_GROUP || own.length === works.length) return [];
    const ratio = median(own.map((work) => work.ratio));
    const right = dividedBy(works, (work) => (nameOf(work) === name ? ratio : 1));
    return [{ cause: { kind, name, ratio, errorWithout: errorOf(right) }, stray: strayOf(right) }];
  });
}

function findTrend(works: readonly Guess[]): GuessReason['trend'] {
  const third = Math.floor(works.length / 3);
  if (third < LEAST_OF_GROUP) return null;
  const byTime = [...works].sort((a, b) => a.atMs - b.atMs);
  const off = (some: readonly Guess[]) => errorOf(some.map(({ real, estimated }) => ({ ratio: real / estimated })));
  const [oldest, newest] = [off(byTime.slice(0, third)), off(byTime.slice(-third))];
  return newest <= oldest * BETTER || oldest <= newest * BETTER ? { oldest, newest } : null;
}
