import { describe, expect, it } from 'vitest';
import { PLAIN_CHANNEL, PLAIN_ITEM, PLAIN_SHOP } from '../../../test/worked-example';
import { computeItemCost, type ItemCost } from '../costing';
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
