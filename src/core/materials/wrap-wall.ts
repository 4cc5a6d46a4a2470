// A round wall laid flat: how long it is, and the arc of its edges where it tapers.

import { figure, type Figure } from '../units';
import type { Curve } from './print-area';

/** The way round a cup, and the arc that a straight strip is bent on where its wall tapers. Null radius: straight. */
export type Wrap = { readonly round: Figure; readonly radius: Figure | null; readonly angleDegrees: number };

/** Along the wall from its upper to its lower edge, `heightMm` apart straight up. */
export const tellSlant = ({ topMm, bottomMm }: Pick<Curve, 'topMm' | 'bottomMm'>, heightMm: number): Figure =>
  figure('Slant', Math.hypot(heightMm, (topMm - bottomMm) / 2), 'mm', 'computed', {
    how: '√(height² + half the difference of diameters²)',
    parts: [
      figure('Height of the wall', heightMm, 'mm', 'shop'),
      figure('Diameter at the top', topMm, 'mm', 'shop'),
      figure('Diameter at the bottom', bottomMm, 'mm', 'shop'),
    ],
  });

/**
 * Unrolls the wall between two circles `heightMm` apart, measured straight up. Development of a truncated cone: with
 * slant s = √(h² + ((D − d) ÷ 2)²) the wider edge lies on a circle of radius s·D ÷ (D − d), over 180°·D ÷ radius.
 */
export function computeWrap(curve: Curve, heightMm: number): Wrap {
  const wide = Math.max(curve.topMm, curve.bottomMm),
    narrow = Math.min(curve.topMm, curve.bottomMm);
  const round = figure(
    'Way round at the narrow edge',
    Math.max(0, Math.PI * narrow - curve.handleGapMm),
    'mm',
    'computed',
    {
      how: 'π × diameter − what the handle takes',
      parts: [figure('Diameter', narrow, 'mm', 'shop'), figure('Handle', curve.handleGapMm, 'mm', 'shop')],
    },
  );
  // Less than this taper no strip shows.
  if (wide - narrow < 0.5) return { round, radius: null, angleDegrees: 0 };
  const slant = tellSlant(curve, heightMm);
  const radius = figure('Radius of the wider edge', (slant.value * wide) / (wide - narrow), 'mm', 'computed', {
    how: 'slant × wider ÷ (wider − narrower diameter): the cone laid flat',
    parts: [slant],
  });
  return { round, radius, angleDegrees: (180 * wide) / radius.value };
}
