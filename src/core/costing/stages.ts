// The lines of a cost by the stage of making.

import { figure, groupBy, type Figure } from '../units';
import type { CostStage, ItemCost } from './item-cost';

export const STAGE_LABELS: Readonly<Record<CostStage, string>> = {
  blank: 'Blank',
  artwork: 'Drawing',
  vinyl: 'Vinyl',
  tape: 'Transfer tape',
  stones: 'Stones',
  extra: 'Besides',
  'set-up': 'Set-up',
  cut: 'Cut',
  weed: 'Weed',
  press: 'Press',
  wear: 'Wear',
  risk: 'What goes wrong',
  check: 'Check, fold, pack',
  pack: 'Packaging',
  order: 'The order, beside making',
  returns: 'Returns',
  overhead: 'Overheads',
};

/** The lines of a cost by stage, in making order: what can be set side by side whatever vinyls they are of. */
export function sumByStage(cost: ItemCost): ReadonlyMap<CostStage, Figure> {
  return new Map(
    [...groupBy(cost.lines, (line) => line.stage)].map(([stage, lines]) => [
      stage,
      lines.length === 1
        ? lines[0]!.figure
        : figure(
            STAGE_LABELS[stage],
            lines.reduce((sum, line) => sum + line.total, 0),
            'money',
            'computed',
            { how: 'sum of its lines', parts: lines.map((line) => line.figure) },
          ),
    ]),
  );
}
