// The small parts of a cost: what goes wrong, loads of the mat, what the shop itself costs, own minutes, stages.

import { describe, expect, it } from 'vitest';
import { printWorking } from '../../../test/print-working';
import { PLAIN_LAYER, PLAIN_SHOP, PLAIN_VINYL } from '../../../test/worked-example';
import type { ShopFigures, Vinyl } from '../materials';
import { figure, minor, type Figure } from '../units';
import { line, type ExactLine } from './cost-lines';
import { believeFailure } from './failure';
import type { ItemCost } from './item-cost';
import { countLoads, countOnMat } from './mat-loads';
import { overheadLine, packagingLine, returnsLine, spoilageLine } from './overhead-lines';
import { learnMinutes, takeOwnMinutes } from './own-minutes';
import { sumByStage } from './stages';

const shop = (change: Partial<ShopFigures>): ShopFigures => ({ ...PLAIN_SHOP, ...change });

describe('what goes wrong, as it is believed', () => {
  const believe = (made: number, spoiled: number, spoilageShare = 0.04) =>
    believeFailure({ made, spoiled }, { spoilageShare });

  it('begins with the shop’s share, as firm as twenty-five pieces', () => {
    expect(believe(0, 0)).toMatchObject({ alpha: 1, beta: 24 });
    expect(printWorking(believe(0, 0).mean)).toBe(
      [
        'Goes wrong: 0.04 share, default ((spoiled + share at first × its weight) ÷ (cut + its weight))',
        '  Cut: 0 count, measured',
        '  Spoiled: 0 count, measured',
        '  Share at first: 0.04 share, shop',
        '  Weight of that, in pieces: 25 count, default',
      ].join('\n'),
    );
  });

  it('moves with each piece', () => {
    const after = believe(75, 15);
    expect([after.alpha, after.beta]).toEqual([16, 84]);
    expect(after.mean).toMatchObject({ value: 0.16, source: 'learned' });
    expect(believe(1, 1).mean.source).toBe('learned');
  });

  it('is never certain of nothing or of everything, and more spoiled than made is no less than none', () => {
    expect(believe(0, 0, 0).mean.value).toBeCloseTo(0.002, 12);
    expect(believe(0, 0, 1).mean.value).toBeCloseTo(0.9, 12);
    expect(believe(3, 5).beta).toBe(24);
  });
});

describe('loads of the mat', () => {
  // Room for 280 × 280; a layer of 100 × 60 with 5 mm round it is 110 × 70.
  const mat = shop({ matWidthMm: 300, matLengthMm: 300, matEdgeMm: 10 });
  const vinyl = (direction: Vinyl['details']['direction']): Vinyl => ({
    ...PLAIN_VINYL,
    details: { ...PLAIN_VINYL.details, direction },
  });
  const box = (width: number, height: number) => ({ box: { ...PLAIN_LAYER.box, width, height } });

  it('take rows side by side, the better way round, where the vinyl may be turned', () => {
    // Upright 2 across and 4 along; turned 4 across and 2 along.
    expect(countOnMat(box(100, 60), vinyl('none'), mat)).toBe(8);
    // 190 × 50 with room: upright 1 × 5, turned 5 × 1; in a room of 280 × 180 upright 1 × 3, turned 5 × 0.
    const low = { ...mat, matLengthMm: 200 };
    expect(countOnMat(box(180, 40), vinyl('none'), low)).toBe(3);
    expect(countOnMat(box(40, 180), vinyl('none'), low)).toBe(3);
    expect(countOnMat(box(40, 180), vinyl('along'), low)).toBe(0);
    expect(countOnMat(box(180, 40), vinyl('along'), low)).toBe(3);
  });

  it('fit to the hair', () => {
    expect(countOnMat(box(130, 270), vinyl('along'), mat)).toBe(2);
    expect(countOnMat(box(130.1, 270), vinyl('along'), mat)).toBe(1);
    expect(countOnMat(box(270.1, 10), vinyl('along'), mat)).toBe(0);
  });

  it('are as many as it takes; without a mat it is one', () => {
    expect([countLoads(8, 8).value, countLoads(9, 8).value, countLoads(1, 8).value]).toEqual([1, 2, 1]);
    expect(printWorking(countLoads(9, 8))).toBe(
      [
        'Loads of the mat: 2 count, computed (copies ÷ what fits on the mat)',
        '  Copies: 9 count, typed',
        '  Fit on the mat: 8 count, computed',
      ].join('\n'),
    );
    expect(printWorking(countLoads(9, 0))).toBe('Loads, without a mat: 1 count, computed');
  });
});

describe('the shop itself', () => {
  const lost: readonly ExactLine[] = [
    line({ id: 'a', stage: 'blank', label: 'Blank', source: 'shop', how: '', parts: [], cash: 400, time: 20 }),
    line({ id: 'b', stage: 'cut', label: 'Cut', source: 'shop', how: '', parts: [], cash: 30, time: 50, risk: 7 }),
  ];
  const print = ({ parts }: ExactLine) => parts.map((part) => printWorking(part)).join('\n');

  it('each good piece bears what is lost on the others: 500 at a fifth is 125', () => {
    const spoilage = spoilageLine(lost, figure('Goes wrong', 0.2, 'share', 'learned'));
    expect(spoilage).toMatchObject({ risk: 125, cash: 0, time: 0, source: 'learned' });
    expect(print(spoilage)).toBe(
      [
        'At stake: blank to wear, without set-up: 500 money, computed',
        '  Blank: 420 money, computed',
        '  Cut: 80 money, computed',
        'Goes wrong: 0.2 share, learned',
      ].join('\n'),
    );
  });

  it('what comes back is made again, risk and all: 507 at two hundredths is 10.14', () => {
    const returns = returnsLine(lost, shop({ returnShare: 0.02 }))!;
    expect(returns.risk).toBeCloseTo(10.14, 9);
    expect(print(returns).split('\n').slice(0, 3)).toEqual([
      'Making one again: 507 money, computed',
      '  Blank: 420 money, computed',
      '  Cut: 87 money, computed',
    ]);
    expect(returnsLine(lost, PLAIN_SHOP)).toBeNull();
  });

  it('packs a piece in its own, or in what the shop packs in', () => {
    expect(packagingLine(minor(80), PLAIN_SHOP)).toMatchObject({ cash: 80, source: 'typed' });
    expect(packagingLine(minor(80), PLAIN_SHOP).parts[0]).toMatchObject({ label: 'Packaging of this item' });
    expect(packagingLine(minor(0), PLAIN_SHOP)).toMatchObject({ cash: 0, source: 'typed' });
    expect(packagingLine(null, PLAIN_SHOP)).toMatchObject({ cash: 50, source: 'shop' });
  });

  it('counts its overheads by the hour, by the piece, or both, and none where there are none', () => {
    const over = (overheadPerHour: number, overheadPerItem: number) =>
      overheadLine(1800, shop({ overheadPerHour, overheadPerItem }));
    expect(over(600, 12)?.cash).toBe(312);
    expect(over(600, 0)?.cash).toBe(300);
    expect(over(0, 12)?.cash).toBe(12);
    expect(over(0, 0)).toBeNull();
    expect(over(600, 12)!.parts[0]).toMatchObject({ label: 'Your time for one', value: 1800 });
  });
});

describe('own minutes', () => {
  const estimate = (label: string, value: number) => figure(label, value, 's', 'computed');
  const own: Figure = { ...figure('Yours', 90, 's', 'learned'), low: 60, high: 120 };

  it('stand for a single layer as they are, with the estimate beside them', () => {
    const [only] = takeOwnMinutes({ ...own, parts: [estimate('Logged', 3)] }, [estimate('Weed: Plain', 50)]);
    expect(only).toMatchObject({ label: 'Yours', value: 90, low: 60, high: 120 });
    expect(only!.parts!.map(({ label, value }) => [label, value])).toEqual([
      ['Logged', 3],
      ['Weed: Plain, as estimated', 50],
    ]);
    expect(takeOwnMinutes(own, [estimate('Weed', 50)])[0]!.parts).toHaveLength(1);
  });

  it('are shared by several layers as the estimates are, band and all', () => {
    const shared = takeOwnMinutes(own, [estimate('One', 20), estimate('Two', 40)]);
    expect(shared.map(({ label, value, low, high, source }) => [label, value, low, high, source])).toEqual([
      ['One', 30, 20, 40, 'learned'],
      ['Two', 60, 40, 80, 'learned'],
    ]);
    expect(shared[1]!.parts!.map(({ label }) => label)).toEqual(['Yours', 'Its share', 'Two, as estimated']);
    const bare = takeOwnMinutes(figure('Yours', 90, 's', 'typed'), [estimate('One', 20), estimate('Two', 40)]);
    expect('low' in bare[0]! || 'high' in bare[0]!).toBe(false);
  });

  it('are shared evenly where nothing is estimated, and estimates stand where there are none', () => {
    expect(takeOwnMinutes(own, [estimate('One', 0), estimate('Two', 0)]).map(({ value }) => value)).toEqual([45, 45]);
    const estimates = [estimate('One', 20)];
    expect(takeOwnMinutes(undefined, estimates)).toBe(estimates);
  });

  it('are learned from three pieces on: their mean, and the middle nine tenths', () => {
    expect(learnMinutes('Weed', { seconds: [10, 20] })).toBeNull();
    expect(learnMinutes('Weed', { seconds: [30, 10, 20] })).toMatchObject({ value: 20, low: 10, high: 30 });
    const many = Array.from({ length: 21 }, (_, at) => 100 + ((at * 8) % 21));
    expect(learnMinutes('Weed', { seconds: many })).toMatchObject({
      value: 110,
      low: 101,
      high: 119,
      source: 'learned',
    });
    expect(printWorking(learnMinutes('Weed', { seconds: [30, 10, 20] })!)).toBe(
      [
        'Weed: 20 s, learned (mean of the logged pieces)',
        '  Pieces logged: 3 count, measured',
        '  Quickest: 10 s, measured',
        '  Slowest: 30 s, measured',
      ].join('\n'),
    );
  });

  it('are not learned from a clock that was forgotten or started late: it is left out, and told', () => {
    const learned = learnMinutes('Weed', { seconds: [30, 10, 20, 161, 0.9] })!;
    expect(learned).toMatchObject({ value: 20, low: 10, high: 30 });
    expect(printWorking(learned)).toContain('Left out, the clock was forgotten or late: 2 count');
    // Eight times as long as usual may still be work.
    expect(learnMinutes('Weed', { seconds: [30, 10, 20, 20, 160] })!.value).toBe(48);
    expect(learnMinutes('Weed', { seconds: [10, 20, 500, 500] })).not.toBeNull();
    expect(learnMinutes('Weed', { seconds: [] })).toBeNull();
  });
});

describe('stages of a cost', () => {
  const lineOf = (stage: string, label: string, total: number) => ({
    stage,
    total,
    figure: figure(label, total, 'money', 'computed'),
  });

  it('are the line itself where there is one, else the sum of theirs', () => {
    const cost = {
      lines: [lineOf('vinyl', 'Vinyl: red', 100), lineOf('cut', 'Cut: red', 30), lineOf('vinyl', 'Vinyl: blue', 50)],
    } as unknown as ItemCost;
    const stages = sumByStage(cost);
    expect([...stages.keys()]).toEqual(['vinyl', 'cut']);
    expect(stages.get('cut' as never)!.label).toBe('Cut: red');
    expect(printWorking(stages.get('vinyl' as never)!)).toBe(
      [
        'Vinyl: 150 money, computed (sum of its lines)',
        '  Vinyl: red: 100 money, computed',
        '  Vinyl: blue: 50 money, computed',
      ].join('\n'),
    );
  });
});
