import { describe, expect, it } from 'vitest';
import { eachFresh, refusalOf, type TestShop } from '../../../test/demo-shop';
import { readPdfPages } from '../../../test/read-pdf';
import { findLot, findUnbalancedLots, insertLot, loadLines, loadLotsOnShelf } from '../../data/stock-store';
import { printOffcutLabels } from '../paper/offcut-labels';
import { bookStock, countStock, readWidth, receiveLot, setAsideOffcut } from './save-stock';
import { writeStockCsv } from './stock-csv';
import { findOffcuts, loadStock } from './load-stock';
import { listThings } from './things';
import { SLATE } from './stock-flow-examples';

let shop: TestShop;
eachFresh((fresh) => {
  shop = fresh;
});

const keyNamed = (name: string) => listThings(shop).find((thing) => thing.name === name)!.key;
const piece = (): number => {
  const { key } = listThings(shop).find((thing) => thing.kind === 'blank')!;
  const fields = { widthMm: null, lengthMm: null, quantity: 3, price: 900, remark: '' };
  return receiveLot(shop, { key, form: 'piece', ...fields }).id;
};
const roll = (quantity = 5000) => ({
  key: keyNamed(SLATE),
  form: 'roll' as const,
  widthMm: 500,
  lengthMm: quantity,
  quantity,
  price: 4000,
  remark: '',
});
describe('the true width', () => {
  it('comes with a count or is read at the machine, and cut sheets and costs of the lot go by it', async () => {
    const { id } = receiveLot(shop, roll());
    expect(countStock(shop, id, 5000, '', 497.5)).toEqual({ offBy: 0 });
    expect(findLot(shop.db, id)!.widthMm).toBe(497.5);
    expect(readWidth(shop, id, 495)).toEqual({ wasMm: 497.5 });
    expect(findLot(shop.db, id)).toMatchObject({ widthMm: 495, left: 5000 });
    countStock(shop, id, 4000, 'by ruler');
    expect(findLot(shop.db, id)).toMatchObject({ widthMm: 495, left: 4000 });
    const refusal = await refusalOf(() => countStock(shop, piece(), 3, '', 100));
    expect([refusal.field, refusal.message]).toEqual(['widthMm', 'True width: pieces have none. Leave it empty.']);
  });
});

describe('stock', () => {
  it('is a ledger: every line has its cause, sums add up, nothing goes below nothing', async () => {
    const { id } = receiveLot(shop, roll());
    bookStock(shop, id, { cause: 'cut', quantity: 1200.5, note: 'jackets' });
    bookStock(shop, id, { cause: 'returned', quantity: 100, note: '' });
    const refusal = await refusalOf(() => bookStock(shop, id, { cause: 'spoiled', quantity: 3899.6, note: '' }));
    expect([refusal.code, refusal.message]).toEqual([
      'conflict',
      'There are 3899.5 mm left of this lot, and 3899.6 mm are asked for. Count it first if there is more than the book says.',
    ]);
    expect(countStock(shop, id, 3850, 'by ruler')).toEqual({ offBy: -49.5 });
    expect(findLot(shop.db, id)!.left).toBe(3850);
    expect(loadLines(shop.db, id).map(({ cause, quantity }) => [cause, quantity])).toEqual([
      ['received', 5000],
      ['cut', -1200.5],
      ['returned', 100],
      ['counted', -49.5],
    ]);
    expect(findUnbalancedLots(shop.db)).toEqual([]);
  });

  it('below nothing is refused by the file itself', () => {
    const lot = insertLot(shop.db, {
      key: keyNamed(SLATE),
      form: 'roll',
      widthMm: 500,
      lengthMm: 1,
      receivedAtMs: 0,
      unitCost: 1,
    });
    expect(() => shop.db.$client.prepare('update lots set left = -1 where id = ?').run(lot)).toThrow(
      /lots_never_negative/,
    );
  });

  it('says what is free of what lies there: open orders come first', () => {
    const row = loadStock(shop).rows.find(({ thing }) => thing.name === SLATE)!;
    expect(row.free.value).toBeCloseTo(row.onShelf.value - row.reserved.value, 6);
    expect(row.onShelf.parts!.length).toBe(row.lots.length);
    expect(loadStock(shop).value.value).toBeGreaterThan(10_000);
  });

  it('an offcut is taken off its roll, has a code, and is found by what fits on it', async () => {
    const { id } = receiveLot(shop, roll());
    const { code } = setAsideOffcut(shop, id, {
      widthMm: 480,
      lengthMm: 260,
      cornerWidthMm: 200,
      cornerLengthMm: 100,
      takesMm: 260,
      remark: '',
    });
    expect(findLot(shop.db, id)!.left).toBe(4740);
    const fits = (widthMm: number, heightMm: number) =>
      findOffcuts(shop, { widthMm, heightMm, key: keyNamed(SLATE) }).map(({ lot }) => lot.code);
    expect(fits(270, 250)).toContain(code);
    expect(fits(475, 155)).toContain(code);
    expect(fits(475, 200)).not.toContain(code);
    const offcut = loadLotsOnShelf(shop.db).find((lot) => lot.code === code)!;
    expect(offcut.unitCost).toBeCloseTo((4000 / 5000) * 260, 6);
    bookStock(shop, offcut.id, { cause: 'cut', quantity: 1, note: '' });
    expect(fits(270, 250)).not.toContain(code);
    expect(
      (
        await refusalOf(() =>
          setAsideOffcut(shop, id, {
            widthMm: 700,
            lengthMm: 600,
            cornerWidthMm: 0,
            cornerLengthMm: 0,
            takesMm: 600,
            remark: '',
          }),
        )
      ).message,
    ).toMatch(/500 mm wide/);
  });
});

it('labels for offcuts carry their codes and sizes', async () => {
  const settings = { locale: 'en-GB', currency: 'EUR', timeZone: 'UTC', system: 'metric' as const };
  const codes = loadLotsOnShelf(shop.db).flatMap((lot) => (lot.code === null ? [] : [lot.code]));
  expect(codes.length).toBeGreaterThan(3);
  const [page] = await readPdfPages(await printOffcutLabels(loadStock(shop), settings));
  for (const code of codes) expect(page).toContain(code);
  expect(page).toContain('420 mm × 160 mm');
});
it('the stock as a table: a line a lot, and no formula in it', () => {
  const { id } = receiveLot(shop, { ...roll(2000), price: 1234, remark: '=HYPERLINK("x")' });
  bookStock(shop, id, { cause: 'cut', quantity: 500, note: '' });
  const lines = writeStockCsv(loadStock(shop), { currency: 'EUR', timeZone: 'UTC' }).split('\r\n');
  expect(lines[0]).toBe('thing;kind;form;width mm;length mm;left;code;received;supplier;worth EUR;remark');
  expect(lines.length - 1 - Number(lines.at(-1) === '')).toBe(loadLotsOnShelf(shop.db).length);
  // Three quarters are left of 12.34.
  expect(lines.find((line) => line.includes('HYPERLINK'))).toMatch(
    /^"?Tarn Smooth, slate"?;vinyl;roll;500;1500;1;;2026-11-24;;9\.2[56];"'=HYPERLINK/,
  );
});
