import { expect, it } from 'vitest';
import { eachFresh, refusalOf, type TestShop } from '../../../test/demo-shop';
import { findArtwork } from '../../data/artwork-store';
import { findLot } from '../../data/stock-store';
import { getShop } from '../context';
import { readOrder } from '../orders/read-orders';
import { setAsideOffcut } from '../stock/save-stock';
import { book } from '../heavy/book-thread';
import { groupOf, layTwoLabels, LABEL_BLACK } from './cut-load-examples';
import { cutSavedSheet } from './cut-saved-sheet';
import { changeCutSheet, saveCutSheet } from './save-cut-sheet';

let shop: TestShop;
eachFresh((fresh) => {
  shop = fresh;
});
const group = () => groupOf(shop, LABEL_BLACK);
const rollOf = () => group().stock.find((lot) => lot.form === 'roll')!;
const cut = (id: number, version: number, leftovers: Parameters<typeof cutSavedSheet>[2]['leftovers'] = []) =>
  cutSavedSheet(shop, id, { version, leftovers }, async (task) => book(task));

const twoLabels = (lotId: number, more: Parameters<typeof layTwoLabels>[2] = {}) => layTwoLabels(shop, lotId, more);

it('takes the strip that its pieces really need, whatever the page said of it; equal parts share it equally', async () => {
  const { lotId, left } = rollOf();
  const { unitCost } = findLot(shop.db, lotId)!;
  const sheet = twoLabels(lotId);
  const saved = saveCutSheet(shop, sheet);
  const { partIds } = await cut(saved.id, saved.version);
  const taken = left - findLot(shop.db, lotId)!.left;
  // Where it begins, the label's own height at 72 mm wide, and the lead-out behind it; to the tenth of a mm.
  const label = findArtwork(shop.db, sheet.sheet.pieces[0]!.source.artworkId)!.measurement;
  const [layer] = label.layers;
  const heightMm = (layer!.box.height * 72) / label.widthMm;
  expect(taken).toBeCloseTo(20 + heightMm + getShop(shop).figures.leadMm, 0);
  const orderId = loadOrderIdOf(partIds[0]!);
  const bearing = readOrder(shop, orderId)!.parts.filter((part) => partIds.includes(part.id));
  expect(bearing.map((part) => [part.state, part.knownVinyl])).toEqual([
    ['cut', expect.closeTo((taken * unitCost) / 2, 4)],
    ['cut', expect.closeTo((taken * unitCost) / 2, 4)],
  ]);
  expect(group().saved).toEqual([]);
});

function loadOrderIdOf(partId: number): number {
  return shop.db.$client
    .prepare(
      'select l.order_id from parts p join pieces c on c.id = p.piece_id join order_lines l on l.id = c.line_id where p.id = ?',
    )
    .pluck()
    .get(partId) as number;
}

it('of an offcut saves what was chosen: the most of it, or nothing', async () => {
  const aside = () =>
    setAsideOffcut(shop, rollOf().lotId, {
      widthMm: 300,
      lengthMm: 400,
      takesMm: 400,
      cornerWidthMm: 0,
      cornerLengthMm: 0,
      remark: '',
    });
  const first = saveCutSheet(shop, twoLabels(aside().id));
  const { offcuts } = await cut(first.id, first.version);
  expect(offcuts.length).toBeGreaterThan(0);
  expect(group().stock.filter((lot) => offcuts.includes(lot.code ?? ''))).toHaveLength(offcuts.length);
  const second = saveCutSheet(shop, twoLabels(aside().id));
  expect((await cut(second.id, second.version, [{ sheet: 0, kind: 'nothing' }])).offcuts).toEqual([]);
});

it('is refused where its pieces lie on one another, where its stock is on no book, and where another window was quicker', async () => {
  const { lotId, left } = rollOf();
  const saved = saveCutSheet(shop, twoLabels(lotId, { acrossMm: 30 }));
  expect(await refusalOf(() => cut(saved.id, saved.version))).toMatchObject({
    code: 'conflict',
    message: expect.stringMatching(/^This can’t be cut so\. Two parts are .* nearer than the gap/) as string,
  });
  const changed = changeCutSheet(shop, saved.id, saved.version, twoLabels(0));
  expect((await refusalOf(() => cut(saved.id, changed.version))).message).toMatch(/not in your stock/);
  expect((await refusalOf(() => cut(saved.id, saved.version))).code).toBe('stale');
  expect((await refusalOf(() => cut(9999, 1))).code).toBe('not-found');
  expect(findLot(shop.db, lotId)!.left).toBe(left);
});
