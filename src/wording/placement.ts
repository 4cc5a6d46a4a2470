// Where on a blank something lies, and what is wrong with it there, in words.

import type { PlacementFault, PrintArea } from '../core/materials';
import { formatLength, type FormatSettings } from '../core/units';

/** As it is written on a ticket: "back, 100 mm below the collar". */
export const describeArea = (area: PrintArea, settings: FormatSettings): string =>
  `${area.name}, ${formatLength(area.dropMm, settings)} below the ${area.datum}`;

export function describePlacementFault(fault: PlacementFault, area: PrintArea, settings: FormatSettings): string {
  switch (fault.kind) {
    case 'too-wide':
      return `${formatLength(fault.byMm, settings)} too wide for the ${area.name}: make it ${formatLength(fault.atMostMm, settings)} at most.`;
    case 'too-high':
      return `${formatLength(fault.byMm, settings)} too high for the ${area.name}: ${formatLength(fault.atMostMm, settings)} at most.`;
    case 'obstacle':
      return `At its place on the ${area.name} it lies on the ${fault.obstacle}: move or shrink it, or let the ${fault.obstacle} hang off the platen.`;
    case 'outside':
      return `It leaves the ${area.name} by ${formatLength(fault.byMm, settings)} at the ${fault.edge}: move it back.`;
    default:
      return fault satisfies never;
  }
}
