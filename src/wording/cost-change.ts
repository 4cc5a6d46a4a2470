// Why a cost is another now, in words.

import type { CostChange, InputChange } from '../core/costing';
import { formatFigure, formatMoney, type FormatSettings } from '../core/units';

const MOST = 3;

function describeInput({ label, was, now, unit }: InputChange, settings: FormatSettings): string {
  const show = (value: number) => formatFigure({ value, unit }, settings);
  if (was === null) return `${label} is new, ${show(now!)}`;
  return now === null ? `${label} is gone` : `${label} ${show(was)}, now ${show(now)}`;
}

/** Half a sentence: what went into it that changed, or the lines that moved where nothing given did. */
export function describeCauses({ because, lines }: CostChange, settings: FormatSettings): string {
  const told =
    because.length > 0
      ? because.slice(0, MOST).map((input) => describeInput(input, settings))
      : lines
          .slice(0, MOST)
          .map((line) => `${line.label} ${formatMoney(line.was, settings)}, now ${formatMoney(line.now, settings)}`);
  const more = because.length > MOST ? ` and ${because.length - MOST} more` : '';
  return told.length === 0 ? '' : `because: ${told.join('; ')}${more}.`;
}
