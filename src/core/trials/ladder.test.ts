// The ladder against simulated vinyls, cutters and eyes that stray; what it believes against draws at random.

import { randomLcg, randomNormal, randomUniform } from 'd3-random';
import { describe, expect, it } from 'vitest';
import { SETTING_RANGE, type TestResult } from '../cutting';
import { believeForce, shiftByWear } from './believe-force';
import { chanceOfRoom, learnCut, startTable, type ForceCut } from './force-response';
import { climb, ENOUGH, findDoubts, MOST_CUTS, ROOM, type Ladder } from './ladder';

const ORDER: readonly TestResult[] = ['shallow', 'hangs', 'clean', 'marks', 'through'];
const START = { grams: 90, stray: 0.3 };

/** A vinyl on a cutter: where it is clean, logarithms of grams; `width` 0 for never. */
type Film = { readonly low: number; readonly width: number; readonly hangs: number; readonly marks: number };
type Noise = { readonly stray: () => number; readonly slip: () => number };

function judge({ low, width, hangs, marks }: Film, forceGrams: number, { stray, slip }: Noise): TestResult {
  const at = Math.log(forceGrams) + stray();
  const high = low + width;
  const edges = [low - hangs, low, high, high + marks];
  let place = edges.filter((edge) => at >= edge).length;
  if (width === 0 && place === 2) place = 3;
  return ORDER[Math.min(4, Math.max(0, place + slip()))]!;
}

/** Where all of them begin. */
const FIRST = climb({ start: START, cuts: [], passes: 1 });

function climbUp(film: Film, noise: Noise): { readonly ladder: Ladder; readonly cuts: readonly ForceCut[] } {
  const cuts: ForceCut[] = [];
  let ladder = FIRST;
  while (ladder.verdict.kind === 'going-on' && ladder.nextGrams !== null) {
    cuts.push({ forceGrams: ladder.nextGrams, result: judge(film, ladder.nextGrams, noise) });
    ladder = climb({ start: START, cuts, passes: 1 });
  }
  return { ladder, cuts };
}

function makeShops(seed: number) {
  const source = randomLcg(seed);
  const even = randomUniform.source(source);
  const normal = randomNormal.source(source);
  const middle = normal(Math.log(90), 0.25);
  const width = normal(Math.log(Math.log(1.4)), 0.5);
  const [none, side, slipped] = [even(0, 1), even(0.08, 0.2), even(0, 1)];
  const film = (): Film => {
    const own = none() < 0.1 ? 0 : Math.exp(width());
    return { low: middle() - own / 2, width: own, hangs: side(), marks: side() };
  };
  const noise: Noise = {
    stray: normal(0, 0.02),
    slip: () => (slipped() < 0.01 ? (slipped() < 0.5 ? 1 : -1) : 0),
  };
  return { film, noise };
}

describe('a ladder', () => {
  it('ends within six cuts on 1,000 vinyls, and what it found is clean', { timeout: 120_000 }, () => {
    const { film, noise } = makeShops(1);
    const count = { known: 0, found: 0, clean: 0, wrong: 0, cuts: 0 };
    for (let trial = 0; trial < 1000; trial++) {
      const own = film();
      const { ladder, cuts } = climbUp(own, noise);
      const { verdict } = ladder;
      expect(cuts.length).toBeLessThanOrEqual(MOST_CUTS);
      for (const { forceGrams } of cuts) {
        expect(forceGrams).toBeGreaterThanOrEqual(SETTING_RANGE.forceGrams.least);
        expect(forceGrams).toBeLessThanOrEqual(SETTING_RANGE.forceGrams.most);
      }
      count.cuts += cuts.length;
      if (verdict.kind !== 'unsure') count.known += 1;
      const grams = 'forceGrams' in verdict ? verdict.forceGrams : null;
      if (grams !== null) {
        const at = Math.log(grams);
        count.found += 1;
        count.clean += Number(own.low <= at && at <= own.low + own.width);
      }
      const saysNone = verdict.kind === 'none';
      count.wrong += Number(saysNone ? own.width > Math.log(1.05) : grams !== null && own.width === 0);
    }
    expect(count.known).toBeGreaterThanOrEqual(950);
    expect(count.clean / count.found).toBeGreaterThanOrEqual(0.98);
    expect(count.wrong).toBeLessThan(30);
    expect(count.cuts / 1000).toBeLessThan(4);
  });

  it('believes what as many vinyls drawn at random and cut alike would have', () => {
    const cuts: readonly ForceCut[] = [
      { forceGrams: 90, result: 'hangs' },
      { forceGrams: 110, result: 'clean' },
    ];
    const table = cuts.reduce(learnCut, startTable(START));
    const source = randomLcg(7);
    const [middle, width, none] = [
      randomNormal.source(source)(Math.log(90), 0.3),
      randomNormal.source(source)(Math.log(Math.log(1.4)), Math.log(1.8)),
      randomUniform.source(source)(0, 1),
    ];
    const above = (at: number, edge: number) => 1 / (1 + Math.exp(-(at - edge) / 0.018));
    let [all, roomy] = [0, 0];
    for (let draw = 0; draw < 300_000; draw++) {
      const own = none() < 0.1 ? 0 : Math.exp(width());
      const low = middle() - own / 2;
      const [first, second] = [Math.log(90), Math.log(110)];
      const weight =
        (0.004 + 0.98 * (above(first, low - 0.12) - above(first, low))) *
        (0.004 + 0.98 * (above(second, low) - above(second, low + own)));
      all += weight;
      const side = Math.log(1 + ROOM);
      const at = Math.log(115);
      if (low + side <= at && at <= low + own - side) roomy += weight;
    }
    expect(chanceOfRoom(table, 115, ROOM)).toBeCloseTo(roomy / all, 1);
    expect(Math.abs(chanceOfRoom(table, 115, ROOM) - roomy / all)).toBeLessThan(0.03);
  });

  it('takes contradictory answers for doubt, names the odd one, and never for a sure setting', () => {
    const cuts: readonly ForceCut[] = [
      { forceGrams: 70, result: 'clean' },
      { forceGrams: 90, result: 'clean' },
      { forceGrams: 80, result: 'through' },
    ];
    expect(findDoubts(START, cuts)).toContain(2);
    expect(climb({ start: START, cuts, passes: 1 }).verdict.kind).not.toBe('found');
    expect(findDoubts(START, cuts.slice(0, 2))).toEqual([]);
  });

  it('does not call a force clean that came out otherwise as well', () => {
    const cuts: readonly ForceCut[] = [
      { forceGrams: 100, result: 'clean' },
      { forceGrams: 100, result: 'hangs' },
      ...Array.from({ length: 4 }, () => ({ forceGrams: 140, result: 'through' as const })),
    ];
    const { verdict } = climb({ start: START, cuts, passes: 1 });
    expect('forceGrams' in verdict ? verdict.forceGrams : null).toBeNull();
  });

  it.each([
    ['most', 'shallow', 500, ['second-pass', 'new-blade']],
    ['least', 'through', 10, ['lower-blade']],
  ] as const)('ends at the %s force of the machine, with a remedy', (end, result, grams, remedies) => {
    const start = { grams, stray: 0.3 };
    const cuts = [grams, grams].map((forceGrams) => ({ forceGrams, result }));
    expect(climb({ start, cuts, passes: 1 }).verdict).toEqual({ kind: 'range-ends', end, remedies });
  });

  it('says that there is none where marks follow on hanging corners at once', () => {
    const cuts: ForceCut[] = [];
    for (const forceGrams of [90, 95, 90, 95, 85])
      cuts.push({ forceGrams, result: forceGrams < 95 ? 'hangs' : 'marks' });
    const { verdict } = climb({ start: START, cuts, passes: 1 });
    expect(verdict.kind).toBe('none');
    expect(verdict.kind === 'none' && verdict.remedies).toContain('other-vinyl');
  });

  it('asks for more cuts where somebody wants it surer', () => {
    const cuts: readonly ForceCut[] = [
      { forceGrams: 90, result: 'clean' },
      { forceGrams: 105, result: 'clean' },
      { forceGrams: 80, result: 'hangs' },
    ];
    const usual = climb({ start: START, cuts, passes: 1 });
    expect(usual.verdict.kind).toBe('found');
    const room = usual.verdict.kind === 'found' ? usual.verdict.room : 0;
    expect(room).toBeGreaterThanOrEqual(ENOUGH);
    const surer = climb({ start: START, cuts, passes: 1, enough: (1 + room) / 2 });
    expect(surer.verdict.kind).toBe('going-on');
    expect(surer.nextGrams).not.toBeNull();
  });
});

describe('where a ladder begins', () => {
  const clean = { forceGrams: 100, bladeWorn: 0.2 };
  const none = { own: null, like: [], ordinaryGrams: 90, bladeWorn: 0.2 };
  it('at the vinyl’s own, moved by what the blade has worn', () => {
    const own = { ...clean, sameLot: true, sameBlade: true };
    expect(believeForce({ ...none, own })).toEqual({ grams: 100, stray: 0.08, source: 'own' });
    // 100 g × (1 + 0.25 × 1) ÷ (1 + 0.25 × 0.2) = 119.05 g
    expect(shiftByWear(clean, 1)).toBeCloseTo(119.0476, 4);
    expect(believeForce({ ...none, own: { ...own, sameLot: false, sameBlade: false } }).stray).toBeCloseTo(0.2, 9);
  });
  it('else at the middle of its kind, else at what is ordinary', () => {
    const like = [80, 100, 130].map((forceGrams) => ({ forceGrams, bladeWorn: 0.2 }));
    expect(believeForce({ ...none, like })).toEqual({ grams: 100, stray: 0.22, source: 'like' });
    expect(believeForce(none)).toEqual({ grams: 90, stray: 0.3, source: 'ordinary' });
  });
});
