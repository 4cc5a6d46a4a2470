import { describe, expect, it } from 'vitest';
import { loadVinyls } from '../../data/shelf-store';
import { eachFresh, refusalOf, type TestShop } from '../../../test/demo-shop';
import { listBenchParts } from '../../../test/bench-parts';
import { priceAllItems } from '../../../test/price-all';
import { itemInput } from '../../core/input';
import { minor } from '../../core/units';
import { findItem } from '../../data/item-store';
import { findOrder } from '../../data/order-store';
import { parseInput } from '../errors';
import { loadBenchLine } from '../bench/load-station';
import { placeOrder } from '../orders/save-order';
import { addVinyl, changeVinyl } from '../stock/save-shelf';
import { changeShop } from '../shop/change-shop';
import { loadStart, changeStartPlan } from '../shop/save-start-plan';
import { writeQuoteText } from '../paper/quote';
import { askQuote, saveQuote, requireQuote } from '../orders/quick-quote';
import { getShop } from '../context';
import { receiveLot } from '../stock/save-stock';
import { loadCompare, loadItemMaterials } from './load-items';
import { addItem, archiveItem, changeItem, acceptItemCost } from './save-item';
import { makePriceLookup } from './prices';

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

describe('an item with several artworks', () => {
  it('is ordered in a size, a colour and with an option: its parts follow, and stay when the item changes', () => {
    const texts = [{ label: 'Surname', text: 'MARLOWE', given: 'MARLOWE' }];
    const id = order(CLUB, { options: [0], texts });
    const nameMm = expect.closeTo(rowOf(CLUB).item.details.options[0]!.placement.widthMm, 1) as number;
    const stored = findOrder(shop.db, id)!;
    const { made } = stored.lines[0]!;
    expect([made!.price, made!.placements.map(({ place, widthMm }) => [place, widthMm])]).toEqual([
      5900,
      [
        ['back, 100 mm below the collar', 265],
        ['left breast', 80],
        ['shoulders, below the collar', nameMm],
      ],
    ]);
    // In bottle green the white is marigold: one vinyl for all five layers.
    expect(stored.parts.filter((part) => part.pieceNumber === 1).map((part) => part.layerIndex)).toEqual([
      0, 1, 2, 3, 4,
    ]);
    expect(new Set(stored.parts.map((part) => part.vinylId)).size).toBe(1);
    const { version, id: itemId } = rowOf(CLUB).item;
    changeItem(shop, itemId, entered(CLUB, { placements: [rowOf(CLUB).item.placements[0]] }), version);
    const parts = listBenchParts(shop).filter((part) => part.orderId === id);
    const line = loadBenchLine(shop, parts[0]!.lineId);
    expect([
      line.placements.length,
      line.layers.length,
      line.plan!.steps.filter((step) => step.kind === 'lay-out').length,
    ]).toEqual([3, 5, 3]);
    expect(parts.filter((part) => part.pieceNumber === 1).map((part) => part.widthMm)).toEqual([
      265,
      265,
      80,
      80,
      nameMm,
    ]);
  });

  it('refuses an option it has not, and an artwork with other layers than vinyls', async () => {
    expect((await refusalOf(() => order(CLUB, { options: [3] }))).field).toBe('lines[0].options');
    const [front] = rowOf(CLUB).item.placements;
    expect(
      (
        await refusalOf(() =>
          addItem(shop, entered(CLUB, { placements: [front, { ...front!, vinylIds: [front!.vinylIds[0]] }] })),
        )
      ).field,
    ).toBe('placements[1].vinylIds');
    expect((await refusalOf(() => entered(CLUB, { placements: [] }))).message).toMatch(/at least one artwork/);
    expect(
      (
        await refusalOf(() =>
          addItem(
            shop,
            entered(CLUB, {
              details: {
                ...rowOf(CLUB).item.details,
                variants: [{ sizeName: '', colourName: 'navy', price: '', swaps: [{ vinylId: 1, byVinylId: 999 }] }],
              },
            }),
          ),
        )
      ).message,
    ).toMatch(/not on the shelf/);
  });

  it('keeps widths only of sizes that the blank has, and that differ', () => {
    const [front] = rowOf(CLUB).item.placements;
    const { id } = addItem(
      shop,
      entered(CLUB, { placements: [{ ...front!, widths: { S: 200, M: '', L: front!.widthMm, XXL: 300 } }] }),
    );
    expect(findItem(shop.db, id)!.placements[0]!.widths).toEqual({ S: 200 });
  });
});

describe('what it is known to cost', () => {
  it('is noted with the item; a dearer roll is told with the reason, until it is noted', () => {
    acceptItemCost(shop, rowOf('Honeycomb tea towel').item.id);
    expect(rowOf('Honeycomb tea towel').change).toBeNull();
    const {
      id,
      version,
      archived: _archived,
      ...vinyl
    } = loadVinyls(shop.db).find((candidate) => candidate.name === 'Tarn Smooth, slate')!;
    changeVinyl(shop, id, { ...vinyl, rollPrice: minor(vinyl.rollPrice * 2) } as never, version);
    const { change, cost } = rowOf('Honeycomb tea towel');
    expect(change).toMatchObject({
      now: { value: cost!.withRisk.value },
      because: [
        { label: expect.stringContaining('Roll price') as string, was: vinyl.rollPrice, now: vinyl.rollPrice * 2 },
      ],
    });
    acceptItemCost(shop, rowOf('Honeycomb tea towel').item.id);
    expect(rowOf('Honeycomb tea towel').change).toBeNull();
    expect(() => acceptItemCost(shop, 999)).toThrow(/not here/);
  });

  it('a wage that changes is the reason, on every item', () => {
    for (const { item } of priceAllItems(shop)) acceptItemCost(shop, item.id);
    const { figures, version, ...identity } = getShop(shop);
    changeShop(shop, { ...identity, figures: { ...figures, wagePerHour: figures.wagePerHour + 500 } }, version);
    for (const row of priceAllItems(shop))
      expect(row.change!.because.map((cause) => cause.label)).toEqual(['Your hour']);
  });

  it('the demo tells of a roll that went up', () =>
    expect(rowOf('Bakery apron').change!.because[0]!.label).toMatch(/Roll price.*Sparrow Glint, gold/));
});

describe('what material is calculated at', () => {
  it('lots that were bought and offers stand beside the shelf’s price; the oldest go first', () => {
    const vinyl = loadVinyls(shop.db)[0]!;
    const { archived: _archived, version: _version, id: _id, ...fields } = vinyl;
    const { id } = addVinyl(shop, { ...fields, name: 'New of it' } as never);
    const key = `vinyl:${id}`;
    receiveLot(shop, { key, form: 'roll', widthMm: 500, lengthMm: 2000, quantity: 2000, price: 1000, remark: '' });
    shop.clock.ms += 1000;
    receiveLot(shop, { key, form: 'roll', widthMm: 500, lengthMm: 2000, quantity: 2000, price: 3000, remark: '' });
    expect(makePriceLookup(shop)(key)!.lots.map((lot) => [lot.left, Math.round(lot.price)])).toEqual([
      [1_000_000, 1000],
      [1_000_000, 3000],
    ]);
    const [front] = rowOf('Dog bandana, paw').item.placements;
    const at = (priceBasis: string) => {
      const made = addItem(
        shop,
        entered('Dog bandana, paw', {
          name: priceBasis,
          placements: [{ ...front!, vinylIds: [id] }],
          details: { ...rowOf('Dog bandana, paw').item.details, priceBasis },
        }),
      );
      return priceAllItems(shop)
        .find((row) => row.item.id === made.id)!
        .cost!.lines.find((line) => line.stage === 'vinyl')!.figure.parts![1]!;
    };
    expect([at('oldest').value, at('latest').value].map(Math.round)).toEqual([1000, 3000]);
    const { prices } = loadItemMaterials(shop, { artworkIds: [], vinylIds: [id], blankIds: [] });
    expect(prices.some(([known]) => known === key)).toBe(true);
  });

  it('offers of one vinyl can be compared, roll and sheets told apart', () => {
    const offers = priceAllItems(shop).flatMap(({ item }) => loadCompare(shop, item.id).offers);
    expect(new Set(offers.map((offer) => offer.form))).toEqual(new Set(['roll', 'sheet']));
    for (const { offer } of offers) expect(offer.parts).toHaveLength(1);
  });
});

describe('a quote straight from a drawing', () => {
  const wish = () => ({
    drawing: {
      artworkId: rowOf('Dog bandana, paw').item.placements[0]!.artworkId,
      blankId: rowOf('Dog bandana, paw').item.blankId,
      widthMm: 120,
      vinylIds: [...rowOf('Dog bandana, paw').item.placements[0]!.vinylIds],
    },
    sizeName: 'M',
    colourName: 'denim',
    quantity: 5,
    each: null,
    customerName: 'Ansel Thrush',
  });
  it('is priced by the margin that is aimed for; kept, it becomes an item that an order can follow', () => {
    const answer = askQuote(shop, wish()),
      before = priceAllItems(shop).length;
    expect(answer.each.value).toBe(answer.forMargin!.value);
    const { id } = saveQuote(shop, wish());
    expect(id).toBeGreaterThan(0);
    const rows = priceAllItems(shop);
    expect(rows).toHaveLength(before + 1);
    expect(rows.find((row) => row.item.name === 'Paw')!.item).toMatchObject({
      price: answer.each.value,
      quantity: 5,
      placements: [{ widthMm: 120 }],
    });
  });

  it('of an item with an option names it, and asks for it', () => {
    const wish = {
      itemId: rowOf(CLUB).item.id,
      sizeName: 'XL',
      colourName: 'navy',
      options: [0],
      quantity: 3,
      each: null,
      customerName: 'Ansel Thrush',
    };
    expect(askQuote(shop, wish).each.value).toBe(5900);
    const { id } = saveQuote(shop, wish);
    expect(
      writeQuoteText(requireQuote(shop, id), 'Heron & Hitch', {
        locale: 'en-GB',
        currency: 'EUR',
        timeZone: 'UTC',
        system: 'metric',
      }),
    ).toContain('Crew rain jacket, XL, navy, with Surname): 59.00 each, 177.00 in total');
  });

  it('says what is wrong with it', async () => {
    expect(
      (await refusalOf(() => askQuote(shop, { ...wish(), drawing: { ...wish().drawing, vinylIds: [] } }))).message,
    ).toMatch(/Vinyl/);
    expect((await refusalOf(() => askQuote(shop, { ...wish(), drawing: null, itemId: null }))).code).toBe('not-found');
  });
});

describe('the plan to begin', () => {
  it('starts with examples and one of each item, is kept, and a second window is told', async () => {
    const { plan, version, items } = loadStart(shop);
    expect([version, plan.mix.length]).toEqual([0, items.length]);
    expect(changeStartPlan(shop, { ...plan, hoursPerWeek: 14 } as never, version)).toEqual({ version: 1 });
    expect(loadStart(shop)).toMatchObject({ version: 1, plan: { hoursPerWeek: 14 } });
    expect((await refusalOf(() => changeStartPlan(shop, plan as never, 0))).code).toBe('stale');
    expect(changeStartPlan(shop, plan as never, 1)).toEqual({ version: 2 });
  });
});

it('an item off the list is put back', () => {
  archiveItem(shop, rowOf(CLUB).item.id, true);
  expect(rowOf(CLUB)).toBeUndefined();
});
