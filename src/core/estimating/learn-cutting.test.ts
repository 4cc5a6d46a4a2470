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

describe('worked out on paper', () => {
  const stretch = (seconds: number, loading: number, watching: number, pieces = 3): LoggedCutting => ({
    seconds,
    pieces,
    loading,
    watching,
  });

  /** The two factors that leave the least squares, found by shrinking steps downhill: no normal equations. */
  function seek(logged: readonly LoggedCutting[]): readonly [number, number] {
    const estimated = logged.reduce((all, one) => all + one.loading + one.watching, 0);
    const together = logged.reduce((all, one) => all + one.seconds, 0) / estimated;
    const miss = ([load, watch]: readonly [number, number]): number =>
      logged.reduce((all, one) => {
        const stray = 0.15 * together * (one.loading + one.watching);
        return all + ((one.seconds - load * one.loading - watch * one.watching) / stray) ** 2;
      }, 0) +
      ((load - together) / 0.4) ** 2 +
      ((watch - together) / 0.4) ** 2;
    let best: readonly [number, number] = [together, together];
    for (let step = 1; step > 1e-9;) {
      const [load, watch] = best;
      const around = [
        [load + step, watch],
        [load - step, watch],
        [load, watch + step],
        [load, watch - step],
      ] as const;
      const better = around.find((one) => miss(one) < miss(best));
      if (better) best = better;
      else step /= 2;
    }
    return best;
  }

  it.each([
    [[stretch(300, 90, 30), stretch(500, 90, 400), stretch(420, 90, 200)]],
    [[stretch(90, 200, 20), stretch(140, 30, 60), stretch(75, 60, 60), stretch(900, 90, 120)]],
    [[stretch(20, 90, 120), stretch(45, 180, 120, 30)]],
  ])('lies where the least squares are, sought by trial', (logged) => {
    const learned = learnCutting(logged)!;
    const [loading, watching] = seek(logged);
    expect(learned.loading.value).toBeCloseTo(Math.max(0, loading), 5);
    expect(learned.watching.value).toBeCloseTo(Math.max(0, watching), 5);
  });

  it('three pieces are enough, two are not; nothing estimated teaches nothing', () => {
    expect(learnCutting([stretch(100, 50, 50, 2)])).toBeNull();
    expect(learnCutting([stretch(100, 50, 50, 3)])?.loading.value).toBeCloseTo(1, 9);
    expect(learnCutting([stretch(100, 0, 0, 50)])).toBeNull();
  });

  it('a stretch for which nothing was estimated moves only what all take together', () => {
    // 240 s for estimates of 200 s: 1.2 for both; the stretch without estimates says nothing of which.
    const learned = learnCutting([stretch(200, 100, 100), stretch(40, 0, 0)])!;
    expect(learned.loading.parts![2]!.value).toBeCloseTo(1.2, 9);
    const [loading, watching] = [learned.loading.value, learned.watching.value];
    // Ridge of one stretch of even parts: noise 0.15 · 1.2 · 200 = 36; x = y = 100/36; off = (200 − 240)/36.
    const x = 100 / 36;
    const expected = 1.2 + (x * (-40 / 36)) / (1 / 0.16 + 2 * x * x);
    expect(loading).toBeCloseTo(expected, 9);
    expect(watching).toBeCloseTo(expected, 9);
  });

  it('a clock that was forgotten or started late says nothing, and is told', () => {
    const sound = [stretch(100, 60, 40), stretch(130, 80, 40), stretch(90, 40, 50)];
    const learned = learnCutting([...sound, stretch(801, 60, 40), stretch(4, 60, 40)])!;
    const { loading, watching, low, high } = learnCutting(sound)!;
    expect(learned.loading.value).toBe(loading.value);
    expect(learned.watching.value).toBe(watching.value);
    expect([learned.low, learned.high]).toEqual([low, high]);
    expect(learned.loading.parts!.at(-1)).toMatchObject({
      label: 'Left out, the clock was forgotten or late',
      value: 2,
    });
    expect(loading.parts!.some(({ label }) => label.startsWith('Left out'))).toBe(false);
    expect(learnCutting([stretch(1, 90, 10), stretch(1, 10, 90), stretch(0.5, 50, 50)])).toBeNull();
  });

  it('the band leaves out the twentieth at either end', () => {
    // 21 stretches of 90, 91, … 110 s for 100: the second and the last but one stand for the rest.
    const shuffled = Array.from({ length: 21 }, (_, at) => stretch(90 + ((at * 8) % 21), 60, 40));
    const learned = learnCutting(shuffled)!;
    expect(learned.low).toBeCloseTo(0.91, 6);
    expect(learned.high).toBeCloseTo(1.09, 6);
  });

  it('one stretch alone has the ordinary band', () => {
    expect(learnCutting([stretch(130, 60, 40)])).toMatchObject({ low: 0.85, high: 1.2 });
  });
});
