// What an order asks: prices of lines, terms, and what changes of either do to what was agreed.

import { describe, expect, it } from 'vitest';
import { eachFresh, refusalOf, type TestShop } from '../../../test/demo-shop';
import { takeOrderOf } from '../../../test/named-orders';
import { priceAllItems } from '../../../test/price-all';
import { linesChange, orderChange } from '../../core/input/index';
import { PLAIN_TERMS, type OrderTerms } from '../../core/orders/index';
import { minor } from '../../core/units/index';
import { getShop } from '../context';
import { changeShop } from '../shop/change-shop';
import { changeLines } from './change-lines';
import { costToday } from './cost-today';
import { loadOrderView } from './load-order-view';
import { changeOrder, type OrderWish, type WrittenLine } from './save-order';

let shop: TestShop;
eachFresh((fresh) => {
  shop = fresh;
});
const towel = () => priceAllItems(shop).find((row) => row.item.name === 'Honeycomb tea towel')!.item;
const line = (quantity: number, part: Partial<WrittenLine> = {}): WrittenLine => ({
  itemId: towel().id,
  quantity,
  sizeName: 'one size',
  colourName: 'natural',
  options: [],
  ...part,
});
const take = (part: Partial<OrderWish> = {}) => takeOrderOf(shop, { lines: [line(4)], agreed: 8000, ...part });
const change = (id: number, lines: readonly object[], more: object = {}) =>
  changeLines(shop, id, linesChange.validateSync({ lines, ...more }), loadOrderView(shop, id).version);
const doubleWage = () => {
  const { figures, ...identity } = getShop(shop);
  changeShop(shop, { ...identity, figures: { ...figures, wagePerHour: figures.wagePerHour * 2 } }, identity.version);
};
const terms = (part: Partial<OrderTerms>): OrderTerms => ({ ...PLAIN_TERMS, ...part });

describe('the prices of an order', () => {
  it('are the shop’s where none was agreed for a line, and are kept when the shop’s change', () => {
    const id = take({ lines: [line(4), line(1, { each: 1500 })] });
    const { lines, money } = loadOrderView(shop, id);
    expect(lines.map(({ each }) => each)).toEqual([towel().price, 1500]);
    expect(money.asked!.value).toBe(4 * towel().price + 1500);
  });

  it('add up with what is given off and asked on top', () => {
    const id = take({
      lines: [line(4, { each: 2000 })],
      terms: terms({ discountShare: 0.1, rushShare: 0.25, goes: 'sent', deliveryCharge: minor(690) }),
    });
    expect(loadOrderView(shop, id).money.asked!.value).toBe(8000 - 800 + 2000 + 690);
  });

  it('move what was agreed by as much as the lines do: what was given off stays given', () => {
    const id = take({ lines: [line(4, { each: 2000 })], agreed: 7500, terms: terms({ discountShare: 0.1 }) });
    const [own] = loadOrderView(shop, id).lines;
    change(id, [{ ...line(6, { each: 2000 }), lineId: own!.id }]);
    const after = loadOrderView(shop, id);
    // Two more at 20.00, less a tenth.
    expect(after.row.agreed).toBe(7500 + 3600);
    expect(after.events[0]!.text).toMatch(/2 more Honeycomb tea towel; price .*75\.00 → .*111\.00/);
  });

  it('are the seller’s where another sum is written', () => {
    const id = take();
    const [own] = loadOrderView(shop, id).lines;
    change(id, [{ ...line(5), lineId: own!.id }], { agreed: 9000 });
    expect(loadOrderView(shop, id).row.agreed).toBe(9000);
  });

  it('stay for lines that nobody spoke of the price of, and follow a price that is changed', () => {
    const id = take({ lines: [line(4, { each: 1800 })], agreed: 7200 });
    const [own] = loadOrderView(shop, id).lines;
    change(id, [{ ...line(4), lineId: own!.id }]);
    expect(loadOrderView(shop, id).lines[0]!.each).toBe(1800);
    expect(loadOrderView(shop, id).row.agreed).toBe(7200);
    change(id, [{ ...line(4, { each: 1700 }), lineId: own!.id }]);
    const after = loadOrderView(shop, id);
    expect([after.lines[0]!.each, after.row.agreed]).toEqual([1700, 6800]);
    expect(after.lines[0]!.id).toBe(own!.id);
  });

  it('keep a note that was changed on a line that stays', () => {
    const id = take();
    const [own] = loadOrderView(shop, id).lines;
    change(id, [{ ...line(4), lineId: own!.id, note: 'fold in three' }]);
    expect(loadOrderView(shop, id).lines[0]).toMatchObject({ id: own!.id, note: 'fold in three' });
  });

  it('refuse a price that is no amount, and a discount of everything', () => {
    expect(() => linesChange.validateSync({ lines: [{ ...line(1), each: '?' }] })).toThrow(/Price each/);
    const wish = { title: 'x', dueDay: '2027-01-01', agreed: 1, note: '', terms: terms({ discountShare: 1 }) };
    expect(() => orderChange.validateSync(wish)).toThrow(/Discount/);
  });

  it('tell in the story what was agreed anew', () => {
    const id = take();
    const { version, row } = loadOrderView(shop, id);
    const wish = orderChange.validateSync({
      title: row.title,
      dueDay: row.dueDay,
      agreed: 8690,
      note: '',
      terms: terms({ goes: 'sent', deliveryCharge: minor(690) }),
    });
    changeOrder(shop, id, wish, version);
    expect(loadOrderView(shop, id).events[0]!.text).toMatch(
      /80\.00 → .*86\.90, to be sent, delivery .*0\.00 → .*6\.90/,
    );
  });

  it('stay what they were where terms are left out of a change', () => {
    const id = take({ terms: terms({ rushShare: 0.5 }) });
    const { version, row } = loadOrderView(shop, id);
    const wish = orderChange.validateSync({ title: 'y', dueDay: row.dueDay, agreed: 8000, note: '' });
    changeOrder(shop, id, wish, version);
    expect(loadOrderView(shop, id).terms.rushShare).toBe(0.5);
  });
});

describe('the cost as of today', () => {
  it('stands beside what was frozen', async () => {
    const id = take();
    const frozen = loadOrderView(shop, id).lines[0]!.eachWithRisk;
    expect(costToday(shop, id).lines[0]!.each!.value).toBe(frozen);
    doubleWage();
    expect(loadOrderView(shop, id).lines[0]!.eachWithRisk).toBe(frozen);
    expect(costToday(shop, id).lines[0]!.each!.value).toBeGreaterThan(frozen);
    expect((await refusalOf(() => costToday(shop, 99_999))).code).toBe('not-found');
  });
});
