// What stands in the way of making an item well, in words: what it is, and what to do.

import type { MadeFinding } from '../core/costing';
import { formatLength, type FormatSettings } from '../core/units';
import type { SaidFinding } from '../views/orders';
import { describePlacementFault } from './placement';
import { plural } from './plural';

export function describeMadeFinding(finding: MadeFinding, settings: FormatSettings): SaidFinding {
  const mm = (value: number, digits = 1) => formatLength(value, settings, digits);
  switch (finding.kind) {
    case 'strokes-apart':
      return {
        what: `${finding.artwork}: ${plural(finding.count, 'line')} drawn as strokes, not cut at all`,
        todo: 'Open the artwork and turn its strokes to outlines.',
      };
    case 'wider-than-vinyl':
      return {
        what: `${finding.layer} is ${mm(finding.needsMm)} wide, ${finding.vinyl} takes ${mm(finding.usableMm)}`,
        todo: 'Make it smaller, or choose a wider vinyl.',
      };
    case 'stacking':
      return {
        what: `${finding.upper} lies on ${finding.lower}`,
        todo:
          finding.barred === 'lower'
            ? `Nothing holds on ${finding.lowerVinyl}: knock ${finding.upper} out of it on the artwork, or choose another vinyl for ${finding.lower}.`
            : `${finding.upperVinyl} holds on cloth only: choose another vinyl for ${finding.upper}, or knock it out.`,
      };
    case 'puff-early':
      return {
        what: `${finding.layer} is puff, and ${finding.after} is pressed after it`,
        todo: `${finding.vinyl} must be the last that is pressed: pressed again it falls flat. Put it on top, or use another vinyl.`,
      };
    case 'off-the-area':
      return {
        what: `It does not fit the ${finding.area.name}`,
        todo: describePlacementFault(finding.fault, finding.area, settings),
      };
    case 'too-fine':
      return {
        what: `${finding.layer}: ${finding.part === 'stroke' ? 'strokes' : 'gaps'} down to ${mm(finding.thinnestMm, 2)}`,
        todo: `${finding.vinyl} holds from ${mm(finding.floorMm)}: ${finding.withinReach ? `make it ${mm(finding.safeWidthMm, 0)} wide, or ` : ''}choose a vinyl that takes finer detail.`,
      };
    default:
      return finding satisfies never;
  }
}
