// A comparison of vinyls in words: the verdict, where it flips, and what a vinyl is not fit for.

import type { Compared, Unfit } from '../core/costing/compare-vinyls';
import type { Flip } from '../core/planning/compare-item';
import { formatLength, formatMoney, formatShare, type FormatSettings, toPercent } from '../core/units';

export function describeUnfit(unfit: Unfit, settings: FormatSettings): string {
  switch (unfit.kind) {
    case 'too-fine':
      return `cuts well from ${formatLength(Math.ceil(unfit.safeWidthMm), settings, 0)} up`;
    case 'too-hot':
      return 'needs more heat than the blank takes';
    case 'other-colour':
      return 'is another colour of the same line: choose it by colour, not by cost';
    case 'windows-apart':
      return `can’t be pressed with its neighbour: no temperature suits both ${unfit.names[0]} and ${unfit.names[1]}`;
    case 'pressed-again':
      return `is puff, and ${unfit.by} is pressed after it`;
    case 'under-others':
      return 'nothing holds on it, and another layer lies on it here';
    case 'over-others':
      return 'does not lie on other vinyl';
    case 'grade':
      return describeGrade(unfit);
    default:
      return unfit satisfies never;
  }
}

function describeGrade({ grade, note }: Extract<Unfit, { readonly kind: 'grade' }>): string {
  const word = grade === 'no' ? 'good for nothing, by your own grade' : `by your own grade for ${grade}, not to sell`;
  return note === '' ? word : `${word} (${note})`;
}

/** Where the answer turns round, as a half sentence. */
export function describeFlip({ over, at, beyond, side }: Flip, settings: FormatSettings): string {
  const up = side === 'above';
  switch (over) {
    case 'wage':
      return `${beyond} is cheaper ${up ? 'once your hour is above' : 'while your hour is below'} ${formatMoney(Math.round(at), settings)}`;
    case 'width':
      return up
        ? `${beyond} is cheaper from ${formatLength(Math.ceil(at), settings, 0)} wide`
        : `${beyond} is cheaper up to ${formatLength(Math.floor(at), settings, 0)} wide`;
    case 'quantity':
      return up
        ? `${beyond} is cheaper from ${Math.ceil(at)} at once`
        : `${beyond} is cheaper up to ${Math.floor(at)} at once`;
    case 'failure':
      return up
        ? `${beyond} is cheaper once more than ${formatShare(at, settings)} of the other go wrong`
        : `${beyond} is cheaper while fewer than ${formatShare(at, settings)} of the other go wrong`;
    default:
      return over satisfies never;
  }
}

/** So many of a hundred likely outcomes, as a half sentence. */
const describeOdds = (share: number): string => `in ${Math.round(toPercent(share))} of 100 likely outcomes`;

/** The verdict as a heading, and what supports it; null where it can be made in none of them. */
export type CompareVerdict = { readonly heading: string; readonly because: string };

/** Which vinyl, why, and how sure. `odds`: of each, the chance that it is the cheapest. */
export function describeVerdict(
  compared: readonly Compared[],
  odds: readonly number[] | null,
  flip: Flip | null,
  settings: FormatSettings,
): CompareVerdict | null {
  const made = compared
    .flatMap((entry, index) => (entry.cost.ok ? [{ entry, index, total: entry.cost.value.withRisk.value }] : []))
    .sort((a, b) => a.total - b.total);
  const fit = made.filter(({ entry }) => entry.unfit.length === 0);
  const best = fit[0] ?? made[0];
  if (!best) return null;
  const use = fit.length > 0 ? `Use ${best.entry.name}` : `None is quite fit; ${best.entry.name}`;
  const other = made.find(({ entry }) => entry !== best.entry);
  if (!other) return { heading: `${best.entry.name} is the only one it can be made in.`, because: '' };
  const less = other.total - best.total;
  if (less < 0)
    return {
      heading: `${use}.`,
      because: `${other.entry.name} would be ${formatMoney(-less, settings)} cheaper, but ${describeUnfit(other.entry.unfit[0]!, settings)}.`,
    };
  const sure = odds ? `Cheaper ${describeOdds(odds[best.index]!)}.` : '';
  return {
    heading:
      less > 0
        ? `${use}: ${formatMoney(less, settings)} cheaper than ${other.entry.name}.`
        : `${use}: as cheap as ${other.entry.name}.`,
    because: [sure, flip && less > 0 ? `${capitalise(describeFlip(flip, settings))}.` : ''].filter(Boolean).join(' '),
  };
}

export const capitalise = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
