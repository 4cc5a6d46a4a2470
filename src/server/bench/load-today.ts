// Today: what comes next, how the day lies, and the first of the orders.

import {
  computeFreeSeconds,
  findWorkingTime,
  getTrack,
  getWorkingDay,
  planTimeline,
  proposeNext,
  type Batch,
  type BenchPart,
  type TimelineBlock,
  type TimelineJob,
} from '../../core/scheduling/index';
import type { Station } from '../../core/orders/index';
import { dayOf, groupBy, type Figure } from '../../core/units/index';
import { nameItems } from '../../data/item-store';
import { loadSessionsSince } from '../../data/work-store';
import type { BenchPartView } from '../../views/bench';
import type { NextBatch, TodayView } from '../../views/today';
import { describeBatch } from '../../wording/batches';
import { getShop, type ShopContext } from '../context';
import { readMadeLines } from '../items/materials';
import { isInHand } from '../../core/orders/index';
import { readOpenOrders, readOrdersInHand, slackOf, type WaitingOrder } from '../orders/read-orders';
import { rememberUntilChange } from '../remember';
import { labelSessions, loadRunning } from '../shop/load-frame';
import { toRows } from '../orders/load-orders';
import { loadDue } from '../trials/later-looks';
import { keyRuns, narrowToPieces, readPartsAtBench, partsOf } from './bench-views';

/** Orders shown of those in work, and of those that wait to be collected: the first due; all stand under Orders. */
const ORDERS_SHOWN = 12;

export function loadToday(shop: ShopContext): TodayView {
  const stored = getShop(shop);
  const nowMs = shop.now();
  const open = readOpenOrders(shop);
  const inWork = open.filter((entry) => isInHand(entry.stage));
  const slack = slackOf(inWork, stored, nowMs);
  const ready = open.filter((entry) => entry.stage === 'ready');
  const next = wordNext(shop);
  const today = dayOf(nowMs, stored.timeZone);
  return {
    next: { hands: toNext(next.hands), cutter: toNext(next.cutter), press: toNext(next.press), first: next.first },
    running: loadRunning(shop),
    nowMs,
    today,
    orders: toRows(shop, inWork.slice(0, ORDERS_SHOWN), slack),
    ready: toRows(shop, ready.slice(0, ORDERS_SHOWN), slack),
    counts: { inWork: inWork.length, ready: ready.length },
    looks: loadDue(shop),
    short: findShort(inWork, slack),
    ...layOutDay(shop),
    freeSeconds: computeFreeSeconds({ nowMs, day: today, timeZone: stored.timeZone, shop: stored.figures }),
    neededSeconds: inWork.reduce((sum, entry) => sum + entry.neededSeconds, 0),
  };
}

/** Of orders that can't be in time: how many, and the first due of them. */
function findShort(orders: readonly WaitingOrder[], slack: ReadonlyMap<number, Figure>): TodayView['short'] {
  const short = orders.filter(({ order }) => (slack.get(order.id)?.value ?? 0) < 0);
  const [first] = short;
  if (!first) return null;
  const { id, title, dueDay } = first.order;
  return { count: short.length, title, dueDay, seconds: -slack.get(id)!.value };
}

/** What comes next, with the words that only these few batches need. */
const wordNext = (shop: ShopContext) => rememberUntilChange(shop, 'what comes next', () => findNext(shop));

function findNext(shop: ShopContext) {
  const { parts: atBench, saved } = readPartsAtBench(shop);
  const next = proposeNext(atBench);
  const batches = [next.hands, next.cutter, next.press].flatMap((batch) => batch ?? []);
  const pieceIds = new Set(batches.flatMap((batch) => batch.parts.map((part) => part.pieceId)));
  const narrowed = narrowToPieces(readOrdersInHand(shop), pieceIds);
  const made = readMadeLines(shop, narrowed);
  const views = new Map(
    narrowed.flatMap(({ order, parts }) => parts.map(partsOf(order, saved, made)).map((part) => [part.partId, part])),
  );
  const word = (batch: Batch<BenchPart> | null): Batch<BenchPartView> | null =>
    batch && { ...batch, parts: batch.parts.map((part) => views.get(part.partId)!) };
  return { hands: word(next.hands), cutter: word(next.cutter), press: word(next.press), first: next.first };
}

const HOUR_MS = 3_600_000;
const LEAST_HOURS_SHOWN = 8;
const LOGGED_BACK_MS = 16 * HOUR_MS;

/** Today with what was done and what is planned; once its hours are over, the next day that is worked. */
function layOutDay(shop: ShopContext): Pick<TodayView, 'timeline' | 'timelineDay' | 'dayStartMs' | 'dayEndMs'> {
  const { timeZone, figures } = getShop(shop);
  const nowMs = shop.now();
  const today = dayOf(nowMs, timeZone);
  const working = findWorkingTime(nowMs, timeZone, figures) ?? {
    day: today,
    ...getWorkingDay(nowMs, timeZone, figures),
  };
  const isToday = working.day === today;
  const done = isToday ? listDone(shop, today) : [];
  const planned = planTimeline({
    jobs: rememberUntilChange(shop, 'jobs of the day', () => toJobs(shop)),
    fromMs: Math.max(nowMs, working.beginsMs),
    untilMs: working.endsMs,
  });
  // Whole hours that hold the working time, and of today also now and whatever was done.
  const shown = [...done.map((block) => block.startMs), ...(isToday ? [nowMs] : [])];
  const dayStartMs = Math.floor(Math.min(working.beginsMs, ...shown) / HOUR_MS) * HOUR_MS;
  const dayEndMs = Math.max(
    Math.ceil(Math.max(working.endsMs, ...(isToday ? [nowMs] : [])) / HOUR_MS) * HOUR_MS,
    dayStartMs + LEAST_HOURS_SHOWN * HOUR_MS,
  );
  return { timeline: [...done, ...planned], timelineDay: working.day, dayStartMs, dayEndMs };
}

function listDone(shop: ShopContext, today: string): readonly TimelineBlock[] {
  const nowMs = shop.now();
  const fromMs = Math.floor((nowMs - LOGGED_BACK_MS) / HOUR_MS) * HOUR_MS;
  const logged = rememberUntilChange(shop, `logged on ${today} since ${fromMs}`, () => listLogged(shop, today, fromMs));
  return logged.map(({ label, ...work }) => ({
    track: getTrack(work.station),
    station: work.station,
    label,
    startMs: work.startedAtMs,
    endMs: work.stoppedAtMs ?? nowMs,
    planned: false,
    key: `work-${work.id}`,
  }));
}

function listLogged(shop: ShopContext, today: string, fromMs: number) {
  const { timeZone } = getShop(shop);
  const logged = loadSessionsSince(shop.db, fromMs).filter(
    (work) => dayOf(work.startedAtMs, timeZone) === today && work.outcome !== 'discarded',
  );
  const labels = labelSessions(shop, logged);
  return logged.map((work) => ({ ...work, label: labels.get(work.id) ?? work.station }));
}

const toNext = (batch: Batch<BenchPartView> | null): NextBatch | null =>
  batch ? { ...describeBatch(batch), station: batch.station, seconds: batch.seconds, dueDay: batch.dueDay } : null;

function toJobs(shop: ShopContext): readonly TimelineJob[] {
  const orders = readOrdersInHand(shop);
  const lines = new Map(orders.flatMap(({ order }) => order.lines.map((line) => [line.id, line] as const)));
  const names = nameItems(shop.db, [...new Set([...lines.values()].map((line) => line.itemId))]);
  return orders.flatMap(({ order, parts }) => {
    const runs = keyRuns(order);
    return [...groupBy(parts, (part) => runs.get(part.lineId)!)].map(([key, members]): TimelineJob => {
      const { itemId } = lines.get(members[0]!.lineId)!;
      const sum = (station: Station) => members.reduce((seconds, part) => seconds + part.estimates[station], 0);
      const machineSeconds = members.reduce(
        (seconds, part) =>
          seconds +
          (part.state === 'to-cut'
            ? (lines.get(part.lineId)!.quote.layers[part.layerIndex]?.cutMachineSeconds ?? 0)
            : 0),
        0,
      );
      return {
        key,
        label: names.get(itemId) ?? order.title,
        dueDay: order.dueDay,
        seconds: { cut: sum('cut'), weed: sum('weed'), press: sum('press'), check: sum('check') },
        machineSeconds,
      };
    });
  });
}
