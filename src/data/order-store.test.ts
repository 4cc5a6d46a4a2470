import { eq } from 'drizzle-orm';
import { describe, expect, it } from 'vitest';
import { findOpenOrderIds, findOrder, findOrderIdsOfParts, loadOrders } from './order-store';
import { addOrderEvent } from './order-event-store';
import type { OrderEventKind } from '../core/orders';
import { findClosedOrderIds } from './order-search';
import {
  findSession,
  insertSession,
  loadRunningSessions,
  loadSessionsOnParts,
  loadSessionsSince,
  stopSession,
} from './work-store';
import { addPartEvents } from './part-event-store';
import { insertCustomer, loadRecentCustomers } from './customer-store';
import { orders } from './schema';
import { QUOTE } from './stores-examples';
import { db, ids, place } from './small-shop-examples';

describe('orders', () => {
  it('number their pieces through and give each a part for each layer', () => {
    const order = findOrder(db, place('2027-01-01'))!;
    expect(order.parts.map((part) => [part.pieceNumber, part.layerIndex, part.vinylId])).toEqual([
      [1, 0, ids.vinyl],
      [1, 1, ids.sticky],
      [2, 0, ids.vinyl],
      [2, 1, ids.sticky],
      [3, 0, ids.vinyl],
    ]);
    expect(order.lines[0]!.quote).toEqual(QUOTE);
    expect(order.events).toMatchObject([{ kind: 'placed', atMs: 1000, detail: '', undoes: null }]);
  });

  it('come in the order asked for; the open ones by due day', () => {
    const late = place('2027-03-01'),
      soon = place('2027-01-05');
    expect(findOpenOrderIds(db)).toEqual([soon, late]);
    expect(loadOrders(db, [late, 777, soon]).map((order) => order.id)).toEqual([late, soon]);
    expect(loadOrders(db, [])).toEqual([]);
  });

  it('are closed exactly when their last closing event says so', () => {
    const id = place('2027-01-01');
    const steps: readonly (readonly [OrderEventKind, boolean])[] = [
      ['changed', false],
      ['handed-over', true],
      ['changed', true],
      ['taken-back', false],
      ['cancelled', true],
      ['reopened', false],
    ];
    for (const [index, [kind, closed]] of steps.entries()) {
      addOrderEvent(db, id, kind, 2000 + index);
      expect(findClosedOrderIds(db, { words: '', sort: 'closed', down: false, offset: 0, limit: 10 }), kind).toEqual(
        closed ? [id] : [],
      );
      expect(findOpenOrderIds(db), kind).toEqual(closed ? [] : [id]);
    }
    expect(findOrder(db, id)!.events.map((event) => event.kind)).toEqual(['placed', ...steps.map(([kind]) => kind)]);
  });

  it('have customers, of whom those of the newest orders are proposed', () => {
    const id = insertCustomer(db, { name: 'Juniper Vale', contact: 'new@vale.example', address: '', note: '' });
    expect(loadRecentCustomers(db, 5)).toEqual([]);
    const order = place('2027-01-01');
    db.update(orders).set({ customerId: id }).where(eq(orders.id, order)).run();
    expect(loadRecentCustomers(db, 5)).toEqual([{ id, name: 'Juniper Vale', contact: 'new@vale.example' }]);
  });

  it('are found by their parts, whose events come back in order', () => {
    const [one, two] = [place('2027-01-01'), place('2027-01-02')];
    const part = findOrder(db, two)!.parts[3]!;
    const event = { partId: part.id, atMs: 5, sessionId: null, undoes: null, cause: null, blankLost: false } as const;
    const [first] = addPartEvents(db, [{ ...event, kind: 'cut' }]);
    addPartEvents(db, [
      { ...event, kind: 'spoiled', cause: 'lifted', blankLost: true },
      { ...event, kind: 'undone', undoes: first! },
    ]);
    expect(
      findOrder(db, two)!.parts[3]!.events.map(({ kind, cause, blankLost, undoes }) => [
        kind,
        cause,
        blankLost,
        undoes,
      ]),
    ).toEqual([
      ['cut', null, false, null],
      ['spoiled', 'lifted', true, null],
      ['undone', null, false, first],
    ]);
    expect(findOrderIdsOfParts(db, [part.id])).toEqual([two]);
    expect(findOrder(db, one)!.parts.every((other) => other.events.length === 0)).toBe(true);
  });
});

describe('work', () => {
  it('runs once at a station until it is stopped, and counts unless it was discarded', () => {
    const parts = findOrder(db, place('2027-01-01'))!.parts.map((part) => ({ partId: part.id, estimateSeconds: 30 }));
    const cut = insertSession(db, 'cut', 100, parts);
    expect(() => insertSession(db, 'cut', 101, parts)).toThrow(/UNIQUE/);
    const weed = insertSession(db, 'weed', 120, parts.slice(0, 1));
    expect(loadRunningSessions(db).map((entry) => entry.id)).toEqual([cut, weed]);
    expect([
      stopSession(db, cut, 160, 'done'),
      stopSession(db, cut, 170, 'done'),
      stopSession(db, weed, 180, 'discarded'),
    ]).toEqual([true, false, true]);
    expect(findSession(db, cut)).toMatchObject({ startedAtMs: 100, stoppedAtMs: 160, outcome: 'done', parts });
    expect(loadSessionsOnParts(db, [parts[0]!.partId]).map((entry) => entry.id)).toEqual([cut]);
    expect(loadSessionsSince(db, 110).map((entry) => entry.id)).toEqual([weed]);
    expect(insertSession(db, 'cut', 200, parts)).toBeGreaterThan(weed);
  });
});
