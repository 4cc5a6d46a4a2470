// A start in words: what the kit comes to, when it has come back, and what one more sale a week does.

import type { BreakEven, Kit, KitNeed } from '../core/planning';
import { formatMoney, type FormatSettings } from '../core/units';
import { plural, verbFor } from './plural';

const weeksOf = (count: number): string => plural(count, 'week');

/** The first sentence. `kit` null: none does all under the cap. */
export function describeStart(
  input: {
    readonly kit: Kit | null;
    readonly uncovered: readonly KitNeed[];
    readonly outcome: BreakEven | null;
    readonly cap: number;
  },
  settings: FormatSettings,
): string {
  const { kit, uncovered, outcome, cap } = input;
  if (!kit)
    return `Within ${formatMoney(cap, settings)} no kit brings all that is needed: raise the budget, leave less over, or need less`;
  const costs = `A kit for ${formatMoney(kit.total.value, settings)}`;
  if (uncovered.length > 0)
    return `${costs} is not whole yet: ${uncovered.join(' and ')} ${verbFor(uncovered.length, 'is', 'are')} missing`;
  if (kit.left.value < 0) return `${costs} is ${formatMoney(-kit.left.value, settings)} over the budget`;
  if (!outcome)
    return `${costs} leaves ${formatMoney(kit.left.value, settings)} for blanks and vinyl; say what is sold a week, and it tells when that comes back`;
  if (!outcome.pieces || !outcome.weeks)
    return `${costs} never comes back: an average piece leaves nothing in the purse. Ask more, or sell what leaves something`;
  return `${costs} has come back after ${plural(outcome.pieces.value, 'piece')}, ${weeksOf(outcome.weeks.value)} at your hours`;
}

/** What one more piece a week does. Null where it can't be told. */
export function describeOneMore(now: BreakEven, more: BreakEven, settings: FormatSettings): string | null {
  if (!now.weeks || !more.weeks) return null;
  if (now.reach.value < 1 && more.perWeek.value <= now.perWeek.value + 1)
    return 'One more sale a week changes nothing: your hours are full. A quicker item, or more hours, would.';
  const sooner = now.weeks.value - more.weeks.value;
  return `One more sale a week leaves ${formatMoney(Math.round(more.perWeek.value - now.perWeek.value), settings)} more each week${sooner > 0 ? `, and it has come back ${weeksOf(sooner)} sooner` : ''}.`;
}
