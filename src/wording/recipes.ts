// Recipes in words: how something is pressed, and what was seen of it since.

import type { OwnPress, PressSetting } from '../core/materials';
import type { LookKind, LooksSum } from '../core/pressing';
import type { PresetUse } from '../core/cutting';
import { formatTemperature, type FormatSettings } from '../core/units';
import { plural } from './plural';

export const describeMaker = (
  { lowC, highC, seconds, pressure, peel }: PressSetting,
  settings: FormatSettings,
): string =>
  `${formatTemperature(lowC, settings)} to ${formatTemperature(highC, settings)}, ${seconds} s, ${pressure}, peel ${peel}`;

export const describeOwn = ({ temperatureC, seconds, pressure, peel }: OwnPress, settings: FormatSettings): string =>
  `${formatTemperature(temperatureC, settings)}, ${seconds} s, ${pressure}, peel ${peel}`;

/** Its heat leaves the maker's window. */
export const isOffMaker = ({ temperatureC }: OwnPress, maker: PressSetting | null): boolean =>
  maker !== null && (temperatureC < maker.lowC || temperatureC > maker.highC);

export const LOOK_WORDS: Readonly<Record<LookKind, string>> = {
  fine: 'fine',
  worn: 'worn, and fine',
  washed: 'washed, and fine',
  lifted: 'lifted',
  cracked: 'cracked',
  marked: 'left a mark or a shine',
};

export const USE_WORDS: Readonly<Record<PresetUse, string>> = {
  everything: 'everything',
  bold: 'letters and shapes',
  fine: 'lace and thin strokes',
};

/** “2 of 30 failed, the first after 5 washes; others stood up to 20.” */
export function describeLooks({ pieces, failed, mostWashes, failedFromWashes }: LooksSum): string {
  if (pieces === 0) return 'Nobody has looked at any since.';
  const most = mostWashes > 0 ? `, washed up to ${mostWashes === 1 ? 'once' : `${mostWashes} times`}` : '';
  if (failed === 0) return `${plural(pieces, 'piece')} looked at, all fine${most}.`;
  const after = failedFromWashes ? `, the first after ${plural(failedFromWashes, 'wash')}` : '';
  return `${failed} of ${pieces} failed${after}${failed < pieces ? `; the others are fine${most}` : ''}.`;
}
