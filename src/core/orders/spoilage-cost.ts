// What went wrong cost: cuts that were spoiled, blanks that were lost.

import { figure, type Figure } from '../units';
import type { LineQuote } from './order';
import { listLive, type PartEvent } from './part';

type SpoiledPart = { readonly layerIndex: number; readonly events: readonly PartEvent[] };

/**
 * Minor units, rounded once: of each cut that was spoiled its vinyl, of each lost blank its price; by the quote where
 * the log says nothing. The hours are in what the work took and are not counted again.
 */
export function sumSpoilage(
  lines: readonly { readonly quote: LineQuote; readonly parts: readonly SpoiledPart[] }[],
): Figure {
  let vinyl = 0;
  let blanks = 0;
  let count = 0;
  for (const { quote, parts } of lines)
    for (const { layerIndex, events } of parts) {
      const live = listLive(events);
      for (const [at, event] of live.entries()) {
        if (event.kind !== 'spoiled') continue;
        count++;
        const cut = live.slice(0, at).findLast((before) => before.kind === 'cut');
        vinyl += cut?.vinylCost ?? quote.layers[layerIndex]?.vinylCost ?? 0;
        if (event.blankLost)
          blanks +=
            event.blankCost ?? live.slice(0, at).findLast((before) => before.blankCost)?.blankCost ?? quote.blankPrice;
      }
    }
  const parts = [
    figure('Vinyl of spoiled cuts', Math.round(vinyl), 'money', 'measured'),
    figure('Blanks that were lost', Math.round(blanks), 'money', 'measured'),
  ];
  return figure('What went wrong', parts[0]!.value + parts[1]!.value, 'money', 'measured', {
    how: `vinyl and blanks of ${count} spoiled ${count === 1 ? 'part' : 'parts'}; the hours are in the work`,
    parts,
  });
}
