import { describe, expect, it } from 'vitest';
import { describePieces, describeStates } from './part-groups';

describe('groups of parts in words', () => {
  it.each([
    [[], ''],
    [[3], '3'],
    [[1, 2, 3, 4, 7], '1–4, 7'],
    [[1, 3, 4, 9], '1, 3–4, 9'],
  ])('%j', (numbers, said) => expect(describePieces(numbers)).toBe(said));

  it('tell only states that something is in', () => {
    const states = { 'to-cut': 2, cut: 0, weeded: 1, pressed: 0, checked: 0 };
    expect(describeStates({ states, broken: 0 })).toBe('2 to cut, 1 weeded');
    expect(describeStates({ states, broken: 1 })).toBe('2 to cut, 1 weeded, 1 of them again');
  });
});
