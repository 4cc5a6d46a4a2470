import { describe, expect, it } from 'vitest';
import { eachFresh, refusalOf, type TestShop } from '../../../test/demo-shop';
import { rectangle } from '../../core/stock';
import { loadLotsOnShelf } from '../../data/stock-store';
import { cutLoad } from './cut-load';
import { nestParts } from './nest-parts';
import { markSpoiledSpots, receiveLot, setAsideOffcut } from '../stock/save-stock';
import { findOffcuts } from '../stock/load-stock';
import { spoilParts } from '../bench/spoil-parts';
import { behind, SLATE, groupOf, orderCoats, waiting } from './cut-load-examples';

let shop: TestShop;
eachFresh((fresh) => {
  shop = fresh;
});

describe('what stands in the way of a load', () => {
  it('what is spoiled of an offcut is kept clear of, and goes on with the piece that it lies in', async () => {
    const id = orderCoats(shop),
      { vinyl, stock } = groupOf(shop, SLATE),
      roll = stock.find((lot) => lot.form === 'roll')!,
      key = `vinyl:${vinyl.id}`;
    const whole = { widthMm: 300, lengthMm: 400, cornerWidthMm: 0, cornerLengthMm: 0, takesMm: 400, remark: '' };
    const { id: lotId } = setAsideOffcut(shop, roll.lotId, whole);
    const fits = () => findOffcuts(shop, { widthMm: 290, heightMm: 390, key }).some(({ lot }) => lot.id === lotId);
    expect(fits()).toBe(true);
    const spot = { x: 140, y: 290, width: 20, height: 20 };
    expect(
      (await refusalOf(() => markSpoiledSpots(shop, lotId, { spots: [spot, { ...spot, x: 310 }] }))).message,
    ).toMatch(/^Spot 2 lies beside/);
    expect((await refusalOf(() => markSpoiledSpots(shop, roll.lotId, { spots: [spot] }))).message).toMatch(
      /marked on offcuts/,
    );
    markSpoiledSpots(shop, lotId, { spots: [spot] });
    expect([fits(), groupOf(shop, SLATE).stock.find((lot) => lot.lotId === lotId)!.spoiledSpots]).toEqual([
      false,
      [spot],
    ]);
    const { offcuts } = cutLoad(shop, {
      sheetId: null,
      sheets: [
        {
          lotId,
          usedLengthMm: 100,
          leftovers: [behind(300, 200, 200)],
          spareMm2: 0,
          islands: [],
          parts: waiting(shop, id).map((part) => ({ partId: part.partId, areaMm2: 1 })),
        },
      ],
    });
    expect(loadLotsOnShelf(shop.db, key).find((lot) => lot.code === offcuts[0])!.spoiledSpots).toEqual([
      { ...spot, y: 90 },
    ]);
  });

  it('spoiled parts wait again', () => {
    const id = orderCoats(shop),
      parts = waiting(shop, id),
      roll = groupOf(shop, SLATE).stock.find((lot) => lot.form === 'roll')!;
    cutLoad(shop, {
      sheetId: null,
      sheets: [
        {
          lotId: roll.lotId,
          usedLengthMm: 100,
          leftovers: [],
          spareMm2: 0,
          islands: [],
          parts: parts.map((part) => ({ partId: part.partId, areaMm2: 1 })),
        },
      ],
    });
    spoilParts(shop, { partIds: [parts[0]!.partId], cause: 'weeding', blankLost: false });
    expect(waiting(shop, id).map((part) => [part.partId, part.broken])).toEqual([[parts[0]!.partId, true]]);
  });

  it('a second window is told: parts are cut already, the offcut is gone, the roll has not so much; nothing is done then', async () => {
    const id = orderCoats(shop, 4),
      parts = waiting(shop, id),
      roll = groupOf(shop, SLATE).stock.find((lot) => lot.form === 'roll')!,
      key = `vinyl:${groupOf(shop, SLATE).vinyl.id}`;
    const { id: sheetId } = receiveLot(shop, {
      key,
      form: 'sheet',
      widthMm: 300,
      lengthMm: 400,
      quantity: 1,
      price: 800,
      remark: '',
    });
    const sheet = (at: number, lotId: number, usedLengthMm = 100) => ({
      sheetId: null,
      sheets: [
        {
          lotId,
          usedLengthMm,
          leftovers: [],
          spareMm2: 0,
          islands: [],
          parts: [{ partId: parts[at]!.partId, areaMm2: 1 }],
        },
      ],
    });
    cutLoad(shop, sheet(0, sheetId));
    expect((await refusalOf(() => cutLoad(shop, sheet(0, roll.lotId)))).message).toMatch(/Piece 1 is cut already/);
    expect((await refusalOf(() => cutLoad(shop, sheet(1, sheetId)))).message).toMatch(/is gone: another load/);
    expect((await refusalOf(() => cutLoad(shop, sheet(1, roll.lotId, 1e5)))).message).toMatch(
      /mm left, and the load takes 100000 mm/,
    );
    expect(
      (
        await refusalOf(() =>
          cutLoad(shop, { sheetId: null, sheets: [...sheet(1, roll.lotId).sheets, ...sheet(1, roll.lotId).sheets] }),
        )
      ).message,
    ).toMatch(/twice/);
    expect((await refusalOf(() => cutLoad(shop, sheet(1, 99_999)))).code).toBe('not-found');
    expect(waiting(shop, id)).toHaveLength(3);
  });
});

it('a script has pieces laid out in a thread, and is told what is too large', async () => {
  const ask = {
    pieces: [
      {
        id: 'box',
        rings: [
          [
            { x: 0, y: 0 },
            { x: 60, y: 0 },
            { x: 60, y: 40 },
            { x: 0, y: 40 },
          ],
        ],
        copies: 6,
        turns: 'free' as const,
      },
    ],
    stock: [{ kind: 'roll' as const, id: 'r', widthMm: 300, lengthMm: 2000 }],
    gapMm: 6,
    margins: { sideMm: 10, endMm: 5 },
    inside: 'bays' as const,
    seed: 0.4,
    rounds: 10,
    seconds: 5,
  };
  const layout = await nestParts(shop, ask as never);
  expect(layout.placements).toHaveLength(6);
  expect(layout.usedLengthMm).toBeLessThan(110);
  const refusal = await refusalOf(() =>
    nestParts(shop, { ...ask, stock: [{ ...ask.stock[0]!, widthMm: 50 }] } as never),
  );
  expect([refusal.code, refusal.message]).toEqual(['invalid', expect.stringMatching(/^box needs .* Make it \d+/)]);
});

it('a rest that lies beside its sheet is refused, however small it is', async () => {
  const id = orderCoats(shop);
  const { vinyl } = groupOf(shop, SLATE);
  const sheet = { form: 'sheet' as const, widthMm: 300, lengthMm: 400, quantity: 1, price: 900, remark: '' };
  const { id: lotId } = receiveLot(shop, { key: `vinyl:${vinyl.id}`, ...sheet });
  const small = rectangle(50, 50);
  const cut = (leftover: readonly { readonly x: number; readonly y: number }[]) =>
    cutLoad(shop, {
      sheetId: null,
      sheets: [
        {
          lotId,
          usedLengthMm: 100,
          leftovers: [leftover],
          spareMm2: 0,
          islands: [],
          parts: waiting(shop, id).map((part) => ({ partId: part.partId, areaMm2: 100 })),
        },
      ],
    });
  const moved = (x: number, y: number) => small.map((point) => ({ x: point.x + x, y: point.y + y }));
  for (const [x, y] of [
    [-1, 100],
    [251, 100],
    [100, 351],
    [100, -1],
  ] as const)
    expect((await refusalOf(() => cut(moved(x, y)))).field).toBe('sheets');
  expect(cut(moved(250, 350)).offcuts).toHaveLength(1);
});
