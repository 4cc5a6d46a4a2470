// Where a sheet is cut off after its load, what stays on the roll, and how far the knife is.

import { figure, type Figure } from '../units';

export type CutOff = { readonly cutAt: Figure; readonly stays: Figure };

/** All in mm along the roll: what the load takes, what the test figures before it took, what was on the roll. */
export function tellCutOff(usedMm: number, shiftMm: number, leftMm: number): CutOff {
  const cutAt = figure('Cut off at', usedMm + shiftMm, 'mm', 'computed', {
    how: 'what the load takes + what the test figures before it took',
    parts: [figure('The load', usedMm, 'mm', 'measured'), figure('Test figures', shiftMm, 'mm', 'computed')],
  });
  return {
    cutAt,
    stays: figure('Stays on the roll', Math.max(0, leftMm - cutAt.value), 'mm', 'computed', {
      how: 'what was on the roll − where it is cut off',
      parts: [figure('On the roll', leftMm, 'mm', 'shop'), cutAt],
    }),
  };
}

const TENTHS = 10;
/** Of its lines that are cut, in whole tens of a hundred, rounded down: 100 only when all are. */
export const tellTensCut = (linesDone: number, lines: number): number =>
  lines > 0 ? Math.floor((linesDone / lines) * TENTHS) * TENTHS : 0;
