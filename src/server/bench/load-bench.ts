// The views of the bench and of today: parts that lie ready, what they look like, what comes next.

import {
  computeFreeSeconds,
  findWorkingTime,
  getTrack,
  getWorkingDay,
  planTimeline,
  proposeNext,
  type Batch,
  type TimelineBlock,
  type TimelineJob,
} from '../../core/scheduling/index';
import type { MadeLayer } from '../../core/costing/index';
import { dayOf } from '../../core/units/index';
import { decideHandedness } from '../../core/materials/index';
import { STATIONS, type Station } from '../../core/orders/index';
import { planPressing } from '../../core/pressing/index';
import { groupBy } from '../../core/units/index';
import { loadSessionsSince } from '../../data/work-store';
import type { BenchLineView, BenchPartView, BenchView } from '../../views/bench';
import type { NextBatch, TodayView } from '../../views/today';
import { describeBatch } from '../../wording/batches';
import { describeCostProblem } from '../../wording/problems';
import { describeHandedness } from '../../wording/stations';
import { getSettings, getShop, type ShopContext } from '../context';
import { notFound } from '../errors';
import { findInTheWay } from '../items/find-in-the-way';
import { readMadeLines, type MadeLine, type Materials } from '../items/materials';
import { readOpenOrders, type WaitingOrder, type WaitingPart } from '../orders/read-orders';
import { labelSessions, loadRunning } from '../shop/load-frame';
import { toRows } from '../orders/load-orders';
import { UNCHOSEN } from '../../theme/tokens';

/** Parts that are not checked yet. `pictures` false leaves out what only the bench itself shows. */
export function loadBench(
  shop: ShopContext,
  orders: readonly WaitingOrder[] = readOpenOrders(shop),
  pictures = true,
): BenchView {
  const made = readMadeLines(shop, orders);
  const shown = pictures ? [...made.lines] : [];
  return {
    parts: orders.flatMap((order) =>
      order.parts.filter((part) => part.state !== 'checked').map((part) => toPartView(part, order, made)),
    ),
    lines: shown.map(([lineId, line]) => toLineView(shop, lineId, line, made.materials)),
    running: loadRunning(shop),
    vinyls: [...made.materials.vinyls.values()],
    nowMs: shop.now(),
    today: dayOf(shop.now(), getShop(shop).timeZone),
  };
}

function toPartView(
  part: WaitingPart,
  { order }: WaitingOrder,
  { lines, materials }: ReturnType<typeof readMadeLines>,
): BenchPartView {
  const line = order.lines.find((candidate) => candidate.id === part.lineId)!;
  const { item, layers, blank } = lines.get(line.id)!;
  const layer = layers[part.layerIndex];
  const vinyl = materials.vinyls.get(part.vinylId);
  return {
    partId: part.id,
    pieceId: part.pieceId,
    pieceNumber: part.pieceNumber,
    orderId: order.id,
    lineId: line.id,
    dueDay: order.dueDay,
    vinylId: part.vinylId,
    layerIndex: part.layerIndex,
    state: part.state,
    broken: part.broken,
    estimates: part.estimates,
    orderTitle: order.title,
    customerName: order.customer.name,
    itemName: item.name,
    itemId: item.id,
    sizeName: line.sizeName,
    colourName: line.colourName,
    layerName: layer?.name ?? `layer ${part.layerIndex + 1}`,
    layerColour: vinyl?.colourHex ?? UNCHOSEN.grey,
    vinylName: vinyl?.name ?? 'vinyl',
    blankName: blank.name,
    placement: [...new Set(layers.map((one) => one.place))].join(', '),
    widthMm: layer?.widthMm ?? 0,
  };
}

function toLineView(
  shop: ShopContext,
  lineId: number,
  { item, made, layers, blank }: MadeLine,
  materials: Materials,
): BenchLineView {
  const plan = planPressing({ layers, blank, shop: getShop(shop).figures });
  return {
    lineId,
    itemName: item.name,
    blankName: blank.name,
    plan: plan.ok ? plan.value : null,
    findings: findInTheWay(shop, made, materials),
    planProblem: plan.ok ? null : describeCostProblem(plan.problem, getSettings(shop)),
    placements: made.placements.flatMap(({ artworkId, place, widthMm }) => {
      const artwork = materials.artworks.get(artworkId);
      return artwork ? [{ picture: artwork.picture, place, widthMm }] : [];
    }),
    layers: layers.map(toLayerView),
  };
}

function toLayerView(layer: MadeLayer): BenchLineView['layers'][number] {
  const { measurement, vinyl, name, placement, layerIndex, seenThrough } = layer;
  const handedness = decideHandedness(vinyl, { seenThrough });
  return {
    name,
    vinylId: vinyl.id,
    placement,
    layerIndex,
    mirrored: handedness.mirrored,
    handedness: describeHandedness(handedness),
    boxWidthMm: measurement.box.width,
    boxHeightMm: measurement.box.height,
    cavities: measurement.cavities,
    pieces: measurement.pieces,
  };
}

export function loadToday(shop: ShopContext): TodayView {
  const stored = getShop(shop);
  const nowMs = shop.now();
  const orders = readOpenOrders(shop);
  const rows = toRows(shop, orders);
  const bench = loadBench(shop, orders, false);
  const next = proposeNext(bench.parts);
  const today = dayOf(nowMs, stored.timeZone);
  return {
    next: { hands: toNext(next.hands), cutter: toNext(next.cutter), press: toNext(next.press), first: next.first },
    running: bench.running,
    nowMs,
    today,
    orders: rows.filter((row) => row.stage !== 'ready'),
    ready: rows.filter((row) => row.stage === 'ready'),
    ...layOutDay(shop, orders, bench),
    freeSeconds: computeFreeSeconds({ nowMs, day: today, timeZone: stored.timeZone, shop: stored.figures }),
    neededSeconds: rows.reduce((sum, row) => sum + row.neededSeconds, 0),
  };
}

const HOUR_MS = 3_600_000;
const LEAST_HOURS_SHOWN = 8;
const LOGGED_BACK_MS = 16 * HOUR_MS;

/** Today with what was done and what is planned; once its hours are over, the next day that is worked. */
function layOutDay(
  shop: ShopContext,
  orders: readonly WaitingOrder[],
  bench: BenchView,
): Pick<TodayView, 'timeline' | 'timelineDay' | 'dayStartMs' | 'dayEndMs'> {
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
    jobs: toJobs(orders, bench),
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
  const { timeZone } = getShop(shop);
  const nowMs = shop.now();
  const logged = loadSessionsSince(shop.db, nowMs - LOGGED_BACK_MS).filter(
    (work) => dayOf(work.startedAtMs, timeZone) === today && work.outcome !== 'discarded',
  );
  const labels = labelSessions(shop, logged);
  return logged.map((work) => ({
    track: getTrack(work.station),
    station: work.station,
    label: labels.get(work.id) ?? work.station,
    startMs: work.startedAtMs,
    endMs: work.stoppedAtMs ?? nowMs,
    planned: false,
    key: `work-${work.id}`,
  }));
}

const toNext = (batch: Batch<BenchPartView> | null): NextBatch | null =>
  batch ? { ...describeBatch(batch), station: batch.station, seconds: batch.seconds, dueDay: batch.dueDay } : null;

function toJobs(orders: readonly WaitingOrder[], bench: BenchView): readonly TimelineJob[] {
  const titles = new Map(bench.parts.map((part) => [part.lineId, part.itemName]));
  return orders.flatMap(({ order, parts }) =>
    [...groupBy(parts, (part) => part.lineId)].map(([lineId, members]): TimelineJob => {
      const quote = order.lines.find((line) => line.id === lineId)!.quote;
      const sum = (station: Station) => members.reduce((seconds, part) => seconds + part.estimates[station], 0);
      const machineSeconds = members.reduce(
        (seconds, part) =>
          seconds + (part.state === 'to-cut' ? (quote.layers[part.layerIndex]?.cutMachineSeconds ?? 0) : 0),
        0,
      );
      return {
        key: `line-${lineId}`,
        label: titles.get(lineId) ?? order.title,
        dueDay: order.dueDay,
        seconds: { cut: sum('cut'), weed: sum('weed'), press: sum('press'), check: sum('check') },
        machineSeconds,
      };
    }),
  );
}

/** @throws ShopError not-found when it is none of the four. */
export function requireStation(text: string | undefined): Station {
  const station = STATIONS.find((name) => name === text);
  if (!station) throw notFound('This station');
  return station;
}
