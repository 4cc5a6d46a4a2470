import { describe, expect, it } from 'vitest';
import { holdsWords, nearlyHoldsWords } from './find-words';

const order = { id: 12, texts: ['Junior crew, surnames and seats', 'Fennmere Rowing Crew', 'Ó Dálaigh', '7'] };

describe('an order is found', () => {
  it.each(['', 'crew', 'rowing junior', 'CREW seats', '12', '#12', 'dálaigh', 'o dalaigh', 'surnames 7'])(
    'by “%s”',
    (words) => {
      expect(holdsWords(order, words)).toBe(true);
      expect(nearlyHoldsWords(order, words)).toBe(true);
    },
  );

  it.each(['bakery', '13', '#1', 'crew bakery'])('not by “%s”', (words) => {
    expect(holdsWords(order, words)).toBe(false);
    expect(nearlyHoldsWords(order, words)).toBe(false);
  });

  it.each(['jumior', 'rowign crew', 'fenmere', 'surmanes', 'fennmeree rowimg'])('nearly, by “%s”', (words) => {
    expect(holdsWords(order, words)).toBe(false);
    expect(nearlyHoldsWords(order, words)).toBe(true);
  });

  it.each(['cre3', 'cat', '17', 'rjwxnh', 'jnmiqs'])('never by what is another word: “%s”', (words) => {
    expect(nearlyHoldsWords(order, words)).toBe(false);
  });
});
