// Orders looked for by words in any order; with a slip of the finger in them, where nothing is written so.

import { distance } from 'fastest-levenshtein';
import { splitWords } from './order-sums';

export type Findable = {
  readonly id: number;
  /** Its title, its customer, what stands on its pieces. */
  readonly texts: readonly string[];
};

/** Capitals and accents aside: not everybody has them on the keyboard. */
const makePlain = (text: string): string => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase();

/** Each of the words is in one of its texts, or is its number, with or without a mark before it. */
export function holdsWords({ id, texts }: Findable, words: string): boolean {
  const plain = texts.map(makePlain);
  return splitWords(makePlain(words)).every(
    (word) => word.replace(/^#/, '') === String(id) || plain.some((text) => text.includes(word)),
  );
}

/** Short words are nothing but their letters: one slip makes another word of them. */
const SHORTEST_FORGIVEN = 4;
const LONG = 6;
const forgivenSlips = (word: string): number => {
  if (word.length < SHORTEST_FORGIVEN || /\d/.test(word)) return 0;
  return word.length < LONG ? 1 : 2;
};

/** Each of the words is near one of its words: one letter wrong, missing or too many, two in a long word. */
export function nearlyHoldsWords({ id, texts }: Findable, words: string): boolean {
  const own = texts.flatMap(splitWords);
  return splitWords(words).every(
    (word) => holdsWords({ id, texts }, word) || own.some((one) => distance(word, one) <= forgivenSlips(word)),
  );
}
