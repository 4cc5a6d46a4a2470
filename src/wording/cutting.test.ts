import { describe, expect, it } from 'vitest';
import { TEST_RESULTS } from '../core/cutting';
import type { LoadFacts } from '../core/orders';
import {
  describeHold,
  describeNextTry,
  describeSetting,
  describeSide,
  describeWidth,
  TEST_RESULT_WORDS,
} from './cutting';

const METRIC = { locale: 'en-GB', currency: 'EUR', timeZone: 'UTC', system: 'metric' } as const;
const setting = { forceGrams: 95, speedMmPerS: 60, passes: 1, bladeDegrees: 45 } as const;
const facts: LoadFacts = {
  isRoll: true,
  onMat: false,
  mirrored: 'all',
  widthMm: 500,
  leastWidthMm: 310,
  usedLengthMm: 300,
  leadMm: 15,
  thicknessUm: null,
  kind: 'smooth',
  pen: false,
  trim: false,
};
const lot = { lotId: 3, form: 'roll', code: null, remark: '', widthMm: 500, lengthMm: null, left: 4000 } as const;

describe('loading in words', () => {
  it('tells the side by what is seen on it', () => {
    expect(describeSide(facts)).toEqual({
      what: 'Carrier down, dull side up',
      proof: 'The shiny carrier lies on the machine. Letters are cut backwards.',
    });
    expect(describeSide({ ...facts, mirrored: 'none' }).what).toBe('Face up');
    expect(describeSide({ ...facts, mirrored: 'some' }).proof).toBe('Cut them in two loads.');
  });

  it('tells how it is held, and the room it needs', () => {
    expect(describeHold({ facts, lot }, METRIC)).toEqual([
      'without a mat, a roller on each edge',
      'begins 15 mm after the last cut of this roll',
    ]);
    expect(describeHold({ facts: { ...facts, usedLengthMm: 900 }, lot }, METRIC).at(-1)).toBe(
      'unrolled, so that 900 mm run freely',
    );
    const sheet = { ...lot, form: 'sheet', lengthMm: 600 } as const;
    expect(describeHold({ facts: { ...facts, onMat: true }, lot: sheet }, METRIC)).toEqual([
      'on a mat that holds; it begins at the corner drawn thick',
      'room behind the machine: 600 mm',
    ]);
  });
});

describe('the width in words', () => {
  it.each([
    ['as-expected', 500, '500 mm, as it should be.'],
    ['wider', 505, '505 mm, wider than the book said. Kept with the lot.'],
    [
      'narrower-but-enough',
      490,
      '490 mm, 10 mm narrower than the book said, and enough: the outermost cut needs 310 mm. Kept with the lot.',
    ],
    ['too-narrow', 300, '300 mm: too narrow. The outermost cut needs 310 mm.'],
  ] as const)('%s', (verdict, readWidthMm, said) => {
    expect(describeWidth({ verdict, readWidthMm, expectedWidthMm: 500 }, 310, METRIC)).toBe(said);
  });

  it('is nothing while nobody read it', () => {
    expect(describeWidth({ verdict: null, readWidthMm: null, expectedWidthMm: null }, 310, METRIC)).toBeNull();
  });
});

describe('a test cut in words', () => {
  it('has its own words for each of the five results', () => {
    const seen = TEST_RESULTS.map((result) => TEST_RESULT_WORDS[result].seen);
    expect(new Set(seen).size).toBe(5);
  });

  it('says what follows: keep it, try another force, or what else helps', () => {
    expect(describeNextTry(null)).toBeNull();
    expect(describeNextTry({ kind: 'keep', setting })).toMatch(/kept with the vinyl/);
    expect(describeNextTry({ kind: 'try', setting })).toBe('Try 95 g next.');
    const remedies = (['second-pass', 'new-blade', 'lower-blade'] as const).map((remedy) =>
      describeNextTry({ kind: 'no-room', remedy }),
    );
    expect(remedies[0]).toMatch(/twice/);
    expect(remedies[1]).toMatch(/new blade/);
    expect(remedies[2]).toMatch(/stand out less/);
  });

  it('says a setting in one line', () => {
    expect(describeSetting(setting)).toBe('95 g, 60 mm/s, once, blade 45°');
    expect(describeSetting({ ...setting, passes: 2 })).toMatch(/ twice, /);
    expect(describeSetting({ ...setting, passes: 3 })).toMatch(/ 3 times, /);
  });
});
