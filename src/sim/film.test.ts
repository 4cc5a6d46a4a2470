import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { getOrdinarySetting, proposeSetting, SETTING_RANGE, TEST_RESULTS, type TestCut } from '../core/cutting';
import { VINYL_KINDS, type VinylKind } from '../core/materials';
import { computeDepth, judgeDepth, liftsOff, lookIntoFilm, runsOff } from './film';

const KINDS = Object.keys(VINYL_KINDS) as readonly VinylKind[];
const stockOf = (lotId: number, kind: VinylKind, thicknessUm: number | null = null) => ({
  lotId,
  labelWidthMm: 305,
  lengthMm: 200,
  onMat: true,
  kind,
  thicknessUm,
});
const lotId = fc.integer({ min: 1, max: 100_000 });
const kind = fc.constantFrom(...KINDS);
const setting = fc.record({
  forceGrams: fc.integer({ min: 10, max: 490 }),
  speedMmPerS: fc.integer({ min: 10, max: 790 }),
  passes: fc.integer({ min: 1, max: 2 }),
  bladeDegrees: fc.constantFrom<(30 | 45 | 60)[]>(30, 45, 60),
});
const worn = fc.double({ min: 0, max: 1.4, noNaN: true });

describe('a knife in a film', () => {
  it('goes deeper with force and passes, less deep with wear and speed', () => {
    fc.assert(
      fc.property(lotId, kind, setting, worn, (id, of, one, wear) => {
        const film = lookIntoFilm(stockOf(id, of));
        const depth = computeDepth(one, wear, film);
        expect(computeDepth({ ...one, forceGrams: one.forceGrams + 5 }, wear, film)).toBeGreaterThan(depth);
        expect(computeDepth({ ...one, passes: one.passes + 1 }, wear, film)).toBeGreaterThan(depth);
        expect(computeDepth({ ...one, speedMmPerS: one.speedMmPerS + 10 }, wear, film)).toBeLessThan(depth);
        expect(computeDepth(one, wear + 0.05, film)).toBeLessThan(depth);
      }),
    );
  });

  it('comes out from not through to through as it goes deeper, never back', () => {
    fc.assert(
      fc.property(lotId, kind, (id, of) => {
        const film = lookIntoFilm(stockOf(id, of));
        const results = Array.from({ length: 400 }, (_, um) => TEST_RESULTS.indexOf(judgeDepth(um * 2, film)));
        expect([...results].sort((a, b) => a - b)).toEqual(results);
        expect(new Set(results).size).toBe(TEST_RESULTS.length);
      }),
    );
  });

  it('comes out clean with an ordinary setting and a new blade on the lot in the middle', () => {
    for (const of of KINDS) {
      const film = { ...lookIntoFilm(stockOf(1, of)), toughness: 1 };
      expect(judgeDepth(computeDepth(getOrdinarySetting({ kind: of }, { cutterSpeed: 60 }), 0, film), film)).toBe(
        'clean',
      );
    }
  });

  it('is the same for a lot every time, never wider than its label, and differs from lot to lot', () => {
    expect(lookIntoFilm(stockOf(7, 'smooth'))).toEqual(lookIntoFilm(stockOf(7, 'smooth')));
    const films = Array.from({ length: 200 }, (_, id) => lookIntoFilm(stockOf(id + 1, 'smooth')));
    expect(films.every(({ widthMm }) => widthMm <= 305 && widthMm > 290)).toBe(true);
    expect(new Set(films.map(({ toughness }) => toughness.toFixed(3))).size).toBeGreaterThan(100);
  });

  it('lifts where it is thin and cut fast, and runs off where it is long and held by nothing', () => {
    const thin = lookIntoFilm(stockOf(1, 'permanent', 60));
    const slow = { ...getOrdinarySetting({ kind: 'permanent' }, { cutterSpeed: 60 }) };
    expect([liftsOff(slow, thin), liftsOff({ ...slow, speedMmPerS: 200 }, thin)]).toEqual([false, true]);
    expect(liftsOff({ ...slow, speedMmPerS: 200 }, lookIntoFilm(stockOf(1, 'smooth')))).toBe(false);
    const long = { ...stockOf(1, 'smooth'), lengthMm: 2000 };
    expect([runsOff(long), runsOff({ ...long, onMat: false })]).toEqual([false, true]);
  });
});

describe('the next setting to try', () => {
  it('finds a clean one within six cuts on nearly every lot, with whatever blade', () => {
    let clean = 0;
    const tried = KINDS.flatMap((of) =>
      Array.from({ length: 40 }, (_, id) => ({ of, id: id + 1, wear: (id % 10) / 10 })),
    );
    for (const { of, id, wear } of tried) {
      const film = lookIntoFilm(stockOf(id, of));
      const cuts: TestCut[] = [];
      let next = getOrdinarySetting({ kind: of }, { cutterSpeed: 60 });
      for (let cut = 0; cut < 6; cut++) {
        const result = judgeDepth(computeDepth(next, wear, film), film);
        cuts.push({ setting: next, result });
        const proposed = proposeSetting(cuts)!;
        if (proposed.kind !== 'try') break;
        next = proposed.setting;
      }
      if (cuts.at(-1)!.result === 'clean') clean++;
    }
    expect(clean / tried.length).toBeGreaterThan(0.98);
  });

  it('goes half-way between too little and too much, a step the other way before there are both', () => {
    const at = (forceGrams: number) => ({ forceGrams, speedMmPerS: 60, passes: 1, bladeDegrees: 45 as const });
    const tryNext = (...tries: [number, TestCut['result']][]) =>
      proposeSetting(tries.map(([force, result]) => ({ setting: at(force), result })));
    expect(tryNext()).toBeNull();
    expect(tryNext([90, 'shallow'])).toEqual({ kind: 'try', setting: at(115) });
    expect(tryNext([90, 'hangs'])).toEqual({ kind: 'try', setting: at(100) });
    expect(tryNext([90, 'through'])).toEqual({ kind: 'try', setting: at(65) });
    expect(tryNext([90, 'shallow'], [120, 'marks'])).toEqual({ kind: 'try', setting: at(105) });
    expect(tryNext([90, 'clean'])).toEqual({ kind: 'keep', setting: at(90) });
  });

  it('never leaves the machine’s range, and names a remedy where nothing is left to try', () => {
    const { least, most } = SETTING_RANGE.forceGrams;
    const at = (forceGrams: number, passes = 1) => ({ forceGrams, speedMmPerS: 60, passes, bladeDegrees: 45 as const });
    expect(proposeSetting([{ setting: at(most), result: 'shallow' }])).toEqual({
      kind: 'no-room',
      remedy: 'second-pass',
    });
    expect(proposeSetting([{ setting: at(most, 3), result: 'shallow' }])).toEqual({
      kind: 'no-room',
      remedy: 'new-blade',
    });
    expect(proposeSetting([{ setting: at(least), result: 'through' }])).toEqual({
      kind: 'no-room',
      remedy: 'lower-blade',
    });
    expect(
      proposeSetting([
        { setting: at(90), result: 'hangs' },
        { setting: at(95), result: 'marks' },
      ]),
    ).toEqual({ kind: 'no-room', remedy: 'lower-blade' });
    fc.assert(
      fc.property(setting, fc.constantFrom(...TEST_RESULTS), (one, result) => {
        const next = proposeSetting([{ setting: one, result }])!;
        if (next.kind === 'no-room') return;
        expect(next.setting.forceGrams).toBeGreaterThanOrEqual(least);
        expect(next.setting.forceGrams).toBeLessThanOrEqual(most);
      }),
    );
  });
});
