// How much is left on a roll, without unrolling it: by its weight, or by its diameter.

import { fail, figure, succeed, type Figure, type Result } from '../units';

export type RollProblem =
  | {
      readonly kind: 'out-of-range';
      readonly what: 'weight' | 'core-weight' | 'grammage' | 'width' | 'diameter' | 'core-diameter' | 'thickness';
    }
  | { readonly kind: 'less-than-core' };

/**
 * Length = (weight − core) ÷ (grammage × width). Grams, g/m² with its backing, mm; each from above 0, the core's weight
 * from 0.
 */
export function computeLengthByWeight(input: {
  readonly grams: number;
  readonly coreGrams: number;
  readonly gramsPerM2: number;
  readonly widthMm: number;
}): Result<Figure, RollProblem> {
  const { grams, coreGrams, gramsPerM2, widthMm } = input;
  if (!(grams > 0)) return fail({ kind: 'out-of-range', what: 'weight' });
  if (!(coreGrams >= 0)) return fail({ kind: 'out-of-range', what: 'core-weight' });
  if (!(gramsPerM2 > 0)) return fail({ kind: 'out-of-range', what: 'grammage' });
  if (!(widthMm > 0)) return fail({ kind: 'out-of-range', what: 'width' });
  if (grams < coreGrams) return fail({ kind: 'less-than-core' });
  const lengthMm = ((grams - coreGrams) / gramsPerM2 / widthMm) * 1e6;
  return succeed(
    figure('Length by weight', lengthMm, 'mm', 'computed', {
      how: `(weight − core) ÷ (${gramsPerM2} g/m² × width)`,
      parts: [
        figure('Weight, g', grams, 'factor', 'typed'),
        figure('Core, g', coreGrams, 'factor', 'typed'),
        figure('Width', widthMm, 'mm', 'measured'),
      ],
    }),
  );
}

/**
 * Length = π (D² − d²) ÷ 4t: the area of the wound ring is that of the strip seen from its edge. Diameters and
 * thickness (vinyl with its backing) in mm, all above 0.
 */
export function computeLengthByDiameter(input: {
  readonly diameterMm: number;
  readonly coreDiameterMm: number;
  readonly thicknessMm: number;
}): Result<Figure, RollProblem> {
  const { diameterMm, coreDiameterMm, thicknessMm } = input;
  if (!(diameterMm > 0)) return fail({ kind: 'out-of-range', what: 'diameter' });
  if (!(coreDiameterMm > 0)) return fail({ kind: 'out-of-range', what: 'core-diameter' });
  if (!(thicknessMm > 0)) return fail({ kind: 'out-of-range', what: 'thickness' });
  if (diameterMm < coreDiameterMm) return fail({ kind: 'less-than-core' });
  const lengthMm = (Math.PI * (diameterMm ** 2 - coreDiameterMm ** 2)) / 4 / thicknessMm;
  return succeed(
    figure('Length by diameter', lengthMm, 'mm', 'computed', {
      how: 'π (D² − d²) ÷ 4 × thickness',
      parts: [
        figure('Diameter', diameterMm, 'mm', 'typed'),
        figure('Core', coreDiameterMm, 'mm', 'typed'),
        figure('Thickness', thicknessMm, 'mm', 'typed'),
      ],
    }),
  );
}
