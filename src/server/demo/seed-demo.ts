// Fills an empty database with the demo shop from its plain files, through the same use cases as the screens, at past
// times.

import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { PLAIN_DETAILS, type StoredPacking } from '../../core/costing/index';
import { DEFAULT_SHOP_FIGURES, type ShopFigures } from '../../core/materials/index';
import { PLAIN_LETTERING, type Lettering } from '../../core/artwork/index';
import type { Placing } from '../../core/placing/index';
import { blankInput, channelInput, itemInput, lookInput, vinylInput } from '../../core/input/index';
import type { Ids } from './demo-ids';
import { seedOrder, takeOrder, type DemoOrder } from './seed-demo-orders';
import type { Database } from '../../data/database';
import { savePacking } from '../../data/packing-store';
import { insertShop } from '../../data/shop-store';
import { getShop, programRoot, type ShopContext } from '../context';
import { dayOf } from '../../core/units/index';
import { addLook } from '../stock/recipes';
import { parseInput } from '../errors';
import { saveArtwork } from '../artwork/save-artwork';
import { findVinyl } from '../../data/shelf-store';
import { addItem, acceptItemCost } from '../items/save-item';
import { keyOfWish, letterInThread, letterTexts, type LetterLot } from '../lettering/letter-texts';
import type { TextWish } from '../heavy/letter-thread';
import { addChannel } from '../shop/save-channel';
import { addBlank, addVinyl, changeVinyl } from '../stock/save-shelf';
import { seedPast } from './past/seed-past';
import { beginStock, seedDemoStock } from './seed-demo-stock';

type DemoPlacement = {
  artwork?: string;
  place: string;
  widthMm?: number;
  /** A customer's own text instead of a drawing; what is left out is as usual. */
  lettering?: Partial<Lettering> & Pick<Lettering, 'sample'>;
  widths?: Record<string, number>;
  placing?: Placing;
  vinyls: string[];
};
type DemoPacking = Omit<StoredPacking, 'artworkId' | 'artworkVersion'> & { artwork: string };
type DemoFile = {
  identity: { name: string; address: string; contact: string; currency: string; locale: string };
  figures: Partial<ShopFigures>;
  vinyls: unknown[];
  blanks: {
    name: string;
    supplier: string;
    fabric: string;
    heating: string;
    /** Name, price, and how wide and long it is laid flat. */
    sizes: [string, number, number?, number?][];
    colours: [string, string][];
  }[];
  channels: { name: string }[];
  looks: {
    vinyl: string;
    fabric: string;
    kind: string;
    pieces: number;
    washes: number;
    daysAgo: number;
    note: string;
  }[];
  artworks: { file: string; name: string; widthMm: number; layers: string[]; vinyls: string[] }[];
  items: (DemoPlacement & {
    key: string;
    name: string;
    blank: string;
    size: string;
    colour: string;
    quantity: number;
    price: number;
    artworkPrice?: number;
    artworkRun?: number;
    more?: DemoPlacement[];
    options?: (DemoPlacement & { label: string; surcharge: number })[];
    variants?: {
      sizeName: string | null;
      colourName: string | null;
      price: number | null;
      swaps: [from: string, to: string][];
    }[];
    details?: object;
  })[];
  orders: DemoOrder[];
  /** Roll prices that went up a few days ago. */
  dearerVinyls: Record<string, number>;
};

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
/** The demo’s plain files, and the texts that its items show, which are being set. */
type Begun = {
  readonly folder: string;
  readonly file: DemoFile;
  readonly letterLot: LetterLot;
};
/** What the demo shop is filled with: its files, the shop and its clock, and what is there already. */
type Seed = Begun & {
  readonly shop: ShopContext;
  readonly clock: Clock;
  readonly ids: Ids;
};

/** Reads the files, and has a thread begin with what takes longest to load: the shop’s file is made meanwhile. */
export function beginDemo(): Begun {
  const folder = join(programRoot(), 'src', 'data', 'demo');
  const file = JSON.parse(readFileSync(join(folder, 'shop.json'), 'utf8')) as DemoFile;
  const samples = file.items
    .flatMap((item) => [item, ...(item.more ?? []), ...(item.options ?? [])])
    .flatMap(({ lettering }) => (lettering ? [wishSample(lettering)] : []));
  return { folder, file, letterLot: letterAhead(samples) };
}

/** Gives what it began with at once. */
function letterAhead(wishes: readonly TextWish[]): LetterLot {
  const begun = letterInThread(wishes);
  const places = new Map(wishes.map((wish, place) => [keyOfWish(wish), place]));
  return async (asked) => {
    const set = await begun;
    return asked.map((wish) => set[places.get(keyOfWish(wish))!]!);
  };
}

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

async function seedArtworks({ folder, file, shop, clock, ids }: Seed): Promise<void> {
  for (const drawing of file.artworks) {
    clock.ms += 3_600_000;
    const { id } = await saveArtwork(shop, {
      bytes: readFileSync(join(folder, 'drawings', drawing.file)),
      fileName: drawing.file,
      name: drawing.name,
      steps: [{ kind: 'size', widthMm: drawing.widthMm, on: true }],
      layerNames: drawing.layers,
      layerVinylIds: drawing.vinyls.map((name) => ids.vinyls.get(name) ?? null),
      licence: 'own',
    });
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

/** An item's text is calculated with its sample. */
function wishSample(lettering: NonNullable<DemoPlacement['lettering']>): TextWish {
  return { text: lettering.sample, lettering: { ...PLAIN_LETTERING, ...lettering }, smaller: false };
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
