import { describe, expect, it } from 'vitest';
import { PLAIN_CHANNEL, PLAIN_ITEM, PLAIN_SHOP } from '../../../test/worked-example';
import { computeItemCost, type ItemCost } from '../costing';
import { printWorking } from '../../../test/print-working';
import { minor, type Figure } from '../units';
import { getSoldCost } from './sold-cost';
import { priceOnChannel, readChannel, readSet, type Channel } from './index';

/** An order takes six minutes and has two pieces; a fiftieth comes back. */
const SHOP = { ...PLAIN_SHOP, orderSeconds: 360, piecesPerOrder: 2, returnShare: 0.02 };
const made = computeItemCost(PLAIN_ITEM, 10, SHOP);
if (!made.ok) throw new Error(made.problem.kind);
/** 6.16 as in the worked example, 180 s of the order at 18.00 an hour, a fiftieth of 6.16 for returns. */
const cost: ItemCost = made.value;
const on = (part: Partial<Channel>): Channel => ({ ...PLAIN_CHANNEL, ...part });
const feesAt = (price: number, part: Partial<Channel>) => readChannel(minor(price), cost, on(part)).fees;
const find = (figure: Figure, label: string): Figure | undefined =>
  figure.label === label ? figure : figure.parts?.map((part) => find(part, label)).find((found) => found);

describe('what selling takes', () => {
  it('in the shop: the order shared by its pieces, and what comes back, are lines of the cost', () => {
    expect(cost.lines.find((line) => line.id === 'order')).toMatchObject({ time: 90, handsSeconds: 180 });
    expect(cost.lines.find((line) => line.id === 'returns')).toMatchObject({ cash: 0, time: 0, risk: 12 });
    expect(cost.withRisk.value).toBe(616 + 90 + 12);
    expect(getSoldCost(cost, on({})).withRisk).toBe(cost.withRisk);
  });

  it('a day of eight hours at a stall with 26 sales is 18 minutes a piece, in place of the order', () => {
    const sold = getSoldCost(cost, on({ dayHours: 8, salesPerDay: 26, saleSeconds: 0, returnShare: 0 }));
    expect(sold.handsSeconds.value).toBeCloseTo(270 + (8 * 3600) / 26, 9);
    expect(find(sold.withRisk, 'Share of the day')!.value / 60).toBeCloseTo(18.46, 2);
    // 616 + 1107.7 s at half a cent; no order, no returns.
    expect(sold.withRisk.value).toBe(616 + 554);
    expect(sold.wages).toBe(cost.full.value - cost.cash.value - 90 + 554);
  });

  it('a sale’s minutes and its fixed fee and delivery fall once, however many pieces', () => {
    const three = {
      piecesPerSale: 3,
      saleSeconds: 600,
      fixed: minor(90),
      delivery: minor(600),
      deliveryPaid: minor(300),
    };
    expect(getSoldCost(cost, on(three)).handsSeconds.value).toBeCloseTo(270 + 200, 9);
    expect(feesAt(2000, three).value).toBe(30 + 200 - 100);
    expect(feesAt(2000, { ...three, piecesPerSale: 1 }).value).toBe(90 + 300);
    expect(feesAt(2000, { paymentFixed: minor(25), piecesPerSale: 2 }).value).toBe(13);
  });

  it('shares may be taken of the postage too', () => {
    const tiers = [{ from: minor(0), share: 0.1 }];
    const postage = { tiers, paymentShare: 0.02, delivery: minor(500), deliveryPaid: minor(500) };
    expect(feesAt(2000, postage).value).toBe(200 + 40);
    expect(feesAt(2000, { ...postage, feesOnDelivery: true }).value).toBe(250 + 50);
    expect(feesAt(2000, { ...postage, feesOnDelivery: true, piecesPerSale: 2 }).value).toBe(225 + 45);
  });

  it('returns at the channel’s own share: making one again, not the order', () => {
    const sold = getSoldCost(cost, on({ returnShare: 0.1 }));
    expect(find(sold.withRisk, 'Returns there')!.value).toBe(62);
    expect(sold.withRisk.value).toBe(616 + 90 + 62);
  });

  it('overheads of the hours more are in it', () => {
    const dear = computeItemCost(PLAIN_ITEM, 10, { ...SHOP, overheadPerHour: 360 });
    if (!dear.ok) throw new Error(dear.problem.kind);
    const sold = getSoldCost(dear.value, on({ saleSeconds: 1180 }));
    expect(find(sold.withRisk, 'Overheads of the time more')!.value).toBe(100);
    expect(sold.withRisk.value).toBe(dear.value.withRisk.value - 90 + 590 + 100);
  });

  it('the price for a wage pays the hours at the stall too', () => {
    const stall = on({ dayHours: 8, salesPerDay: 26, saleSeconds: 0, day: minor(3800) });
    const found = priceOnChannel({ kind: 'wage', perHour: 2400 }, cost, stall);
    expect(found.ok).toBe(true);
    const price = found.ok ? found.value.value : 0;
    expect(readChannel(minor(price), cost, stall).hourEarns!.value).toBeGreaterThanOrEqual(2400);
    expect(readChannel(minor(price - 1), cost, stall).hourEarns!.value).toBeLessThan(2400);
    // Cash 461, what goes wrong and comes back 20 + 12, day 146, and 1377.7 s at 24.00.
    expect(price).toBe(461 + 32 + 146 + 919);
  });
});

it('a set is one order: its messages and post fall once, and the hour that is earned says so', () => {
  const set = readSet(3, 0.1, minor(1500), cost, SHOP);
  // 3 × 7.18, less 3 × 0.90 of an order shared by two, and one order of 6 minutes at 18.00: 1.80.
  expect(set.yours.parts![2]!.value).toBe(3 * 718 - 270 + 180);
  expect(set.yours.value).toBe(4050 - (203 + 30) - 2064);
  const seconds = 3 * 450 - 3 * 180 + 360;
  const wages = 3 * (cost.full.value - cost.cash.value) - 90;
  expect(set.hourEarns!.value).toBeCloseTo(((set.yours.value + wages) * 3600) / seconds, 6);
});

describe('the working of what selling takes', () => {
  const steps = (figure: Figure | undefined, depth = 3) =>
    printWorking(figure!, depth)
      .replaceAll(/, (?:computed|shop|typed|default)/g, '')
      .split('\n');

  it('shows the sale, the day, what falls away and what comes instead', () => {
    const dear = computeItemCost(PLAIN_ITEM, 10, { ...SHOP, overheadPerHour: 360 });
    if (!dear.ok) throw new Error(dear.problem.kind);
    const sold = getSoldCost(
      dear.value,
      on({ dayHours: 8, salesPerDay: 20, saleSeconds: 600, piecesPerSale: 2, returnShare: 0.1 }),
    );
    // 600 ÷ 2 + 8 h ÷ 20 = 300 + 1440 = 1740 s, in place of 180 s of the order.
    expect(steps(sold.handsSeconds)).toEqual([
      'Your time for one, sold there: 2010 s (making + selling)',
      '  Your time for one: 450 s (sum of the lines)',
      ...steps(dear.value.handsSeconds, 1)
        .slice(1)
        .map((line) => `  ${line}`),
      '  Selling, in place of the order: 1740 s (sale + day)',
      '    A sale, beside making: 300 s (for a sale ÷ its pieces)',
      '      For a sale: 600 s',
      '      Pieces in a sale: 2 count',
      '    Share of the day: 1440 s (hours of a day ÷ pieces sold on one)',
      '      Hours of a day: 28800 s',
      '      Pieces: 20 count',
    ]);
    const made = dear.value.withRisk.value;
    const again = find(sold.withRisk, 'Returns there')!.parts![0]!.value;
    // 1740 s at 18.00 are 8.70; 1560 s more of overheads at 3.60 are 1.56; the order was 0.90, its returns 2 %.
    const returnsInShop = dear.value.lines.find((line) => line.id === 'returns')!.total;
    expect(steps(sold.withRisk, 1)).toEqual([
      `Full cost with risk, sold there: ${made + 870 + 156 - 90 + Math.round(again * 0.1) - returnsInShop} money (full cost with risk, with what selling takes there)`,
      `  Full cost with risk: ${made} money (full cost + what goes wrong or comes back)`,
      '  Selling: your time at your hour: 870 money',
      '  Overheads of the time more: 156 money',
      '  Less the order in the shop: -90 money',
      `  Returns there: ${Math.round(again * 0.1)} money (making one again × share that comes back)`,
      `  Less returns in the shop: ${-returnsInShop} money`,
    ]);
  });

  it('leaves out what is nought, and a shop without returns makes one again all the same', () => {
    const plain = computeItemCost(PLAIN_ITEM, 10, { ...SHOP, returnShare: 0 });
    if (!plain.ok) throw new Error(plain.problem.kind);
    const sold = getSoldCost(plain.value, on({ saleSeconds: 360, returnShare: 0.5 }));
    // Made again without its order: 616; half of that comes back.
    expect(steps(sold.withRisk, 1)).toEqual([
      'Full cost with risk, sold there: 1104 money (full cost with risk, with what selling takes there)',
      '  Full cost with risk: 706 money (full cost + what goes wrong or comes back)',
      '  Selling: your time at your hour: 180 money',
      '  Less the order in the shop: -90 money',
      '  Returns there: 308 money (making one again × share that comes back)',
    ]);
    const bare = computeItemCost(PLAIN_ITEM, 10, { ...SHOP, returnShare: 0, orderSeconds: 0 });
    if (!bare.ok) throw new Error(bare.problem.kind);
    const there = getSoldCost(bare.value, on({ saleSeconds: 360, returnShare: 0.5 }));
    expect(there.wages).toBe(135 + 180);
    expect(there.withRisk.value).toBe(616 + 180 + 308);
    expect(steps(there.handsSeconds, 1).at(-1)).toBe('  Selling: 360 s (for a sale ÷ its pieces)');
  });
});
