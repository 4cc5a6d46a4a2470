// A comparison of vinyls in words: the verdict, where it flips, and what a vinyl is not fit for.

import type { Compared, Unfit } from '../core/costing/compare-vinyls';
import { formatLength, formatMoney, formatShare, type FormatSettings } from '../core/units';

export function describeUnfit(unfit: Unfit, settings: FormatSettings): string {
  switch (unfit.kind) {
    case 'too-fine':
      return `cuts well from ${formatLength(Math.ceil(unfit.safeWidthMm), settings, 0)} up`;
    case 'too-hot':
      return 'needs more heat than the blank takes';
    case 'under-others':
      return 'nothing holds on it, and another layer lies on it here';
    case 'over-others':
      return 'does not lie on other vinyl';
    case 'grade':
      return unfit.grade === 'no'
        ? 'good for nothing, by your own grade'
        : `by your own grade for ${unfit.grade}, not to sell`;
    default:
      return unfit satisfies never;
  }
}

export type Flip = {
  readonly over: 'wage' | 'width' | 'quantity' | 'failure';
  readonly at: number;
  /** The one that is cheaper beyond it. */ readonly beyond: string;
};

/** Where the answer turns round, as a half sentence. */
export function describeFlip({ over, at, beyond }: Flip, settings: FormatSettings): string {
  switch (over) {
    case 'wage':
      return `${beyond} is cheaper once your hour is above ${formatMoney(Math.round(at), settings)}`;
    case 'width':
      return `${beyond} is cheaper from ${formatLength(Math.ceil(at), settings, 0)} wide`;
    case 'quantity':
      return `${beyond} is cheaper from ${Math.ceil(at)} at once`;
    case 'failure':
      return `${beyond} is cheaper once more than ${formatShare(at, settings)} of the other go wrong`;
    default:
      return over satisfies never;
  }
}

/** The first sentence: which vinyl, why, and how sure. Null where none can be made. */
export function describeVerdict(
  compared: readonly Compared[],
  odds: readonly number[] | null,
  flip: Flip | null,
  settings: FormatSettings,
): string | null {
  const made = compared.flatMap((entry, index) =>
    entry.cost.ok ? [{ entry, index, total: entry.cost.value.withRisk.value }] : [],
  );
  const fit = made.filter(({ entry }) => entry.unfit.length === 0);
  const best = [...(fit.length > 0 ? fit : made)].sort((a, b) => a.total - b.total)[0];
  if (!best) return null;
  const other = made.filter(({ entry }) => entry !== best.entry).sort((a, b) => a.total - b.total)[0];
  const name = best.entry.name;
  if (!other) return `${name} is the only one it can be made in.`;
  const less = other.total - best.total;
  const sure =
    odds && best.total <= other.total ? `, in ${formatShare(odds[best.index]!, settings, 0)} of what may come` : '';
  const why =
    less > 0
      ? `${formatMoney(less, settings)} cheaper a good piece than ${other.entry.name}${sure}`
      : less === 0
        ? `as cheap as ${other.entry.name}`
        : `${other.entry.name} would be ${formatMoney(-less, settings)} cheaper, but ${describeUnfit(other.entry.unfit[0]!, settings)}`;
  return `${fit.length === 0 ? 'None is quite fit for it; ' : ''}${fit.length === 0 ? name : `Use ${name}`}: ${why}${flip && less > 0 ? `; ${describeFlip(flip, settings)}` : ''}.`;
}
