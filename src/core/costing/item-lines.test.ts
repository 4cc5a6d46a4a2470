import 'fast-check';
import { describe, expect, it } from 'vitest';
import { PLAIN_ITEM, PLAIN_SHOP } from '../../../test/worked-example';
import { PLAIN_RECIPE } from '../pressing';
import { figure, minor } from '../units';
import { compareVinyls } from './compare-vinyls';
import { computeItemCost, learnMinutes, STONES_IN_GROSS, takeOwnMinutes, type ItemSpec } from './index';
import { OTHER, costOf } from './item-plan-examples';

describe('what goes into it besides', () => {
  it('stones, by hand: 288 at 1.80 a gross, a template of 24.00 for 40 pieces, tape 0.25, and your time', () => {
    const shop = { ...PLAIN_SHOP, stoneFieldSeconds: 60, stoneSeconds: 0.5 };
    const spec = {
      ...PLAIN_ITEM,
      stones: [
        {
          label: 'clear',
          diameterMm: 3,
          count: 2 * STONES_IN_GROSS,
          grossPrice: minor(180),
          templatePrice: minor(2400),
          templateUses: 40,
          tapePrice: minor(25),
        },
      ],
    };
    const cost = computeItemCost(spec, 10, shop);
    const line = cost.ok ? cost.value.lines.find((candidate) => candidate.stage === 'stones')! : null;
    expect([line?.cash, line?.handsSeconds, line?.time]).toEqual([360 + 60 + 25, 60 + 144, 102]);
  });

  it('a decal’s film and its tape: as large as the largest layer of each place, with its margin', () => {
    const [layer] = PLAIN_ITEM.layers;
    const sized = (width: number, height: number, place: string) => ({
      ...layer!,
      place,
      measurement: { ...layer!.measurement, box: { x: 0, y: 0, width, height } },
    });
    const layers = [sized(80, 40, 'front'), sized(60, 50, 'front'), sized(20, 10, 'side')];
    const shop = { ...PLAIN_SHOP, weedMarginMm: 5, decalFilmPerM2: 1000, tapePerM2: 500, tapeUses: 2 };
    const cup = { ...PLAIN_ITEM.blank, fabric: 'enamel' as const, heating: 'wrap' as const };
    const decalOf = (spec: ItemSpec) => {
      const cost = computeItemCost(spec, 1, shop);
      return cost.ok ? cost.value.lines.find(({ id }) => id === 'decal') : null;
    };
    const recipe = { ...PLAIN_RECIPE, layers: 'on a decal film' as const };
    // 90 × 60 mm and 30 × 20 mm are 6,000 mm²: 6 of film at 10.00 the m²; 3 of tape at 5.00, used twice: 1.5.
    const decal = decalOf({ ...PLAIN_ITEM, blank: cup, layers, recipe })!;
    expect(decal.cash).toBe(8);
    expect(decal.figure.parts!.map(({ label, value }) => [label, value])).toEqual([
      ['Clear film', 6],
      ['Transfer tape', 1.5],
    ]);
    expect(decal.figure.parts![0]!.parts!.map(({ label, value }) => [label, value]).slice(0, 2)).toEqual([
      ['Film, front', 5400],
      ['Film, side', 600],
    ]);
    expect(decalOf({ ...PLAIN_ITEM, blank: cup, layers })).toBeUndefined();
    expect(decalOf({ ...PLAIN_ITEM, layers, recipe })).toBeUndefined();
  });

  it('stones are pressed with the rest: their closing, laying and peeling are in the press line', () => {
    const field = {
      ...{ label: 'clear', diameterMm: 3, count: 10, grossPrice: minor(0), templatePrice: minor(0) },
      ...{ templateUses: 1, tapePrice: minor(0) },
    };
    const press = (spec: ItemSpec) => costOf(spec).press;
    const [plain, set] = [press(PLAIN_ITEM), press({ ...PLAIN_ITEM, stones: [field] })];
    expect(set.pressCycles - plain.pressCycles).toBe(1);
    expect(set.cautions).toContainEqual({ kind: 'small-stones' });
  });

  it('extras and packaging of its own count once a piece', () => {
    const plain = costOf(PLAIN_ITEM),
      own = costOf({
        ...PLAIN_ITEM,
        extras: [
          { label: 'Ribbon', price: minor(15) },
          { label: 'Card', price: minor(8) },
        ],
        packaging: minor(80),
      });
    // Ribbon and card are at stake like the blank, packaging is not: 4 in 96 of 23 are lost with them.
    expect(own.cash.value - plain.cash.value).toBe(23 + 80 - 50);
    expect(own.lines.filter((line) => line.stage === 'extra').map((line) => line.total)).toEqual([15, 8]);
  });

  it('material is calculated at what the oldest lots cost, what was paid last, or what is offered', () => {
    const prices = {
      lots: [
        { label: 'Lot 1', receivedAtMs: 1, left: 60_000, price: 500 },
        { label: 'Lot 2', receivedAtMs: 2, left: 1e6, price: 1500 },
      ],
      offers: [
        { id: 1, label: 'A', price: 900 },
        { id: 2, label: 'B', price: 700 },
      ],
    };
    const at = (priceBasis: 'shelf' | 'oldest' | 'latest' | 'offer', own = prices) =>
      costOf({ ...PLAIN_ITEM, priceBasis, layers: [{ ...PLAIN_ITEM.layers[0]!, prices: own }] }).lines.find(
        (line) => line.stage === 'vinyl',
      )!.figure.parts![1]!;
    // Ten take 1050 cm²: 600 of the first lot, the rest of the second.
    expect(at('oldest').value).toBeCloseTo((0.06 * 500 + 0.045 * 1500) / 0.105, 6);
    expect([at('latest').value, at('offer').value, at('shelf').value]).toEqual([1500, 700, 1000]);
    expect(at('oldest').parts!.map((part) => part.label)).toEqual(['Lot 1', 'Lot 2']);
    const chosen = costOf({
      ...PLAIN_ITEM,
      priceBasis: 'offer',
      offerIds: [1, 99],
      layers: [{ ...PLAIN_ITEM.layers[0]!, prices }],
    });
    expect(chosen.lines.find((line) => line.stage === 'vinyl')!.figure.parts![1]).toMatchObject({
      value: 900,
      how: 'A',
    });
    // What the shelf has not is bought as last; what was never bought is calculated at the shelf's price.
    expect(at('oldest', { ...prices, lots: [prices.lots[0]!] }).value).toBe(500);
    expect(at('oldest', { lots: [], offers: [] }).value).toBe(1000);
  });
});

describe('own minutes', () => {
  it('win over the estimate, are shared by it, and say so', () => {
    const estimates = [figure('a', 10, 's', 'computed'), figure('b', 30, 's', 'computed')];
    expect(
      takeOwnMinutes(figure('own', 100, 's', 'learned', { low: 80, high: 140 }), estimates).map(
        ({ value, source, low, high }) => [value, source, low, high],
      ),
    ).toEqual([
      [25, 'learned', 20, 35],
      [75, 'learned', 60, 105],
    ]);
    expect(takeOwnMinutes(undefined, estimates)).toBe(estimates);
    const cost = costOf({ ...PLAIN_ITEM, minutes: { weed: figure('Weed, as typed', 240, 's', 'typed') } });
    expect(cost.lines.find((line) => line.stage === 'weed')).toMatchObject({
      handsSeconds: 240,
      time: 120,
      figure: { source: 'typed' },
    });
  });

  it('are learned from three pieces on: their mean, with the middle of them as band', () => {
    expect(learnMinutes('Weed', { seconds: [50, 60] })).toBeNull();
    expect(learnMinutes('Weed', { seconds: [50, 60, 100] })).toMatchObject({
      value: 70,
      low: 50,
      high: 100,
      source: 'learned',
    });
  });

  it('of the vinyl it has grow with the estimate when another vinyl is tried', () => {
    const spec = { ...PLAIN_ITEM, minutes: { weed: figure('Weed, as logged', 120, 's', 'learned') } };
    const [slow] = compareVinyls({ spec, layerIndex: 0, widthMm: 100, quantity: 10, shop: PLAIN_SHOP }, [
      { vinyl: { ...OTHER, weedingFactor: 2 }, evidence: { made: 0, spoiled: 0 } },
    ]);
    expect(slow!.cost.ok && slow!.cost.value.lines.find((line) => line.stage === 'weed')!.handsSeconds).toBeCloseTo(
      240,
      9,
    );
  });

  it('your time has a band that holds it', () => {
    const { handsSeconds } = costOf(PLAIN_ITEM);
    expect(handsSeconds.low!).toBeLessThan(handsSeconds.value);
    expect(handsSeconds.high!).toBeGreaterThan(handsSeconds.value);
  });

  it('is as wide as the shop’s figures say, and stations that stray each for itself stray less together', () => {
    const shop = { ...PLAIN_SHOP, weedLeast: 0.6, weedMost: 2, cutHandsLeast: 0.9, cutHandsMost: 1.1 };
    const cost = computeItemCost(PLAIN_ITEM, 10, shop);
    if (!cost.ok) throw new Error(cost.problem.kind);
    const { lines, handsSeconds } = cost.value;
    const strayOf = (stage: string, end: 'low' | 'high') =>
      lines
        .filter((line) => line.stage === stage)
        .flatMap((line) => line.figure.parts!.filter((part) => part.unit === 's' && part.low !== undefined))
        .reduce((sum, hands) => sum + Math.abs(hands[end]! - hands.value), 0);
    const weed = lines.find((line) => line.stage === 'weed')!.handsSeconds;
    expect(strayOf('weed', 'high')).toBeCloseTo(weed, 9);
    expect(strayOf('weed', 'low')).toBeCloseTo(weed * 0.4, 9);
    const cut = lines.find((line) => line.stage === 'cut')!.handsSeconds;
    const press = strayOf('press', 'high');
    expect(handsSeconds.high! - handsSeconds.value).toBeCloseTo(Math.hypot(weed, cut * 0.1, press), 6);
    expect(handsSeconds.high! - handsSeconds.value).toBeLessThan(weed + cut * 0.1 + press);
  });
});
