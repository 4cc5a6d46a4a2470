// Numbers as people type them: with groups, either decimal mark, currency signs and spaces. What can be read in two ways
// is not guessed.

export type NumberReading =
  | { readonly kind: 'number'; readonly value: number }
  | { readonly kind: 'empty' }
  | { readonly kind: 'none' }
  /** It can be meant either way: "1,200" of money that has two decimals. */
  | { readonly kind: 'ambiguous'; readonly asDecimal: number; readonly asGroups: number };

type ReadingSettings = {
  /** BCP 47; says which mark is the decimal one. */
  readonly locale: string;
  /** Decimals that the amount can have, as 2 for cents: more are never meant. Without it any number of them is. */
  readonly digits?: number;
};

const NONE: NumberReading = { kind: 'none' };
const GROUPED = /^\d{1,3}(?:[.,]\d{2,3})*[.,]\d{3}$/;

/**
 * Reads a number. Where both marks stand, the last is the decimal one; a mark that stands more than once parts groups;
 * a single one with three digits behind it is read by the locale, and asked about where the locale does not settle it
 * or the amount can't have three decimals.
 */
export function readNumber(typed: string, { locale, digits }: ReadingSettings): NumberReading {
  const text = tidy(typed);
  if (text === '') return { kind: 'empty' };
  const sign = /^[-+]?/.exec(text)![0];
  const plain = text.slice(sign.length);
  if (!/^[\d.,]*\d[\d.,]*$/.test(plain)) return NONE;
  const reading = readMarks(plain, locale, digits);
  return sign === '-' ? negate(reading) : reading;
}

/** Spaces, apostrophes between groups, and signs or codes of a currency carry nothing. */
function tidy(typed: string): string {
  return typed
    .replace(/[\s\p{Cf}]/gu, '')
    .replace(/(?<=\d)['’](?=\d{3})/g, '')
    .replace(/\p{Sc}/gu, '')
    .replace(/^[A-Za-z]{3}(?=[-+\d.,])|(?<=\d)[A-Z]{3}$/g, '')
    .replace(/^\u2212/, '-');
}

function readMarks(plain: string, locale: string, digits: number | undefined): NumberReading {
  const marks = plain.match(/[.,]/g) ?? [];
  const last = marks.at(-1);
  if (last === undefined) return number(plain);
  const isLastAlone = marks.filter((mark) => mark === last).length === 1;
  if (new Set(marks).size === 2) return isLastAlone ? readDecimal(plain, last) : NONE;
  if (!isLastAlone) return GROUPED.test(plain) ? number(plain.replaceAll(last, '')) : NONE;
  return readSingleMark(plain, last, locale, digits);
}

/** Groups before the decimal mark must be groups: "1.2.3,4" is none. */
function readDecimal(plain: string, mark: string): NumberReading {
  const at = plain.lastIndexOf(mark);
  const whole = plain.slice(0, at);
  if (/[.,]/.test(whole) && !GROUPED.test(whole)) return NONE;
  return number(`${whole.replace(/[.,]/g, '')}.${plain.slice(at + 1)}`);
}

function readSingleMark(plain: string, mark: string, locale: string, digits: number | undefined): NumberReading {
  const asDecimal = number(plain.replace(mark, '.'));
  // "0,125" and "1200,500" can't be groups; "12,5" has too few digits behind its mark to be.
  if (!/^[1-9]\d{0,2}[.,]\d{3}$/.test(plain)) return asDecimal;
  const asGroups = number(plain.replace(mark, ''));
  const isDecimalHere = mark === getMark(locale, 'decimal');
  const isGroupHere = mark === getMark(locale, 'group');
  if (isGroupHere) return asGroups;
  if (isDecimalHere && (digits === undefined || digits >= 3)) return asDecimal;
  return asDecimal.kind === 'number' && asGroups.kind === 'number'
    ? { kind: 'ambiguous', asDecimal: asDecimal.value, asGroups: asGroups.value }
    : NONE;
}

function number(plain: string): NumberReading {
  return /^(\d+\.?\d*|\.\d+)$/.test(plain) ? { kind: 'number', value: Number(plain) } : NONE;
}

function negate(reading: NumberReading): NumberReading {
  if (reading.kind === 'number') return { kind: 'number', value: -reading.value };
  if (reading.kind === 'ambiguous')
    return { kind: 'ambiguous', asDecimal: -reading.asDecimal, asGroups: -reading.asGroups };
  return reading;
}

/** Making one takes longer than a hundred uses of it. */
const marks = new Map<string, string | undefined>();
const typedFormats = new Map<string, Intl.NumberFormat>();

function getMark(locale: string, part: 'decimal' | 'group'): string | undefined {
  const key = `${locale}/${part}`;
  if (!marks.has(key))
    marks.set(key, new Intl.NumberFormat(locale).formatToParts(1_234_567.8).find(({ type }) => type === part)?.value);
  return marks.get(key);
}

/** A number as it is typed in that locale: its decimal mark and no groups. */
export function writeNumber(value: number, locale: string, mostDigits: number, leastDigits = 0): string {
  const key = `${locale}/${mostDigits}/${leastDigits}`;
  let format = typedFormats.get(key);
  if (!format) {
    format = new Intl.NumberFormat(locale, {
      useGrouping: false,
      minimumFractionDigits: leastDigits,
      maximumFractionDigits: mostDigits,
      numberingSystem: 'latn',
    });
    typedFormats.set(key, format);
  }
  return format.format(value);
}
