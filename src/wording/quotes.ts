// Quick quotes in words.

import type { Drift } from '../core/orders';
import { formatMoney, type FormatSettings } from '../core/units';
import type { QuoteAnswer } from '../views/quotes';
import { plural } from './plural';

/** Lines that are named as the cause of a change. */
const CAUSES_NAMED = 2;

/** What has to be bought first, as a sentence after others; empty where nothing has to be. */
export function describeToBuy(toBuy: QuoteAnswer['toBuy']): string {
  if (toBuy.length === 0) return '';
  const things = toBuy.map(({ name, days }) =>
    days === null ? `${name}, which nobody offers` : `${name}, ${plural(days, 'day')}`,
  );
  return ` To buy first: ${things.join('; ')}.`;
}

/** By which lines a cost changed most, as the rest of a sentence; empty where none is known. */
export function describeDriftCause({ because }: Drift, settings: FormatSettings): string {
  if (because.length === 0) return '';
  const lines = because
    .slice(0, CAUSES_NAMED)
    .map(({ label, was, now }) => `${label} (${formatMoney(was, settings)}, now ${formatMoney(now, settings)})`);
  return `, because of ${lines.join(' and ')}`;
}
