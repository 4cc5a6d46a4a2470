// What a part has cost so far, from the facts that happened to it.

import { describe, expect, it } from 'vitest';
import { computeItemCost } from '../costing';
import { PLAIN_ITEM, PLAIN_SHOP } from '../../../test/worked-example';
import { compareWithQuote, findReadyParts, foldPart, freezeQuote, holdsBlank, type PartEvent } from './index';

const event = (id: number, kind: PartEvent['kind'], more: Partial<PartEvent> = {}): PartEvent => ({
  id,
  partId: 1,
  kind,
  atMs: id,
  undoes: null,
  cause: null,
  blankLost: false,
  ...more,
});

describe('the cost of a part', () => {
  it('adds up what each step took; a step without a known cost counts as a cut, and as none that is known', () => {
    const story = foldPart([
      event(1, 'cut', { vinylCost: 12.5, wearCost: 1 }),
      event(2, 'spoiled', { wearCost: 0.5, blankLost: true }),
      event(3, 'cut', { vinylCost: null }),
      event(4, 'cut'),
      event(5, 'weeded'),
      event(6, 'pressed', { blankCost: 400, wearCost: 2 }),
    ]);
    expect(story).toEqual({
      recut: null,
      state: 'pressed',
      cuts: 3,
      knownCuts: 1,
      knownVinyl: 12.5,
      knownBlanks: 1,
      blankCost: 400,
      wearCost: 3.5,
      spoiled: 1,
      blanksLost: 1,
      broken: false,
    });
  });

  it('a vinyl that cost nothing is known all the same', () => {
    expect(foldPart([event(1, 'cut', { vinylCost: 0 })])).toMatchObject({ knownCuts: 1, knownVinyl: 0 });
  });

  it('a step taken back leaves what it could not give back', () => {
    const cut = event(1, 'cut', { vinylCost: 30, wearCost: 2 });
    const back = event(2, 'undone', { undoes: 1, vinylCost: 30, wearCost: 0.5 });
    expect(foldPart([cut, back])).toMatchObject({
      state: 'to-cut',
      cuts: 0,
      knownCuts: 0,
      knownVinyl: 30,
      wearCost: 0.5,
    });
    // What is taken back is that step alone.
    expect(foldPart([cut, event(3, 'weeded'), event(4, 'undone', { undoes: 3 })])).toMatchObject({
      state: 'cut',
      cuts: 1,
      knownVinyl: 30,
      wearCost: 2,
    });
  });

  it('is broken from when it was spoiled until it is cut again', () => {
    expect(foldPart([event(1, 'cut'), event(2, 'weeded')]).broken).toBe(false);
    expect(foldPart([event(1, 'cut'), event(2, 'spoiled')]).broken).toBe(true);
    expect(foldPart([event(1, 'cut'), event(2, 'spoiled'), event(3, 'cut')]).broken).toBe(false);
  });
});

it('the last of what happened says whether a blank is held, in whatever order it is told', () => {
  const pressed = event(5, 'pressed');
  const lost = event(9, 'spoiled', { blankLost: true });
  expect(holdsBlank([lost, pressed])).toBe(false);
  expect(holdsBlank([event(12, 'pressed'), lost, pressed])).toBe(true);
});

describe('what can be worked on', () => {
  const parts = [
    { id: 1, pieceId: 1, state: 'cut' as const },
    { id: 2, pieceId: 1, state: 'weeded' as const },
    { id: 3, pieceId: 2, state: 'to-cut' as const },
    { id: 4, pieceId: 2, state: 'weeded' as const },
    { id: 5, pieceId: 3, state: 'weeded' as const },
    { id: 6, pieceId: 4, state: 'pressed' as const },
    { id: 7, pieceId: 4, state: 'weeded' as const },
    { id: 8, pieceId: 5, state: 'pressed' as const },
  ];
  it.each([
    ['cut', [3]],
    ['weed', [1]],
    // Piece 1 and 2 wait for their other part; piece 4 was pressed in part and goes on.
    ['press', [5, 7]],
    ['check', [8]],
  ] as const)('at %s: parts %j', (station, ids) =>
    expect(findReadyParts(station, parts).map((part) => part.id)).toEqual(ids),
  );
});

describe('a quote that is frozen', () => {
  // Cutter at 36.00 an hour: 10 s are 0.10 a piece. Press at 1,800 W and 0.40 a kWh, 3.60 an hour of machine.
  const shop = {
    ...PLAIN_SHOP,
    cutterRatePerHour: 3600,
    pressWatts: 1800,
    energyPerKwh: 40,
    pressRatePerHour: 360,
    pressWarmUpSeconds: 600,
    bladePrice: 1000,
    bladeLifeMetres: 50,
  };
  const made = computeItemCost(PLAIN_ITEM, 10, shop);
  if (!made.ok) throw new Error(made.problem.kind);
  const cost = made.value;
  const quote = freezeQuote(cost, shop);
  const cashOf = (...stages: string[]) =>
    cost.lines.filter((line) => stages.includes(line.stage)).reduce((sum, line) => sum + line.cash, 0);

  it('parts its cash into blank, vinyl and machine, and the rest', () => {
    const [layer] = quote.layers;
    // 500 mm at 50 mm/s.
    expect(layer!.cutMachineSeconds).toBeCloseTo(10, 9);
    expect(quote.blankPrice).toBe(400);
    expect(quote.otherCash).toBeCloseTo(quote.cash - 400 - layer!.vinylCost - 10, 9);
    expect(quote.workCash).toBe(cashOf('wear', 'press'));
    expect(cashOf('wear')).toBeGreaterThan(0);
    expect(cashOf('press')).toBeGreaterThan(0);
  });

  it('knows what a second at the press takes, and a piece’s share of warming up', () => {
    // 1.8 kW × 40 ÷ 3600 + 360 ÷ 3600 = 0.12 a second; 600 s of it for ten.
    expect(quote.pressSecondCash).toBeCloseTo(0.12, 9);
    expect(quote.warmUpCash).toBeCloseTo(7.2, 9);
    const cold = freezeQuote({ ...cost, press: { ...cost.press, temperatureC: null } }, shop);
    expect([cold.pressSecondCash, cold.warmUpCash]).toEqual([0, 0]);
  });

  it('is counted for each piece, minutes and cash', () => {
    const nothing = { cut: 0, weed: 0, press: 0, check: 0 };
    const against = compareWithQuote([{ quote, quantity: 3, parts: [], workedSeconds: nothing }]);
    expect(against.cash.quoted.value).toBe(3 * quote.cash);
    expect(against.time.quoted.value).toBeCloseTo(3 * 270, 9);
    expect(against.stations.map((row) => row.quoted.value)).toEqual([210, 180, 240, 180]);
  });
});
