// How good the guesses are, in words.

import type { GuessGroup, GuessProblem, GuessReason } from '../core/estimating';
import type { Station } from '../core/orders';
import { formatNumber, formatShare, type FormatSettings } from '../core/units';
import type { GuessesView } from '../views/trials';
import { plural } from './plural';
import { STATION_NAMES } from './stations';

/** Nearer than this nobody feels it. */
const NEAR = 0.12;

/** All of it in a sentence or two. */
export function describeGuesses(
  { all, groups }: Pick<GuessesView, 'all' | 'groups'>,
  settings: FormatSettings,
): string {
  if (!all) return 'No work was timed yet that an estimate could be held against.';
  const overall = `Half of ${plural(all.count, 'piece')} of work came within ${formatShare(all.error.value, settings, 0)} of the estimate.`;
  const worst = groups.find(({ by }) => by === 'station');
  if (!worst || worst.sum.error.value <= NEAR) return overall;
  return `${overall} ${nameGroup(worst.by, worst.name)} is guessed worst: ${describeRatio(worst.sum.ratio.value, settings)}.`;
}

function describeRatio(ratio: number, { locale }: FormatSettings): string {
  if (Math.abs(ratio - 1) <= NEAR) return 'as long as calculated on the whole, but it varies';
  return `it takes ${formatNumber(ratio, locale, 2, 0)} times what is calculated`;
}

export const nameGroup = (by: GuessGroup['by'], name: string): string =>
  by === 'station' ? STATION_NAMES[name as Station] : name;

const PROBLEM_WORDS: Readonly<Record<GuessProblem, string>> = {
  'too-short': 'under 20 s, or booked without a clock',
  forgotten: 'over eight times the estimate: a clock that was forgotten',
  'started-late': 'hardly any time at all: a clock that was started late',
};

/** What does not count, and why. */
export const describeLeftOut = (leftOut: GuessesView['leftOut']): string =>
  `Left out: ${leftOut.map(({ problem, count }) => `${count} ${PROBLEM_WORDS[problem]}`).join('; ')}.`;

/** Why a station is guessed as it is, and whether that became better. */
export function describeReason(reason: GuessReason<Station>, settings: FormatSettings): string {
  return [describeCause(reason, settings), describeTrend(reason, settings)].filter(Boolean).join(' ');
}

function describeCause({ error, because }: GuessReason<Station>, settings: FormatSettings): string {
  const share = (value: number) => formatShare(value, settings, 0);
  if (because.kind === 'scatter') return `${share(error)} off: the same work takes now more, now less.`;
  const times = `${formatNumber(because.ratio, settings.locale, 2, 0)} times what is calculated`;
  const right = `With that put right it would be ${share(because.errorWithout)} off, not ${share(error)}.`;
  switch (because.kind) {
    case 'steady':
      return `Whatever it is, it takes ${times}. ${right}`;
    case 'vinyl':
      return `Most of it comes from ${because.name}, which takes ${times}. ${right}`;
    case 'size':
      return `Most of it comes from jobs of ${because.name}: each takes ${times}. ${right}`;
  }
}

function describeTrend({ trend }: GuessReason<Station>, settings: FormatSettings): string | null {
  if (!trend) return null;
  const [oldest, newest] = [trend.oldest, trend.newest].map((value) => formatShare(value, settings, 0));
  return `The oldest third was ${oldest} off, the newest is ${newest}.`;
}
