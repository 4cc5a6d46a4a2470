// Orders on their way: agreed, proved, paid, handed over; and whom they are for.

import { describe, expect, it } from 'vitest';
import { eachFresh, refusalOf, type TestShop } from '../../../test/demo-shop';
import { listBenchParts } from '../../../test/bench-parts';
import { findClub, makeNamed, setNames, takeOrderOf } from '../../../test/named-orders';
import { linesChange } from '../../core/input/index';
import { findOrder, loadOrders } from '../../data/order-store';
import { recountPaid } from '../../data/payment-store';
import { startSession, finishSession } from '../bench/work-at-bench';
import { loadStation } from '../bench/load-station';
import { changeLines } from './change-lines';
import { ensureCustomer } from './find-customer';
import { loadOrderView } from './load-order-view';
import { moveOrder, undoMove } from './move-order';
import { addPayment, takeBackPayment } from './pay-order';
import { approveLastProof, makeProof } from './proofs';
import { readOrder } from './read-orders';
import type { OrderWish } from './save-order';

let shop: TestShop;
eachFresh((fresh) => {
  shop = fresh;
});
const CREW = 'Junior crew, surnames and seats';
const club = () => findClub(shop);
const named = (text: string, part: object = {}) => makeNamed(shop, text, part);
const take = (part: Partial<OrderWish> = {}) => takeOrderOf(shop, part);
const crewId = () =>
  [...Array(20).keys()].map((at) => findOrder(shop.db, at + 1)).find((order) => order?.title === CREW)!.id;

describe('an order on its way', () => {
  it('a wish is not at the bench and holds nothing; a yes puts it there, and can be taken back', async () => {
    await setNames(shop, ['TARN']);
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
    await setNames(shop, ['TARN', 'TERN']);
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
