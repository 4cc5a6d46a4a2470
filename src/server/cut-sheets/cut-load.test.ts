import { describe, expect, it } from 'vitest';
import { eachFresh, refusalOf, type TestShop } from '../../../test/demo-shop';
import { findLot, loadLotsOnShelf } from '../../data/stock-store';
import { cutLoad } from './cut-load';
import { readOrder } from '../orders/read-orders';
import { receiveLot } from '../stock/save-stock';
import { loadCutSheets } from './load-cut-sheets';
import { loadOrderView } from '../orders/load-order-view';
import { undoSteps } from '../bench/undo-steps';
import { behind, SLATE, groupOf, orderCoats, waiting } from './cut-load-examples';

let shop: TestShop;
eachFresh((fresh) => {
  shop = fresh;
});

describe('what waits, by vinyl', () => {
  it('stands under its vinyl with its due day, the first due first, beside the stock it can be cut from', () => {
    const id = orderCoats(shop);
    const groups = loadCutSheets(shop).groups;
    expect(groups[0]!.parts.some((part) => part.orderId === id)).toBe(true);
    expect(waiting(shop, id).map((part) => [part.pieceNumber, part.dueDay, part.mirrored, part.widthMm])).toEqual([
      [1, '2026-11-26', true, 90],
      [2, '2026-11-26', true, 90],
    ]);
    expect(groupOf(shop, SLATE).stock.every((lot) => lot.left > 0 && lot.widthMm > 0)).toBe(true);
    expect(loadCutSheets(shop).artworks.some((artwork) => artwork.id === waiting(shop, id)[0]!.artworkId)).toBe(true);
  });
});

describe('a load that was cut', () => {
  it('takes its strip off the roll, moves its parts on, and each carries its share', () => {
    const id = orderCoats(shop),
      parts = waiting(shop, id),
      roll = groupOf(shop, SLATE).stock.find((lot) => lot.form === 'roll')!;
    const before = findLot(shop.db, roll.lotId)!;
    const { eventIds } = cutLoad(shop, {
      sheetId: null,
      sheets: [
        {
          lotId: roll.lotId,
          usedLengthMm: 120.04,
          leftovers: [],
          spareMm2: 0,
          islands: [],
          parts: [
            { partId: parts[0]!.partId, areaMm2: 3000 },
            { partId: parts[1]!.partId, areaMm2: 1000 },
          ],
        },
      ],
    });
    expect(findLot(shop.db, roll.lotId)!.left).toBeCloseTo(before.left - 120, 6);
    const read = readOrder(shop, id)!.parts.filter((part) => parts.some((one) => one.partId === part.id));
    const cost = 120 * before.unitCost;
    expect(read.map((part) => [part.state, part.cuts, part.knownCuts])).toEqual([
      ['cut', 1, 1],
      ['cut', 1, 1],
    ]);
    expect(read.map((part) => part.knownVinyl)).toEqual([
      expect.closeTo(cost * 0.75, 6),
      expect.closeTo(cost * 0.25, 6),
    ]);
    // The order's real cost follows from what was cut off, not from what was calculated.
    const vinyl = loadOrderView(shop, id).against.cash.real.parts!.find((part) => part.label.startsWith('Vinyl'))!;
    expect(vinyl.value).toBe(Math.round(cost));
    expect(waiting(shop, id)).toEqual([]);
    undoSteps(
      shop,
      eventIds,
      parts.map((part) => part.partId),
    );
    expect(findLot(shop.db, roll.lotId)!.left).toBeCloseTo(before.left, 6);
    expect(waiting(shop, id)).toHaveLength(2);
  });

  it('is one step in the story of its order, however long the booking takes', () => {
    const id = orderCoats(shop),
      parts = waiting(shop, id),
      roll = groupOf(shop, SLATE).stock.find((lot) => lot.form === 'roll')!;
    const slow = { ...shop, now: () => (shop.clock.ms += 7) };
    cutLoad(slow, {
      sheetId: null,
      sheets: [
        {
          lotId: roll.lotId,
          usedLengthMm: 120,
          leftovers: [],
          spareMm2: 0,
          islands: [],
          parts: parts.map(({ partId }) => ({ partId, areaMm2: 3000 })),
        },
      ],
    });
    expect(loadOrderView(shop, id).events.map((event) => event.text)).toContain('piece 1, 2 cut');
  });

  it('of a sheet leaves an offcut with a code, which carries its part of the price', () => {
    const id = orderCoats(shop),
      key = `vinyl:${groupOf(shop, SLATE).vinyl.id}`;
    const { id: lotId } = receiveLot(shop, {
      key,
      form: 'sheet',
      widthMm: 300,
      lengthMm: 400,
      quantity: 1,
      price: 800,
      remark: '',
    });
    const { offcuts } = cutLoad(shop, {
      sheetId: null,
      sheets: [
        {
          lotId,
          usedLengthMm: 100,
          leftovers: [behind(300, 400 - 300, 300)],
          spareMm2: 0,
          islands: [],
          parts: waiting(shop, id).map((part) => ({ partId: part.partId, areaMm2: 1 })),
        },
      ],
    });
    const offcut = loadLotsOnShelf(shop.db, key).find((lot) => lot.code === offcuts[0])!;
    expect(offcut).toMatchObject({
      form: 'offcut',
      widthMm: 300,
      lengthMm: 300,
      left: 1,
      unitCost: 600,
      fromLotId: lotId,
    });
    expect(findLot(shop.db, lotId)!.left).toBe(0);
    expect(
      readOrder(shop, id)!
        .parts.filter((part) => part.knownCuts > 0)
        .map((part) => part.knownVinyl),
    ).toEqual([100, 100]);
  });

  it('taken back, gives the sheet back and takes its offcut off the shelf: never both; one that was cut from meanwhile stays', async () => {
    const id = orderCoats(shop, 4),
      parts = waiting(shop, id),
      key = `vinyl:${groupOf(shop, SLATE).vinyl.id}`;
    const { id: lotId } = receiveLot(shop, {
      key,
      form: 'sheet',
      widthMm: 300,
      lengthMm: 400,
      quantity: 2,
      price: 1600,
      remark: '',
    });
    const cut = (own: typeof parts) =>
      cutLoad(shop, {
        sheetId: null,
        sheets: [
          {
            lotId,
            usedLengthMm: 100,
            leftovers: [behind(300, 400 - 300, 300)],
            spareMm2: 0,
            islands: [],
            parts: own.map((part) => ({ partId: part.partId, areaMm2: 1 })),
          },
        ],
      });
    const there = () => loadLotsOnShelf(shop.db, key).filter((lot) => lot.fromLotId === lotId).length;
    const first = cut(parts.slice(0, 2));
    expect([findLot(shop.db, lotId)!.left, there()]).toEqual([1, 1]);
    undoSteps(shop, first.eventIds, first.partIds);
    expect([findLot(shop.db, lotId)!.left, there(), waiting(shop, id).length]).toEqual([2, 0, 4]);
    const second = cut(parts.slice(0, 2));
    const offcut = loadLotsOnShelf(shop.db, key).find((lot) => lot.code === second.offcuts[0])!;
    cutLoad(shop, {
      sheetId: null,
      sheets: [
        {
          lotId: offcut.id,
          usedLengthMm: 100,
          leftovers: [],
          spareMm2: 0,
          islands: [],
          parts: [{ partId: parts[2]!.partId, areaMm2: 1 }],
        },
      ],
    });
    undoSteps(shop, second.eventIds, second.partIds);
    expect([findLot(shop.db, lotId)!.left, there()]).toEqual([1, 0]);
    // A leftover that the sheet can't have left is refused, and nothing is done.
    const refusal = await refusalOf(() =>
      cutLoad(shop, {
        sheetId: null,
        sheets: [
          {
            lotId,
            usedLengthMm: 200,
            leftovers: [behind(300, 400 - 300, 300)],
            spareMm2: 0,
            islands: [],
            parts: [{ partId: parts[3]!.partId, areaMm2: 50_000 }],
          },
        ],
      }),
    );
    expect([refusal.message, findLot(shop.db, lotId)!.left]).toEqual([
      expect.stringMatching(/more than it can have left/),
      1,
    ]);
  });

  it('a part in islands over two sheets bears its share of both; spares on a sheet of their own go with it, and all comes back together', async () => {
    const id = orderCoats(shop),
      parts = waiting(shop, id),
      key = `vinyl:${groupOf(shop, SLATE).vinyl.id}`;
    const receive = (price: number) =>
      receiveLot(shop, { key, form: 'sheet', widthMm: 300, lengthMm: 400, quantity: 1, price, remark: '' }).id;
    const [first, second, third] = [receive(800), receive(400), receive(100)] as const;
    const share = (at: number, areaMm2: number) => ({ partId: parts[at]!.partId, areaMm2 });
    const sheet = (
      lotId: number,
      own: readonly ReturnType<typeof share>[],
      islands: readonly ReturnType<typeof share>[],
      spareMm2 = 0,
    ) => ({ lotId, usedLengthMm: 400, leftovers: [], spareMm2, parts: [...own], islands });
    expect(
      (await refusalOf(() => cutLoad(shop, { sheetId: null, sheets: [sheet(first, [share(0, 10)], [share(1, 10)])] })))
        .message,
    ).toMatch(/not in this load/);
    const { eventIds, partIds } = cutLoad(shop, {
      sheetId: null,
      sheets: [
        sheet(third, [], [], 50),
        sheet(second, [], [share(0, 30)], 10),
        sheet(first, [share(0, 30), share(1, 10)], []),
      ],
    });
    expect(
      readOrder(shop, id)!
        .parts.filter((part) => part.knownCuts > 0)
        .map((part) => [part.id, part.knownVinyl]),
    ).toEqual([
      [parts[0]!.partId, 600 + 300],
      [parts[1]!.partId, 200],
    ]);
    expect([first, second, third].map((lotId) => findLot(shop.db, lotId)!.left)).toEqual([0, 0, 0]);
    undoSteps(shop, eventIds, partIds);
    expect([first, second, third].map((lotId) => findLot(shop.db, lotId)!.left)).toEqual([1, 1, 1]);
    expect(waiting(shop, id)).toHaveLength(2);
  });

  it('codes are told in the order of the sheets that they are to be written on', () => {
    const id = orderCoats(shop, 3),
      parts = waiting(shop, id),
      key = `vinyl:${groupOf(shop, SLATE).vinyl.id}`;
    const receive = () =>
      receiveLot(shop, { key, form: 'sheet', widthMm: 300, lengthMm: 400, quantity: 1, price: 800, remark: '' }).id;
    const lots = [receive(), receive(), receive()];
    const own = [[], [parts[0]!], [parts[1]!, parts[2]!]];
    const { offcuts } = cutLoad(shop, {
      sheetId: null,
      sheets: lots.map((lotId, at) => ({
        lotId,
        usedLengthMm: 100,
        leftovers: [behind(300, 100, 300)],
        spareMm2: at === 0 ? 5 : 0,
        islands: [],
        parts: own[at]!.map((part) => ({ partId: part.partId, areaMm2: 1 })),
      })),
    });
    expect(offcuts.map((code) => loadLotsOnShelf(shop.db, key).find((lot) => lot.code === code)!.fromLotId)).toEqual(
      lots,
    );
  });
});
