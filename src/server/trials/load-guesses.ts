// How good the shop's estimates are, from the work that was done last.

import {
  explainGuesses,
  findGuessProblem,
  groupGuesses,
  sumGuesses,
  type Guess,
  type GuessProblem,
} from '../../core/estimating/index';
import type { Station } from '../../core/orders/index';
import { MS_PER_S } from '../../core/units/index';
import { findVinyls } from '../../data/shelf-store';
import { listDoneWork } from '../../data/work-store';
import type { GuessesView } from '../../views/trials';
import type { ShopContext } from '../context';

/** Work that is looked at, and points that are drawn of it. */
const MOST_WORK = 1000;
const MOST_POINTS = 300;
const PROBLEMS: readonly GuessProblem[] = ['too-short', 'forgotten', 'started-late'];

export function loadGuesses({ db }: ShopContext): GuessesView {
  const work = listDoneWork(db, MOST_WORK);
  const vinylIds = [...new Set(work.flatMap(({ vinylId }) => vinylId ?? []))];
  const names = new Map(findVinyls(db, vinylIds).map(({ id, name }) => [id, name]));
  const guesses = work.map(({ station, estimateSeconds, startedAtMs, stoppedAtMs, vinylId }): Guess<Station> => ({
    station,
    estimated: estimateSeconds,
    real: (stoppedAtMs - startedAtMs) / MS_PER_S,
    atMs: startedAtMs,
    vinylName: vinylId === null ? null : (names.get(vinylId) ?? null),
  }));
  const problems = guesses.map(findGuessProblem);
  return {
    all: sumGuesses(guesses),
    groups: groupGuesses(guesses),
    reasons: explainGuesses(guesses),
    points: guesses
      .filter((_, at) => problems[at] === null)
      .slice(0, MOST_POINTS)
      .map(({ station, estimated, real, atMs }) => ({ station, atMs, ratio: real / estimated })),
    leftOut: PROBLEMS.map((problem) => ({ problem, count: problems.filter((one) => one === problem).length })).filter(
      ({ count }) => count > 0,
    ),
  };
}
