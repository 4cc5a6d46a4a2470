// What a piece says, against the customer's own words: letter by letter.

/** A text on a piece. `label`: the name of its place in the item, such as "Surname". */
export type LineText = {
  readonly label: string;
  /** As it is cut, before the item's own capitals. */
  readonly text: string;
  /** As the customer wrote it, every space kept. */
  readonly given: string;
  /** Set in smaller letters, where it is too long for its place. */
  readonly smaller?: boolean;
};

/** A run of letters that both have, that only the customer wrote, or that only the piece says. */
export type LetterRun = { readonly kind: 'same' | 'given-only' | 'text-only'; readonly letters: string };

const segmenter = new Intl.Segmenter(undefined, { granularity: 'grapheme' });
const splitLetters = (text: string): readonly string[] => [...segmenter.segment(text)].map(({ segment }) => segment);

/**
 * The shortest way from the customer's words to the text, in their order; by the longest letters they share. Letters
 * are what a reader takes for one, accents included. Quadratic in the length: made for names.
 */
export function compareLetters(given: string, text: string): readonly LetterRun[] {
  const from = splitLetters(given);
  const to = splitLetters(text);
  const shared = countShared(from, to);
  const runs: { kind: LetterRun['kind']; letters: string }[] = [];
  const add = (kind: LetterRun['kind'], letter: string) => {
    const last = runs.at(-1);
    if (last?.kind === kind) last.letters += letter;
    else runs.push({ kind, letters: letter });
  };
  let i = 0;
  let j = 0;
  while (i < from.length || j < to.length) {
    if (i < from.length && j < to.length && from[i] === to[j]) {
      add('same', from[i]!);
      i++;
      j++;
    } else if (j >= to.length || (i < from.length && shared[i + 1]![j]! >= shared[i]![j + 1]!)) {
      add('given-only', from[i]!);
      i++;
    } else {
      add('text-only', to[j]!);
      j++;
    }
  }
  return runs;
}

/** How many letters the ends from each pair of places on have in common, in order. */
function countShared(from: readonly string[], to: readonly string[]): readonly (readonly number[])[] {
  const shared = Array.from({ length: from.length + 1 }, () => new Array<number>(to.length + 1).fill(0));
  for (let i = from.length - 1; i >= 0; i--)
    for (let j = to.length - 1; j >= 0; j--)
      shared[i]![j] = from[i] === to[j] ? shared[i + 1]![j + 1]! + 1 : Math.max(shared[i + 1]![j]!, shared[i]![j + 1]!);
  return shared;
}

/** It says just what the customer wrote. */
export const isAsGiven = ({ text, given }: Pick<LineText, 'text' | 'given'>): boolean => text === given;
