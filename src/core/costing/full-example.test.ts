import { describe, expect, it } from 'vitest';
import { FULL_ITEM, FULL_SHOP, STICKY_VINYL } from '../../../test/worked-example';
import { getOrdinaryDetails, type ShopFigures } from '../materials';
import type { Figure } from '../units';
import { computeExactCost, computeItemCost, countLoads, countOnMat, type ItemCost } from './index';

const PIECES = 10;
function cost(shop: ShopFigures = FULL_SHOP, quantity = PIECES): ItemCost {
  const result = computeItemCost(FULL_ITEM, quantity, shop);
  if (!result.ok) throw new Error(result.problem.kind);
  return result.value;
}
const one = cost();
const line = (id: string, of = one) => of.lines.find((candidate) => candidate.id === id)!;
/** What a line comes to before it is rounded, from the list of what is at stake. */
const exact = (label: string) =>
  line('risk').figure.parts![0]!.parts!.find((part) => part.label.startsWith(label))!.value;
const find = (figure: Figure, label: string): Figure | undefined =>
  figure.label === label ? figure : figure.parts?.map((part) => find(part, label)).find((found) => found);

// Every amount here was worked out on paper from the figures in test/worked-example.ts; an hour is 18.00, half a cent a
// second.
describe('the second worked example of docs/costing.md: one of ten, with every figure', () => {
  it('vinyl: four cells of 110 × 70 mm side by side on the 480 mm that the rollers leave, three rows', () => {
    expect(one.layers[0]!.areas.stripLengthMm).toBe(210);
    expect(exact('Vinyl')).toBeCloseTo((210 * 500 * 1000) / 1e6 / PIECES, 9); // 10.5
  });

  it('set-up: 600 s and 120 s for its vinyl, shared by ten', () => {
    expect(line('set-up').handsSeconds).toBe(72);
    expect([line('set-up').cash, line('set-up').time]).toEqual([0, 36]);
  });

  it('cut: 18 s at the machine, a tenth of loading and watching by hand', () => {
    // 500 ÷ 50 + 8 corners × 0.5 + 4 contours × 1 = 18 s, 1.8 at 3.60 an hour; (100 + 40) ÷ 10 = 14 s, 7.
    expect(one.layers[0]!.cutMachineSeconds.value).toBe(18);
    expect(one.layers[0]!.cutHandsSeconds).toBe(14);
    expect(exact('Cut')).toBeCloseTo(1.8 + 7, 9);
    expect([line('cut-0').cash, line('cut-0').time]).toEqual([2, 7]);
  });

  it('is watched no longer than it cuts', () => {
    // One alone cuts 18 s, less than the 40 it would be watched.
    expect(cost(FULL_SHOP, 1).layers[0]!.cutHandsSeconds).toBe(100 + 18);
  });

  it('weed: base, metres outside, cavities and their smallness, fine metres, by the factor of the vinyl', () => {
    // 30 + 0.32 × 25 + 3 × 10 + (½ + ½ + ¼) × 6 + 0.04 × 50 = 77.5 s, × 1.5 = 116.25 s.
    expect(one.layers[0]!.weedSeconds.value).toBeCloseTo(116.25, 9);
    expect(exact('Weed')).toBeCloseTo(58.125, 9);
    expect(line('weed-0').time).toBe(58);
  });

  it('press: 80 s by hand; power and the press itself for them with a tenth of the warm-up', () => {
    // 20 + 5 + 30 + 12 + 10 + 3 = 80 s, 40; (80 + 600 ÷ 10) s × 1.6 kW = 0.0622 kWh at 0.30, and at 0.90 an hour.
    const energy = ((80 + 60) / 3600) * 1.6 * 30;
    expect(exact('Press')).toBeCloseTo(40 + energy + (140 * 90) / 3600, 9);
    expect([line('press').cash, line('press').time]).toEqual([5, 40]);
  });

  it('wear: half a metre of blade, a tenth of a load, two press cycles of cover sheet and pillow', () => {
    // 0.5 × 9.00 + 24 ÷ 10 + 2 × 400 ÷ 80 + 2 × 500 ÷ 1500.
    expect(exact('Wear')).toBeCloseTo(4.5 + 2.4 + 10 + 2 / 3, 9);
    expect(find(line('wear').figure, 'Mat')!.value).toBeCloseTo(2.4, 9);
    expect(line('wear').cash).toBe(18);
  });

  it('what goes wrong: of what can be lost at the bench, and of nothing else', () => {
    // Blank 400, vinyl 10.5, cut 8.8, weed 58.125, press 45.367, wear 17.567.
    expect(find(line('risk').figure, 'At stake: blank to wear, without set-up')!.value).toBeCloseTo(540.3583, 3);
    expect(line('risk').total).toBe(22); // 540.358 × 0.04 ÷ 0.96 = 22.51
  });

  it('the order beside making: 400 s shared by four; returns: a fiftieth of making one again', () => {
    expect([line('order').handsSeconds, line('order').time]).toEqual([100, 50]);
    // At stake 540.358, set-up 36, what goes wrong 22.515, check 30, pack 50.
    expect(find(line('returns').figure, 'Making one again')!.value).toBeCloseTo(678.8733, 3);
    expect([line('returns').cash, line('returns').time, line('returns').risk]).toEqual([0, 0, 14]); // 13.577
  });

  it('check, pack and overheads: 442.25 s at 3.00 an hour, and 0.25', () => {
    expect(line('check').time).toBe(30);
    expect(line('pack').cash).toBe(50);
    expect(one.handsSeconds.value).toBeCloseTo(72 + 14 + 116.25 + 80 + 60 + 100, 9);
    expect(line('overhead').cash).toBe(62); // 36.854 + 25
  });

  it('the totals', () => {
    // 400 + 10.5 + 1.8 + 5.367 + 17.567 + 50 + 61.854
    expect(one.cash.value).toBe(547);
    // + 36 + 7 + 58.125 + 40 + 30 + 50
    expect(one.full.value).toBe(768);
    // + 22.515 + 13.577
    expect(one.withRisk.value).toBe(804);
    expect(one.lines.reduce((sum, own) => sum + own.total, 0)).toBe(804);
  });

  it('each total has its working: lines that cost something, and together they are it', () => {
    const listParts = (total: Figure) => total.parts!.map(({ label, value }) => [label.split(/[:,]/)[0], value]);
    const labelsOf = (pick: (own: ItemCost['lines'][number]) => number) =>
      one.lines.filter((own) => pick(own) !== 0).map(({ figure }) => figure.label);
    const sum = (figures: readonly Figure[]) => figures.reduce((all, { value }) => all + value, 0);
    expect(one.cash.parts!.map(({ label }) => label)).toEqual(labelsOf(({ cash }) => cash));
    expect(sum(one.cash.parts!)).toBe(547);
    expect(listParts(one.full)).toEqual([
      ['Cash cost', 547],
      ['Your time', 221],
    ]);
    const time = one.full.parts![1]!.parts!;
    expect(time.map(({ label }) => label)).toEqual(labelsOf((own) => own.time));
    expect(time.map(({ value }) => value)).toEqual([36, 7, 58, 40, 30, 50]);
    const [full, ...risks] = one.withRisk.parts!;
    expect(full).toBe(one.full);
    expect(risks.map(({ value }) => value)).toEqual([22, 14]);
    // Set-up, cut, weed, press, check and pack, the order; blank, vinyl, wear and overheads take no hands.
    const hands = one.handsSeconds.parts!;
    expect(hands.map(({ value }) => value)).toEqual([72, 14, 116.25, 80, 60, 100].map((s) => expect.closeTo(s, 9)));
    expect(one.lines.length).toBeGreaterThan(hands.length);
  });

  it('not rounded: all but what goes wrong at the bench, with what comes back; and what can be lost', () => {
    const result = computeExactCost(FULL_ITEM, PIECES, FULL_SHOP);
    if (!result.ok) throw new Error(result.problem.kind);
    // 547.0875 in cash, 221.125 of time, a fiftieth of making one again.
    expect(result.value.full).toBeCloseTo(547.0875 + 221.125 + 678.8733 * 0.02, 3);
    expect(result.value.atStake).toBeCloseTo(540.3583, 3);
  });

  it('each figure of the shop moves the cost, and the right way', () => {
    const grows = (key: keyof ShopFigures) =>
      cost({ ...FULL_SHOP, [key]: FULL_SHOP[key] * 40 }).withRisk.value - one.withRisk.value;
    const dearer = [
      'wagePerHour',
      'packaging',
      'setupSeconds',
      'setupPerVinylSeconds',
      'checkSeconds',
      'cutterCornerSeconds',
      'cutterLiftSeconds',
      'cutterLoadSeconds',
      'cutterRatePerHour',
      'weedBaseSeconds',
      'weedPerMetreSeconds',
      'weedPerCavitySeconds',
      'weedPerSmallCavitySeconds',
      'weedPerFineMetreSeconds',
      'pressLayOutSeconds',
      'prePressSeconds',
      'pressPlaceSeconds',
      'pressPeelSeconds',
      'pressWarmUpSeconds',
      'pressWatts',
      'energyPerKwh',
      'pressRatePerHour',
      'orderSeconds',
      'bladePrice',
      'matPrice',
      'coverSheetPrice',
      'pillowPrice',
      'overheadPerHour',
      'overheadPerItem',
    ] as const;
    for (const key of dearer) expect([key, grows(key) > 0]).toEqual([key, true]);
    for (const key of ['bladeLifeMetres', 'matLifeLoads', 'coverSheetPresses', 'piecesPerOrder'] as const)
      expect([key, grows(key) < 0]).toEqual([key, true]);
  });
});

it('transfer tape is as large as the box with its margin, and used several times', () => {
  const sticky = computeItemCost({ ...FULL_ITEM, layers: [{ ...FULL_ITEM.layers[0]!, vinyl: STICKY_VINYL }] }, PIECES, {
    ...FULL_SHOP,
    tapePerM2: 100_000,
    tapeUses: 4,
  });
  // 110 × 70 mm at 1000.00 a square metre: 7.70, used four times.
  expect(sticky.ok && line('tape-0', sticky.value).figure.parts![0]!.value).toBe(7700);
  expect(sticky.ok && line('tape-0', sticky.value).cash).toBeCloseTo(192.5, -0.5);
});

describe('loads of the mat', () => {
  const crest = { box: { x: 0, y: 0, width: 120, height: 150 } };
  const anyWay = { details: getOrdinaryDetails('smooth') };
  const mat = { matWidthMm: 305, matLengthMm: 610, matEdgeMm: 3, weedMarginMm: 6 };

  it('a hundred crests are seventeen loads: two by three lie on it', () => {
    const onMat = countOnMat(crest, anyWay, mat);
    expect(onMat).toBe(6);
    expect(countLoads(100, onMat).value).toBe(17);
    expect([1, 6, 7, 12, 13].map((copies) => countLoads(copies, onMat).value)).toEqual([1, 1, 2, 2, 3]);
  });

  it('turns a piece a quarter where that holds more, but not with a direction', () => {
    const long = { box: { x: 0, y: 0, width: 280, height: 130 } };
    expect(countOnMat(long, anyWay, mat)).toBe(4);
    const wide = { box: { x: 0, y: 0, width: 430, height: 100 } };
    expect(countOnMat(wide, anyWay, mat)).toBe(2);
    const along = { details: { ...getOrdinaryDetails('smooth'), direction: 'along' as const } };
    expect(countOnMat(wide, along, mat)).toBe(0);
  });

  it('each is loaded by hand and wears the mat; what is too large for it wears none, and is loaded once', () => {
    const many = cost(FULL_SHOP, 100);
    // Twenty of 110 × 70 mm lie on it, so a hundred are five loads: 5 × 100 + 40 s by hand, 5 × 24 of the mat.
    expect(many.layers[0]!.onMat).toBe(20);
    expect(many.layers[0]!.cutHandsSeconds * 100).toBeCloseTo(540, 6);
    expect(find(line('wear', many).figure, 'Mat')!.value * 100).toBeCloseTo(120, 6);
    const bare = cost({ ...FULL_SHOP, matWidthMm: 50, matLengthMm: 50 }, 100);
    expect(bare.layers[0]!.cutHandsSeconds * 100).toBeCloseTo(140, 6);
    expect(find(line('wear', bare).figure, 'Mat')!.value).toBe(0);
  });
});
