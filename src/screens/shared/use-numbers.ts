// Numbers as they are typed and shown for typing on this screen: by the shop's locale and currency.

import {
  fromMajor,
  getMoneyDigits,
  MM_PER_INCH,
  readNumber,
  toMajor,
  writeNumber,
  type NumberReading,
} from '../../core/units';
import { useSettings, type Settings } from './settings';

const valueOf = (reading: NumberReading): number | null => (reading.kind === 'number' ? reading.value : null);

/**
 * What is sent for a field: its number, or what was typed, so that the answer tells what is wrong with it. What could be
 * read in two ways must not be read in a third one at the other end: it is sent as nothing.
 */
export const toSent = (number: number | null, text: string): number | string | null =>
  number ?? (/^[\s\d.,'’+-]+$/.test(text) ? null : text);

export type Numbers = ReturnType<typeof makeNumbers>;

function makeNumbers({ locale, currency }: Pick<Settings, 'locale' | 'currency'>) {
  const moneyDigits = getMoneyDigits(currency);
  return {
    /** Null for what is no number, and for what can be read in two ways. */
    read: (text: string): number | null => valueOf(readNumber(text, { locale })),
    /** As it is sent: see `toSent`. */
    send: (text: string) => toSent(valueOf(readNumber(text, { locale })), text),
    /** Minor units of what was typed in whole ones. */
    readMoney: (text: string): number | null => {
      const amount = valueOf(readNumber(text, { locale, digits: moneyDigits }));
      return amount === null ? null : fromMajor(amount, currency);
    },
    write: (value: number, mostDigits = 4): string => writeNumber(value, locale, mostDigits),
    writeMoney: (minor: number): string => writeNumber(toMajor(minor, currency), locale, moneyDigits, moneyDigits),
    moneyDigits,
    currency,
  };
}

export function useNumbers(): Numbers {
  const { locale, currency } = useSettings();
  return makeNumbers({ locale, currency });
}

/** Lengths are typed in the chosen unit and held in mm. */
export function useLengthUnit(): {
  readonly unit: 'mm' | 'in';
  readonly toMm: (text: string) => number | null;
  readonly fromMm: (mm: number) => string;
} {
  const { system } = useSettings();
  const { read, write } = useNumbers();
  const per = system === 'metric' ? 1 : MM_PER_INCH;
  return {
    unit: system === 'metric' ? 'mm' : 'in',
    toMm: (text) => {
      const number = read(text);
      return number === null ? null : number * per;
    },
    fromMm: (mm) => write(mm / per, 2),
  };
}
