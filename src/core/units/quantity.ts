// What everything inside is counted in: millimetres, square millimetres, seconds, degrees Celsius as plain numbers whose
// names say their unit, and whole minor units of money as a type of their own, made only here.

declare const brand: unique symbol;
/** An amount in whole minor units (cents) of the shop's currency. */
export type Minor = number & { readonly [brand]: 'minor' };

/** The amount as whole minor units. @throws when it is not a safe integer: rounding is done once, in `apportion`. */
export function minor(value: number): Minor {
  assert(Number.isSafeInteger(value), 'money is counted in whole minor units', value);
  return value as Minor;
}

/** @throws Error when `condition` is false: a bug in the program, never something a seller did. */
export function assert(condition: boolean, expectation: string, actual?: unknown): asserts condition {
  if (!condition) throw new Error(`Expected: ${expectation}. Actual: ${String(actual)}`);
}

export const MM2_PER_M2 = 1_000_000;
export const MM_PER_M = 1000;
export const SECONDS_PER_HOUR = 3600;
export const MS_PER_S = 1000;
export const MM_PER_INCH = 25.4;
export const MM2_PER_CM2 = 100;

/** To a hundredth of a degree. */
export const toCelsius = (fahrenheit: number): number => Number(((fahrenheit - 32) / 1.8).toFixed(2));
export const toFahrenheit = (celsius: number): number => celsius * 1.8 + 32;
