import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readNumber, writeNumber } from './index';

const read = (typed: string, locale = 'en-GB', digits?: number) => {
  const reading = readNumber(typed, digits === undefined ? { locale } : { locale, digits });
  return reading.kind === 'number' ? reading.value : reading;
};
const NONE = { kind: 'none' };
const either = (asDecimal: number, asGroups: number) => ({ kind: 'ambiguous', asDecimal, asGroups });

describe('a number that was typed', () => {
  it.each([
    ['1,5', 1.5],
    ['1.5', 1.5],
    [' 12 ', 12],
    ['-3', -3],
    ['\u22123,5', -3.5],
    ['.5', 0.5],
    ['5.', 5],
    ['0,125', 0.125],
    ['1200,500', 1200.5],
    ['1.200,50', 1200.5],
    ['1,200.50', 1200.5],
    ['1.200.000', 1_200_000],
    ['12,34,567.8', 1_234_567.8],
    ['1 200,50', 1200.5],
    ['1\u202f200,50', 1200.5],
    ['1’200.50', 1200.5],
    ['€45', 45],
    ['45 €', 45],
    ['EUR 45,10', 45.1],
    ['1.200,50 EUR', 1200.5],
    ['$1,200.50', 1200.5],
  ])('%j is read alike everywhere', (typed, value) => {
    for (const locale of ['en-GB', 'de-AT', 'fr-FR', 'de-CH', 'en-IN']) expect(read(typed, locale, 2)).toBe(value);
  });

  it.each(['abc', '1,2,3', '12mm', '1.2.3,4', '--3', '.', '1,2.3,4', '4e3', 'Infinity'])('%j is none', (typed) => {
    expect(read(typed)).toEqual(NONE);
  });

  it('nothing is told from what is no number', () => {
    expect(readNumber('  ', { locale: 'en' })).toEqual({ kind: 'empty' });
    expect(readNumber('€', { locale: 'en' })).toEqual({ kind: 'empty' });
  });

  it.each([
    // A group mark of the locale parts groups.
    ['1,200', 'en-GB', 2, 1200],
    ['1.200', 'de-DE', 2, 1200],
    // A decimal mark of the locale with more decimals than the money has: asked.
    ['1.200', 'en-GB', 2, either(1.2, 1200)],
    ['1,200', 'de-AT', 2, either(1.2, 1200)],
    ['-1,200', 'de-AT', 2, either(-1.2, -1200)],
    ['1,200', 'ja-JP', 0, 1200],
    // Neither mark of the locale.
    ['1.200', 'fr-FR', 2, either(1.2, 1200)],
    ['1.200', 'de-AT', 2, either(1.2, 1200)],
    // Lengths, shares and Kuwait's money can have three decimals.
    ['1,200', 'de-AT', undefined, 1.2],
    ['1.200', 'en-GB', undefined, 1.2],
    ['1.200', 'en-GB', 3, 1.2],
  ] as const)('%j in %s with %s decimals', (typed, locale, digits, expected) => {
    expect(read(typed, locale, digits)).toEqual(expected);
  });

  it('what is written for editing is read back as it was', () => {
    const amounts = fc.integer({ min: -1e9, max: 1e9 }).map((cents) => cents / 100);
    fc.assert(
      fc.property(amounts, fc.constantFrom('en-GB', 'de-AT', 'fr-FR', 'de-CH', 'hi-IN', 'ar-EG'), (amount, locale) => {
        expect(read(writeNumber(amount, locale, 2, 2), locale, 2)).toBe(amount);
      }),
    );
  });
});
