import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DEFAULT_SHOP_FIGURES } from '../materials';
import { figure } from '../units';
import { estimateCutHandsSeconds, getWatchedSeconds, learnCutting, type LoggedCutting } from './index';

const SHOP = { ...DEFAULT_SHOP_FIGURES, cutterLoadSeconds: 90, cutterWatchSeconds: 120 };
/** One piece cuts so long, seconds. */
const MACHINE = 9;
const ONE_LOAD = figure('Loads', 1, 'count', 'typed');

/** A stretch in a shop where loading and watching go so much slower or quicker than estimated. */
function log(pieces: number, loading: number, watching: number): LoggedCutting {
  const watched = getWatchedSeconds(pieces * MACHINE, SHOP);
  return {
    pieces,
    loading: SHOP.cutterLoadSeconds,
    watching: watched,
    seconds: loading * SHOP.cutterLoadSeconds + watching * watched,
  };
}
const handsFor = (pieces: number, logged: readonly LoggedCutting[]): number =>
  estimateCutHandsSeconds({ machineSeconds: pieces * MACHINE, loads: ONE_LOAD, learned: learnCutting(logged)! }, SHOP)
    .value / pieces;

describe('cutting learned from the log', () => {
  it('is not believed before three pieces, then at the number it was logged at', () => {
    expect(learnCutting([])).toBeNull();
    expect(learnCutting([log(2, 2, 2)])).toBeNull();
    expect(handsFor(4, [log(4, 2, 2)])).toBeCloseTo((2 * (90 + 36)) / 4, 6);
  });

  it('holds at one and at a hundred though it was learned at four: a load is shared by its pieces', () => {
    const logged = [log(4, 1.5, 1.5)];
    expect(handsFor(1, logged)).toBeCloseTo(1.5 * (90 + 9), 6);
    expect(handsFor(100, logged)).toBeCloseTo((1.5 * (90 + 120)) / 100, 6);
    // As one mean for a piece it was too little at one, too much at a hundred.
    const mean = logged[0]!.seconds / 4;
    expect(handsFor(1, logged) - mean).toBeGreaterThan(100);
    expect(mean - handsFor(100, logged)).toBeGreaterThan(40);
  });

  it('parts loading from watching where several numbers of pieces show it', () => {
    const learned = learnCutting([1, 1, 2, 12, 14, 40, 40].map((pieces) => log(pieces, 2, 0.8)))!;
    expect(learned.loading.value).toBeGreaterThan(1.7);
    expect(learned.watching.value).toBeLessThan(1.1);
    expect(learned.loading.parts![0]).toMatchObject({ label: 'Pieces logged', value: 110 });
  });

  it('learns exactly what went evenly slower, and lies within what was logged', () => {
    const stretches = fc.array(fc.integer({ min: 1, max: 60 }), { minLength: 3, maxLength: 12 });
    fc.assert(
      fc.property(stretches, fc.double({ min: 0.2, max: 4, noNaN: true }), (numbers, factor) => {
        const learned = learnCutting(numbers.map((pieces) => log(pieces, factor, factor)))!;
        expect(learned.loading.value).toBeCloseTo(factor, 6);
        expect(learned.watching.value).toBeCloseTo(factor, 6);
        expect([learned.low, learned.high].map((band) => Math.round(band * 1e6) / 1e6)).toEqual([1, 1]);
      }),
    );
  });

  it('shows where it comes from, and its band', () => {
    const hands = estimateCutHandsSeconds(
      { machineSeconds: 36, loads: ONE_LOAD, learned: learnCutting([log(4, 1, 1), log(4, 2, 2)])! },
      SHOP,
    );
    expect(hands).toMatchObject({ source: 'learned', how: 'load × how loading goes + watch × how watching goes' });
    expect(hands.value).toBeCloseTo(1.5 * 126, 6);
    expect(hands.low!).toBeCloseTo(126, 6);
    expect(hands.high!).toBeCloseTo(252, 6);
  });
});
