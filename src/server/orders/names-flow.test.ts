// Orders with names: from a list to parts of their own, read back before they are cut; changed, paid, proved.

import { describe, expect, it } from 'vitest';
import { eachFresh, refusalOf, type TestShop } from '../../../test/demo-shop';
import { listBenchParts } from '../../../test/bench-parts';
import { priceAllItems } from '../../../test/price-all';
import { linesChange } from '../../core/input/index';
import { findOrder, loadOrders } from '../../data/order-store';
import { recountPaid } from '../../data/payment-store';
import { loadArtworkList } from '../artwork/load-artwork-list';
import { startSession, finishSession } from '../bench/work-at-bench';
import { letterTexts } from '../lettering/letter-texts';
import { letterText } from '../heavy/letter-thread';
import { loadStation } from '../bench/load-station';
import { changeLines } from './change-lines';
import { ensureCustomer } from './find-customer';
import { loadOrderView } from './load-order-view';
import { loadReadBack } from './load-read-back';
import { moveOrder, undoMove } from './move-order';
import { addPayment, takeBackPayment } from './pay-order';
import { approveLastProof, makeProof } from './proofs';
import { readBack } from './read-back';
import { readOrder } from './read-orders';
import { placeOrder, type OrderWish } from './save-order';

let shop: TestShop;
eachFresh((fresh) => {
  shop = fresh;
});
const CREW = 'Junior crew, surnames and seats';
const club = () => priceAllItems(shop).find((row) => row.item.name === 'Crew jacket, crest and club mark')!.item;
const crewId = () =>
  [...Array(20).keys()].map((at) => findOrder(shop.db, at + 1)).find((order) => order?.title === CREW)!.id;

/** Texts are set here and now: no thread is needed for so few. */
async function setNames(names: readonly string[]) {
  const { lettering } = club().details.options[0]!.placement;
  await letterTexts(
    shop,
    names.map((text) => ({ text, lettering: lettering!, smaller: false })),
    { letterLot: (wishes) => Promise.resolve(wishes.map(letterText)) },
  );
}
const named = (text: string, part: object = {}) => ({
  itemId: club().id,
  quantity: 1,
  sizeName: 'M',
  colourName: 'navy',
  options: [0],
  texts: [{ label: 'Surname', text, given: text }],
  ...part,
});
const take = (part: Partial<OrderWish> = {}) =>
  placeOrder(shop, {
    title: 'Named',
    customerName: 'Juniper Vale',
    contact: '',
    dueDay: '2027-03-01',
    agreed: 10_000,
    note: '',
    lines: [],
    ...part,
  }).id;
const readAll = (id: number) => {
  const { version, lines } = loadReadBack(shop, id);
  readBack(shop, id, { lineIds: lines.map(({ lineId }) => lineId), isRead: true, version });
};

describe('an order with names', () => {
  it('has for every name parts of their own, told by what they say', async () => {
    await setNames(['TARN', 'BARROWCLOUGH']);
    const id = take({ lines: [named('TARN'), named('BARROWCLOUGH')] });
    const parts = listBenchParts(shop).filter((part) => part.orderId === id);
    const texts = parts.filter((part) => part.layerText !== null);
    expect(texts.map((part) => [part.pieceNumber, part.layerName])).toEqual([
      [1, 'Surname “TARN”'],
      [2, 'Surname “BARROWCLOUGH”'],
    ]);
    expect(texts[0]!.widthMm).toBeLessThan(texts[1]!.widthMm);
    const { lines } = findOrder(shop.db, id)!;
    const artworks = lines.map(({ made }) => made!.placements.at(-1)!.artworkId);
    expect(new Set(artworks).size).toBe(2);
    // More letters, more vinyl: each is calculated as itself.
    expect(lines[1]!.quote.withRisk).toBeGreaterThan(lines[0]!.quote.withRisk);
    // They are pressed in one run, and stand on no list of drawings.
    expect(new Set(parts.map((part) => part.runKey)).size).toBe(1);
    const listed = loadArtworkList(shop, new URLSearchParams('q=BARROWCLOUGH'));
    expect(listed.artworks).toEqual([]);
  });

  it('are kept once, however often they are asked for, and leave a place out where nothing is written', async () => {
    await setNames(['TARN']);
    const [one, two] = [take({ lines: [named('TARN')] }), take({ lines: [named('TARN'), named('')] })];
    const artworkOf = (id: number) => findOrder(shop.db, id)!.lines[0]!.made!.placements.at(-1)!.artworkId;
    expect(artworkOf(one)).toBe(artworkOf(two));
    const blank = findOrder(shop.db, two)!.lines[1]!;
    expect(blank.made!.placements.map(({ text }) => text)).toEqual([undefined, undefined]);
    expect(findOrder(shop.db, two)!.parts.filter((part) => part.lineId === blank.id)).toHaveLength(4);
  });

  it('come from the demo’s list, with the customer’s own words beside them', () => {
    const { lines } = loadReadBack(shop, crewId());
    expect(lines).toHaveLength(8);
    expect(lines[4]).toMatchObject({ source: 'Östlund;5;M', sizeName: 'M', isRead: false });
    expect(lines[4]!.texts.map(({ given, text }) => [given, text])).toEqual([
      ['Östlund', 'Östlund'],
      ['5', '5'],
    ]);
  });
});

describe('reading back', () => {
  const startCutting = (id: number, unreadReason = '') => {
    const { parts } = readOrder(shop, id)!;
    return startSession(shop, { station: 'cut', partIds: parts.map((part) => part.id), unreadReason });
  };

  it('comes before cutting, unless a reason is given, which is kept', async () => {
    await setNames(['TARN', 'VALE']);
    const id = take({ lines: [named('TARN'), named('VALE')] });
    const refused = await refusalOf(() => startCutting(id));
    expect(refused).toMatchObject({ code: 'conflict', refusal: { reason: 'text-unread', texts: ['TARN', 'VALE'] } });
    startCutting(id, 'spoken on the telephone');
    expect(loadOrderView(shop, id).events[0]!.text).toBe(
      'Noted: 2 texts were cut without being read back: spoken on the telephone',
    );
  });

  it('lets them be cut once every one was compared, and again after a change', async () => {
    await setNames(['TARN', 'VALE', 'TERN']);
    const id = take({ lines: [named('TARN'), named('VALE')] });
    readAll(id);
    const { version, lines } = loadOrderView(shop, id);
    expect(lines.every(({ readBackAtMs }) => readBackAtMs !== null)).toBe(true);
    const [first, second] = lines;
    const wish = linesChange.validateSync({
      lines: [
        { ...named('TERN'), lineId: first!.id },
        { ...named('VALE'), lineId: second!.id },
      ],
    });
    changeLines(shop, id, wish, version);
    const after = loadReadBack(shop, id).lines;
    expect(after.map(({ texts, isRead }) => [texts[0]!.text, isRead])).toEqual([
      ['VALE', true],
      ['TERN', false],
    ]);
    expect(await refusalOf(() => startCutting(id))).toMatchObject({
      refusal: { reason: 'text-unread', texts: ['TERN'] },
    });
  });

  it('is refused on an order that changed meanwhile', async () => {
    await setNames(['TARN']);
    const id = take({ lines: [named('TARN')] });
    const { lines } = loadReadBack(shop, id);
    const wish = { lineIds: [lines[0]!.lineId], isRead: true, version: 9 };
    expect((await refusalOf(() => readBack(shop, id, wish))).code).toBe('stale');
  });
});

describe('lines that are changed', () => {
  it('ask what becomes of pieces that are cut; spares keep their cost in the order', async () => {
    await setNames(['TARN', 'VALE']);
    const id = take({ lines: [named('TARN'), named('VALE')] });
    readAll(id);
    const cut = readOrder(shop, id)!.parts.filter((part) => part.pieceNumber === 1);
    const work = startSession(shop, { station: 'cut', partIds: cut.map((part) => part.id) });
    shop.clock.ms += 60_000;
    finishSession(shop, work.id, 'done');
    const before = loadOrderView(shop, id);
    const keepVale = (fate: 'spare' | 'spoiled' | null) =>
      linesChange.validateSync({ lines: [{ ...named('VALE'), lineId: before.lines[1]!.id }], fate });
    const asked = await refusalOf(() => changeLines(shop, id, keepVale(null), before.version));
    expect(asked.refusal).toMatchObject({ reason: 'pieces-begun', pieces: [1] });
    expect(loadOrderView(shop, id)).toMatchObject({ version: before.version });
    changeLines(shop, id, keepVale('spare'), before.version);
    const after = loadOrderView(shop, id);
    expect(after.lines.map(({ texts }) => texts[0]!.text)).toEqual(['VALE']);
    expect(after.spares).toMatchObject([{ number: 1, fate: 'spare', words: 'M, navy, TARN, cut' }]);
    expect(after.row.comb.map((column) => column.number)).toEqual([2]);
    expect(after.against.cash.real.value).toBe(before.against.cash.real.value);
    expect(after.against.cash.quoted.value).toBeLessThan(before.against.cash.quoted.value);
    expect(after.events[0]!.text).toBe('Changed: kept as a spare: piece 1');
  });

  it('take more pieces at the cost that was agreed, and number them on', async () => {
    await setNames(['TARN']);
    const id = take({ lines: [named('TARN')] });
    const [line] = loadOrderView(shop, id).lines;
    changeLines(
      shop,
      id,
      linesChange.validateSync({ lines: [{ ...named('TARN'), quantity: 3, lineId: line!.id }] }),
      1,
    );
    const after = loadOrderView(shop, id);
    expect(after.lines[0]).toMatchObject({ quantity: 3, eachWithRisk: line!.eachWithRisk });
    expect(after.row.comb.map((column) => column.number)).toEqual([1, 2, 3]);
  });

  it('are refused in the second window, and after the order has left', async () => {
    await setNames(['TARN']);
    const id = take({ lines: [named('TARN')] });
    const [line] = loadOrderView(shop, id).lines;
    const twice = linesChange.validateSync({ lines: [{ ...named('TARN'), quantity: 2, lineId: line!.id }] });
    changeLines(shop, id, twice, 1);
    expect((await refusalOf(() => changeLines(shop, id, twice, 1))).refusal).toMatchObject({ reason: 'changed-meanwhile' });
    moveOrder(shop, id, { move: 'cancel' });
    expect((await refusalOf(() => changeLines(shop, id, twice, 2))).refusal).toMatchObject({
      reason: 'work-on-closed-order',
    });
  });
});

describe('an order on its way', () => {
  it('a wish is not at the bench and holds nothing; a yes puts it there, and can be taken back', async () => {
    await setNames(['TARN']);
    const id = take({ lines: [named('TARN')], as: 'wished' });
    const atBench = () => loadStation(shop, 'cut').parts.some((part) => part.orderId === id);
    expect([loadOrderView(shop, id).row.stage, atBench()]).toEqual(['wish', false]);
    const partIds = readOrder(shop, id)!.parts.map((part) => part.id);
    expect((await refusalOf(() => startSession(shop, { station: 'cut', partIds }))).refusal).toMatchObject({
      reason: 'order-not-in-hand',
    });
    moveOrder(shop, id, { move: 'quote' });
    moveOrder(shop, id, { move: 'approve', detail: 'by mail' });
    expect([loadOrderView(shop, id).row.stage, listBenchParts(shop).some((part) => part.orderId === id)]).toEqual([
      'approved',
      true,
    ]);
    undoMove(shop, id);
    expect(loadOrderView(shop, id)).toMatchObject({ row: { stage: 'quoted' }, undo: 'Quoted' });
    expect(loadOrderView(shop, id).events.map(({ text }) => text)).toContain('Approved: by mail (taken back)');
  });

  it('says why a step makes no sense', async () => {
    const refused = await refusalOf(() => moveOrder(shop, crewId(), { move: 'hand-over' }));
    expect(refused.message).toBe(
      'This order is approved: only one that is ready can be collected. Finish and check its last parts first.',
    );
    expect((await refusalOf(() => undoMove(shop, crewId()))).refusal).toMatchObject({ reason: 'no-step-to-undo' });
  });

  it('a proof that is approved makes a wish an order; what changes after asks for a new one', async () => {
    await setNames(['TARN', 'TERN']);
    const id = take({ lines: [named('TARN')], as: 'wished' });
    expect((await refusalOf(() => approveLastProof(shop, id, 'June'))).refusal).toMatchObject({ reason: 'proof-none' });
    makeProof(shop, id);
    approveLastProof(shop, id, 'June, by mail');
    const view = loadOrderView(shop, id);
    expect(view.row.stage).toBe('approved');
    expect(view.proof).toMatchObject({ number: 1, approvedBy: 'June, by mail', changes: [] });
    const wish = linesChange.validateSync({ lines: [{ ...named('TERN'), lineId: view.lines[0]!.id }] });
    changeLines(shop, id, wish, view.version);
    expect(loadOrderView(shop, id).proof!.changes).toEqual([
      'new: 1 piece of Crew jacket, crest and club mark, M, “TERN”',
      'no more: Crew jacket, crest and club mark, M, “TARN”',
    ]);
    makeProof(shop, id);
    expect(loadOrderView(shop, id).proof).toMatchObject({ number: 2, approvedAtMs: null, changes: [] });
  });
});

describe('money', () => {
  it('is owed until it is paid; handed over and paid is closed', async () => {
    const id = take({ lines: [{ itemId: club().id, quantity: 1, sizeName: 'M', colourName: 'navy' }], deposit: 3000 });
    const pay = (kind: 'payment' | 'refund' | 'tip', amount: number) =>
      addPayment(shop, id, { kind, amount, means: 'cash' }).id;
    pay('payment', 3000);
    expect(loadOrderView(shop, id).money).toMatchObject({ depositDue: { value: 0 }, owed: { value: 7000 } });
    const wrong = pay('payment', 9000);
    takeBackPayment(shop, wrong);
    expect((await refusalOf(() => takeBackPayment(shop, wrong))).refusal).toMatchObject({
      reason: 'payment-taken-back',
    });
    expect((await refusalOf(() => pay('refund', 3001))).refusal).toMatchObject({
      reason: 'refund-too-much',
      paid: 3000,
    });
    pay('tip', 500);
    for (const station of ['cut', 'weed', 'press', 'check'] as const) {
      const partIds = readOrder(shop, id)!.parts.map((part) => part.id);
      finishSession(shop, startSession(shop, { station, partIds }).id, 'done');
    }
    moveOrder(shop, id, { move: 'hand-over' });
    expect(loadOrderView(shop, id)).toMatchObject({ row: { stage: 'collected', owed: 7000 } });
    const close = await refusalOf(() => moveOrder(shop, id, { move: 'close' }));
    expect(close.refusal).toMatchObject({ reason: 'order-still-owed', owed: 7000 });
    pay('payment', 7000);
    expect(loadOrderView(shop, id)).toMatchObject({
      row: { stage: 'closed', owed: 0 },
      money: { tips: { value: 500 } },
    });
  });

  it('what is kept as paid is what the payments come to', () => {
    const id = take({ lines: [{ itemId: club().id, quantity: 1, sizeName: 'M', colourName: 'navy' }] });
    const first = addPayment(shop, id, { kind: 'payment', amount: 4000, means: 'card' }).id;
    addPayment(shop, id, { kind: 'payment', amount: 2500, means: 'cash' });
    addPayment(shop, id, { kind: 'refund', amount: 700, means: 'cash' });
    takeBackPayment(shop, first);
    const [order] = loadOrders(shop.db, [id]);
    expect([order!.paid, recountPaid(shop.db, [id]).get(id)]).toEqual([1800, 1800]);
  });
});

describe('customers', () => {
  it('share a name and stay two, told apart by how they are reached', async () => {
    const who = (contact: string, customerId: number | null = null) =>
      ensureCustomer(shop, { customerId, name: 'Ash Lane', contact });
    const one = who('ash@one.example');
    expect(who('ASH@one.example ')).toBe(one);
    expect(who('')).toBe(one);
    const two = who('ash@two.example');
    expect(two).not.toBe(one);
    expect((await refusalOf(() => who(''))).refusal).toMatchObject({ reason: 'which-customer' });
    expect(who('', two)).toBe(two);
  });

  it('known without a contact take the first one that is told', () => {
    const who = (contact: string) => ensureCustomer(shop, { name: 'Wren Hollis', contact });
    const id = who('');
    expect([who('wren@x.example'), who('wren@x.example')]).toEqual([id, id]);
    expect(who('other@x.example')).not.toBe(id);
  });
});
