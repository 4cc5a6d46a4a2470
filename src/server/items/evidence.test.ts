import { describe, expect, it } from 'vitest';
import { eachFresh, type TestShop } from '../../../test/demo-shop';
import { listBenchParts } from '../../../test/bench-parts';
import { priceAllItems } from '../../../test/price-all';
import { itemInput } from '../../core/input';
import { spoilParts } from '../bench/spoil-parts';
import { finishSession, startSession } from '../bench/work-at-bench';
import { parseInput } from '../errors';
import { placeOrder } from '../orders/save-order';
import { loadEvidence } from './evidence';
import { changeItem } from './save-item';

let shop: TestShop;
eachFresh((fresh) => {
  shop = fresh;
});
const rowOf = (name: string) => priceAllItems(shop).find((row) => row.item.name === name)!;
const CLUB = 'Crew jacket, crest and club mark';
const entered = (name: string, part: object = {}) => {
  const { id: _id, version: _version, archived: _archived, acceptedCost: _acceptedCost, ...fields } = rowOf(name).item;
  return parseInput(itemInput, { ...fields, ...part });
};
const order = (name: string, line: object) =>
  placeOrder(shop, {
    title: 'Club',
    customerName: 'Ansel Thrush',
    contact: '',
    dueDay: '2026-12-09',
    agreed: 9000,
    note: '',
    lines: [{ itemId: rowOf(name).item.id, quantity: 2, sizeName: 'XL', colourName: 'bottle green', ...line }],
  }).id;

describe('what the shop’s log says', () => {
  it('weeding that was logged on whole pieces wins over the estimate, spoilage follows the pieces', () => {
    const name = CLUB,
      id = order(name, { quantity: 4, sizeName: 'M', colourName: 'navy' }),
      itemId = rowOf(name).item.id;
    expect(loadEvidence(shop).of(itemId)).not.toHaveProperty('minutes');
    const parts = () => listBenchParts(shop).filter((part) => part.orderId === id);
    for (const station of ['cut', 'weed'] as const) {
      const { id: sessionId } = startSession(shop, { station, partIds: parts().map((part) => part.partId) });
      shop.clock.ms += 4 * 600_000;
      finishSession(shop, sessionId, 'done');
    }
    const learned = loadEvidence(shop).of(itemId);
    expect(learned.minutes!.weed).toMatchObject({ source: 'learned', parts: [{ value: 4 }, {}, {}] });
    expect(learned.minutes!.weed!.value).toBeCloseTo(600, 6);
    const { cutting } = learned.minutes!;
    expect(cutting!.loading).toMatchObject({ source: 'learned', parts: [{ value: 4 }, { value: 1 }, {}] });
    // The clock at the cutter ran for the set-up too, which is a line of its own.
    const cut = rowOf(name).cost!.lines.filter((line) => line.stage === 'cut' || line.stage === 'set-up');
    const setUp = cut.find((line) => line.stage === 'set-up')!.handsSeconds;
    expect(cut.reduce((sum, line) => sum + line.handsSeconds, 0) - setUp).toBeLessThan(600 * 4);
    expect(
      rowOf(name)
        .cost!.lines.filter((line) => line.stage === 'weed')
        .reduce((sum, line) => sum + line.handsSeconds, 0),
    ).toBeCloseTo(600, 6);
    const before = learned.spoilage!.value;
    spoilParts(shop, { partIds: [parts()[0]!.partId], cause: 'weeding', blankLost: false });
    expect(loadEvidence(shop).of(itemId).spoilage!.value).toBeGreaterThan(before);
  });

  it('a second order quoted by the log, and cut in the same time, teaches the same again', () => {
    const cut = () => {
      const id = order(CLUB, { quantity: 4, sizeName: 'M', colourName: 'navy' });
      const partIds = listBenchParts(shop).flatMap((part) => (part.orderId === id ? [part.partId] : []));
      const { id: sessionId } = startSession(shop, { station: 'cut', partIds });
      shop.clock.ms += 3_000_000;
      finishSession(shop, sessionId, 'done');
      const { loading, watching } = loadEvidence(shop).of(rowOf(CLUB).item.id).minutes!.cutting!;
      return [loading.value, watching.value];
    };
    const [loading, watching] = cut();
    const again = cut();
    expect(again[0]).toBeCloseTo(loading!, 9);
    expect(again[1]).toBeCloseTo(watching!, 9);
  });

  it('minutes that are typed win over the log', () => {
    const { id, version } = rowOf('Bakery apron').item;
    changeItem(
      shop,
      id,
      entered('Bakery apron', {
        details: { ...rowOf('Bakery apron').item.details, minutes: { cut: null, weed: 90, press: null } },
      }),
      version,
    );
    expect(
      rowOf('Bakery apron')
        .cost!.lines.filter((line) => line.stage === 'weed')
        .reduce((sum, line) => sum + line.handsSeconds, 0),
    ).toBeCloseTo(90, 6);
  });
});
