// The stall: what a piece looks like and when it can be had; order, payment and read-back at once.

import { describe, expect, it } from 'vitest';
import { eachFresh, refusalOf, type TestShop } from '../../../test/demo-shop';
import { findClub, setNames } from '../../../test/named-orders';
import { stallInput } from '../../core/input/index';
import { dayOf } from '../../core/units/index';
import { startSession } from '../bench/work-at-bench';
import { getShop } from '../context';
import { loadOrderList } from '../orders/load-order-list';
import { loadOrderView } from '../orders/load-order-view';
import { moveOrder } from '../orders/move-order';
import { readOrder } from '../orders/read-orders';
import { askStall, takeAtStall } from './stall-piece';
import { loadStall, loadStallQueue } from './stall-queue';

let shop: TestShop;
eachFresh((fresh) => {
  shop = fresh;
});
const piece = (part: object = {}) =>
  stallInput.validateSync({
    itemId: findClub(shop).id,
    quantity: 1,
    sizeName: 'M',
    colourName: 'navy',
    options: [0],
    texts: [{ label: 'Surname', text: 'ASH', given: 'ASH' }],
    paidBy: 'cash',
    isRead: true,
    ...part,
  });
const countOpen = () => loadOrderList(shop).counts.open;
const today = () => dayOf(shop.now(), getShop(shop).timeZone);

describe('a piece at the stall', () => {
  it('looks as it will be: its drawings and its text, in their vinyls on its blank', async () => {
    await setNames(shop, ['ASH']);
    const { problem, ground, drawings } = await askStall(shop, piece());
    expect(problem).toBeNull();
    expect(ground).toMatch(/^#[0-9a-f]{6}$/i);
    expect(drawings).toHaveLength(3);
    expect(drawings.at(-1)!.href).toMatch(/^\/api\/artwork\/\d+\/picture\?v=.*&c=[0-9a-f]{6}.*&on=/i);
  });

  it('waits for all that is promised for today, and longer with every piece taken', async () => {
    await setNames(shop, ['ASH']);
    const first = (await askStall(shop, piece())).wait!;
    const before = loadStallQueue(shop);
    takeAtStall(shop, piece());
    const after = loadStallQueue(shop);
    const own = readOrder(shop, after.orders.at(-1)!.id)!.neededSeconds;
    expect(after.orders).toHaveLength(before.orders.length + 1);
    expect(after.waitSeconds).toBeCloseTo(before.waitSeconds + own, 6);
    const second = await askStall(shop, piece());
    expect(second.wait!.value).toBeCloseTo(first.value + own, 6);
    expect(second.readyAtMs).toBeCloseTo(shop.now() + second.wait!.value * 1000, 3);
  });

  it('is taken with its payment, its price and its words, for today', async () => {
    await setNames(shop, ['ASH']);
    const { id } = takeAtStall(shop, piece({ quantity: 2, customerName: 'Mo' }));
    const view = loadOrderView(shop, id);
    const { price, details } = findClub(shop);
    const asked = 2 * (price + details.options[0]!.surcharge);
    expect(view.row).toMatchObject({
      title: 'ASH, Crew jacket, crest and club mark',
      customerName: 'Mo',
      agreed: asked,
      owed: 0,
    });
    expect(view.row.dueDay).toBe(today());
    expect(view.payments).toMatchObject([{ kind: 'payment', means: 'cash', amount: asked }]);
    expect(view.lines[0]!.readBackAtMs).not.toBeNull();
  });

  it('can be cut at once where it was read, and not where it was not', async () => {
    await setNames(shop, ['ASH']);
    const cut = (id: number) => {
      const partIds = readOrder(shop, id)!.parts.map((part) => part.id);
      return startSession(shop, { station: 'cut', partIds });
    };
    const unread = takeAtStall(shop, piece({ isRead: false }));
    expect((await refusalOf(() => cut(unread.id))).refusal).toMatchObject({ reason: 'text-unread' });
    expect(() => cut(takeAtStall(shop, piece()).id)).not.toThrow();
  });

  it('is owed where it is paid when it is collected, and stays in the row until it is handed over', () => {
    const { id } = takeAtStall(shop, piece({ texts: [], options: [], paidBy: null }));
    expect(loadOrderView(shop, id).row.owed).toBe(findClub(shop).price);
    expect(loadStallQueue(shop).orders.map((order) => order.id)).toContain(id);
    moveOrder(shop, id, { move: 'cancel' });
    expect(loadStallQueue(shop).orders.map((order) => order.id)).not.toContain(id);
  });

  it('leaves nothing behind where it can’t be taken', async () => {
    const before = countOpen();
    expect((await refusalOf(() => takeAtStall(shop, piece({ sizeName: 'XXXXL', texts: [] })))).code).toBe('invalid');
    expect(countOpen()).toBe(before);
  });

  it('offers no item that can’t be costed', () => {
    expect(loadStall(shop).items.every(({ problem }) => problem === null)).toBe(true);
  });
});
