import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { computeItemCost } from '../costing';
import { PLAIN_ITEM, PLAIN_SHOP } from '../../../test/worked-example';
import { minor } from '../units';
import {
  compareWithQuote,
  computeProfit,
  decideStage,
  estimateRemaining,
  findReadyParts,
  findSlowest,
  foldPart,
  freezeQuote,
  getQuotedSeconds,
  holdsBlank,
  shareSessionSeconds,
  type PartEvent,
  type PartState,
} from './index';

let nextId = 0;
const event = (kind: PartEvent['kind'], more: Partial<PartEvent> = {}): PartEvent => ({
  id: ++nextId,
  partId: 1,
  kind,
  atMs: nextId,
  undoes: null,
  cause: null,
  blankLost: false,
  ...more,
});

it('a piece holds a blank from its first press until the blank is lost or the press is taken back', () => {
  expect(holdsBlank([event('cut'), event('weeded')])).toBe(false);
  const pressed = event('pressed'),
    peeled = event('spoiled', { cause: 'lifted' }),
    lost = event('spoiled', { blankLost: true });
  expect(holdsBlank([event('cut'), pressed])).toBe(true);
  expect(holdsBlank([peeled, pressed])).toBe(true);
  expect(holdsBlank([pressed, lost])).toBe(false);
  expect(holdsBlank([pressed, lost, event('undone', { undoes: lost.id })])).toBe(true);
  expect(holdsBlank([pressed, event('undone', { undoes: pressed.id })])).toBe(false);
  expect(holdsBlank([pressed, lost, event('pressed')])).toBe(true);
});

describe('foldPart', () => {
  it('goes through the stations', () => {
    expect(foldPart([])).toMatchObject({ state: 'to-cut', cuts: 0, broken: false });
    expect(foldPart([event('cut'), event('weeded')])).toMatchObject({ state: 'weeded', cuts: 1 });
  });

  it('goes back to be cut when spoiled, stays broken until it is cut again, and counts every cut', () => {
    const spoiled = [event('cut'), event('weeded'), event('spoiled', { cause: 'weeding' })];
    expect(foldPart(spoiled)).toMatchObject({ state: 'to-cut', spoiled: 1, broken: true, blanksLost: 0 });
    expect(foldPart([...spoiled, event('cut')])).toMatchObject({ state: 'cut', cuts: 2, broken: false });
  });

  it('forgets what was taken back', () => {
    const cut = event('cut');
    const lost = event('spoiled', { blankLost: true });
    expect(foldPart([cut, lost, event('undone', { undoes: lost.id })])).toMatchObject({
      state: 'cut',
      spoiled: 0,
      blanksLost: 0,
    });
    expect(foldPart([cut, event('undone', { undoes: cut.id })])).toMatchObject({ state: 'to-cut', cuts: 0 });
  });
});

describe('stages and readiness', () => {
  it('an order is as far as its slowest part', () => {
    const stage = (states: PartState[]) => decideStage([{ id: 1, kind: 'placed', undoes: null }], states);
    expect(stage(['to-cut', 'to-cut'])).toBe('approved');
    expect(stage(['checked', 'weeded'])).toBe('in-work');
    expect(stage(['checked', 'checked'])).toBe('ready');
    expect(stage([])).toBe('approved');
    expect(findSlowest(['pressed', 'cut', 'checked'])).toBe('cut');
  });

  it('a piece is pressed only when all its parts are weeded', () => {
    const parts = [
      { pieceId: 1, state: 'weeded' },
      { pieceId: 1, state: 'cut' },
      { pieceId: 2, state: 'weeded' },
      { pieceId: 2, state: 'weeded' },
      { pieceId: 3, state: 'pressed' },
      { pieceId: 3, state: 'weeded' },
    ] as const;
    expect(findReadyParts('press', parts).map((part) => part.pieceId)).toEqual([2, 2, 3]);
    expect(findReadyParts('weed', parts)).toHaveLength(1);
    expect(findReadyParts('check', parts)).toHaveLength(0);
  });
});

const priced = computeItemCost(PLAIN_ITEM, 10, PLAIN_SHOP);
if (!priced.ok) throw new Error();
const quote = freezeQuote(priced.value, PLAIN_SHOP);

describe('quoted against real', () => {
  it('freezes what was calculated', () => {
    expect(quote).toMatchObject({
      cash: 461,
      full: 596,
      withRisk: 616,
      blankPrice: 400,
      setupSeconds: 60,
      pressSeconds: 80,
      checkSeconds: 60,
    });
    expect(getQuotedSeconds(quote)).toEqual({ cut: 70, weed: 60, press: 80, check: 60 });
  });

  it('what remains shrinks from state to state to nothing', () => {
    const left = (['to-cut', 'cut', 'weeded', 'pressed', 'checked'] as const).map((state) =>
      Object.values(estimateRemaining(quote, 0, { state })).reduce((a, b) => a + b, 0),
    );
    expect(left).toEqual([270, 200, 140, 60, 0]);
  });

  it('what is done once for a piece is shared by its layers', () => {
    const two = { ...quote, layers: [quote.layers[0]!, quote.layers[0]!] };
    expect(estimateRemaining(two, 1, { state: 'weeded' })).toEqual({ cut: 0, weed: 0, press: 40, check: 30 });
    expect(estimateRemaining(two, 0, { state: 'to-cut' })).toEqual({ cut: 10 + 30, weed: 60, press: 40, check: 30 });
  });

  it('machine time falls on every cut, electricity on the minutes at the press, the rest on what is checked', () => {
    const dear = {
      ...quote,
      layers: [{ ...quote.layers[0]!, cutMachineSeconds: 30 }],
      cutterRatePerHour: 3600,
      otherCash: 90,
      workCash: 20,
      pressSecondCash: 0.5,
      warmUpCash: 7,
      orderSeconds: 200,
    };
    const done = { layerIndex: 0, knownVinyl: 0, knownBlanks: 1, blankCost: 380, wearCost: 4, blanksLost: 0 } as const;
    const parts = [
      { ...done, pieceId: 1, state: 'checked', cuts: 1, knownCuts: 1 },
      { ...done, pieceId: 2, state: 'pressed', cuts: 3, knownCuts: 3 },
    ] as const;
    const workedSeconds = { cut: 0, weed: 0, press: 100, check: 0 };
    const { cash, cost } = compareWithQuote([{ quote: dear, quantity: 2, parts, workedSeconds }]);
    expect(cash.real.parts!.map(({ label, value }) => [label, value])).toEqual([
      ['Vinyl, every cut counted', 0],
      ['Machine time', 4 * 30],
      ['Blanks pressed or lost', 760],
      ['Wear and transfer tape', 8],
      ['Press: electricity and machine', 50 + 2 * 7],
      ['Packaging and the rest', 70],
    ]);
    // 100 s at 18.00 an hour, and 200 s beside making for the one that is done.
    expect(cost.real.value).toBe(cash.real.value + 50 + 100);
  });

  it('counts vinyl at each cut, the blank at the press, lost blanks, and the hours', () => {
    const parts = [
      { pieceId: 1, layerIndex: 0, state: 'checked', cuts: 1, blanksLost: 0 },
      { pieceId: 2, layerIndex: 0, state: 'pressed', cuts: 3, blanksLost: 1 },
      { pieceId: 3, layerIndex: 0, state: 'to-cut', cuts: 0, blanksLost: 0 },
    ] as const;
    const against = compareWithQuote([
      { quote, quantity: 3, parts, workedSeconds: { cut: 100, weed: 200, press: 300, check: 120 } },
    ]);
    expect(against.cash.real.value).toBe(Math.round(4 * 10.5) + 3 * 400 + Math.round(quote.otherCash));
    expect(against.time.real.value).toBe(720);
    expect(against.cost.real.value).toBe(against.cash.real.value + 360); // 720 s at 18.00
    expect(against.cost.quoted.value).toBe(3 * 616);
    expect(computeProfit(minor(4000), minor(100), against.cost.real).value).toBe(3900 - against.cost.real.value);
  });

  it('shares logged time by estimate without losing a second', () => {
    expect(shareSessionSeconds(100, [1, 3])).toEqual([25, 75]);
    expect(shareSessionSeconds(90, [0, 0, 0])).toEqual([30, 30, 30]);
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 1e5, noNaN: true }),
        fc.array(fc.integer({ min: 0, max: 500 }), { minLength: 1, maxLength: 50 }),
        (seconds, estimates) => {
          expect(shareSessionSeconds(seconds, estimates).reduce((a, b) => a + b, 0)).toBeCloseTo(seconds, 4);
        },
      ),
    );
  });
});
