// What a new shop is likely to want, by the browser it is opened with.

import countryToCurrency from 'country-to-currency';
import type { ShopIdentity } from '../../core/materials';
import type { MeasureSystem } from '../../core/units';

export type GuessedShop = Pick<ShopIdentity, 'currency' | 'locale' | 'timeZone'> & { readonly system: MeasureSystem };

/** Where feet and °F are usual. */
const INCH_REGIONS: readonly string[] = ['US', 'LR', 'MM'];

/** `language`: a tag such as de-AT; where it names no country, the one where it is mostly spoken. */
export function guessShop(language: string, timeZone: string): GuessedShop {
  const locale = readLocale(language) ?? new Intl.Locale('en-GB');
  const region = locale.region ?? locale.maximize().region ?? 'GB';
  const currencies: Readonly<Record<string, string>> = countryToCurrency;
  return {
    locale: locale.toString(),
    currency: currencies[region] ?? 'EUR',
    timeZone,
    system: INCH_REGIONS.includes(region) ? 'inch' : 'metric',
  };
}

function readLocale(language: string): Intl.Locale | null {
  try {
    return new Intl.Locale(language);
  } catch (error) {
    // A browser may be set to no language at all.
    if (error instanceof RangeError) return null;
    throw error;
  }
}
