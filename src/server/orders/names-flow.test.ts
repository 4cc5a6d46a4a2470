// Orders with names: from a list to parts of their own, read back before they are cut; changed, paid, proved.

import { describe, expect, it } from 'vitest';
import { eachFresh, refusalOf, type TestShop } from '../../../test/demo-shop';
import { listBenchParts } from '../../../test/bench-parts';
import { makeNamed, readAllBack, setNames, takeOrderOf } from '../../../test/named-orders';
import { linesChange } from '../../core/input/index';
import { findOrder } from '../../data/order-store';
import { loadArtworkList } from '../artwork/load-artwork-list';
import { startSession, finishSession } from '../bench/work-at-bench';
import { changeLines } from './change-lines';
import { loadOrderView } from './load-order-view';
import { loadReadBack } from './load-read-back';
import { moveOrder } from './move-order';
import { readBack } from './read-back';
import { readOrder } from './read-orders';
import type { OrderWish } from './save-order';

let shop: TestShop;
eachFresh((fresh) => {
  shop = fresh;
});
const CREW = 'Junior crew, surnames and seats';
const named = (text: string, part: object = {}) => makeNamed(shop, text, part);
const take = (part: Partial<OrderWish> = {}) => takeOrderOf(shop, part);
const crewId = () =>
  [...Array(20).keys()].map((at) => findOrder(shop.db, at + 1)).find((order) => order?.title === CREW)!.id;

describe('an order with names', () => {
  it('has for every name parts of their own, told by what they say', async () => {
    await setNames(shop, ['TARN', 'BARROWCLOUGH']);
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
    await setNames(shop, ['TARN']);
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
    await setNames(shop, ['TARN', 'VALE']);
    const id = take({ lines: [named('TARN'), named('VALE')] });
    const refused = await refusalOf(() => startCutting(id));
    expect(refused).toMatchObject({ code: 'conflict', refusal: { reason: 'text-unread', texts: ['TARN', 'VALE'] } });
    // The crest may be cut before: nobody has to read that.
    const crest = readOrder(shop, id)!.parts.filter((part) => part.layerIndex < 4);
    const work = startSession(shop, { station: 'cut', partIds: crest.map((part) => part.id) });
    finishSession(shop, work.id, 'discarded');
    const cut = startCutting(id, 'spoken on the telephone');
    expect(loadOrderView(shop, id).events[0]!.text).toBe(
      'Noted: 2 texts were cut without being read back: spoken on the telephone',
    );
    // Whoever weeds them is not asked once more.
    finishSession(shop, cut.id, 'done');
    const partIds = readOrder(shop, id)!.parts.map((part) => part.id);
    expect(startSession(shop, { station: 'weed', partIds }).id).toBeGreaterThan(cut.id);
  });

  it('lets them be cut once every one was compared, and again after a change', async () => {
    await setNames(shop, ['TARN', 'VALE', 'TERN']);
    const id = take({ lines: [named('TARN'), named('VALE')] });
    readAllBack(shop, id);
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
    await setNames(shop, ['TARN']);
    const id = take({ lines: [named('TARN')] });
    const { lines } = loadReadBack(shop, id);
    const wish = { lineIds: [lines[0]!.lineId], isRead: true, version: 9 };
    expect((await refusalOf(() => readBack(shop, id, wish))).code).toBe('stale');
  });
});

describe('lines that are changed', () => {
  it('ask what becomes of pieces that are cut; spares keep their cost in the order', async () => {
    await setNames(shop, ['TARN', 'VALE']);
    const id = take({ lines: [named('TARN'), named('VALE')] });
    readAllBack(shop, id);
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
    expect(after.row.agreed).toBe(before.row.agreed - before.lines[0]!.each!);
    expect(after.events[0]!.text).toMatch(/^Changed: kept as a spare: piece 1; price .*100\.00 → /);
  });

  it('take more pieces at the cost that was agreed, and number them on', async () => {
    await setNames(shop, ['TARN']);
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
    await setNames(shop, ['TARN']);
    const id = take({ lines: [named('TARN')] });
    const [line] = loadOrderView(shop, id).lines;
    const twice = linesChange.validateSync({ lines: [{ ...named('TARN'), quantity: 2, lineId: line!.id }] });
    changeLines(shop, id, twice, 1);
    expect((await refusalOf(() => changeLines(shop, id, twice, 1))).refusal).toMatchObject({
      reason: 'changed-meanwhile',
    });
    moveOrder(shop, id, { move: 'cancel' });
    expect((await refusalOf(() => changeLines(shop, id, twice, 2))).refusal).toMatchObject({
      reason: 'work-on-closed-order',
    });
  });
});
