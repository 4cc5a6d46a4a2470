import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  apportion,
  formatClock,
  formatDuration,
  formatFigure,
  formatLength,
  formatMoney,
  formatTemperature,
  groupBy,
  roundMoney,
  type FormatSettings,
} from './index';

const metric: FormatSettings = { locale: 'en-GB', currency: 'EUR', system: 'metric', timeZone: 'Europe/Vienna' };
const inch: FormatSettings = { ...metric, system: 'inch' };

describe('apportion', () => {
  it('gives the missing cent to the largest remainder', () => {
    expect(apportion([33.4, 33.4, 33.2], 100)).toEqual([34, 33, 33]);
  });

  it('always adds up to the rounded total, and moves no part by a whole cent', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: 0, max: 5000, noNaN: true }), { minLength: 1, maxLength: 40 }), (parts) => {
        const total = roundMoney(parts.reduce((sum, part) => sum + part, 0));
        const shares = apportion(parts, total);
        expect(shares.reduce((sum, share) => sum + share, 0)).toBe(total);
        shares.forEach((share, index) => expect(Math.abs(share - parts[index]!)).toBeLessThan(1 + 1e-6));
      }),
    );
  });
});

describe('roundMoney', () => {
  it.each([
    [0.5, 1],
    [1.005 * 100, 101],
    [2.4, 2],
    [-0.5, -1],
    [-0.2, 0],
    [0, 0],
  ])('%d → %d', (exact, rounded) => {
    expect(roundMoney(exact)).toBe(rounded);
  });
});

describe('formatting', () => {
  it('shows money in the digits of its currency', () => {
    expect(formatMoney(1234, metric)).toBe('12.34');
    expect(formatMoney(1234, { ...metric, currency: 'JPY' })).toBe('1,234');
    expect(formatMoney(-5, { ...metric, locale: 'de-AT' })).toBe('-0,05');
  });

  it('shows lengths and temperatures in both systems', () => {
    expect([formatLength(254, metric), formatLength(254, inch)]).toEqual(['254 mm', '10 in']);
    expect([formatTemperature(155, metric), formatTemperature(155, inch)]).toEqual(['155 °C', '311 °F']);
  });

  it.each([
    [45, '45 s'],
    [59.7, '1.0 min'],
    [210, '3.5 min'],
    [3599, '1 h 00'],
    [7800, '2 h 10'],
    [-600, '−10 min'],
  ])('shows %d seconds as %s', (seconds, shown) => {
    expect(formatDuration(seconds, metric)).toBe(shown);
  });

  it('shows a running clock', () => {
    expect([formatClock(7), formatClock(765), formatClock(3729), formatClock(-3)]).toEqual([
      '0:07',
      '12:45',
      '1:02:09',
      '0:00',
    ]);
  });

  it('shows a figure by its unit', () => {
    expect(formatFigure({ value: 0.363, unit: 'share' }, metric)).toBe('36.3 %');
    expect(formatFigure({ value: 34_100, unit: 'mm²' }, metric)).toBe('341.0 cm²');
    expect(formatFigure({ value: 1800, unit: 'money/h' }, metric)).toBe('18.00 / h');
  });
});

it('groups in the order the keys come up', () => {
  expect([...groupBy([3, 1, 2, 4], (n) => (n % 2 ? 'odd' : 'even'))]).toEqual([
    ['odd', [3, 1]],
    ['even', [2, 4]],
  ]);
});
