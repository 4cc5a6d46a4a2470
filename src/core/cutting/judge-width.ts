// The width that the machine reads, against what the load was laid out for.

export type WidthVerdict = 'as-expected' | 'wider' | 'narrower-but-enough' | 'too-narrow';

/** Lengths computed in different ways are rounded to tenths. */
const ROUNDING_MM = 0.05;
/** What a machine reads differs by so much from load to load. */
const READING_NOISE_MM = 1;

/**
 * `expectedMm`: of the lot; `neededMm`: narrower, and the outermost cut runs off the vinyl or under the rollers.
 */
export function judgeWidth({
  readMm,
  expectedMm,
  neededMm,
}: {
  readonly readMm: number;
  readonly expectedMm: number;
  readonly neededMm: number;
}): WidthVerdict {
  if (readMm < neededMm - ROUNDING_MM) return 'too-narrow';
  if (readMm > expectedMm + READING_NOISE_MM) return 'wider';
  return readMm < expectedMm - READING_NOISE_MM ? 'narrower-but-enough' : 'as-expected';
}
