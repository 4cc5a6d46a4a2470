// The lines of a cost, exact and not rounded, in making order.

import { estimateCutHandsSeconds, estimateCutSeconds, estimateWeedSeconds } from '../estimating';
import { computePricePerM2, getShopFigure, type ShopFigures, type BlankSize } from '../materials';
import { getPressedBlank, planPressing, toPressInput, type PressPlan } from '../pressing';
import { choosePrice } from '../stock';
import { fail, figure, succeed, type Figure, type Result } from '../units';
import type { ExactLine } from './cost-lines';
import { extraLine, stoneLine } from './extra-lines';
import type { ItemSpec, LayerEstimate, CostProblem } from './item-cost-types';
import { computeLayerAreas, type LayerAreas } from './layer-areas';
import { artworkLine, blankLine, decalLine, transferTapeLine, vinylLine } from './material-lines';
import { countLoads, countOnMat } from './mat-loads';
import { overheadLine, packagingLine, returnsLine, spoilageLine } from './overhead-lines';
import { takeOwnMinutes } from './own-minutes';
import { wearLine } from './wear-line';
import { checkLine, cutLine, orderLine, pressLine, setupLine, weedLine } from './work-lines';

export type BuiltLines = {
  readonly exact: readonly ExactLine[];
  readonly layers: readonly LayerEstimate[];
  readonly press: PressPlan;
};
/** What is estimated of each layer, in cutting order. */
type LayerTimes = {
  readonly machine: readonly Figure[];
  /** How many copies lie on the mat at once, 0 for those cut without one; and how often the cutter is loaded. */
  readonly onMat: readonly number[];
  readonly loads: readonly Figure[];
  readonly cutHands: readonly Figure[];
  readonly weed: readonly Figure[];
};

/**
 * The lines of one of `quantity` equal pieces. Problems: an unknown size, no layers, a layer too wide, no safe press
 * window.
 */
export function buildLines(spec: ItemSpec, quantity: number, shop: ShopFigures): Result<BuiltLines, CostProblem> {
  const size = spec.blank.sizes.find((candidate) => candidate.name === spec.sizeName);
  if (!size) return fail({ kind: 'unknown-size', sizeName: spec.sizeName, blankName: spec.blank.name });
  if (spec.layers.length === 0) return fail({ kind: 'no-layers' });
  const press = planPressing(toPressInput(spec, shop));
  if (!press.ok) return press;
  const areas = computeAreas(spec, quantity, shop);
  if (!areas.ok) return areas;
  const times = estimateTimes(spec, quantity, shop);
  const vinyls = listVinylLines(spec, areas.value, quantity, shop);
  const making = [
    ...listMaterialLines(spec, size, vinyls, quantity, shop),
    ...listWorkLines(spec, times, press.value, quantity, shop),
    wearLine({
      layers: spec.layers,
      loads: times.loads.filter((_, index) => times.onMat[index]! > 0),
      plan: press.value,
      blank: getPressedBlank(spec.blank, spec.recipe),
      quantity,
      shop,
      ...(spec.wear ? { prices: spec.wear } : {}),
    }),
  ];
  return succeed({
    exact: [...making, ...listClosingLines(spec, making, shop)],
    layers: estimateLayers(spec, areas.value, times, vinyls),
    press: press.value,
  });
}

const CLOSING_STAGES: readonly ExactLine['stage'][] = ['risk', 'check', 'pack', 'order', 'returns', 'overhead'];

/**
 * What can be lost at the bench is lost before it is checked and packed; set-up, the drawing and overheads are there
 * whatever is lost.
 */
export const getAtStake = (lines: readonly ExactLine[]): readonly ExactLine[] =>
  lines.filter((line) => !['artwork', 'set-up', ...CLOSING_STAGES].includes(line.stage));

function computeAreas(spec: ItemSpec, quantity: number, shop: ShopFigures): Result<readonly LayerAreas[], CostProblem> {
  const areas: LayerAreas[] = [];
  for (const { measurement, vinyl, packings } of spec.layers) {
    const found = computeLayerAreas({ layer: measurement, vinyl, quantity, shop, ...(packings ? { packings } : {}) });
    if (!found.ok) return found;
    areas.push(found.value);
  }
  return succeed(areas);
}

/** Your own minutes, typed or learned, win over the estimate. */
function estimateTimes(spec: ItemSpec, quantity: number, shop: ShopFigures): LayerTimes {
  const onMat = spec.layers.map(({ measurement, vinyl }) => countOnMat(measurement, vinyl, shop));
  const machine = spec.layers.map(({ measurement }) => estimateCutSeconds(measurement, shop));
  const loads = onMat.map((copies) => countLoads(quantity, copies));
  const hands = machine.map((seconds, index) =>
    shareHands(
      estimateCutHandsSeconds(
        { machineSeconds: seconds.value * quantity, loads: loads[index]!, learned: spec.minutes?.cutting },
        shop,
      ),
      quantity,
    ),
  );
  const weed = spec.layers.map(({ measurement, vinyl }) => estimateWeedSeconds(measurement, vinyl, shop));
  return {
    machine,
    loads,
    onMat,
    cutHands: takeOwnMinutes(spec.minutes?.cut, hands),
    weed: takeOwnMinutes(spec.minutes?.weed, weed),
  };
}

const shareHands = (batch: Figure, quantity: number): Figure =>
  figure('Your hands, for each', batch.value / quantity, 's', batch.source, {
    how: 'hands for the batch ÷ pieces',
    ...(batch.low === undefined ? {} : { low: batch.low / quantity }),
    ...(batch.high === undefined ? {} : { high: batch.high / quantity }),
    parts: [batch, figure('Pieces', quantity, 'count', 'typed')],
  });

/** Where each layer goes, told only where they go to several: "back, 100 mm below the collar" is the back. */
const listPlaces = (spec: ItemSpec): readonly (string | undefined)[] =>
  new Set(spec.layers.map((layer) => layer.place)).size > 1
    ? spec.layers.map((layer) => layer.place?.split(',')[0])
    : [];

function listVinylLines(
  spec: ItemSpec,
  areas: readonly LayerAreas[],
  quantity: number,
  shop: ShopFigures,
): readonly ExactLine[] {
  const places = listPlaces(spec);
  const basis = spec.priceBasis ?? 'shelf';
  return spec.layers.flatMap(({ vinyl, prices, price: tried }, index) => {
    const own = areas[index]!;
    const needed = own.used.value * quantity;
    const paid = prices && choosePrice(prices, basis, needed, 'money/m²', spec.offerIds);
    const price = tried ?? paid ?? computePricePerM2(vinyl);
    const named = { index, vinyl, where: places[index], areas: own };
    const tape = transferTapeLine({ ...named, shop });
    return [vinylLine({ ...named, basis: spec.areaBasis, price }), ...(tape ? [tape] : [])];
  });
}

function listMaterialLines(
  spec: ItemSpec,
  size: BlankSize,
  vinyls: readonly ExactLine[],
  quantity: number,
  shop: ShopFigures,
): readonly ExactLine[] {
  const paid =
    spec.blankPrices && choosePrice(spec.blankPrices, spec.priceBasis ?? 'shelf', quantity, 'money', spec.offerIds);
  const drawing = artworkLine(spec.artwork);
  const decal = decalLine(spec, shop);
  return [
    blankLine(spec.blank, size, paid ?? null),
    ...(drawing ? [drawing] : []),
    ...vinyls,
    ...(decal ? [decal] : []),
    ...(spec.stones ?? []).map((field, index) => stoneLine(field, index, shop)),
    ...(spec.extras ?? []).map(extraLine),
  ];
}

function listWorkLines(
  spec: ItemSpec,
  { machine, cutHands, weed }: LayerTimes,
  press: PressPlan,
  quantity: number,
  shop: ShopFigures,
): readonly ExactLine[] {
  const places = listPlaces(spec);
  const named = spec.layers.map(({ vinyl }, index) => ({ index, vinyl, where: places[index], shop }));
  const pressHands = takeOwnMinutes(spec.minutes?.press, [press.handsSeconds])[0]!;
  return [
    setupLine(new Set(spec.layers.map((layer) => layer.vinyl.id)).size, quantity, shop),
    ...named.map((own) => cutLine({ ...own, machine: machine[own.index]!, hands: cutHands[own.index]! })),
    ...named.map((own) => weedLine({ ...own, seconds: weed[own.index]! })),
    pressLine(press, pressHands, quantity, shop),
  ];
}

/** What goes wrong, checking, packing, and the shop's overheads on all the hours before them. */
function listClosingLines(spec: ItemSpec, making: readonly ExactLine[], shop: ShopFigures): readonly ExactLine[] {
  const finishing = [
    spoilageLine(getAtStake(making), spec.spoilage ?? getShopFigure(shop, 'spoilageShare')),
    checkLine(shop),
    packagingLine(spec.packaging ?? null, shop),
  ];
  // The drawing is there already when one is made again.
  const again = [...making.filter((line) => line.stage !== 'artwork'), ...finishing];
  const selling = [orderLine(spec.orderPieces ?? null, shop), returnsLine(again, shop)];
  const closing = [...finishing, ...selling.flatMap((line) => line ?? [])];
  const handsSeconds = [...making, ...closing].reduce((sum, line) => sum + line.handsSeconds, 0);
  const overhead = overheadLine(handsSeconds, shop);
  return overhead ? [...closing, overhead] : closing;
}

function estimateLayers(
  spec: ItemSpec,
  areas: readonly LayerAreas[],
  { machine, onMat, cutHands, weed }: LayerTimes,
  vinyls: readonly ExactLine[],
): readonly LayerEstimate[] {
  const costOf = (id: string) => vinyls.find((line) => line.id === id)?.cash ?? 0;
  return spec.layers.map(({ vinyl }, index) => ({
    areas: areas[index]!,
    vinylId: vinyl.id,
    cutMachineSeconds: machine[index]!,
    onMat: onMat[index]!,
    cutHandsSeconds: cutHands[index]!.value,
    weedSeconds: weed[index]!,
    vinylCost: costOf(`vinyl-${index}`) + costOf(`tape-${index}`),
  }));
}
