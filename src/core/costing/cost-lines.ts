// One function a cost line: its exact amount in cash, time and risk, with its working. Rounding is not done here.

import type { LayerMeasurement } from '../artwork';
import { computePricePerM2, getKindFacts, getPricePerMm2, getShopFigure, type Blank, type BlankSize, type ShopFigures, type Vinyl } from '../materials';
import type { PressPlan } from '../pressing';
import { figure, MM2_PER_M2, SECONDS_PER_HOUR, type Figure, type Minor, type Source } from '../units';
import type { AreaBasis, LayerAreas } from './layer-areas';

export type ExactLine = {
  readonly id: string;
  readonly stage: 'blank' | 'artwork' | 'vinyl' | 'tape' | 'set-up' | 'cut' | 'weed' | 'press' | 'wear' | 'risk' | 'check' | 'pack' | 'overhead';
  readonly label: string;
  readonly source: Source;
  readonly how: string;
  readonly parts: readonly Figure[];
  /** Exact amounts in minor units, fractions included. */
  readonly cash: number;
  readonly time: number;
  readonly risk: number;
  readonly handsSeconds: number;
  readonly waitSeconds: number;
};

type LineInput = Pick<ExactLine, 'id' | 'stage' | 'label' | 'source' | 'how' | 'parts'> & Partial<ExactLine>;
const line = (input: LineInput): ExactLine => ({ cash: 0, time: 0, risk: 0, handsSeconds: 0, waitSeconds: 0, ...input });

const wageFor = (seconds: number, shop: ShopFigures): number => (seconds / SECONDS_PER_HOUR) * shop.wagePerHour;
const wage = (shop: ShopFigures): Figure => getShopFigure(shop, 'wagePerHour');

export function blankLine(blank: Blank, size: BlankSize): ExactLine {
  return line({ id: 'blank', stage: 'blank', label: `${blank.name}, ${size.name}`, source: 'shop', how: 'price of the blank', parts: [figure('Price', size.price, 'money', 'shop')], cash: size.price });
}

/** What was paid for a drawing, over how many pieces it is used: one where it is made for a single customer. */
export type ArtworkCost = { readonly price: Minor; readonly run: number };

/** Null where nothing was paid for it. */
export function artworkLine(artwork: ArtworkCost | undefined): ExactLine | null {
  if (!artwork || artwork.price === 0) return null;
  return line({ id: 'artwork', stage: 'artwork', label: artwork.run > 1 ? `Drawing, over ${artwork.run}` : 'Drawing', source: 'typed', how: 'price ÷ pieces it is used for', cash: artwork.price / artwork.run, parts: [figure('Paid for it', artwork.price, 'money', 'typed'), figure('Pieces it is used for', artwork.run, 'count', 'typed')] });
}

export function vinylLine(input: { index: number; vinyl: Vinyl; areas: LayerAreas; basis: AreaBasis }): ExactLine {
  const { index, vinyl, areas, basis } = input;
  const price = getPricePerMm2(vinyl);
  const area = areas[basis];
  return line({
    id: `vinyl-${index}`, stage: 'vinyl', label: `Vinyl: ${vinyl.name}`, source: 'measured', how: 'area × price of the roll ÷ area of the roll', cash: area.value * price,
    parts: [
      area,
      computePricePerM2(vinyl),
    ],
  });
}

/** Transfer tape for adhesive vinyl: as large as the box, used several times. Null for heat transfer, which has its carrier. */
export function tapeLine(input: { index: number; vinyl: Vinyl; areas: LayerAreas; shop: ShopFigures }): ExactLine | null {
  const { index, vinyl, areas, shop } = input;
  if (getKindFacts(vinyl.kind).family !== 'adhesive') return null;
  return line({
    id: `tape-${index}`, stage: 'tape', label: 'Transfer tape', source: 'measured', how: 'box area × price of tape ÷ uses',
    cash: ((areas.box.value / MM2_PER_M2) * shop.tapePerM2) / shop.tapeUses,
    parts: [areas.box, getShopFigure(shop, 'tapePerM2'), getShopFigure(shop, 'tapeUses')],
  });
}

export function setupLine(vinylCount: number, quantity: number, shop: ShopFigures): ExactLine {
  const seconds = (shop.setupSeconds + vinylCount * shop.setupPerVinylSeconds) / quantity;
  return line({
    id: 'set-up', stage: 'set-up', label: quantity === 1 ? 'Set-up' : `Set-up, shared by ${quantity}`, source: 'shop', how: '(batch + vinyls × each) ÷ pieces × your hour', time: wageFor(seconds, shop), handsSeconds: seconds,
    parts: [getShopFigure(shop, 'setupSeconds'), figure('Vinyls', vinylCount, 'count', 'computed'), getShopFigure(shop, 'setupPerVinylSeconds'), figure('Pieces', quantity, 'count', 'typed'), wage(shop)],
  });
}

export function cutLine(input: { index: number; vinyl: Vinyl; machine: Figure; batchHands: Figure; quantity: number; shop: ShopFigures }): ExactLine {
  const { index, vinyl, machine, batchHands, quantity, shop } = input;
  const hands = batchHands.value / quantity;
  return line({
    id: `cut-${index}`, stage: 'cut', label: `Cut: ${vinyl.name}`, source: 'measured', how: 'your hands × your hour + machine time × machine hour',
    cash: (machine.value / SECONDS_PER_HOUR) * shop.cutterRatePerHour, time: wageFor(hands, shop), handsSeconds: hands, waitSeconds: Math.max(0, machine.value - hands),
    parts: [figure('Your hands, for each', hands, 's', 'computed', { how: 'hands for the batch ÷ pieces', parts: [batchHands, figure('Pieces', quantity, 'count', 'typed')] }), wage(shop), machine, getShopFigure(shop, 'cutterRatePerHour')],
  });
}

export function weedLine(input: { index: number; vinyl: Vinyl; seconds: Figure; shop: ShopFigures }): ExactLine {
  const { index, vinyl, seconds, shop } = input;
  return line({ id: `weed-${index}`, stage: 'weed', label: `Weed: ${vinyl.name}`, source: 'measured', how: 'minutes × your hour', time: wageFor(seconds.value, shop), handsSeconds: seconds.value, parts: [seconds, wage(shop)] });
}

export function pressLine(plan: PressPlan, quantity: number, shop: ShopFigures): ExactLine {
  const hot = plan.temperatureC !== null;
  const pressSeconds = hot ? plan.handsSeconds.value + shop.pressWarmUpSeconds / quantity : 0;
  const kwh = (pressSeconds / SECONDS_PER_HOUR) * (shop.pressWatts / 1000);
  return line({
    id: 'press', stage: 'press', label: hot ? `Press, ${plan.closures} closings` : 'Tape and place', source: 'computed', how: hot ? 'minutes × your hour + electricity' : 'minutes × your hour',
    cash: kwh * shop.energyPerKwh, time: wageFor(plan.handsSeconds.value, shop), handsSeconds: plan.handsSeconds.value, waitSeconds: plan.waitSeconds,
    parts: [
      plan.handsSeconds, wage(shop),
      ...(hot ? [figure('Press on, with its share of the warm-up', pressSeconds, 's', 'computed', { parts: [plan.handsSeconds, getShopFigure(shop, 'pressWarmUpSeconds'), figure('Pieces', quantity, 'count', 'typed')] }), getShopFigure(shop, 'pressWatts'), getShopFigure(shop, 'energyPerKwh')] : []),
    ],
  });
}

export function wearLine(layers: readonly { readonly measurement: LayerMeasurement }[], plan: PressPlan, blank: Pick<Blank, 'heating'>, quantity: number, shop: ShopFigures): ExactLine {
  const metres = layers.reduce((sum, layer) => sum + layer.measurement.cutLengthMm, 0) / 1000;
  const blade = (metres * shop.bladePrice) / shop.bladeLifeMetres;
  const mat = (layers.length * shop.matPrice) / shop.matLifeLoads / quantity;
  const cover = (plan.closures * shop.coverSheetPrice) / shop.coverSheetPresses;
  const pillow = (plan.closures * shop.pillowPrice) / shop.pillowPresses;
  const heatTape = plan.closures > 0 && blank.heating === 'wrap' ? shop.heatTape : 0;
  const worn = (label: string, amount: number, how: string, parts: readonly Figure[]) => figure(label, amount, 'money', 'computed', { how, parts });
  return line({
    id: 'wear', stage: 'wear', label: plan.closures > 0 ? 'Wear: blade, mat, cover sheet' : 'Wear: blade, mat', source: 'shop', how: 'sum of what wears', cash: blade + mat + cover + pillow + heatTape,
    parts: [
      worn('Blade', blade, 'knife path ÷ life × price', [figure('Knife path, all layers', metres * 1000, 'mm', 'measured'), getShopFigure(shop, 'bladePrice'), getShopFigure(shop, 'bladeLifeMetres')]),
      worn('Mat', mat, 'loads ÷ life × price ÷ pieces', [figure('Loads', layers.length, 'count', 'computed'), getShopFigure(shop, 'matPrice'), getShopFigure(shop, 'matLifeLoads'), figure('Pieces', quantity, 'count', 'typed')]),
      ...(plan.closures > 0 ? [worn('Cover sheet', cover, 'closings ÷ life × price', [figure('Closings', plan.closures, 'count', 'computed'), getShopFigure(shop, 'coverSheetPrice'), getShopFigure(shop, 'coverSheetPresses')])] : []),
      ...(pillow > 0 ? [worn('Pillow', pillow, 'closings ÷ life × price', [figure('Closings', plan.closures, 'count', 'computed'), getShopFigure(shop, 'pillowPrice'), getShopFigure(shop, 'pillowPresses')])] : []),
      ...(heatTape > 0 ? [getShopFigure(shop, 'heatTape')] : []),
    ],
  });
}

/** To sell n good pieces n ÷ (1 − p) are made: each good one carries p ÷ (1 − p) of what is lost. */
export function spoilageLine(lost: readonly ExactLine[], shop: ShopFigures): ExactLine {
  const atStake = lost.reduce((sum, part) => sum + part.cash + part.time, 0);
  const { spoilageShare } = shop;
  return line({
    id: 'risk', stage: 'risk', label: 'What goes wrong', source: getShopFigure(shop, 'spoilageShare').source, how: 'at stake × share ÷ (1 − share)', risk: (atStake * spoilageShare) / (1 - spoilageShare),
    parts: [figure('At stake: blank to wear, without set-up', atStake, 'money', 'computed', { parts: lost.map((part) => figure(part.label, part.cash + part.time, 'money', part.source)) }), getShopFigure(shop, 'spoilageShare')],
  });
}

export function checkLine(shop: ShopFigures): ExactLine {
  return line({ id: 'check', stage: 'check', label: 'Check, fold, pack', source: 'shop', how: 'minutes × your hour', time: wageFor(shop.checkSeconds, shop), handsSeconds: shop.checkSeconds, parts: [getShopFigure(shop, 'checkSeconds'), wage(shop)] });
}

export function packagingLine(shop: ShopFigures): ExactLine {
  return line({ id: 'pack', stage: 'pack', label: 'Packaging', source: 'shop', how: 'for each piece', cash: shop.packaging, parts: [getShopFigure(shop, 'packaging')] });
}

/** Rent, insurance, programs and the like: by the hours the piece takes, by the piece, or both. Null where the shop counts none. */
export function overheadLine(handsSeconds: number, shop: ShopFigures): ExactLine | null {
  const byHour = (handsSeconds / SECONDS_PER_HOUR) * shop.overheadPerHour;
  if (byHour + shop.overheadPerItem === 0) return null;
  return line({ id: 'overhead', stage: 'overhead', label: 'Overheads', source: 'shop', how: 'your time × overheads an hour + overheads a piece', cash: byHour + shop.overheadPerItem, parts: [figure('Your time for one', handsSeconds, 's', 'computed'), getShopFigure(shop, 'overheadPerHour'), getShopFigure(shop, 'overheadPerItem')] });
}
