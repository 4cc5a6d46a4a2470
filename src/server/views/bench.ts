// The views of the bench and of today: parts that lie ready, what they look like, what comes next.

import { computeFreeSeconds, getDay, getTrack, planTape, type TapeBlock, type TapeJob } from '../../core/scheduling';
import { decideHandedness } from '../../core/materials';
import { STATIONS, type Station } from '../../core/orders';
import { planPressing } from '../../core/pressing';
import { groupBy } from '../../core/units';
import { findItems } from '../../data/item-store';
import { loadWorkSince } from '../../data/work-store';
import type { BenchItemView, BenchPartView, BenchView, TodayView } from '../../views/views';
import { describeCostProblem } from '../../wording/problems';
import { describeHandedness } from '../../wording/stations';
import { getShop, type ShopContext } from '../context';
import { notFound } from '../errors';
import { getItemLayers, loadMaterials } from '../price-item';
import { readOpenOrders, type ReadOrder } from '../read-orders';
import { labelWork, loadRunning } from './frame';
import { toRows } from './orders';

export function loadBench(shop: ShopContext, orders: readonly ReadOrder[] = readOpenOrders(shop)): BenchView {
  const stored = getShop(shop);
  const itemIds = [...new Set(orders.flatMap(({ order }) => order.lines.map((line) => line.itemId)))];
  const items = new Map(findItems(shop.db, itemIds).map((item) => [item.id, item]));
  const materials = loadMaterials(shop, [...items.values()]);
  const parts = orders.flatMap(({ order, parts: own }) => own.filter((part) => part.state !== 'checked').map((part): BenchPartView => {
    const line = order.lines.find((candidate) => candidate.id === part.lineId)!;
    const item = items.get(line.itemId)!;
    const vinyl = materials.vinyls.get(part.vinylId);
    return {
      partId: part.id, unitId: part.unitId, unitNumber: part.unitNumber, orderId: order.id, lineId: line.id, dueDay: order.dueDay, vinylId: part.vinylId, layerIndex: part.layerIndex, state: part.state, broken: part.broken, estimates: part.estimates,
      orderTitle: order.title, customerName: order.customer.name, itemName: item.name, itemId: item.id, sizeName: line.sizeName, colourName: line.colourName,
      layerName: materials.artworks.get(item.artworkId)?.layerNames[part.layerIndex] ?? `layer ${part.layerIndex + 1}`, layerColour: vinyl?.colourHex ?? '#888888', vinylName: vinyl?.name ?? 'vinyl',
      blankName: materials.blanks.get(item.blankId)?.name ?? 'blank', placement: item.placement, widthMm: item.widthMm,
    };
  }));
  const settings = { locale: stored.locale, currency: stored.currency, timeZone: stored.timeZone, system: 'metric' as const };
  const itemViews = [...items.values()].map((item): BenchItemView => {
    const layers = getItemLayers(item, materials);
    const blank = materials.blanks.get(item.blankId)!;
    const plan = planPressing({ layers, blank, shop: stored.figures });
    return {
      itemId: item.id, picture: materials.artworks.get(item.artworkId)!.picture, blankName: blank.name, placement: item.placement, widthMm: item.widthMm,
      plan: plan.ok ? plan.value : null, planProblem: plan.ok ? null : describeCostProblem(plan.problem, settings),
      layers: layers.map(({ measurement, vinyl, name }) => {
        const handedness = decideHandedness(vinyl.kind, { seenThrough: item.seenThrough });
        return { name, vinylId: vinyl.id, mirrored: handedness.mirrored, handedness: describeHandedness(handedness), boxWidthMm: measurement.box.width, boxHeightMm: measurement.box.height, cavities: measurement.cavities, pieces: measurement.pieces };
      }),
    };
  });
  return { parts, items: itemViews, running: loadRunning(shop), vinyls: [...materials.vinyls.values()], nowMs: shop.now(), today: getDay(shop.now(), stored.timeZone) };
}

const DAY_HOURS_SHOWN = 10;

export function loadToday(shop: ShopContext): TodayView {
  const stored = getShop(shop);
  const nowMs = shop.now();
  const today = getDay(nowMs, stored.timeZone);
  const orders = readOpenOrders(shop);
  const rows = toRows(shop, orders);
  const bench = loadBench(shop, orders);
  const logged = loadWorkSince(shop.db, nowMs - 16 * 3600_000).filter((work) => getDay(work.startedAtMs, stored.timeZone) === today && work.outcome !== 'discarded');
  const labels = labelWork(shop, logged);
  const done = logged.map((work): TapeBlock => ({ track: getTrack(work.station), station: work.station, label: labels.get(work.id) ?? work.station, startMs: work.startedAtMs, endMs: work.stoppedAtMs ?? nowMs, planned: false, key: `work-${work.id}` }));
  const dayStartMs = startOfShownDay(nowMs, stored.figures.dayStartHour, stored.timeZone, done);
  const dayEndMs = dayStartMs + DAY_HOURS_SHOWN * 3600_000;
  const planned = planTape({ jobs: toJobs(orders, bench), fromMs: nowMs, untilMs: dayEndMs });
  return {
    bench, orders: rows.filter((row) => row.stage !== 'ready'), ready: rows.filter((row) => row.stage === 'ready'), tape: [...done, ...planned], dayStartMs, dayEndMs,
    freeSeconds: computeFreeSeconds({ nowMs, day: today, timeZone: stored.timeZone, shop: stored.figures }), neededSeconds: rows.reduce((sum, row) => sum + row.neededSeconds, 0),
  };
}

/** The whole hour the tape begins at: the working day's, or earlier when somebody is up before it. */
function startOfShownDay(nowMs: number, dayStartHour: number, timeZone: string, done: readonly TapeBlock[]): number {
  const earliest = Math.min(nowMs, ...done.map((block) => block.startMs));
  const minutesOf = (ms: number) => {
    const [hour = 0, minute = 0] = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit', hourCycle: 'h23', timeZone }).format(ms).split(':').map(Number);
    return hour * 60 + minute;
  };
  const intoDay = minutesOf(nowMs);
  const midnight = nowMs - intoDay * 60_000 - (nowMs % 60_000);
  const latestStart = Math.max(0, Math.floor(intoDay / 60) - DAY_HOURS_SHOWN + 2);
  return midnight + Math.max(latestStart, Math.min(dayStartHour, Math.floor(minutesOf(earliest) / 60))) * 3600_000;
}

function toJobs(orders: readonly ReadOrder[], bench: BenchView): readonly TapeJob[] {
  const titles = new Map(bench.parts.map((part) => [part.lineId, part.itemName]));
  return orders.flatMap(({ order, parts }) => [...groupBy(parts, (part) => part.lineId)].map(([lineId, members]): TapeJob => {
    const quote = order.lines.find((line) => line.id === lineId)!.quote;
    const sum = (station: Station) => members.reduce((seconds, part) => seconds + part.estimates[station], 0);
    const machineSeconds = members.reduce((seconds, part) => seconds + (part.state === 'to-cut' ? (quote.layers[part.layerIndex]?.cutMachineSeconds ?? 0) : 0), 0);
    return { key: `line-${lineId}`, label: titles.get(lineId) ?? order.title, dueDay: order.dueDay, seconds: { cut: sum('cut'), weed: sum('weed'), press: sum('press'), check: sum('check') }, machineSeconds };
  }));
}

/** @throws ShopError not-found when it is none of the four. */
export function requireStation(text: string | undefined): Station {
  const station = STATIONS.find((name) => name === text);
  if (!station) throw notFound('This station');
  return station;
}
