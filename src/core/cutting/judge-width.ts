// The width that the machine reads, against what the load was laid out for.

export type WidthVerdict = 'as-expected' | 'wider' | 'narrower-but-enough' | 'too-narrow';

/** Lengths computed in different ways are rounded to tenths. */
const ROUNDING_MM = 0.05;
/** What a machine reads differs by so much from load to load. */
const READING_NOISE_MM = 1;

/** `expectedMm`: of the lot; `neededMm`: narrower, and the outermost cut runs off the vinyl or under the rollers. */
type Widths = { readonly expectedMm: number; readonly neededMm: number };

/**
 * What the machine has to read at least, mm. A lot that is wide enough by its label is not taken for narrower because of
 * how it was read: a layout that uses its whole width would be refused every other time.
 */
export const findLeastReading = ({ expectedMm, neededMm }: Widths): number =>
  neededMm <= expectedMm + ROUNDING_MM ? Math.min(neededMm, expectedMm - READING_NOISE_MM) : neededMm;

export function judgeWidth({ readMm, ...widths }: Widths & { readonly readMm: number }): WidthVerdict {
  const { expectedMm } = widths;
  if (readMm < findLeastReading(widths) - ROUNDING_MM) return 'too-narrow';
  if (readMm > expectedMm + READING_NOISE_MM) return 'wider';
  return readMm < expectedMm - READING_NOISE_MM ? 'narrower-but-enough' : 'as-expected';
}
