import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { compareLetters, isAsGiven } from './index';

/** Given letters in brackets, letters of the text in braces, shared ones as they are. */
const show = (given: string, text: string) =>
  compareLetters(given, text)
    .map(({ kind, letters }) => (kind === 'same' ? letters : kind === 'given-only' ? `[${letters}]` : `{${letters}}`))
    .join('');

describe('a text beside the customer’s own words', () => {
  it.each([
    ['MARLOWE', 'MARLOWE', 'MARLOWE'],
    ['MARLOWE', 'MARLOW', 'MARLOW[E]'],
    ['M0RGAN', 'MORGAN', 'M[0]{O}RGAN'],
    ['Tarn ', 'Tarn', 'Tarn[ ]'],
    ['', '7', '{7}'],
    ['7', '', '[7]'],
    ['O’Dell', "O'Dell", "O[’]{'}Dell"],
    ['abc', 'xyz', '[abc]{xyz}'],
  ])('%j and %j: %s', (given, text, shown) => expect(show(given, text)).toBe(shown));

  it('takes a letter with its accent, and a family of signs, for one', () => {
    expect(show('Zoe\u0301', 'Zoe')).toBe('Zo[e\u0301]{e}');
    expect(compareLetters('A👩‍👩‍👧B', 'AB')).toEqual([
      { kind: 'same', letters: 'A' },
      { kind: 'given-only', letters: '👩‍👩‍👧' },
      { kind: 'same', letters: 'B' },
    ]);
  });

  it('loses no letter of either, and differs nowhere where they are the same', () => {
    const text = fc.string({ maxLength: 12, unit: fc.constantFrom('a', 'b', 'c', ' ') });
    fc.assert(
      fc.property(text, text, (given, set) => {
        const runs = compareLetters(given, set);
        const join = (kind: string) =>
          runs
            .filter((run) => run.kind !== kind)
            .map(({ letters }) => letters)
            .join('');
        expect([join('text-only'), join('given-only')]).toEqual([given, set]);
        expect(runs.every(({ kind }) => kind === 'same')).toBe(given === set);
      }),
    );
  });

  it('is as given only letter for letter', () => {
    expect(isAsGiven({ text: 'Tarn', given: 'Tarn' })).toBe(true);
    expect(isAsGiven({ text: 'Tarn', given: 'Tarn ' })).toBe(false);
  });
});
