// Fills an empty database with the demo shop from its plain files, through the same use cases as the screens, at past
// times.

import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { PLAIN_DETAILS } from '../../core/costing/index';
import { DEFAULT_SHOP_FIGURES } from '../../core/materials/index';
import { blankInput, channelInput, itemInput, lookInput, vinylInput } from '../../core/input/index';
import { beginDemo, wishSample, type Begun } from './begin-demo';
import type { DemoFile, DemoPacking, DemoPlacement } from './demo-file';
import type { Ids } from './demo-ids';
import { seedOrder, takeOrder } from './seed-demo-orders';
import type { Database } from '../../data/database';
import { savePacking } from '../../data/packing-store';
import { insertShop } from '../../data/shop-store';
import { getShop, type ShopContext } from '../context';
import { dayOf } from '../../core/units/index';
import { addLook } from '../stock/recipes';
import { parseInput } from '../errors';
import { saveMeasured, type NewArtwork } from '../artwork/save-artwork';
import { findVinyl } from '../../data/shelf-store';
import { addItem, acceptItemCost } from '../items/save-item';
import { keyOfWish, letterTexts, type LetterLot } from '../lettering/letter-texts';
import type { TextWish } from '../heavy/letter-thread';
import { addChannel } from '../shop/save-channel';
import { addBlank, addVinyl, changeVinyl } from '../stock/save-shelf';
import { seedPast } from './past/seed-past';
import { beginStock, seedDemoStock } from './seed-demo-stock';

const DAY_MS = 86_400_000;
const BEGUN_DAYS_AGO = 125;

/** What a channel of the demo does not take. */
const NO_FEES = {
  tiers: [{ from: 0, share: 0 }],
  fixed: 0,
  listing: 0,
  salesPerListing: 1,
  paymentShare: 0,
  paymentFixed: 0,
  adShare: 0,
  adOdds: 0,
  day: 0,
  dayHours: 0,
  salesPerDay: 20,
  piecesPerSale: 1,
  saleSeconds: null,
  returnShare: null,
  feesOnDelivery: false,
  delivery: 0,
  deliveryPaid: 0,
  discount: 0,
  tax: 0,
  ending: 'any',
};

type Clock = { ms: number };
/** What the demo shop is filled with: its files, the shop and its clock, and what is there already. */
type Seed = Begun & {
  readonly shop: ShopContext;
  readonly clock: Clock;
  readonly ids: Ids;
};

/**
 * The same shop every time but for its dates, which count from `nowMs`. With a past: four months of orders before those
 * that are on the books, for all that is learned and charted.
 */
export async function seedDemo(
  db: Database,
  nowMs: number,
  { withPast = false, begun = beginDemo() }: { readonly withPast?: boolean; readonly begun?: Begun } = {},
): Promise<void> {
  const { file } = begun;
  const clock = { ms: nowMs - BEGUN_DAYS_AGO * DAY_MS };
  const shop: ShopContext = { db, now: () => clock.ms };
  const timeZone = Intl.DateTimeFormat().resolvedOptions().timeZone;
  const ids: Ids = { vinyls: new Map(), blanks: new Map(), artworks: new Map(), items: new Map() };
  const seed: Seed = { ...begun, shop, clock, ids };
  insertShop(db, { ...file.identity, timeZone, simulated: true }, { ...DEFAULT_SHOP_FIGURES, ...file.figures });
  seedShelf(seed);
  for (const channel of file.channels) addChannel(shop, parseInput(channelInput, { ...NO_FEES, ...channel }));
  await seedArtworks(seed);
  for (const item of file.items) await seedItem(seed, item);
  const stock = beginStock(shop, clock, nowMs);
  // Their texts are set beside the past.
  const taken = file.orders.map((order) => takeOrder({ shop, order, items: ids.items, nowMs }));
  if (withPast) seedPast(stock, ids);
  for (const order of taken) await seedOrder({ shop, clock, order, nowMs });
  seedDemoStock(stock);
  seedLooks(seed, nowMs);
  clock.ms = nowMs - 4 * DAY_MS;
  for (const id of ids.items.values()) acceptItemCost(shop, id);
  clock.ms = nowMs - 2 * DAY_MS;
  raisePrices(seed);
}

function seedShelf({ file, shop, ids }: Seed): void {
  for (const vinyl of file.vinyls) {
    const input = parseInput(vinylInput, vinyl);
    ids.vinyls.set(input.name, addVinyl(shop, input).id);
  }
  for (const blank of file.blanks) {
    const input = parseInput(blankInput, {
      ...blank,
      sizes: blank.sizes.map(([name, price, widthMm, lengthMm]) => ({ name, price, widthMm, lengthMm })),
      colours: blank.colours.map(([name, hex]) => ({ name, hex })),
    });
    ids.blanks.set(input.name, addBlank(shop, input).id);
  }
}

/** What was seen of pieces that were pressed long ago. */
function seedLooks({ file, shop, clock, ids }: Seed, nowMs: number): void {
  clock.ms = nowMs - DAY_MS;
  for (const { vinyl, daysAgo, ...look } of file.looks) {
    const day = dayOf(nowMs - daysAgo * DAY_MS, getShop(shop).timeZone);
    addLook(shop, parseInput(lookInput, { ...look, day, vinylId: ids.vinyls.get(vinyl) }));
  }
}

async function seedArtworks({ folder, drawings, shop, clock, ids }: Seed): Promise<void> {
  for (const { drawing, given, measured } of drawings) {
    clock.ms += 3_600_000;
    const artwork: NewArtwork = {
      ...given,
      name: drawing.name,
      layerNames: drawing.layers,
      layerVinylIds: drawing.vinyls.map((name) => ids.vinyls.get(name) ?? null),
      licence: 'own',
    };
    const { id } = saveMeasured(shop, artwork, await measured);
    ids.artworks.set(drawing.name, id);
  }
  // Laid out beforehand, by the same arithmetic: at a start nobody waits for it. A test lays one out anew.
  const packings = JSON.parse(readFileSync(join(folder, 'packings.json'), 'utf8')) as DemoPacking[];
  for (const { artwork, ...packing } of packings)
    savePacking(shop.db, { ...packing, artworkId: ids.artworks.get(artwork)!, artworkVersion: 1 });
}

async function seedItem({ shop, ids, letterLot }: Seed, item: DemoFile['items'][number]): Promise<void> {
  const place = async ({ artwork, place: where, widthMm, widths = {}, vinyls, lettering, placing }: DemoPlacement) => ({
    placing,
    artworkId: ids.artworks.get(artwork ?? ''),
    place: where,
    widthMm,
    widths,
    seenThrough: false,
    vinylIds: vinyls.map((name) => ids.vinyls.get(name)),
    ...(lettering ? await setSample(shop, wishSample(lettering), letterLot) : {}),
  });
  const options = await Promise.all(
    (item.options ?? []).map(async ({ label, surcharge, ...own }) => ({
      label,
      surcharge,
      placement: await place(own),
    })),
  );
  const variants = (item.variants ?? []).map((rule) => ({
    ...rule,
    swaps: rule.swaps.map(([from, to]) => ({ vinylId: ids.vinyls.get(from), byVinylId: ids.vinyls.get(to) })),
  }));
  const input = parseInput(itemInput, {
    name: item.name,
    blankId: ids.blanks.get(item.blank),
    sizeName: item.size,
    colourName: item.colour,
    areaBasis: 'used',
    quantity: item.quantity,
    price: item.price,
    artworkPrice: item.artworkPrice ?? 0,
    artworkRun: item.artworkRun ?? 1,
    placements: await Promise.all([item, ...(item.more ?? [])].map(place)),
    details: { ...PLAIN_DETAILS, ...item.details, options, variants },
  });
  ids.items.set(item.key, addItem(shop, input).id);
}

async function setSample(shop: ShopContext, wish: TextWish, letterLot: LetterLot) {
  const set = (await letterTexts(shop, [wish], { letterLot })).get(keyOfWish(wish));
  if (!set?.ok) throw new Error(`The sample ${wish.text} of the demo can’t be set`);
  const { artworkId, fit } = set.value;
  return { artworkId, widthMm: Math.round(fit.widthMm * 10) / 10, lettering: wish.lettering };
}

function raisePrices({ file, shop, ids }: Seed): void {
  for (const [name, rollPrice] of Object.entries(file.dearerVinyls)) {
    const { id, version, archived: _archived, ...vinyl } = findVinyl(shop.db, ids.vinyls.get(name)!)!;
    changeVinyl(shop, id, parseInput(vinylInput, { ...vinyl, rollPrice }), version);
  }
}
