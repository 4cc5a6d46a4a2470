import { randomLcg, randomLogNormal } from 'd3-random';
import { describe, expect, it } from 'vitest';
import { explainGuesses } from './explain-guesses';
import type { Guess } from './guesses';

const MINUTE = 60;
type Facts = { readonly ratio: number; readonly minutes?: number; readonly vinylName?: string | null };
/** One after another, by the day. */
const works = (facts: readonly Facts[], station = 'weed'): readonly Guess[] =>
  facts.map(({ ratio, minutes = 10, vinylName = null }, at) => ({
    station,
    estimated: minutes * MINUTE,
    real: minutes * MINUTE * ratio,
    atMs: at,
    vinylName,
  }));
const times = (count: number, facts: Facts): readonly Facts[] => Array.from({ length: count }, () => facts);
/** As often over as under it. */
const swing = (count: number, around: number, by: number): readonly Facts[] =>
  Array.from({ length: count }, (_, at) => ({ ratio: around * (at % 2 === 0 ? 1 + by : 1 / (1 + by)) }));

describe('why guesses are off', () => {
  it('says nothing of little work', () => {
    expect(explainGuesses(works(times(11, { ratio: 1.5 })))).toEqual([]);
  });

  it('is steady where all of it takes so many times as long', () => {
    const [reason] = explainGuesses(works(swing(20, 1.4, 0.02)));
    expect(reason!.error).toBeCloseTo(0.4, 1);
    expect(reason!.because).toMatchObject({ kind: 'steady' });
    if (reason!.because.kind !== 'steady') throw new Error('Expected: steady');
    expect(reason!.because.ratio).toBeCloseTo(1.4, 1);
    expect(reason!.because.errorWithout).toBeLessThan(0.05);
    expect(reason!.trend).toBeNull();
  });

  it('is one vinyl where that is the slow one, and the rest is guessed well', () => {
    const facts = [...times(7, { ratio: 1.02, vinylName: 'Plain' }), ...times(13, { ratio: 1.6, vinylName: 'Sticky' })];
    const [reason] = explainGuesses(works(facts.sort((a, b) => ((a.ratio * 7) % 1) - ((b.ratio * 7) % 1))));
    expect(reason!.because).toEqual({ kind: 'vinyl', name: 'Sticky', ratio: 1.6, errorWithout: expect.closeTo(0, 6) });
  });

  it('is the size of the job where short ones are the slow ones', () => {
    const facts = Array.from({ length: 30 }, (_, at): Facts =>
      at % 3 === 0 ? { ratio: 0.98, minutes: 20 } : { ratio: 2, minutes: 2 },
    );
    expect(explainGuesses(works(facts))[0]!.because).toMatchObject({ kind: 'size', name: 'under 5 min', ratio: 2 });
  });

  it('is nothing in common where it is now more and now less', () => {
    expect(explainGuesses(works(swing(30, 1, 0.3)))[0]!.because).toEqual({ kind: 'scatter' });
  });

  it('finds no cause in mere chance, nine times in ten', () => {
    const next = randomLcg(0.7);
    const shops = Array.from({ length: 200 }, () => {
      const facts = Array.from({ length: 60 }, (_, at): Facts => ({
        ratio: randomLogNormal.source(next)(0, 0.25)(),
        minutes: [2, 10, 40][at % 3]!,
        vinylName: ['A', 'B', 'C', 'D'][at % 4]!,
      }));
      return explainGuesses(works(facts))[0]!.because.kind;
    });
    expect(shops.filter((kind) => kind !== 'scatter').length).toBeLessThan(20);
  });

  it('tells that guesses became better, and leaves out clocks that were forgotten', () => {
    const facts = [...swing(12, 1, 0.4), ...swing(12, 1, 0.3), ...swing(12, 1, 0.1), { ratio: 50 }];
    const [reason] = explainGuesses(works(facts));
    expect(reason!.trend!.oldest).toBeGreaterThan(0.25);
    expect(reason!.trend!.newest).toBeLessThan(0.12);
  });

  it('needs twelve sound pieces of work, and five of a group', () => {
    const slow = (count: number) => times(count, { ratio: 1.6, vinylName: 'Sticky' });
    const well = (count: number) => times(count, { ratio: 1, vinylName: 'Plain' });
    expect(explainGuesses(works(slow(12)))).toHaveLength(1);
    // A clock that was forgotten is no piece of work.
    expect(explainGuesses(works([...slow(11), { ratio: 50 }]))).toEqual([]);
    expect(explainGuesses(works([...slow(5), ...well(8)]))[0]!.because).toMatchObject({ kind: 'vinyl' });
    expect(explainGuesses(works([...slow(4), ...well(9)]))[0]!.because).toEqual({ kind: 'scatter' });
  });

  it('names no vinyl where none is known, and none where all is of one', () => {
    const unnamed = [...times(8, { ratio: 1.6 }), ...times(8, { ratio: 1, vinylName: 'Plain' })];
    expect(explainGuesses(works(unnamed))[0]!.because).not.toMatchObject({ kind: 'vinyl' });
    const one = times(14, { ratio: 1.6, vinylName: 'Sticky' });
    expect(explainGuesses(works(one))[0]!.because).toMatchObject({ kind: 'steady', ratio: 1.6 });
  });

  it('compares the oldest third with the newest by the day, in whatever order they are told', () => {
    const early = works([...swing(5, 1, 0.1), ...swing(5, 1, 0.1), ...swing(5, 1, 0.4)]);
    const [reason] = explainGuesses([...early].reverse());
    expect(reason!.trend!.oldest).toBeLessThan(0.12);
    expect(reason!.trend!.newest).toBeGreaterThan(0.25);
    // Fourteen have thirds of four.
    expect(explainGuesses(works([...swing(7, 1, 0.1), ...swing(7, 1, 0.4)]))[0]!.trend).toBeNull();
  });

  it('tells each station, the worst guessed first', () => {
    const guesses = [...works(swing(12, 1, 0.1), 'cut'), ...works(swing(12, 1, 0.4), 'press')];
    expect(explainGuesses(guesses).map(({ station }) => station)).toEqual(['press', 'cut']);
  });
});
