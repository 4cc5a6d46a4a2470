// Years of orders: most collected long ago, some hundred open at every stage, with the work that was logged on them.

import { freezeQuote, STATIONS, type PartEventKind, type Station } from '../../core/orders/index';
import { dayOf, minor } from '../../core/units/index';
import { insertCustomer } from '../../data/customer-store';
import { insertPayment } from '../../data/payment-store';
import { loadItems } from '../../data/item-store';
import { insertOrder, loadOrders, type StoredOrder, type StoredPart } from '../../data/order-store';
import { type NewLine } from '../../data/order-line-store';
import { addOrderEvent } from '../../data/order-event-store';
import { addPartEvents } from '../../data/part-event-store';
import { insertSession, stopSession } from '../../data/work-store';
import { getShop, type ShopContext } from '../context';
import { loadMaterials } from '../items/materials';
import { priceItem } from '../items/price-item';
import type { Chance } from '../chance';

const DAY_MS = 86_400_000;
const MINUTE_MS = 60_000;
const YEARS_MS = 3 * 365 * DAY_MS;
const CUSTOMERS_PER_ORDER = 0.25;
const CANCELLED = 0.02;
const SPOILED = 0.03;
/** Pieces of a line; most are few. */
const QUANTITIES = [1, 1, 2, 2, 3, 4, 5, 6, 8, 12];
const SECOND_LINE = 0.35;
const MARKUP = 1.6;
const PLACES = ['Reed', 'Mill', 'Hill', 'Quay', 'Wood', 'Ford', 'Lane', 'Moor', 'Well', 'Barn'];
const GROUPS = ['rowers', 'choir', 'bakery', 'school', 'garden club', 'walkers', 'shelter', 'band', 'café', 'fair'];

type Clock = { ms: number };
type Filling = {
  readonly shop: ShopContext;
  readonly chance: Chance;
  readonly clock: Clock;
  readonly orders: number;
  readonly open: number;
  readonly nowMs: number;
};

/** Orders read at once: one by one takes three times as long. */
const BATCH = 200;

/** The oldest first; the last `open` of them are still worked on. */
export function fillOrders(filling: Filling): void {
  const { shop, orders, open, nowMs, clock } = filling;
  const place = makePlacing(filling);
  const ids = Array.from({ length: orders }, (_, index) => place(index));
  for (let at = 0; at < orders; at += BATCH)
    for (const [within, order] of loadOrders(shop.db, ids.slice(at, at + BATCH)).entries()) {
      const index = at + within;
      const isOpen = index >= orders - open;
      live(filling, order, index, isOpen);
    }
  clock.ms = nowMs;
}

/** Takes the order of that index, and gives its id. */
function makePlacing({ shop, chance, orders, open, nowMs }: Filling): (index: number) => number {
  const { timeZone } = getShop(shop);
  const pick = makeLinePicking(shop, chance);
  const customers = Array.from({ length: Math.max(1, Math.floor(orders * CUSTOMERS_PER_ORDER)) }, (_, index) =>
    insertCustomer(shop.db, {
      name: `${PLACES[index % 10]!} ${GROUPS[Math.floor(index / 10) % 10]!} ${index + 1}`,
      contact: `c${index + 1}@post.example`,
      address: '',
      note: '',
    }),
  );
  return (index) => {
    const isOpen = index >= orders - open;
    const agoMs = isOpen ? chance.whole(1, 20) * DAY_MS : 21 * DAY_MS + (YEARS_MS * (orders - index)) / orders;
    const placedAtMs = Math.round(nowMs - agoMs);
    const lines = [pick(), ...(chance.happens(SECOND_LINE) ? [pick()] : [])];
    const cost = lines.reduce((sum, line) => sum + line.quote.withRisk * line.quantity, 0);
    return insertOrder(shop.db, {
      customerId: chance.pick(customers),
      title: `${chance.pick(PLACES)} ${chance.pick(GROUPS)}, order ${index + 1}`,
      dueDay: dayOf(placedAtMs + chance.whole(10, 30) * DAY_MS, timeZone),
      agreed: minor(Math.round(cost * MARKUP)),
      note: '',
      placedAtMs,
      lines,
    });
  };
}

/** What happened to an order after it was taken. */
function live(filling: Filling, order: StoredOrder, index: number, isOpen: boolean): void {
  const { shop, chance, clock } = filling;
  clock.ms = order.placedAtMs + DAY_MS;
  if (isOpen) return workOn(filling, order, index, chance.whole(0, STATIONS.length));
  if (chance.happens(CANCELLED)) {
    addOrderEvent(shop.db, order.id, 'cancelled', clock.ms);
    return;
  }
  workOn(filling, order, index, STATIONS.length);
  const atMs = clock.ms + DAY_MS;
  addOrderEvent(shop.db, order.id, 'handed-over', atMs);
  insertPayment(shop.db, { orderId: order.id, kind: 'payment', amount: order.agreed, means: 'transfer', atMs });
  addOrderEvent(shop.db, order.id, 'closed', atMs);
}

/** Lines of items, some of which are sold far oftener than others; each is calculated once for a quantity. */
function makeLinePicking(shop: ShopContext, chance: Chance): () => NewLine {
  const { figures } = getShop(shop);
  const items = loadItems(shop.db);
  const last = items.length - 1;
  const materials = loadMaterials(shop, { plans: items });
  const known = new Map<string, NewLine>();
  return () => {
    const item = items[Math.min(chance.whole(0, last), chance.whole(0, last))]!;
    const quantity = chance.pick(QUANTITIES);
    const key = `${item.id} ${quantity}`;
    const found = known.get(key);
    if (found) return found;
    const cost = priceItem({ item, quantity, materials, figures });
    if (!cost.ok) throw new Error(`${item.name} can’t be costed: ${cost.problem.kind}`);
    const line = {
      itemId: item.id,
      quantity,
      sizeName: item.sizeName,
      colourName: item.colourName,
      quote: freezeQuote(cost.value, figures),
      made: cost.made,
    };
    known.set(key, line);
    return line;
  };
}

const STEPS: Readonly<Record<Station, StepKind>> = {
  cut: 'cut',
  weed: 'weeded',
  press: 'pressed',
  check: 'checked',
};

/** As far as the first `stations` of them; two of the stations are logged with their minutes. */
function workOn(filling: Filling, order: StoredOrder, index: number, stations: number): void {
  const { shop, chance, clock } = filling;
  const logged: readonly Station[] = index % 2 === 0 ? ['cut', 'weed'] : ['cut', 'press'];
  const toEvents = makeEvents(order);
  // Added at once for all stations: each part is read and written once.
  const events = STATIONS.slice(0, stations).flatMap((station) => {
    const sessionId = logged.includes(station) ? logWork(shop, chance, clock, station, order.parts) : null;
    const at = { atMs: clock.ms, sessionId };
    const spoiled = station === 'weed' ? order.parts.filter(() => chance.happens(SPOILED)) : [];
    return [
      ...toEvents(spoiled, 'spoiled', at),
      ...toEvents(spoiled, 'cut', at),
      ...toEvents(order.parts, STEPS[station], at),
    ];
  });
  addPartEvents(shop.db, events);
}

type StepKind = Exclude<PartEventKind, 'to-cut'>;
type At = { readonly atMs: number; readonly sessionId: number | null };

function makeEvents({ lines }: StoredOrder) {
  const vinylCost = new Map(
    lines.flatMap((line) => line.quote.layers.map((layer, at) => [`${line.id} ${at}`, layer.vinylCost] as const)),
  );
  return (own: readonly StoredPart[], kind: StepKind, at: At) =>
    own.map((part) => ({
      ...PLAIN_EVENT,
      ...at,
      partId: part.id,
      kind,
      cause: kind === 'spoiled' ? ('weeding' as const) : null,
      ...(kind === 'cut' ? { vinylCost: vinylCost.get(`${part.lineId} ${part.layerIndex}`) ?? 0 } : {}),
    }));
}

const PLAIN_EVENT = { undoes: null, blankLost: false } as const;

function logWork(
  shop: ShopContext,
  chance: Chance,
  clock: Clock,
  station: Station,
  parts: readonly StoredPart[],
): number {
  const members = parts.map((part) => ({ partId: part.id, estimateSeconds: 60 }));
  const id = insertSession(shop.db, station, clock.ms, members);
  clock.ms += parts.length * chance.whole(30, 120) * 1000 + MINUTE_MS;
  stopSession(shop.db, id, clock.ms, 'done');
  return id;
}
