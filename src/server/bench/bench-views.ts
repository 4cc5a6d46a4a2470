// Parts and lines as the bench shows them.

import type { MadeLayer } from '../../core/costing/index';
import { decideHandedness } from '../../core/materials/index';
import { keyOfRun, listPartIds } from '../../core/orders/index';
import { planHotterPeel, planPressing, toPressInput } from '../../core/pressing/index';
import type { BenchPart } from '../../core/scheduling/index';
import { loadSavedSheets } from '../../data/cut-sheet-store';
import { findPicture } from '../../data/artwork-store';
import { UNCHOSEN } from '../../theme/tokens';
import type { BenchLineView, BenchPartView } from '../../views/bench';
import { describeCostProblem } from '../../wording/problems';
import { describeHandedness } from '../../wording/stations';
import { getSettings, getShop, type ShopContext } from '../context';
import { findInTheWay } from '../items/find-in-the-way';
import type { MadeLine, Materials, readMadeLines } from '../items/materials';
import { readOrdersInHand, type WaitingOrder, type WaitingPart } from '../orders/read-orders';
import { rememberUntilChange } from '../remember';

/** By part: the saved cut sheet it lies on. */
type SavedOfParts = ReadonlyMap<number, number>;
type PartsAtBench = { readonly parts: readonly BenchPart[]; readonly saved: SavedOfParts };

/** All that is in hand and not checked yet, as queues are gathered by it. */
export const readPartsAtBench = (shop: ShopContext): PartsAtBench =>
  rememberUntilChange(shop, 'parts at the bench', () => {
    const sheets = loadSavedSheets(shop.db);
    const saved = new Map(sheets.flatMap(({ id, sheet }) => listPartIds(sheet).map((partId) => [partId, id] as const)));
    const parts = readOrdersInHand(shop).flatMap(({ order, parts: own }) => {
      const runs = keyRuns(order);
      return own.filter((part) => part.state !== 'checked').map((part) => toBenchPart(part, order, { runs, saved }));
    });
    return { parts, saved };
  });

/** By line: which run of the shop it is made in. */
export const keyRuns = ({ id, lines }: Pick<WaitingOrder['order'], 'id' | 'lines'>): ReadonlyMap<number, string> =>
  new Map(lines.map((line) => [line.id, `order-${id}-${keyOfRun(line)}`]));

type RunsAndSheets = { readonly runs: ReadonlyMap<number, string>; readonly saved: SavedOfParts };
const toBenchPart = (part: WaitingPart, order: WaitingOrder['order'], { runs, saved }: RunsAndSheets): BenchPart => ({
  runKey: runs.get(part.lineId)!,
  savedId: saved.get(part.id) ?? null,
  partId: part.id,
  pieceId: part.pieceId,
  pieceNumber: part.pieceNumber,
  orderId: order.id,
  lineId: part.lineId,
  dueDay: order.dueDay,
  vinylId: part.vinylId,
  layerIndex: part.layerIndex,
  state: part.state,
  broken: part.broken,
  recut: part.recut,
  estimates: part.estimates,
});

/** Parts of one order as the bench shows them. */
export function partsOf(
  order: WaitingOrder['order'],
  saved: SavedOfParts,
  made: ReturnType<typeof readMadeLines>,
): (part: WaitingPart) => BenchPartView {
  const more = { runs: keyRuns(order), saved };
  // What the same layer of all pieces of a line has in common is put together once.
  const known = new Map<string, ReturnType<typeof describeLayer>>();
  return (part) => {
    const key = `${part.lineId} ${part.layerIndex} ${part.vinylId}`;
    const common = known.get(key) ?? describeLayer(part, order, made);
    known.set(key, common);
    return { ...common, ...toBenchPart(part, order, more) };
  };
}

function describeLayer(
  part: WaitingPart,
  order: WaitingOrder['order'],
  { lines, materials }: ReturnType<typeof readMadeLines>,
): Omit<BenchPartView, keyof BenchPart> {
  const line = order.lines.find((candidate) => candidate.id === part.lineId)!;
  const { item, made, layers, blank } = lines.get(line.id)!;
  const layer = layers[part.layerIndex];
  const vinyl = materials.vinyls.get(part.vinylId);
  return {
    texts: line.texts.map(({ text }) => text),
    layerText: made.placements[layer?.placement ?? -1]?.text ?? null,
    layerLabel: made.placements[layer?.placement ?? -1]?.lettering?.label ?? null,
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
    handedness: layer ? describeHandedness(handednessOf(layer)) : '',
    placement: [...new Set(layers.map((one) => one.place))].join(', '),
    widthMm: layer?.widthMm ?? 0,
  };
}

export function toLineView(
  shop: ShopContext,
  lineId: number,
  { item, made, layers, blank }: MadeLine,
  materials: Materials,
): BenchLineView {
  const input = toPressInput({ layers, blank, ...made }, getShop(shop).figures);
  const plan = planPressing(input);
  return {
    lineId,
    itemName: item.name,
    blankName: blank.name,
    plan: plan.ok ? plan.value : null,
    hotterPlan: planHotterPeel(input),
    findings: findInTheWay(shop, made, materials),
    planProblem: plan.ok ? null : describeCostProblem(plan.problem, getSettings(shop)),
    placements: made.placements.flatMap(({ artworkId, place, widthMm, text }) => {
      const found = findPicture(shop.db, artworkId);
      return found ? [{ picture: found.picture, place, widthMm, text: text ?? null }] : [];
    }),
    layers: layers.map(toLayerView),
  };
}

function toLayerView(layer: MadeLayer): BenchLineView['layers'][number] {
  const { measurement, vinyl, name, placement, layerIndex } = layer;
  const handedness = handednessOf(layer);
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

const handednessOf = ({ vinyl, seenThrough }: MadeLayer) => decideHandedness(vinyl, { seenThrough });

/** Orders with nothing but these pieces, and the lines they are of; all that have parts where no pieces are named. */
export function narrowToPieces(
  orders: readonly WaitingOrder[],
  pieceIds?: ReadonlySet<number>,
): readonly WaitingOrder[] {
  return orders.flatMap((entry) => {
    const parts = entry.parts.filter((part) => pieceIds?.has(part.pieceId) ?? true);
    if (parts.length === 0) return [];
    const lineIds = new Set(parts.map((part) => part.lineId));
    const order = { ...entry.order, lines: entry.order.lines.filter((line) => lineIds.has(line.id)) };
    return [{ ...entry, order, parts }];
  });
}
