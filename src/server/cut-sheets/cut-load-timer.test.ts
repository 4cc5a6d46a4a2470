import { describe, expect, it } from 'vitest';
import { eachFresh, refusalOf, type TestShop } from '../../../test/demo-shop';
import { loadRunningSessions } from '../../data/work-store';
import { finishSession, startSession } from '../bench/work-at-bench';
import { makeClock } from '../context';
import { loadOrderView } from '../orders/load-order-view';
import { readOrder } from '../orders/read-orders';
import { cutLoad } from './cut-load';
import { groupOf, orderCoats, SLATE, waiting } from './cut-load-examples';

let shop: TestShop;
eachFresh((fresh) => {
  shop = fresh;
});
const cut = (partIds: readonly number[]) =>
  cutLoad(shop, {
    sheetId: null,
    sheets: [
      {
        lotId: groupOf(shop, SLATE).stock.find((lot) => lot.form === 'roll')!.lotId,
        usedLengthMm: 100,
        leftovers: [],
        spareMm2: 0,
        islands: [],
        parts: partIds.map((partId) => ({ partId, areaMm2: 1 })),
      },
    ],
  });
const partIdsOf = (orderId: number) => waiting(shop, orderId).map((part) => part.partId);
const cutSeconds = (orderId: number) =>
  loadOrderView(shop, orderId)!.against.stations.find(({ station }) => station === 'cut')!.real.value;

describe('a load that is cut while a clock runs at the cutter', () => {
  it('for some of its own parts: the clock stops, and its minutes stay with them', () => {
    const orderId = orderCoats(shop, 2);
    const partIds = partIdsOf(orderId);
    startSession(shop, { station: 'cut', partIds: [partIds[0]!] });
    shop.clock.ms += 90_000;
    cut(partIds);
    expect(loadRunningSessions(shop.db)).toEqual([]);
    expect(readOrder(shop, orderId)!.parts.filter((part) => part.state === 'cut')).toHaveLength(2);
    expect(cutSeconds(orderId)).toBe(90);
  });

  it('for other parts: that goes on running, and the load is cut', () => {
    const other = partIdsOf(orderCoats(shop, 1));
    const orderId = orderCoats(shop, 2);
    const { id } = startSession(shop, { station: 'cut', partIds: other });
    cut(partIdsOf(orderId));
    expect(loadRunningSessions(shop.db).map((session) => session.id)).toEqual([id]);
    expect(readOrder(shop, orderId)!.parts.filter((part) => part.state === 'cut')).toHaveLength(2);
  });

  it('for its own and other parts together: it says which piece lies on the cutter, and nothing is done', async () => {
    const other = partIdsOf(orderCoats(shop, 1));
    const orderId = orderCoats(shop, 2);
    const partIds = partIdsOf(orderId);
    startSession(shop, { station: 'cut', partIds: [...other, partIds[0]!] });
    const refused = await refusalOf(() => cut(partIds));
    expect(refused.refusal).toMatchObject({ reason: 'piece-on-cutter', piece: 1 });
    expect(partIdsOf(orderId)).toEqual(partIds);
  });
});

describe('a clock that goes back', () => {
  it('gives no minutes below nothing', () => {
    const orderId = orderCoats(shop, 1);
    const { id } = startSession(shop, { station: 'cut', partIds: partIdsOf(orderId) });
    shop.clock.ms -= 3600_000;
    finishSession(shop, id, 'done');
    expect(cutSeconds(orderId)).toBe(0);
  });

  it('is not followed while the server runs', () => {
    let clock = 1_000_000;
    let steady = 500;
    const now = makeClock(
      () => clock,
      () => steady,
    );
    expect(now()).toBe(1_000_000);
    steady += 2000;
    clock -= 3_600_000;
    expect(now()).toBe(1_002_000);
    clock = 2_000_000;
    expect(now()).toBe(2_000_000);
  });
});
