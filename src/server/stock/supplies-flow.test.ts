import { describe, expect, it } from 'vitest';
import { eachFresh, refusalOf, type TestShop } from '../../../test/demo-shop';
import { listBenchParts } from '../../../test/bench-parts';
import { scaleMeasurement } from '../../core/artwork/index';
import { setMinimum } from '../../data/offer-store';
import { findLot, findUnbalancedLots, loadLotsOnShelf } from '../../data/stock-store';
import { describeBooked } from '../../wording/stock';
import { loadOpenNeeds } from '../buying/needs';
import { countStock, setAsideOffcut } from './save-stock';
import { bookWear, changeSupply, loadSuppliesView } from './save-supplies';
import { loadStock } from './load-stock';
import { listThings } from './things';
import { loadItemEditor } from '../items/load-items';
import { spoilParts } from '../bench/spoil-parts';
import { undoSteps } from '../bench/undo-steps';
import { finishSession, startSession } from '../bench/work-at-bench';

let shop: TestShop;
eachFresh((fresh) => {
  shop = fresh;
});
const SLATE = 'Tarn Smooth, slate';
const keyNamed = (name: string) => listThings(shop).find((thing) => thing.name === name)!.key;

describe('supplies', () => {
  it('blade and mat wear with what is cut, the cover sheet with what is pressed', () => {
    const wornOf = (kind: string) =>
      loadSuppliesView(shop).supplies.find((supply) => supply.kind === kind && supply.wear)!.wear!.worn.value;
    const before = { blade: wornOf('blade'), mat: wornOf('mat'), sheet: wornOf('cover sheet') };
    const toCut = listBenchParts(shop).filter(
      (part) => part.state === 'to-cut' && part.itemName === 'Seed tin, labelled',
    );
    const { id } = startSession(shop, { station: 'cut', partIds: toCut.map((part) => part.partId) });
    finishSession(shop, id, 'done');
    const label = loadItemEditor(shop, toCut[0]!.itemId, null);
    const path = scaleMeasurement(
      label.artworks.find((artwork) => artwork.id === label.item!.placements[0]!.artworkId)!.measurement,
      label.item!.placements[0]!.widthMm,
    ).layers[0]!.cutLengthMm;
    expect(wornOf('blade') - before.blade).toBeCloseTo((path * toCut.length) / 1000, 6);
    expect(wornOf('mat') - before.mat).toBe(1);
    expect(wornOf('cover sheet')).toBe(before.sheet);
    const ready = listBenchParts(shop)
      .filter((part) => part.itemName === 'Bakery apron' && part.state === 'weeded')
      .slice(0, 2);
    const pressing = startSession(shop, { station: 'press', partIds: ready.map((part) => part.partId) });
    finishSession(shop, pressing.id, 'done');
    // One apron of two layers: a tack, a press, and a press once more.
    expect(wornOf('cover sheet') - before.sheet).toBe(3);
  });

  it('work that is stopped without being done wears nothing', () => {
    const blade = () => loadSuppliesView(shop).supplies.map((supply) => supply.wear?.worn.value ?? 0);
    const before = blade();
    const [part] = listBenchParts(shop).filter((candidate) => candidate.state === 'to-cut');
    const { id } = startSession(shop, { station: 'cut', partIds: [part!.partId] });
    finishSession(shop, id, 'discarded');
    expect(blade()).toEqual(before);
  });

  it('a new one comes off the shelf, and its life begins anew', async () => {
    const find = () => loadSuppliesView(shop).supplies.find((supply) => supply.name === 'Grip mat, 305')!;
    expect(find().wear).toMatchObject({ due: true });
    const there = find().onShelf;
    expect(bookWear(shop, find().id, { kind: 'fitted', amount: 0, fromStock: true })).toEqual({ tookFromStock: true });
    expect(find()).toMatchObject({ onShelf: there - 1, wear: { share: 0, due: false } });
    expect(
      (await refusalOf(() => bookWear(shop, find().id, { kind: 'worn', amount: 0, fromStock: false }))).field,
    ).toBe('amount');
    const bags = loadSuppliesView(shop).supplies.find((supply) => supply.kind === 'packaging')!;
    expect(
      (await refusalOf(() => bookWear(shop, bags.id, { kind: 'fitted', amount: 0, fromStock: true }))).message,
    ).toMatch(/simply used up/);
  });

  it('is offered, taken in and short like anything else of the shelf', () => {
    const { thing } = loadSuppliesView(shop).supplies.find((supply) => supply.kind === 'packaging')!;
    setMinimum(shop.db, thing.key, { amount: 200, coverWeeks: null });
    expect(loadOpenNeeds(shop).find((need) => need.accepts.includes(thing.key))).toMatchObject({
      amount: 60,
      unit: 'count',
      because: 'below what should always be there',
    });
  });

  it('two windows: the second is told', async () => {
    const { version, thing: _, wear: __, onShelf: ___, id, ...fields } = loadSuppliesView(shop).supplies[0]!;
    changeSupply(shop, id, { ...fields, name: 'Mat, renamed' }, version);
    expect((await refusalOf(() => changeSupply(shop, id, { ...fields, name: 'Mat, mine' }, version))).code).toBe(
      'stale',
    );
    expect(loadSuppliesView(shop).supplies.map((supply) => supply.name)).toContain('Mat, renamed');
  });
});

describe('use and cover', () => {
  it('lasts by what was really booked, and a minimum in weeks follows it', () => {
    const row = () => loadStock(shop).rows.find(({ thing }) => thing.name === 'Quay Hold, black')!;
    const { weekly, free, cover, minimum } = row();
    // 3.9 m of a roll 610 wide, 10 mm out of reach each side, over 55 days.
    expect(weekly!.value).toBeCloseTo((3900 * 590) / (55 / 7), -2);
    expect(cover!.value).toBeCloseTo(free.value / weekly!.value, 9);
    expect(minimum!.value).toBeCloseTo(3 * weekly!.value, 6);
  });

  it('counting a lot or setting an offcut aside is no use', () => {
    const weekly = () => loadStock(shop).rows.find(({ thing }) => thing.name === SLATE)!.weekly!.value;
    const before = weekly();
    const [lot] = loadLotsOnShelf(shop.db, keyNamed(SLATE));
    countStock(shop, lot!.id, lot!.left - 300, 'by ruler');
    setAsideOffcut(shop, lot!.id, {
      widthMm: 200,
      lengthMm: 200,
      takesMm: 200,
      cornerWidthMm: 0,
      cornerLengthMm: 0,
      remark: '',
    });
    expect(weekly()).toBeCloseTo(before, 6);
  });

  it('what is short says until when it can be bought in time', () => {
    const row = loadStock(shop).rows.find(({ thing }) => thing.name === 'Tarn Cool, marigold')!;
    expect(row.free.value).toBeLessThan(0);
    // Crew jackets are due in three days; the trade house takes two, and making them one.
    expect(row.orderWithin).toEqual({ days: 0, leadDays: 2 });
  });
});

describe('what the bench takes from the stock', () => {
  const leftOf = (name: string) =>
    loadLotsOnShelf(shop.db, keyNamed(name))
      .filter((lot) => lot.form !== 'offcut')
      .reduce((sum, lot) => sum + lot.left, 0);
  const partsOf = (itemName: string, state: string) =>
    listBenchParts(shop).filter((part) => part.itemName === itemName && part.state === state);
  const doAt = (station: 'cut' | 'weed' | 'press', parts: readonly { readonly partId: number }[]) =>
    finishSession(shop, startSession(shop, { station, partIds: parts.map((part) => part.partId) }).id, 'done');

  it('is the strip of what was cut, oldest roll first, and is given back with the step', () => {
    const towels = partsOf('Honeycomb tea towel', 'to-cut').filter((part) => part.vinylName === SLATE);
    const before = leftOf(SLATE),
      oldest = loadLotsOnShelf(shop.db, keyNamed(SLATE))[0]!;
    const { booked, eventIds } = doAt('cut', towels);
    const taken = booked.find((entry) => entry.thingName === SLATE)!;
    expect(taken).toMatchObject({ form: 'roll', missing: 0 });
    // Ten combs of 180 mm with their margins, two side by side.
    expect(taken.quantity).toBeGreaterThan(700);
    expect(leftOf(SLATE)).toBeCloseTo(before - taken.quantity, 6);
    expect(findLot(shop.db, oldest.id)!.left).toBeLessThan(oldest.left);
    undoSteps(
      shop,
      eventIds,
      towels.map((part) => part.partId),
    );
    expect(leftOf(SLATE)).toBeCloseTo(before, 6);
    expect(findUnbalancedLots(shop.db)).toEqual([]);
  });

  it('is a blank a unit, and none again for a part that is pressed once more on the same', () => {
    const charcoal = 'Bib apron, heavy cotton, one size, charcoal';
    const there = leftOf(charcoal);
    const ready = partsOf('Bakery apron', 'weeded').filter(
      (part) => part.pieceId === partsOf('Bakery apron', 'weeded')[0]!.pieceId,
    );
    expect(doAt('press', ready).booked).toEqual([{ thingName: charcoal, form: 'piece', quantity: 1, missing: 0 }]);
    expect(leftOf(charcoal)).toBe(there - 1);
    const [peeled] = ready;
    spoilParts(shop, { partIds: [peeled!.partId], cause: 'lifted', blankLost: false });
    doAt('cut', [peeled!]);
    doAt('weed', [peeled!]);
    expect(doAt('press', [peeled!]).booked).toEqual([]);
    expect(leftOf(charcoal)).toBe(there - 1);
    spoilParts(shop, { partIds: [peeled!.partId], cause: 'scorched', blankLost: true });
    for (const station of ['cut', 'weed'] as const) doAt(station, ready);
    expect(doAt('press', ready).booked).toHaveLength(1);
    expect(leftOf(charcoal)).toBe(there - 2);
  });

  it('never takes the book below nothing: what it did not have is told', () => {
    for (const lot of loadLotsOnShelf(shop.db, keyNamed(SLATE)))
      countStock(shop, lot.id, lot.form === 'roll' ? 50 : 0, '');
    const [taken] = doAt(
      'cut',
      partsOf('Honeycomb tea towel', 'to-cut').filter((part) => part.vinylName === SLATE),
    ).booked;
    expect(taken!.quantity).toBe(100);
    expect(taken!.missing).toBeGreaterThan(600);
    expect(leftOf(SLATE)).toBe(0);
    expect(describeBooked(taken!, { locale: 'en-GB', currency: 'EUR', timeZone: 'UTC', system: 'metric' })).toMatch(
      /^Booked off: 0\.10 m of Tarn Smooth, slate\. The book had .* less than that took: count it\.$/,
    );
  });

  it('nothing of what the shop keeps no book of', () => {
    expect(
      doAt(
        'cut',
        partsOf('Dog bandana, paw', 'to-cut').slice(0, 1).concat(partsOf('Seed tin, labelled', 'to-cut').slice(0, 1)),
      ).booked.map((entry) => entry.thingName),
    ).toEqual(['Quay Hold, black']);
  });
});
