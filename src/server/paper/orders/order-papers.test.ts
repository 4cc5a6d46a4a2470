// The papers of an order as another program reads them.

import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { copyDemoShop, seedDemoShop, type TestShop } from '../../../../test/demo-shop';
import { setNames, makeNamed, takeOrderOf } from '../../../../test/named-orders';
import { readPdfPages } from '../../../../test/read-pdf';
import { minor } from '../../../core/units';
import { getShop } from '../../context';
import { writeOrderCalendar, writeOpenCalendar } from '../../calendar/due-days';
import { addPayment } from '../../orders/pay-order';
import { changeShop } from '../../shop/change-shop';
import Papa from 'papaparse';
import { writeOrderLinesCsv, writeOrdersCsv } from './orders-csv';
import { findFeedOrder } from '../../../data/feed-store';
import { takeFeed } from '../../feeds/take-feed';
import { readOrder } from '../../orders/read-orders';
import { printTicket } from '../ticket';
import { printCareCards } from './care-cards';
import { printOrderLabels } from './order-labels';
import { printOrderSheet } from './order-sheet';
import { printPackingSlip } from './packing-slip';

const folder = mkdtempSync(join(tmpdir(), 'chiral-papers-'));
const file = join(folder, 'shop.sqlite');
const settings = { locale: 'en-GB', currency: 'EUR', timeZone: 'Europe/Vienna', system: 'metric' as const };
let shop: TestShop;
let id: number;

beforeAll(async () => {
  shop = copyDemoShop(await seedDemoShop());
  const { figures, ...identity } = getShop(shop);
  changeShop(shop, { ...identity, figures, taxNote: 'No tax is charged: small seller.' }, identity.version);
  await setNames(shop, ['Ash', 'Östlund']);
  id = takeOrderOf(shop, {
    title: 'Two jackets',
    customerName: 'Juniper Vale',
    dueDay: '2027-03-01',
    agreed: 11_000,
    deposit: 3000,
    terms: { discountShare: 0.1, setOff: minor(0), rushShare: 0, goes: 'sent', deliveryCharge: minor(690) },
    lines: [makeNamed(shop, 'Ash', { each: 6000 }), makeNamed(shop, 'Östlund', { each: 6000, sizeName: 'L' })],
  });
  addPayment(shop, id, { kind: 'payment', amount: 3000, means: 'card' });
  writeFileSync(file, shop.db.$client.serialize());
}, 60_000);
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const at = () => ({ file, nowMs: shop.now() });
const parseRows = (csv: string) => Papa.parse<string[]>(csv.trim()).data;
/** All pages as one text, with single spaces. */
const read = async (bytes: Promise<Uint8Array>) => (await readPdfPages(await bytes)).join(' ').replace(/\s+/g, ' ');
const sheet = (kind: 'quote' | 'confirmation' | 'statement') => read(printOrderSheet(at(), { id, kind, settings }));

describe('the papers of an order', () => {
  it('ask for what was agreed, line by line, with what was given off and delivery', async () => {
    const text = await sheet('confirmation');
    expect(text).toContain('Heron & Hitch');
    expect(text).toContain('Towpath Lane');
    expect(text).toContain('Juniper Vale');
    expect(text).toMatch(/Ash, Östlund 2 60\.00 120\.00/);
    expect(text).toMatch(/Discount, 10 % .*12\.00/);
    expect(text).toMatch(/Delivery 6\.90/);
    // 120.00 − 12.00 + 6.90 is 114.90; agreed is 110.00.
    expect(text).toMatch(/As agreed .*4\.90/);
    expect(text).toMatch(/Total 110\.00/);
    expect(text).toContain('It will be sent on Mon 1 Mar');
    expect(text).toContain('30.00 is paid');
    expect(text).toContain('No tax is charged: small seller.');
  });

  it('quote until a day, and say what is asked before the work begins', async () => {
    const text = await sheet('quote');
    expect(text).toContain(`Quote ${id}`);
    expect(text).toContain('This quote holds until Tue 8 Dec');
    expect(text).toContain('We ask for');
  });

  it('state what is owed, and that it is no invoice', async () => {
    const text = await sheet('statement');
    expect(text).toMatch(/Paid, card, .* -?−?30\.00/);
    expect(text).toMatch(/Owed 80\.00/);
    expect(text).toContain('it is not an invoice');
  });

  it('pack every piece, and name no price', async () => {
    const text = await read(printPackingSlip(at(), { id, settings }));
    expect(text).toMatch(/1 Crew jacket, crest and club mark M, navy Ash/);
    expect(text).toMatch(/2 Crew jacket, crest and club mark L, navy Östlund/);
    expect(text).not.toMatch(/60\.00|110\.00/);
  });

  it('label every piece with its size and what it says', async () => {
    const text = await read(printOrderLabels(at(), { id, settings }));
    expect(text).toContain('M Ash');
    expect(text).toContain('L Östlund');
  });

  it('tell for every piece how to treat it', async () => {
    const text = await read(printCareCards(at(), { id, settings }));
    expect(text.match(/inside out/g)).toHaveLength(2);
  });

  it('go through the shop with a ticket that names every piece', async () => {
    const text = await read(printTicket(at(), { id, address: 'http://shop.example', settings }));
    expect(text).toContain('Two jackets');
    expect(text).toMatch(/1 Ash M/);
    expect(text).toMatch(/2 Östlund L/);
  });
});

describe('all orders as a table', () => {
  it('have a row each, with commas and umlauts kept, money in whole units', () => {
    const [head, ...rows] = parseRows(writeOrdersCsv(at()));
    expect(head!.slice(0, 4)).toEqual(['number', 'order', 'customer', 'contact']);
    const row = rows.find(([number]) => number === String(id))!;
    expect(row.slice(1, 3)).toEqual(['Two jackets', 'Juniper Vale']);
    expect(row.slice(-3)).toEqual(['2', '110.00', '30.00']);
    expect(rows.find(([, title]) => title === 'Junior crew, surnames and seats')).toBeDefined();
    expect(rows.length).toBe(Math.max(...rows.map(([number]) => Number(number))));
  });
});

describe('due days in a calendar', () => {
  it('are whole days, known again by the same mark', () => {
    const text = writeOrderCalendar(shop, id, 'http://shop.example');
    expect(text).toContain('DTSTART;VALUE=DATE:20270301');
    expect(text).toContain(`UID:order-${id}@chiral`);
    expect(text).toContain('SUMMARY:Two jackets\\, for Juniper Vale');
    expect(writeOrderCalendar(shop, id, 'http://shop.example')).toBe(text);
  });

  it('hold every order that is open', () => {
    const marks = writeOpenCalendar(shop, 'http://shop.example').match(/UID:order-\d+@chiral/g)!;
    expect(marks).toContain(`UID:order-${id}@chiral`);
    expect(new Set(marks).size).toBe(marks.length);
  });
});

describe('open orders line by line', () => {
  it('are the same orders again where the table is taken as an order file', async () => {
    const report = await takeFeed(shop, { file: 'open orders.csv', text: writeOrderLinesCsv(at()) });
    expect(report).toMatchObject({ waiting: 0, refused: 0, same: 0 });
    expect(report.taken).toBeGreaterThan(3);
    const lines = (orderId: number) =>
      readOrder(shop, orderId)!.order.lines.map(({ itemId, quantity, sizeName, colourName, each, texts }) => ({
        itemId,
        quantity,
        sizeName,
        colourName,
        each,
        texts: texts.map(({ label, text }) => [label, text]),
      }));
    expect(lines(findFeedOrder(shop.db, String(id))!.orderId!)).toEqual(lines(id));
  }, 60_000);
});
