// Counts that agree with their nouns.

const RULES = new Intl.PluralRules('en');

/** Nouns whose plural is not theirs with an s. */
const IRREGULAR: Readonly<Record<string, string>> = {
  box: 'boxes',
  cavity: 'cavities',
  copy: 'copies',
  day: 'days',
  'cut sheet': 'cut sheets',
  entry: 'entries',
  loss: 'losses',
  match: 'matches',
  pass: 'passes',
  supply: 'supplies',
  wash: 'washes',
};

/** The noun for so many, e.g. "part" or "parts"; `many` where its plural follows no rule. */
const nounFor = (count: number, one: string, many: string = IRREGULAR[one] ?? `${one}s`): string =>
  RULES.select(count) === 'one' ? one : many;

/** So many of it, e.g. "1 part", "12 parts", "0 parts". */
export const plural = (count: number, one: string, many?: string): string => `${count} ${nounFor(count, one, many)}`;

/** The verb for so many, e.g. `plural(n, 'part') + ' ' + verbFor(n, 'is', 'are')`. */
export const verbFor = (count: number, one: string, many: string): string => nounFor(count, one, many);
