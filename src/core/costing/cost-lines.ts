// One function a cost line: its exact amount in cash, time and risk, with its working. Rounding is not done here.

import type { LayerMeasurement } from '../artwork';
import { getKindFacts, getShopFigure, type Blank, type BlankSize, type ShopFigures, type Vinyl } from '../materials';
import type { PressPlan } from '../pressing';
import { figure, MM2_PER_M2, SECONDS_PER_HOUR, type Figure, type Minor, type Source } from '../units';
import type { AreaBasis, LayerAreas } from './layer-areas';

export type ExactLine = {
  readonly id: string;
  readonly stage:
    | 'blank'
    | 'artwork'
    | 'vinyl'
    | 'tape'
    | 'stones'
    | 'extra'
    | 'set-up'
    | 'cut'
    | 'weed'
    | 'press'
    | 'wear'
    | 'risk'
    | 'check'
    | 'pack'
    | 'overhead';
  readonly label: string;
  readonly source: Source;
  readonly how: string;
  readonly parts: readonly Figure[];
  /** Exact amounts in minor units, fractions included. */
  readonly cash: number;
  readonly time: number;
  readonly risk: number;
  readonly handsSeconds: number;
  /** Between which your seconds lie; both are those calculated with where nothing is known of it. */
  readonly lowSeconds: number;
  readonly highSeconds: number;
  readonly waitSeconds: number;
};

type LineInput = Pick<ExactLine, 'id' | 'stage' | 'label' | 'source' | 'how' | 'parts'> & Partial<ExactLine>;
export const line = (input: LineInput): ExactLine => ({
  cash: 0,
  time: 0,
  risk: 0,
  waitSeconds: 0,
  handsSeconds: 0,
  lowSeconds: input.handsSeconds ?? 0,
  highSeconds: input.handsSeconds ?? 0,
  ...input,
});

/** The band of your seconds, from the figure that they are. */
const bandOf = (seconds: Figure) => ({
  handsSeconds: seconds.value,
  lowSeconds: seconds.low ?? seconds.value,
  highSeconds: seconds.high ?? seconds.value,
});

export const wageFor = (seconds: number, shop: ShopFigures): number => (seconds / SECONDS_PER_HOUR) * shop.wagePerHour;
export const wage = (shop: ShopFigures): Figure => getShopFigure(shop, 'wagePerHour');

/** A layer's lines: `where` it goes on the blank, where there are several places. */
type Named = { readonly index: number; readonly vinyl: Vinyl; readonly where?: string | undefined };
const nameLayer = ({ vinyl, where }: Named): string => (where ? `${vinyl.name}, ${where}` : vinyl.name);

/** `price`: what it is calculated at instead of the shelf's price. */
export function blankLine(blank: Blank, size: BlankSize, price: Figure | null = null): ExactLine {
  const calculated = price ?? figure('Price', size.price, 'money', 'shop');
  return line({
    id: 'blank',
    stage: 'blank',
    label: `${blank.name}, ${size.name}`,
    source: calculated.source,
    how: 'price of the blank',
    parts: [calculated],
    cash: calculated.value,
  });
}

/** What was paid for a drawing, over how many pieces it is used: one where it is made for a single customer. */
export type ArtworkCost = { readonly price: Minor; readonly run: number };

/** Null where nothing was paid for it. */
export function artworkLine(artwork: ArtworkCost | undefined): ExactLine | null {
  if (!artwork || artwork.price === 0) return null;
  return line({
    id: 'artwork',
    stage: 'artwork',
    label: artwork.run > 1 ? `Drawing, over ${artwork.run}` : 'Drawing',
    source: 'typed',
    how: 'price ÷ pieces it is used for',
    cash: artwork.price / artwork.run,
    parts: [
      figure('Paid for it', artwork.price, 'money', 'typed'),
      figure('Pieces it is used for', artwork.run, 'count', 'typed'),
    ],
  });
}

export function vinylLine(input: Named & { areas: LayerAreas; basis: AreaBasis; price: Figure }): ExactLine {
  const { index, areas, basis, price } = input;
  const area = areas[basis];
  return line({
    id: `vinyl-${index}`,
    stage: 'vinyl',
    label: `Vinyl: ${nameLayer(input)}`,
    source: 'measured',
    how: 'area × price of a square metre',
    cash: (area.value * price.value) / MM2_PER_M2,
    parts: [area, price],
  });
}

/** Transfer tape for adhesive vinyl: as large as the box, used several times. Null for heat transfer, which has its carrier. */
export function transferTapeLine(input: Named & { areas: LayerAreas; shop: ShopFigures }): ExactLine | null {
  const { index, vinyl, areas, shop } = input;
  if (getKindFacts(vinyl.kind).family !== 'adhesive') return null;
  return line({
    id: `tape-${index}`,
    stage: 'tape',
    label: input.where ? `Transfer tape, ${input.where}` : 'Transfer tape',
    source: 'measured',
    how: 'box area × price of tape ÷ uses',
    cash: ((areas.box.value / MM2_PER_M2) * shop.tapePerM2) / shop.tapeUses,
    parts: [areas.box, getShopFigure(shop, 'tapePerM2'), getShopFigure(shop, 'tapeUses')],
  });
}

export function setupLine(vinylCount: number, quantity: number, shop: ShopFigures): ExactLine {
  const seconds = (shop.setupSeconds + vinylCount * shop.setupPerVinylSeconds) / quantity;
  return line({
    id: 'set-up',
    stage: 'set-up',
    label: quantity === 1 ? 'Set-up' : `Set-up, shared by ${quantity}`,
    source: 'shop',
    how: '(batch + vinyls × each) ÷ pieces × your hour',
    time: wageFor(seconds, shop),
    handsSeconds: seconds,
    parts: [
      getShopFigure(shop, 'setupSeconds'),
      figure('Vinyls', vinylCount, 'count', 'computed'),
      getShopFigure(shop, 'setupPerVinylSeconds'),
      figure('Pieces', quantity, 'count', 'typed'),
      wage(shop),
    ],
  });
}

export function cutLine(input: Named & { machine: Figure; hands: Figure; shop: ShopFigures }): ExactLine {
  const { index, machine, hands, shop } = input;
  return line({
    id: `cut-${index}`,
    stage: 'cut',
    label: `Cut: ${nameLayer(input)}`,
    source: hands.source === 'computed' ? 'measured' : hands.source,
    how: 'your hands × your hour + machine time × machine hour',
    cash: (machine.value / SECONDS_PER_HOUR) * shop.cutterRatePerHour,
    time: wageFor(hands.value, shop),
    ...bandOf(hands),
    waitSeconds: Math.max(0, machine.value - hands.value),
    parts: [hands, wage(shop), machine, getShopFigure(shop, 'cutterRatePerHour')],
  });
}

export function weedLine(input: Named & { seconds: Figure; shop: ShopFigures }): ExactLine {
  const { index, seconds, shop } = input;
  return line({
    id: `weed-${index}`,
    stage: 'weed',
    label: `Weed: ${nameLayer(input)}`,
    source: seconds.source === 'computed' ? 'measured' : seconds.source,
    how: 'minutes × your hour',
    time: wageFor(seconds.value, shop),
    ...bandOf(seconds),
    parts: [seconds, wage(shop)],
  });
}

/** `hands`: your seconds, as planned or as the shop has found them. */
export function pressLine(plan: PressPlan, hands: Figure, quantity: number, shop: ShopFigures): ExactLine {
  const hot = plan.temperatureC !== null;
  const pressSeconds = hot ? hands.value + shop.pressWarmUpSeconds / quantity : 0;
  const kwh = (pressSeconds / SECONDS_PER_HOUR) * (shop.pressWatts / 1000);
  return line({
    id: 'press',
    stage: 'press',
    label: hot ? `Press, ${plan.pressCycles} press cycles` : 'Tape and place',
    source: hands.source,
    how: hot ? 'minutes × your hour + electricity' : 'minutes × your hour',
    cash: kwh * shop.energyPerKwh,
    time: wageFor(hands.value, shop),
    ...bandOf(hands),
    waitSeconds: plan.waitSeconds,
    parts: [
      hands,
      wage(shop),
      ...(hot
        ? [
            figure('Press on, with its share of the warm-up', pressSeconds, 's', 'computed', {
              parts: [hands, getShopFigure(shop, 'pressWarmUpSeconds'), figure('Pieces', quantity, 'count', 'typed')],
            }),
            getShopFigure(shop, 'pressWatts'),
            getShopFigure(shop, 'energyPerKwh'),
          ]
        : []),
    ],
  });
}

/** What a metre of blade and a load on a mat have really cost, where the shop knows by those it wore out. */
export type WearPrices = { readonly bladeMetre?: Figure; readonly matLoad?: Figure };
type WearInput = {
  readonly layers: readonly { readonly measurement: LayerMeasurement }[];
  readonly plan: PressPlan;
  readonly blank: Pick<Blank, 'heating'>;
  readonly quantity: number;
  readonly shop: ShopFigures;
  readonly prices?: WearPrices;
};

export function wearLine({ layers, plan, blank, quantity, shop, prices = {} }: WearInput): ExactLine {
  const metres = layers.reduce((sum, layer) => sum + layer.measurement.cutLengthMm, 0) / 1000;
  const bladeMetre =
    prices.bladeMetre ??
    figure('A metre of blade', shop.bladePrice / shop.bladeLifeMetres, 'money/m', 'shop', {
      how: 'price ÷ life',
      parts: [getShopFigure(shop, 'bladePrice'), getShopFigure(shop, 'bladeLifeMetres')],
    });
  const matLoad =
    prices.matLoad ??
    figure('A load on the mat', shop.matPrice / shop.matLifeLoads, 'money', 'shop', {
      how: 'price ÷ life',
      parts: [getShopFigure(shop, 'matPrice'), getShopFigure(shop, 'matLifeLoads')],
    });
  const blade = metres * bladeMetre.value;
  const mat = (layers.length * matLoad.value) / quantity;
  const cover = (plan.pressCycles * shop.coverSheetPrice) / shop.coverSheetPresses;
  const pillow = (plan.pressCycles * shop.pillowPrice) / shop.pillowPresses;
  const heatTape = plan.pressCycles > 0 && blank.heating === 'wrap' ? shop.heatTape : 0;
  const worn = (label: string, amount: number, how: string, parts: readonly Figure[]) =>
    figure(label, amount, 'money', 'computed', { how, parts });
  return line({
    id: 'wear',
    stage: 'wear',
    label: plan.pressCycles > 0 ? 'Wear: blade, mat, cover sheet' : 'Wear: blade, mat',
    source: 'shop',
    how: 'sum of what wears',
    cash: blade + mat + cover + pillow + heatTape,
    parts: [
      worn('Blade', blade, 'knife path × a metre of blade', [
        figure('Knife path, all layers', metres * 1000, 'mm', 'measured'),
        bladeMetre,
      ]),
      worn('Mat', mat, 'loads × a load ÷ pieces', [
        figure('Loads', layers.length, 'count', 'computed'),
        matLoad,
        figure('Pieces', quantity, 'count', 'typed'),
      ]),
      ...(plan.pressCycles > 0
        ? [
            worn('Cover sheet', cover, 'press cycles ÷ life × price', [
              figure('Press cycles', plan.pressCycles, 'count', 'computed'),
              getShopFigure(shop, 'coverSheetPrice'),
              getShopFigure(shop, 'coverSheetPresses'),
            ]),
          ]
        : []),
      ...(pillow > 0
        ? [
            worn('Pillow', pillow, 'press cycles ÷ life × price', [
              figure('Press cycles', plan.pressCycles, 'count', 'computed'),
              getShopFigure(shop, 'pillowPrice'),
              getShopFigure(shop, 'pillowPresses'),
            ]),
          ]
        : []),
      ...(heatTape > 0 ? [getShopFigure(shop, 'heatTape')] : []),
    ],
  });
}

/** To sell n good pieces n ÷ (1 − p) are made: each good one carries p ÷ (1 − p) of what is lost. */
export function spoilageLine(lost: readonly ExactLine[], share: Figure): ExactLine {
  const atStake = lost.reduce((sum, part) => sum + part.cash + part.time, 0);
  return line({
    id: 'risk',
    stage: 'risk',
    label: 'What goes wrong',
    source: share.source,
    how: 'at stake × share ÷ (1 − share)',
    risk: (atStake * share.value) / (1 - share.value),
    parts: [
      figure('At stake: blank to wear, without set-up', atStake, 'money', 'computed', {
        parts: lost.map((part) => figure(part.label, part.cash + part.time, 'money', 'computed')),
      }),
      share,
    ],
  });
}

export function checkLine(shop: ShopFigures): ExactLine {
  return line({
    id: 'check',
    stage: 'check',
    label: 'Check, fold, pack',
    source: 'shop',
    how: 'minutes × your hour',
    time: wageFor(shop.checkSeconds, shop),
    handsSeconds: shop.checkSeconds,
    parts: [getShopFigure(shop, 'checkSeconds'), wage(shop)],
  });
}

/** `own`: what this item is packed in; null for what the shop packs pieces in. */
export function packagingLine(own: Minor | null, shop: ShopFigures): ExactLine {
  const packed =
    own === null ? getShopFigure(shop, 'packaging') : figure('Packaging of this item', own, 'money', 'typed');
  return line({
    id: 'pack',
    stage: 'pack',
    label: 'Packaging',
    source: packed.source === 'typed' ? 'typed' : 'shop',
    how: 'for each piece',
    cash: packed.value,
    parts: [packed],
  });
}

/** Rent, insurance, programs and the like: by the hours the piece takes, by the piece, or both. Null where the shop counts none. */
export function overheadLine(handsSeconds: number, shop: ShopFigures): ExactLine | null {
  const byHour = (handsSeconds / SECONDS_PER_HOUR) * shop.overheadPerHour;
  if (byHour + shop.overheadPerItem === 0) return null;
  return line({
    id: 'overhead',
    stage: 'overhead',
    label: 'Overheads',
    source: 'shop',
    how: 'your time × overheads an hour + overheads a piece',
    cash: byHour + shop.overheadPerItem,
    parts: [
      figure('Your time for one', handsSeconds, 's', 'computed'),
      getShopFigure(shop, 'overheadPerHour'),
      getShopFigure(shop, 'overheadPerItem'),
    ],
  });
}
