// What another school of pressing would change, in words.

import type { SchoolChange } from '../core/pressing';
import { formatDuration, formatTemperature, type FormatSettings } from '../core/units';
import { plural } from './plural';
import { describeCaution } from './problems';

/** An option with what it takes more or less of your hands a piece. */
export function describeOption({ option, isChosen, ...change }: SchoolChange, settings: FormatSettings): string {
  const { handsSeconds, waitSeconds, matters } = change;
  if (isChosen) return option;
  if (!matters) return `${option} (the same here)`;
  const signed = (seconds: number) => `${seconds > 0 ? '+' : '−'}${formatDuration(Math.abs(seconds), settings)}`;
  const said = [
    handsSeconds === 0 ? null : `${signed(handsSeconds)} of hands`,
    waitSeconds === 0 ? null : `${signed(waitSeconds)} of waiting`,
  ].flatMap((words) => words ?? []);
  return `${option} (${said.join(', ') || 'no longer'})`;
}

/** What the options that are not chosen would have to be watched for. */
export const describeRisks = (
  changes: readonly SchoolChange[],
  settings: FormatSettings,
): readonly { readonly option: string; readonly risks: readonly string[] }[] =>
  changes
    .filter(({ isChosen, brings }) => !isChosen && brings.length > 0)
    .map(({ option, brings }) => ({ option, risks: brings.map((caution) => describeCaution(caution, settings)) }));

export const describePressing = (
  { temperatureC, pressCycles }: { readonly temperatureC: number | null; readonly pressCycles: number },
  settings: FormatSettings,
): string =>
  temperatureC === null
    ? 'Nothing is pressed with heat.'
    : `${formatTemperature(temperatureC, settings)}, the press closes ${plural(pressCycles, 'time')} and for pre-pressing.`;
