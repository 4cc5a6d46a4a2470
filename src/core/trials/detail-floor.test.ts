// The floor that is estimated against shops whose floor is known, and against a weighing by draws at random.

import { randomLcg, randomNormal, randomUniform } from 'd3-random';
import { describe, expect, it } from 'vitest';
import {
  estimateFloor,
  failAtWidth,
  FAILS_AT_FLOOR,
  FLOOR_PRIOR_FACTOR,
  isFloorKnown,
  proposeFloor,
  tellFloor,
  type TriedWidth,
} from './detail-floor';

const PRIOR_SPREAD = Math.log(FLOOR_PRIOR_FACTOR) / 1.645;

type Truth = { readonly floorMm: number; readonly steepness: number; readonly anyhow: number };

/** So many parts at each width, each failing by chance as the truth has it. */
function tryOut(truth: Truth, widthsMm: readonly number[], each: number, random: () => number): TriedWidth[] {
  return widthsMm.map((widthMm) => {
    const share = failAtWidth(truth, widthMm);
    const failures = Array.from({ length: each }, random).filter((chance) => chance < share).length;
    return { widthMm, tries: each, failures };
  });
}

const WIDTHS_MM = [0.5, 0.7, 0.9, 1.1, 1.4, 1.9, 2.6, 4];

describe('where the floor lies', () => {
  it('one in ten fails there for being fine, and never more as the width grows', () => {
    const truth = { floorMm: 1.2, steepness: 6, anyhow: 0 };
    expect(failAtWidth(truth, 1.2)).toBeCloseTo(FAILS_AT_FLOOR, 12);
    const shares = WIDTHS_MM.map((widthMm) => failAtWidth({ ...truth, anyhow: 0.05 }, widthMm));
    expect(shares).toEqual([...shares].sort((a, b) => b - a));
    expect(shares.at(-1)!).toBeGreaterThanOrEqual(0.05);
  });

  it('with nothing tried it is what its kind ordinarily holds, between half and twice of it', () => {
    const { lowMm, mm, highMm } = estimateFloor([], 2.2);
    expect(mm).toBeCloseTo(2.2, 2);
    expect(lowMm).toBeCloseTo(2.2 / 2, 1);
    expect(highMm).toBeCloseTo(2.2 * 2, 1);
    expect(isFloorKnown({ lowMm, mm, highMm })).toBe(false);
  });

  it('bold work says nothing of it, good or bad', () => {
    const before = estimateFloor([], 1);
    for (const failures of [0, 12]) {
      const bold = estimateFloor([{ widthMm: 6, tries: 150, failures }], 1);
      expect(Math.abs(Math.log(bold.mm / before.mm))).toBeLessThan(0.03);
      expect(isFloorKnown(bold)).toBe(false);
    }
  });

  it('what failed at 0.8 and held at 1.3 lies between, and may be calculated with', () => {
    const found = estimateFloor(
      [
        { widthMm: 0.8, tries: 20, failures: 14 },
        { widthMm: 1.3, tries: 40, failures: 0 },
      ],
      1,
    );
    expect(found.mm).toBeGreaterThan(0.85);
    expect(found.mm).toBeLessThan(1.3);
    expect(isFloorKnown(found)).toBe(true);
  });

  it('about the floor, work that holds moves it down and work that fails up, whatever was tried before', () => {
    const random = randomLcg(0.31);
    for (let shop = 0; shop < 40; shop++) {
      const floorMm = 0.6 + random() * 1.2;
      const tried = tryOut({ floorMm, steepness: 8, anyhow: 0.02 }, WIDTHS_MM, 6, random);
      const before = estimateFloor(tried, 1);
      const widthMm = before.mm * (0.9 + 0.2 * random());
      expect(estimateFloor([...tried, { widthMm, tries: 5, failures: 5 }], 1).mm).toBeGreaterThan(before.mm);
      expect(estimateFloor([...tried, { widthMm, tries: 5, failures: 0 }], 1).mm).toBeLessThan(before.mm);
    }
  });

  it('what held far finer than its kind is believed, and nothing finer than that is proposed', () => {
    const tried = [{ widthMm: 0.5, tries: 60, failures: 1 }];
    const found = estimateFloor(tried, 2.2);
    expect(found.mm).toBeLessThan(0.6);
    expect(proposeFloor(found, tried)).toBeGreaterThanOrEqual(0.5);
    expect(proposeFloor({ ...found, mm: 0.3 }, tried)).toBe(0.5);
    expect(proposeFloor({ ...found, mm: 0.8 }, tried)).toBe(0.8);
    expect(proposeFloor(found, [])).toBe(found.mm);
  });

  it('counts that were taken back below nothing are no news', () => {
    const taken = { widthMm: 1, tries: 0, failures: 0 };
    expect(estimateFloor([taken], 1)).toEqual(estimateFloor([], 1));
    expect(estimateFloor([{ widthMm: 1, tries: 3, failures: 9 }], 1)).toEqual(
      estimateFloor([{ widthMm: 1, tries: 3, failures: 3 }], 1),
    );
  });
});

describe('against what is known', () => {
  it.each([0.8, 1, 1.7])('shops whose floor is %f mm, with 60 parts at each width: within a tenth', (floorMm) => {
    const random = randomLcg(0.77);
    const off = Array.from({ length: 30 }, () => {
      const tried = tryOut({ floorMm, steepness: 10, anyhow: 0.01 }, WIDTHS_MM, 60, random);
      return Math.abs(estimateFloor(tried, 1.2).mm / floorMm - 1);
    }).sort((a, b) => a - b);
    expect(off[15]!).toBeLessThan(0.1);
  });

  it('its interval of nine in ten holds the truth in 85 to 95 of a hundred shops, of all kinds', () => {
    const random = randomLcg(0.12);
    const normal = randomNormal.source(random)(0, PRIOR_SPREAD);
    const uniform = randomUniform.source(random);
    const shops = 600;
    const inside = Array.from({ length: shops }, () => {
      const floorMm = Math.exp(normal());
      const steepness = Math.exp(uniform(Math.log(3), Math.log(24))());
      const anyhow = Math.exp(uniform(Math.log(0.002), Math.log(0.16))());
      const each = Math.ceil(uniform(0, 25)());
      const widthsMm = Array.from({ length: 5 }, () => Math.exp(uniform(Math.log(0.4), Math.log(4))()));
      const { lowMm, highMm } = estimateFloor(tryOut({ floorMm, steepness, anyhow }, widthsMm, each, random), 1);
      return lowMm <= floorMm && floorMm <= highMm;
    }).filter(Boolean).length;
    expect(inside / shops).toBeGreaterThan(0.85);
    expect(inside / shops).toBeLessThan(0.95);
  });

  it('draws at random from the same prior, weighed by what happened, give the same interval', () => {
    const tried = [
      { widthMm: 0.7, tries: 9, failures: 4 },
      { widthMm: 1, tries: 14, failures: 2 },
      { widthMm: 2, tries: 30, failures: 1 },
    ];
    const random = randomLcg(0.5);
    const normal = randomNormal.source(random)(0, PRIOR_SPREAD);
    const pick = (from: readonly number[]) => from[Math.floor(random() * from.length)]!;
    const draws = Array.from({ length: 40_000 }, () => {
      const truth = {
        floorMm: Math.exp(normal()),
        steepness: pick([3, 6, 12, 24]),
        anyhow: pick([0.002, 0.01, 0.03, 0.08, 0.16]),
      };
      const weight = tried.reduce((product, { widthMm, tries, failures }) => {
        const share = failAtWidth(truth, widthMm);
        return product * share ** failures * (1 - share) ** (tries - failures);
      }, 1);
      return { floorMm: truth.floorMm, weight };
    }).sort((a, b) => a.floorMm - b.floorMm);
    const all = draws.reduce((sum, { weight }) => sum + weight, 0);
    const quantile = (share: number) => {
      let below = 0;
      return draws.find(({ weight }) => (below += weight) >= share * all)!.floorMm;
    };
    const { lowMm, mm, highMm } = estimateFloor(tried, 1);
    expect(lowMm / quantile(0.05)).toBeCloseTo(1, 1);
    expect(mm / quantile(0.5)).toBeCloseTo(1, 1);
    expect(highMm / quantile(0.95)).toBeCloseTo(1, 1);
  });
});

it('is told with its interval and what it rests on', () => {
  const told = tellFloor(
    [
      { widthMm: 0.8, tries: 20, failures: 14 },
      { widthMm: 1.3, tries: 40, failures: 1 },
    ],
    1,
  );
  expect(told).toMatchObject({ unit: 'mm', source: 'learned' });
  expect(told.parts!.map(({ value }) => value)).toEqual([60, 15, 1]);
  expect(told.low!).toBeLessThan(told.value);
  expect(told.high!).toBeGreaterThan(told.value);
  expect(tellFloor([], 1).source).toBe('default');
});
