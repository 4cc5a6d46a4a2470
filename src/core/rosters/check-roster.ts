// What may be wrong with a list of names, row by row, each with what could be done. Nothing is changed by itself.

import type { Lettering } from '../artwork';
import type { RosterItem, RosterRow } from './match-columns';

export type RosterFinding = {
  /** Of the row's line in the list. */
  readonly line: number;
  /** The name of the text; null for size and colour. */
  readonly label: string | null;
} & (
  | { readonly kind: 'spaces-at-ends' | 'look-alike' | 'hidden-letters' | 'other-case'; readonly becomes: string }
  | { readonly kind: 'nothing-written' }
  | { readonly kind: 'written-twice'; readonly lines: readonly number[] }
  | { readonly kind: 'unknown-size' | 'unknown-colour'; readonly written: string }
);

/** Such a row can't be made as it stands. */
export const isBlocking = ({ kind }: Pick<RosterFinding, 'kind'>): boolean =>
  kind === 'unknown-size' || kind === 'unknown-colour' || kind === 'hidden-letters';

export function checkRoster(rows: readonly RosterRow[], item: RosterItem): readonly RosterFinding[] {
  const byText = item.letterings.flatMap((lettering) => checkText(rows, lettering));
  const byRow = rows.flatMap((row) => checkVariant(row, item));
  const order = new Map(rows.map(({ line }, at) => [line, at]));
  return [...byRow, ...byText].sort((a, b) => order.get(a.line)! - order.get(b.line)!);
}

function checkVariant({ line, sizeName, colourName }: RosterRow, item: RosterItem): readonly RosterFinding[] {
  return [
    ...(item.sizes.includes(sizeName) ? [] : [{ line, label: null, kind: 'unknown-size', written: sizeName } as const]),
    ...(item.colours.includes(colourName)
      ? []
      : [{ line, label: null, kind: 'unknown-colour', written: colourName } as const]),
  ];
}

function checkText(rows: readonly RosterRow[], lettering: Lettering): readonly RosterFinding[] {
  const { label, kind, letterCase } = lettering;
  const usualCase = letterCase === 'as-typed' && kind === 'name' ? findUsualCase(rows, label) : null;
  const twice = findTwice(rows, label);
  return rows.flatMap((row): readonly RosterFinding[] => {
    const { line } = row;
    const text = row.texts[label] ?? '';
    if (text.trim() === '') return [{ line, label, kind: 'nothing-written' }];
    const visible = text.replace(HIDDEN, ' ').replace(FORMATTING, '');
    const plain = kind === 'number' ? toDigits(text) : toLetters(text);
    const cased = usualCase === null || matchesCase(text, usualCase) ? text : toCase(text, usualCase);
    const lines = twice.get(normalise(text)) ?? [];
    return [
      ...(visible === text ? [] : [{ line, label, kind: 'hidden-letters', becomes: visible.trim() } as const]),
      ...(text.trim() === text ? [] : [{ line, label, kind: 'spaces-at-ends', becomes: text.trim() } as const]),
      ...(plain === text ? [] : [{ line, label, kind: 'look-alike', becomes: plain } as const]),
      ...(cased === text ? [] : [{ line, label, kind: 'other-case', becomes: cased } as const]),
      ...(lines.length > 1 ? [{ line, label, kind: 'written-twice', lines } as const] : []),
    ];
  });
}

/** Tabs and other marks that nobody sees and no knife cuts. */
const HIDDEN = /[\t\n\r\u00a0\u2000-\u200a\u2028\u2029\u202f\u3000]/gu;
const FORMATTING =
  /[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f\u00ad\u200b-\u200f\u202a-\u202e\u2060-\u2064\ufeff]/gu;

const normalise = (text: string): string => text.normalize('NFC').trim().toLowerCase();

/** Lines by what they say, capitals aside. */
function findTwice(rows: readonly RosterRow[], label: string): ReadonlyMap<string, readonly number[]> {
  const lines = new Map<string, number[]>();
  for (const row of rows) {
    const key = normalise(row.texts[label] ?? '');
    if (key === '') continue;
    const own = lines.get(key);
    if (own) own.push(row.line);
    else lines.set(key, [row.line]);
  }
  return lines;
}

const AS_DIGITS: Readonly<Record<string, string>> = {
  O: '0',
  o: '0',
  I: '1',
  l: '1',
  '|': '1',
  S: '5',
  s: '5',
  B: '8',
};
const AS_LETTERS: Readonly<Record<string, string>> = { '0': 'o', '1': 'l', '5': 's', '|': 'l' };

/** A number with letters that look like digits in it, as digits: 1O is 10. Left alone where other letters stand, too. */
function toDigits(text: string): string {
  if (!/\d/.test(text) && !/^[OoIl|]+$/.test(text.trim())) return text;
  const digits = text.replace(/[OoIl|SsB]/g, (sign) => AS_DIGITS[sign]!);
  return /^[\s#]*\d+\s*$/.test(digits) ? digits : text;
}

/** A name with digits that look like letters within it: M0RGAN is MORGAN. A number of its own stays one. */
function toLetters(text: string): string {
  return text.replace(/\S+/gu, (word) => {
    if (!/\p{L}/u.test(word) || !/[015|]/.test(word)) return word;
    const upper = word === word.toUpperCase();
    return word.replace(/[015|]/g, (sign) =>
      upper ? (sign === '1' || sign === '|' ? 'I' : AS_LETTERS[sign]!.toUpperCase()) : AS_LETTERS[sign]!,
    );
  });
}

type Case = 'upper' | 'lower' | 'title';

function readCase(text: string): Case | null {
  if (!/\p{L}/u.test(text)) return null;
  if (text === text.toUpperCase()) return 'upper';
  if (text === text.toLowerCase()) return 'lower';
  return /^\p{Lu}/u.test(text.trim()) ? 'title' : null;
}
const matchesCase = (text: string, wanted: Case): boolean => readCase(text) === wanted || !/\p{L}/u.test(text);

/** How more than half of a list is written; null where it is mixed anyway. */
function findUsualCase(rows: readonly RosterRow[], label: string): Case | null {
  const cases = rows.flatMap((row) => readCase(row.texts[label] ?? '') ?? []);
  return (
    (['title', 'upper', 'lower'] as const).find(
      (one) => cases.filter((other) => other === one).length * 2 > cases.length,
    ) ?? null
  );
}

function toCase(text: string, wanted: Case): string {
  if (wanted === 'upper') return text.toUpperCase();
  if (wanted === 'lower') return text.toLowerCase();
  return text
    .toLowerCase()
    .replace(/(^|[\s'’-])(\p{L})/gu, (_, before: string, first: string) => before + first.toUpperCase());
}
