// Laying out in words: what a layout comes to, what stands in its way, and what would help.

import type { LayoutFault, NestLayout, NestProblem } from '../core/nesting';
import { formatLength, formatShare, type FormatSettings } from '../core/units';

export function describeNestProblem(problem: NestProblem, settings: FormatSettings): string {
  switch (problem.kind) {
    case 'no-area':
      return `${problem.pieceId} has no area: its outline runs back on itself. Mend it in its drawing.`;
    case 'too-large':
      return `${problem.pieceId} needs ${formatLength(problem.acrossMm, settings)} × ${formatLength(problem.alongMm, settings)}, and the stock gives ${formatLength(problem.usableAcrossMm, settings)} × ${formatLength(problem.usableAlongMm, settings)} at most. ${problem.shrinkTo > 0.05 ? `Make it ${formatShare(Math.floor(problem.shrinkTo * 1000) / 1000, settings)} of its size or smaller, let it be turned, split it, or take wider stock.` : 'Take wider stock.'}`;
    case 'no-stock':
      return 'Between its margins the stock has no room at all. Choose a larger piece of it, or smaller margins.';
    default:
      return problem satisfies never;
  }
}

/** The first sentence over a layout. */
export function describeLayout(layout: NestLayout, stockName: string, settings: FormatSettings): string {
  const count = layout.placements.length, parts = `${count} ${count === 1 ? 'part' : 'parts'}`;
  const [only] = layout.sheets;
  const on = layout.sheets.length === 1 && only ? `on ${formatLength(only.usedLengthMm, settings)} of ${stockName}` : `on ${layout.sheets.length} sheets of ${stockName}`;
  return `${parts} ${on}, ${formatShare(layout.density, settings, 0)} of it used${layout.left.length > 0 ? `; ${layout.left.length} found no room` : ''}`;
}

export function describeFault(fault: LayoutFault, settings: FormatSettings): string {
  switch (fault.kind) {
    case 'overlap':
      return `Two parts are ${formatLength(fault.byMm, settings)} nearer than the gap.`;
    case 'outside':
      return `A part reaches ${formatLength(fault.byMm, settings)} beyond what the machine reaches.`;
    case 'bad-spot':
      return 'A part lies on a spoiled spot.';
    case 'missing':
      return `${fault.pieceId} is not laid out.`;
    default:
      return fault satisfies never;
  }
}
