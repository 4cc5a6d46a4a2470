// How large ordinary prices are in a currency, so that a new shop begins with figures of the right order.

import { getMoneyDigits } from '../units';

/**
 * Units of a currency for what costs about one euro, to the nearest of 1, 2 and 5 in each decade. No rates of exchange:
 * they only keep a blade from costing nine yen. What is not named is taken as of the euro's size.
 */
const UNITS_TO_A_EURO: readonly (readonly [units: number, currencies: string])[] = [
  [0.5, 'BHD JOD KWD OMR'],
  [2, 'AUD BGN BRL NZD SGD TND'],
  [5, 'AED GEL ILS MYR PEN PLN QAR RON SAR'],
  [10, 'BOB BWP CNY DKK GTQ HKD MAD NOK SEK'],
  [20, 'CZK MDL MXN NAD ZAR'],
  [50, 'DOP EGP MKD PHP THB TRY TWD UAH UYU'],
  [100, 'ALL BDT INR JPY KES RSD RUB'],
  [200, 'DZD ISK LKR NPR PKR'],
  [500, 'AMD CRC HUF KZT XAF XOF'],
  [1000, 'ARS CLP KRW NGN'],
  [2000, 'TZS MMK'],
  [5000, 'COP KHR UGX'],
  [10_000, 'PYG UZS'],
  [20_000, 'IDR LAK VND'],
];

const unitsByCurrency = new Map(
  UNITS_TO_A_EURO.flatMap(([units, currencies]) => currencies.split(' ').map((currency) => [currency, units] as const)),
);

const CENTS_IN_A_EURO = 100;

/** Minor units of a currency for what costs about a cent of the euro: 1 for euros and for yen, 5 for Kuwaiti dinars. */
export const getPriceLevel = (currency: string): number =>
  ((unitsByCurrency.get(currency) ?? 1) * 10 ** getMoneyDigits(currency)) / CENTS_IN_A_EURO;
