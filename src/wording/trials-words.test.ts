// What trials say, word for word.

import { describe, expect, it } from 'vitest';
import { describeHour, describeLearned, describeTested } from './learning';
import { describeReason, describeSides } from './side-by-side';
import { describeDistrust } from './trials';

const settings = { locale: 'en-GB', currency: 'EUR', timeZone: 'UTC', system: 'metric' } as const;

describe('side by side', () => {
  it.each([
    [{ kind: 'not-filled', missing: 1 }, [], '1 sheet to fill in'],
    [{ kind: 'none' }, [], 'None of them serves'],
    [{ kind: 'untimed', ids: [1] }, ['Slate'], 'Slate loses least; which is quicker was not timed'],
    [{ kind: 'untimed', ids: [1, 2] }, ['Slate', 'Fern'], 'Slate and Fern will do; which is quicker was not timed'],
    [{ kind: 'even', ids: [1, 2, 3] }, ['A', 'B', 'C'], 'A, B and C are as good as one another'],
    [{ kind: 'best', id: 1, ahead: null }, ['Slate'], 'Slate is the only one that serves'],
    [
      { kind: 'best', id: 1, ahead: 0.4 },
      ['Slate'],
      'Slate serves best: the next takes 40 % longer for each good piece',
    ],
    [
      { kind: 'best', id: 1, ahead: 2 },
      ['Slate'],
      'Slate serves best: the next takes 3.0 times as long for each good piece',
    ],
  ] as const)('%o', (verdict, names, words) => expect(describeSides(verdict, names, settings)).toBe(words));

  it('says why a piece is looked at again', () =>
    expect([describeReason('wash', 1), describeReason('wash', 5), describeReason('edges', 0)]).toEqual([
      'after its first wash',
      'after 5 washes',
      'edges, after a day',
    ]));
});

describe('what the clock teaches', () => {
  const learned = {
    station: 'weed',
    logs: 12,
    leftOut: 2,
    figures: [],
    factors: [],
    people: [],
    tested: null,
    bands: [],
  } as const;
  const station = { ...learned, hour: null, takenAtMs: null };

  it('says how far it is, and what was left out', () =>
    expect(describeLearned(station, 20)).toBe(
      '12 logs so far; from 20 on it is learned from. 2 others left out: too short, or the clock was forgotten.',
    ));

  it('says whether it would have guessed the newest better', () => {
    expect(describeTested({ before: 0.34, after: 0.14, heldOut: 30 }, settings)).toBe(
      'The newest 30, which it did not see, are 34 % off with your figures, and 14 % with those of the log.',
    );
    expect(describeTested({ before: 0.14, after: 0.16, heldOut: 30 }, settings)).toBe(
      'The newest 30, which it did not see, are guessed no better by it: 14 % off as it is, 16 % with it.',
    );
    expect(describeHour({ low: 2460, high: 4680 }, settings)).toBe(
      'Of what it calculates at an hour, nine in ten take 41 min to 1 h 18.',
    );
  });
});

it('a vinyl that failed, or did not last, is named with its counts', () => {
  const one = (asBought: 'no' | 'short-lived' | 'sell') =>
    ({ design: 'fine', tries: 20, failures: 15, asBought }) as unknown as Parameters<
      typeof describeDistrust
    >[0]['classes'][number];
  expect(describeDistrust({ classes: [one('sell')] })).toBeNull();
  expect(describeDistrust({ classes: [one('sell'), one('no')] })).toBe(
    'By your own counts not to be trusted: 15 of 20 failed (fine: under 1.5 mm).',
  );
  expect(describeDistrust({ classes: [one('short-lived')] })).toBe(
    'By your own counts not to be trusted: it did not last (fine: under 1.5 mm).',
  );
});
