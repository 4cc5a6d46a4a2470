import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { boundPoints, computeLength } from '../geometry';
import { writeHpgl, type CutLayer } from '../artwork';
import {
  judgeWidth,
  listTestReasons,
  locateKnife,
  makeTestFigure,
  placeTests,
  planKnifeRun,
  readHpgl,
  TEST_FIGURE_MM,
  type TestRoom,
} from '.';

const square = (x: number, y: number, side: number) => [
  { x, y },
  { x: x + side, y },
  { x: x + side, y: y + side },
  { x, y: y + side },
];
const layerOf = (paths: CutLayer['paths'], heightMm = 100): CutLayer => ({
  name: 'one',
  mirrored: true,
  widthMm: 100,
  heightMm,
  paths,
  note: 'one',
});

describe('a program as a machine reads it', () => {
  it('is the lines that Chiral wrote, in their order, with force and speed', () => {
    const text = writeHpgl(layerOf([{ points: square(10, 20, 30), inner: false }]), {
      forceGrams: 95,
      speedMmPerSecond: 60,
      overcutMm: 0,
    });
    const read = readHpgl(text);
    expect(read).toEqual({
      ok: true,
      value: {
        forceGrams: 95,
        speedMmPerS: 60,
        lines: [
          {
            tool: 1,
            points: [
              { x: 10, y: 80 },
              { x: 40, y: 80 },
              { x: 40, y: 50 },
              { x: 10, y: 50 },
              { x: 10, y: 80 },
            ],
          },
        ],
      },
    });
  });

  it('understands steps from where the tool is, blanks for commas, small letters, and passes over what it doesn’t know', () => {
    const read = readHpgl('in;sp1;XX3;pu 40 40;pr;pd 40 0, 0 40;pa;pu;');
    expect(read.ok && read.value.lines).toEqual([
      {
        tool: 1,
        points: [
          { x: 1, y: 1 },
          { x: 2, y: 1 },
          { x: 2, y: 2 },
        ],
      },
    ]);
  });

  it.each([
    ['nothing', 'not-hpgl'],
    ['<svg/>', 'not-hpgl'],
    ['IN;PU0,0;', 'nothing-to-cut'],
    ['IN;SP0;PU0,0;PD40,40;', 'nothing-to-cut'],
    ['IN;SP1;PU0,0;PD40;', 'bad-coordinates'],
    ['IN;SP1;PU0,0;PD40,--;', 'bad-coordinates'],
  ])('refuses %j: %s', (text, kind) => {
    expect(readHpgl(text)).toMatchObject({ ok: false, problem: { kind } });
  });
});

describe('the knife on its way', () => {
  const figures = { speedMmPerS: 10, cornerSeconds: 0, liftSeconds: 1, passes: 1 };
  const lines = [
    [
      { x: 0, y: 0 },
      { x: 100, y: 0 },
    ],
    [
      { x: 0, y: 10 },
      { x: 50, y: 10 },
    ],
  ];

  it('takes path ÷ speed, corners and lifts, times passes', () => {
    expect(planKnifeRun(lines, figures)).toEqual({ endsS: [11, 17], seconds: 17, lengthMm: 150 });
    expect(planKnifeRun(lines, { ...figures, passes: 2 })).toEqual({ endsS: [22, 34], seconds: 34, lengthMm: 300 });
    const ring = [...square(0, 0, 10), { x: 0, y: 0 }];
    const { seconds } = planKnifeRun([ring], { ...figures, cornerSeconds: 0.5, liftSeconds: 0 });
    expect(seconds).toBeGreaterThanOrEqual(4 + 3 * 0.5);
  });

  it('is where it is told to be, and nowhere once all is done', () => {
    const run = planKnifeRun(lines, figures);
    expect(locateKnife(lines, run, 0)).toEqual({ done: 0, share: 0, at: { x: 0, y: 0 } });
    expect(locateKnife(lines, run, 5.5)).toEqual({ done: 0, share: 0.5, at: { x: 50, y: 0 } });
    expect(locateKnife(lines, run, 11)).toMatchObject({ done: 1, share: 0 });
    expect(locateKnife(lines, run, 17)).toEqual({ done: 2, share: 0, at: null });
    expect(locateKnife(lines, run, 99)).toEqual({ done: 2, share: 0, at: null });
  });

  it('never goes back as time goes on', () => {
    const ring = fc.array(fc.record({ x: fc.integer({ min: 0, max: 300 }), y: fc.integer({ min: 0, max: 300 }) }), {
      minLength: 2,
      maxLength: 12,
    });
    fc.assert(
      fc.property(fc.array(ring, { minLength: 1, maxLength: 20 }), fc.nat(100), fc.nat(100), (own, a, b) => {
        const run = planKnifeRun(own, { ...figures, cornerSeconds: 0.1 });
        const at = (share: number) => locateKnife(own, run, (run.seconds * share) / 100);
        const [early, late] = [at(Math.min(a, b)), at(Math.max(a, b))];
        expect(early.done + early.share).toBeLessThanOrEqual(late.done + late.share + 1e-9);
      }),
    );
  });
});

describe('the width that is read', () => {
  it.each([
    [305, 'as-expected'],
    [304.2, 'as-expected'],
    [307, 'wider'],
    [298, 'narrower-but-enough'],
    [290, 'narrower-but-enough'],
    [289.9, 'too-narrow'],
  ])('%d mm of 305, with 290 needed, is %s', (readMm, verdict) => {
    expect(judgeWidth({ readMm, expectedMm: 305, neededMm: 290 })).toBe(verdict);
  });

  it.each([
    [240, 240, 'as-expected'],
    [239.1, 240, 'as-expected'],
    [238.9, 240, 'too-narrow'],
    [239.4, 239.5, 'as-expected'],
    [239.4, 240.2, 'too-narrow'],
  ])('%d mm of 240, all of which or nearly is needed (%d), is %s', (readMm, neededMm, verdict) => {
    expect(judgeWidth({ readMm, expectedMm: 240, neededMm })).toBe(verdict);
  });
});

describe('why a test cut comes first', () => {
  const setting = { forceGrams: 90, speedMmPerS: 60, passes: 1, bladeDegrees: 45 as const };
  const blade = { supplyId: 3, metres: 100, lifeMetres: 1000 };
  const lastClean = { setting, bladeId: 3, bladeMetres: 90 };
  const known = { setting, blade, lastClean, lotTested: true };
  it.each([
    ['nothing is new', known, []],
    ['the vinyl was never cut', { ...known, lastClean: null, lotTested: false }, ['new-setting', 'new-lot']],
    ['the lot was never cut', { ...known, lotTested: false }, ['new-lot']],
    ['the force is another', { ...known, setting: { ...setting, forceGrams: 95 } }, ['new-setting']],
    ['another blade is fitted', { ...known, blade: { ...blade, supplyId: 4 } }, ['other-blade']],
    ['the blade cut much since', { ...known, blade: { ...blade, metres: 290 } }, ['worn-blade']],
    ['the blade cut a little less since', { ...known, blade: { ...blade, metres: 289 } }, []],
    [
      'the blade is at its end',
      { ...known, blade: { ...blade, metres: 900 }, lastClean: { ...lastClean, bladeMetres: 890 } },
      ['worn-blade'],
    ],
    [
      'a new one of its kind was fitted',
      { ...known, blade: { ...blade, metres: 0 }, lastClean: { ...lastClean, bladeMetres: 800 } },
      ['worn-blade'],
    ],
    ['no blade is on the book', { ...known, blade: null }, []],
  ])('%s', (_, facts, reasons) => {
    expect(listTestReasons(facts)).toEqual(reasons);
  });
});

describe('where test figures are cut', () => {
  const room: TestRoom = {
    reach: { x: 10, y: 15, width: 285, height: 100 },
    shape: null,
    taken: [square(10, 15, 80)],
    gapMm: 6,
    isRoll: true,
  };
  const meetsTaken = (spot: { x: number; y: number }, taken: TestRoom['taken'], gapMm: number) =>
    taken.some((ring) => {
      const box = boundPoints([ring])!;
      return (
        spot.x < box.x + box.width + gapMm - 0.01 &&
        spot.x + TEST_FIGURE_MM > box.x - gapMm + 0.01 &&
        spot.y < box.y + box.height + gapMm - 0.01 &&
        spot.y + TEST_FIGURE_MM > box.y - gapMm + 0.01
      );
    });

  it('takes corners that are free first, apart from what is laid out and from one another', () => {
    const { spots, shiftMm } = placeTests(room);
    expect(shiftMm).toBe(0);
    expect(spots[0]).toEqual({ x: 270, y: 15 });
    expect(spots).toHaveLength(6);
    expect(spots.some((spot) => meetsTaken(spot, room.taken, 6))).toBe(false);
  });

  it('lets a load on a roll begin beside a row of them where nothing is free; on a sheet there is none', () => {
    const full = { ...room, taken: [[...square(10, 15, 285)]] };
    expect(placeTests(full)).toMatchObject({ shiftMm: 31, spots: expect.any(Array) as unknown });
    expect(placeTests(full).spots).toHaveLength(6);
    expect(placeTests({ ...full, isRoll: false })).toEqual({ spots: [], shiftMm: 0 });
    expect(placeTests({ ...full, reach: { x: 0, y: 0, width: 20, height: 20 } })).toEqual({ spots: [], shiftMm: 0 });
  });

  it('stays on an odd offcut and off its spoiled spots', () => {
    const shape = [
      { x: 0, y: 0 },
      { x: 100, y: 0 },
      { x: 100, y: 40 },
      { x: 40, y: 40 },
      { x: 40, y: 100 },
      { x: 0, y: 100 },
    ];
    const reach = { x: 3, y: 3, width: 94, height: 94 };
    const { spots } = placeTests({ reach, shape, taken: [square(60, 0, 40)], gapMm: 2, isRoll: false });
    expect(spots.length).toBeGreaterThan(0);
    for (const { x, y } of spots) {
      expect(x + TEST_FIGURE_MM <= 58.01).toBe(true);
      expect(x + TEST_FIGURE_MM <= 40.01 || y + TEST_FIGURE_MM <= 40.01).toBe(true);
    }
  });

  it('keeps its distance from whatever is laid out', () => {
    const boxes = fc.array(
      fc.tuple(fc.integer({ min: 10, max: 250 }), fc.integer({ min: 15, max: 90 }), fc.integer({ min: 4, max: 60 })),
      { maxLength: 12 },
    );
    fc.assert(
      fc.property(boxes, (list) => {
        const taken = list.map(([x, y, side]) => square(x, y, side));
        const { spots, shiftMm } = placeTests({ ...room, taken });
        if (shiftMm > 0) return;
        expect(spots.some((spot) => meetsTaken(spot, taken, 6))).toBe(false);
      }),
      { numRuns: 60 },
    );
  });

  it('is a figure with sharp corners and two things to weed, within its square', () => {
    const figure = makeTestFigure({ x: 100, y: 50 });
    expect(figure.map(({ inner }) => inner)).toEqual([true, true, false]);
    expect(boundPoints(figure.map(({ points }) => points))).toEqual({
      x: 100,
      y: 50,
      width: TEST_FIGURE_MM,
      height: TEST_FIGURE_MM,
    });
    expect(computeLength(figure[2]!.points, true)).toBeCloseTo(4 * TEST_FIGURE_MM);
  });
});
