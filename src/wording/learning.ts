// What the log teaches, in words.

import { formatDuration, formatShare, type FormatSettings } from '../core/units';
import type { LearnedStation } from '../views/trials';
import { plural } from './plural';

export function describeLearned({ logs, leftOut, figures }: LearnedStation, leastLogs: number): string {
  const left = leftOut > 0 ? ` ${plural(leftOut, 'other')} left out: too short, or the clock was forgotten.` : '';
  if (figures.length === 0) return `${plural(logs, 'log')} so far; from ${leastLogs} on it is learned from.${left}`;
  return `Because of ${plural(logs, 'log')}.${left}`;
}

type Tested = NonNullable<LearnedStation['tested']>;

export function describeTested({ before, after, heldOut }: Tested, settings: FormatSettings): string {
  const share = (value: number) => formatShare(value, settings, 0);
  const newest = `The newest ${heldOut}, which it did not see,`;
  if (after >= before)
    return `${newest} are guessed no better by it: ${share(before)} off as it is, ${share(after)} with it.`;
  return `${newest} are ${share(before)} off with your figures, and ${share(after)} with those of the log.`;
}

/** How far jobs stray, of one that is calculated at an hour. */
export const describeHour = ({ low, high }: NonNullable<LearnedStation['hour']>, settings: FormatSettings): string =>
  `Of what it calculates at an hour, nine in ten take ${formatDuration(low, settings)} to ${formatDuration(high, settings)}.`;
