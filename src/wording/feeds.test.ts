// What taking a channel's file did, in one sentence; and what it calls things that nobody knows.

import { describe, expect, it } from 'vitest';
import type { FeedReport, UnknownName } from '../views/feed';
import { describeReport, describeUnknown } from './feeds';

const NOTHING: FeedReport = { taken: 0, changed: 0, cancelled: 0, same: 0, waiting: 0, refused: 0 };

describe('what a file did', () => {
  it.each<[Partial<FeedReport>, string]>([
    [{}, 'There was no order in it.'],
    [{ taken: 1 }, '1 order taken.'],
    [{ taken: 3, same: 2 }, '3 orders taken, 2 already known.'],
    [{ changed: 1, cancelled: 2 }, '1 changed, 2 cancelled.'],
    [{ waiting: 1, refused: 1 }, '1 to match, 1 failed.'],
  ])('%j', (part, said) => expect(describeReport({ ...NOTHING, ...part })).toBe(said));
});

describe('what nobody knows', () => {
  const item = { id: 4, name: 'Crew jacket' };
  it.each<[readonly UnknownName[], string]>([
    [[{ kind: 'item', name: 'TT-1' }], 'What is TT-1?'],
    [
      [
        { kind: 'size', name: 'M-Tall', item, choices: ['M'] },
        { kind: 'colour', name: 'Ink', item, choices: ['navy'] },
      ],
      'What is the size M-Tall of Crew jacket, the colour Ink of Crew jacket?',
    ],
  ])('%j', (unknown, said) => expect(describeUnknown(unknown)).toBe(said));
});
