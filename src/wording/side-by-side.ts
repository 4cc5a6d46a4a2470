// Trials side by side in words.

import type { LookReason } from '../core/scheduling';
import type { SideAxis, SideFault, SideVerdict } from '../core/trials';
import { formatNumber, formatShare, type FormatSettings } from '../core/units';
import { plural } from './plural';

export const AXIS_WORDS: Readonly<Record<SideAxis, { readonly one: string; readonly several: string }>> = {
  vinyl: { one: 'vinyl or lot', several: 'Vinyls' },
  tape: { one: 'tape', several: 'Tapes' },
  mat: { one: 'mat', several: 'Mats' },
  tool: { one: 'tool', several: 'Tools' },
  blank: { one: 'blank', several: 'Blanks' },
  blade: { one: 'blade', several: 'Blades' },
};

export const FAULT_WORDS: Readonly<Record<SideFault, string>> = {
  'none left': 'all of them were lost',
  'cuts through': 'its backing is cut through',
  'stays on tape': 'it stays on its tape',
  'does not stick': 'it does not stick',
  'did not last': 'it did not last',
};

const join = (names: readonly string[]): string =>
  names.length < 2 ? (names[0] ?? '') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`;

/** From twice as long on, times say it better than per cent. */
const describeLonger = (ahead: number, settings: FormatSettings): string =>
  ahead < 1
    ? `${formatShare(ahead, settings, 0)} longer`
    : `${formatNumber(ahead + 1, settings.locale, 1)} times as long`;

/** The verdict in a line; `names`: of those it names, in its order. */
export function describeSides(verdict: SideVerdict, names: readonly string[], settings: FormatSettings): string {
  switch (verdict.kind) {
    case 'not-filled':
      return `${plural(verdict.missing, 'sheet')} to fill in`;
    case 'none':
      return 'None of them serves';
    case 'untimed':
      return names.length === 1
        ? `${names[0]} loses least; which is quicker was not timed`
        : `${join(names)} will do; which is quicker was not timed`;
    case 'even':
      return `${join(names)} are as good as one another`;
    case 'best':
      return verdict.ahead === null
        ? `${names[0]} is the only one that serves`
        : `${names[0]} serves best: the next takes ${describeLonger(verdict.ahead, settings)} for each good piece`;
    default:
      return verdict satisfies never;
  }
}

/** Why it is looked at again. */
export function describeReason(reason: LookReason, washes: number): string {
  switch (reason) {
    case 'edges':
      return 'edges, after a day';
    case 'warmth':
      return 'in the warm, at a window or in a car';
    case 'wash':
      return washes === 1 ? 'after its first wash' : `after ${washes} washes`;
    case 'wear':
      return 'after a season of wear';
    default:
      return reason satisfies never;
  }
}
