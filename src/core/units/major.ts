// Whole units of a currency and its minor units: the one place that knows how many digits lie between them.

import { roundMoney } from './apportion';
import type { Minor } from './quantity';

const digitsByCurrency = new Map<string, number>();

/** How many minor units make one of the currency, as a power of ten: 2 for most, 0 for yen, 3 for dinars. */
export function getMoneyDigits(currency: string): number {
  let digits = digitsByCurrency.get(currency);
  if (digits === undefined) {
    const format = new Intl.NumberFormat('en', { style: 'currency', currency });
    digits = format.resolvedOptions().maximumFractionDigits ?? 2;
    digitsByCurrency.set(currency, digits);
  }
  return digits;
}

/** Minor units as an amount of the currency: 1234 → 12.34 in EUR, 1234 in JPY, 1.234 in KWD. */
export const toMajor = (minorUnits: number, currency: string): number => minorUnits / 10 ** getMoneyDigits(currency);

/** An amount of the currency in whole minor units, halves away from zero. */
export const fromMajor = (amount: number, currency: string): Minor =>
  roundMoney(amount * 10 ** getMoneyDigits(currency));

/** An amount as a file shows it, whatever the locale: "12.34", or "1234" in yen. */
export const printMajor = (minorUnits: number, currency: string): string =>
  toMajor(minorUnits, currency).toFixed(getMoneyDigits(currency));

/**
 * The largest amount that is typed, minor units: a press in rupiah and a roll in forint are below it, and sums of all
 * lines of an order stay exact.
 */
export const MONEY_MOST = 100_000_000_000;

const PER_CENT = 100;
export const toPercent = (share: number): number => share * PER_CENT;
export const fromPercent = (percent: number): number => percent / PER_CENT;
