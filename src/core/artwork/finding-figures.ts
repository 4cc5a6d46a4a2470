// The figure a finding's remedy rests on, with its working.

import { figure, type Figure } from '../units';
import type { Finding } from './inspect-artwork';

/**
 * The width a too fine or too wide drawing should have; null for findings that no width mends. `widthMm`: the drawing's
 * now.
 */
export function computeMendingWidth(finding: Finding, widthMm: number): Figure | null {
  const now = figure('Width now', widthMm, 'mm', 'typed');
  if (finding.kind === 'thin-strokes' || finding.kind === 'thin-gaps') {
    const strokes = finding.kind === 'thin-strokes';
    return figure('Smallest safe width', finding.safeWidthMm, 'mm', 'computed', {
      how: `width now × ${strokes ? 'stroke' : 'gap'} the vinyl holds ÷ ${strokes ? 'thinnest stroke' : 'narrowest gap'}, up to the next whole mm`,
      parts: [
        now,
        figure(
          strokes ? 'Stroke the vinyl holds' : 'Gap the vinyl weeds',
          finding.floorMm,
          'mm',
          finding.hasOwnFloor ? 'shop' : 'default',
          {
            how: finding.hasOwnFloor
              ? 'what you keep of the vinyl chosen for the layer: from its maker or your own trials'
              : 'what the kind of vinyl chosen for the layer ordinarily holds',
          },
        ),
        figure(strokes ? 'Thinnest stroke' : 'Narrowest gap', finding.thinnestMm, 'mm', 'measured'),
      ],
    });
  }
  if (finding.kind === 'too-wide') {
    return figure('Widest that fits', finding.shrinkToMm, 'mm', 'computed', {
      how: 'width now × usable width ÷ width of the layer, down to the next whole mm',
      parts: [
        now,
        figure('Usable width', finding.usableMm, 'mm', 'computed', {
          how: 'of the roll, less what the cutter can’t reach and a weed margin each side',
        }),
        figure('Width of the layer', finding.needsMm, 'mm', 'measured'),
      ],
    });
  }
  return null;
}
