import { describe, expect, it } from 'vitest';
import { groupGuesses, sumGuesses } from '../core/estimating';
import { describeGuesses, describeLeftOut, describeReason } from './guesses';

const settings = { locale: 'en-GB', currency: 'GBP', system: 'metric', timeZone: 'UTC' } as const;
const work = (station: string, ratio: number) => ({
  station,
  estimated: 100,
  real: 100 * ratio,
  atMs: 0,
  vinylName: null,
});
const tell = (guesses: readonly ReturnType<typeof work>[]) =>
  describeGuesses({ all: sumGuesses(guesses), groups: groupGuesses(guesses) }, settings);

describe('how good the guesses are, in words', () => {
  it('names the station that is guessed worst, and how', () => {
    const guesses = [
      ...[1, 1.02, 1.04].map((one) => work('cut', one)),
      ...[1.5, 1.6, 1.7].map((one) => work('weed', one)),
    ];
    expect(tell(guesses)).toBe(
      'Half of 6 pieces of work came within 27 % of the estimate. Weed is guessed worst: it takes 1.6 times what is calculated.',
    );
  });
  it('says what varies, what is near, and that there is nothing yet', () => {
    expect(tell([0.5, 1, 1.5].map((one) => work('press', one)))).toMatch(
      /Press is guessed worst: as long as calculated/,
    );
    expect(tell([1, 1.01, 1.02].map((one) => work('press', one)))).toBe(
      'Half of 3 pieces of work came within 1 % of the estimate.',
    );
    expect(tell([])).toMatch(/^No work was timed yet/);
  });
  it('says what was left out, and why', () => {
    expect(describeLeftOut([{ problem: 'forgotten', count: 2 }])).toBe(
      'Left out: 2 over eight times the estimate: a clock that was forgotten.',
    );
  });

  it('says why, what would put it right, and whether it became better', () => {
    const weed = { station: 'weed', error: 0.25, trend: null } as const;
    const tellWhy = (reason: Parameters<typeof describeReason>[0]) => describeReason(reason, settings);
    expect(tellWhy({ ...weed, because: { kind: 'steady', ratio: 1.3, errorWithout: 0.1 } })).toBe(
      'Whatever it is, it takes 1.3 times what is calculated. With that put right it would be 10 % off, not 25 %.',
    );
    expect(
      tellWhy({ ...weed, because: { kind: 'vinyl', name: 'Penny Flex, fern', ratio: 1.6, errorWithout: 0.12 } }),
    ).toBe(
      'Most of it comes from Penny Flex, fern, which takes 1.6 times what is calculated. With that put right it would be 12 % off, not 25 %.',
    );
    expect(tellWhy({ ...weed, because: { kind: 'size', name: 'under 5 min', ratio: 0.7, errorWithout: 0.2 } })).toMatch(
      /^Most of it comes from jobs of under 5 min: each takes 0\.7 times/,
    );
    expect(tellWhy({ ...weed, because: { kind: 'scatter' }, trend: { oldest: 0.4, newest: 0.2 } })).toBe(
      '25 % off: the same work takes now more, now less. The oldest third was 40 % off, the newest is 20 %.',
    );
  });
});
