// What one piece costs at a quantity: the lines in the order it is made, cash and hours apart, and the three costs.

import type { LayerMeasurement } from '../artwork';
import { estimateCutHandsSeconds, estimateCutSeconds, estimateWeedSeconds } from '../estimating';
import { computePricePerM2, getShopFigure, type Blank, type ShopFigures, type Vinyl } from '../materials';
import { planPressing, type PressPlan, type PressProblem } from '../pressing';
import { choosePrice, type PriceBasis, type Prices } from '../stock';
import { apportion, fail, figure, minor, roundMoney, succeed, type Figure, type Minor, type Result } from '../units';
import {
  artworkLine,
  blankLine,
  checkLine,
  cutLine,
  overheadLine,
  packagingLine,
  pressLine,
  setupLine,
  spoilageLine,
  transferTapeLine,
  vinylLine,
  wearLine,
  weedLine,
  type ArtworkCost,
  type ExactLine,
  type WearPrices,
} from './cost-lines';
import { extraLine, stoneLine, type ExtraCost, type StoneField } from './extra-lines';
import type { Packing } from './packing';
import { takeOwnMinutes, type OwnMinutes } from './own-minutes';
import { computeLayerAreas, type AreaBasis, type LayerAreas, type TooWideProblem } from './layer-areas';

export type CostLayer = {
  readonly measurement: LayerMeasurement;
  readonly vinyl: Vinyl;
  /** Where on the blank: layers at one place lie on one another, and each place is laid out and pressed by itself. */
  readonly place?: string;
  /** How close true shapes of it lie, by roll. */
  readonly packings?: readonly Packing[];
  /** What was paid and is asked for it, where vinyl is not calculated at the shelf's price. */
  readonly prices?: Prices;
  /** What a m² of it is calculated at, whatever the shelf says: to try an offer. */
  readonly price?: Figure;
};
export type ItemSpec = {
  readonly blank: Blank;
  readonly sizeName: string;
  readonly layers: readonly CostLayer[];
  readonly areaBasis: AreaBasis;
  readonly artwork?: ArtworkCost;
  /** At which price material is calculated; the shelf's own where nothing is said, or nothing is known. */
  readonly priceBasis?: PriceBasis;
  /** Offers that are chosen over cheaper ones. */ readonly offerIds?: readonly number[];
  readonly blankPrices?: Prices;
  readonly extras?: readonly ExtraCost[];
  readonly stones?: readonly StoneField[];
  /** Instead of what the shop packs a piece in. */
  readonly packaging?: Minor | null;
  /** Of this item, for one piece; wins over the estimate. */
  readonly minutes?: OwnMinutes;
  /** How often it goes wrong, where the shop has logged that. */
  readonly spoilage?: Figure;
  readonly wear?: WearPrices;
};

export type CostStage = ExactLine['stage'];
export type CostLine = {
  readonly id: string;
  readonly stage: CostStage;
  /** Whole minor units; the lines add up to the totals exactly. Its parts are the working. */
  readonly figure: Figure;
  readonly cash: Minor;
  readonly time: Minor;
  readonly risk: Minor;
  readonly total: Minor;
  readonly handsSeconds: number;
  readonly waitSeconds: number;
};

export type LayerEstimate = {
  readonly areas: LayerAreas;
  readonly vinylId: number;
  readonly cutMachineSeconds: Figure;
  readonly cutHandsSeconds: number;
  readonly weedSeconds: Figure;
  readonly vinylCost: number;
};

export type ItemCost = {
  readonly quantity: number;
  readonly lines: readonly CostLine[];
  /** What leaves the purse. */
  readonly cash: Figure;
  /** With the seller's hours. */
  readonly full: Figure;
  /** With what goes wrong. */
  readonly withRisk: Figure;
  readonly handsSeconds: Figure;
  readonly layers: readonly LayerEstimate[];
  readonly press: PressPlan;
};

export type CostProblem =
  | TooWideProblem
  | PressProblem
  | { readonly kind: 'unknown-size'; readonly sizeName: string; readonly blankName: string }
  | { readonly kind: 'no-layers' };

type Built = {
  readonly exact: readonly ExactLine[];
  readonly layers: readonly LayerEstimate[];
  readonly press: PressPlan;
};

function buildLines(spec: ItemSpec, quantity: number, shop: ShopFigures): Result<Built, CostProblem> {
  const size = spec.blank.sizes.find((candidate) => candidate.name === spec.sizeName);
  if (!size) return fail({ kind: 'unknown-size', sizeName: spec.sizeName, blankName: spec.blank.name });
  if (spec.layers.length === 0) return fail({ kind: 'no-layers' });
  const press = planPressing({ layers: spec.layers, blank: spec.blank, shop });
  if (!press.ok) return press;
  // "back, 100 mm below the collar" is the back.
  const wheres =
    new Set(spec.layers.map((layer) => layer.place)).size > 1
      ? spec.layers.map((layer) => layer.place?.split(',')[0])
      : [];
  const basis = spec.priceBasis ?? 'shelf';
  const areas: LayerAreas[] = [];
  for (const { measurement, vinyl, packings } of spec.layers) {
    const found = computeLayerAreas({ layer: measurement, vinyl, quantity, shop, ...(packings ? { packings } : {}) });
    if (!found.ok) return found;
    areas.push(found.value);
  }
  const machine = spec.layers.map(({ measurement }) => estimateCutSeconds(measurement, shop));
  const batchHands = machine.map((seconds) => estimateCutHandsSeconds(seconds.value * quantity, shop));
  const cutHands = takeOwnMinutes(
    spec.minutes?.cut,
    batchHands.map((hands) =>
      figure('Your hands, for each', hands.value / quantity, 's', 'computed', {
        how: 'hands for the batch ÷ pieces',
        parts: [hands, figure('Pieces', quantity, 'count', 'typed')],
      }),
    ),
  );
  const weed = takeOwnMinutes(
    spec.minutes?.weed,
    spec.layers.map(({ measurement, vinyl }) => estimateWeedSeconds(measurement, vinyl, shop)),
  );
  const pressHands = takeOwnMinutes(spec.minutes?.press, [press.value.handsSeconds])[0]!;
  const materials = spec.layers.flatMap(({ vinyl, prices, price: tried }, index) => {
    const own = areas[index]!;
    const price =
      tried ??
      (prices && choosePrice(prices, basis, own.used.value * quantity, 'money/m²', spec.offerIds)) ??
      computePricePerM2(vinyl);
    return [
      vinylLine({ index, vinyl, where: wheres[index], areas: own, basis: spec.areaBasis, price }),
      transferTapeLine({ index, vinyl, where: wheres[index], areas: own, shop }),
    ].flatMap((line) => line ?? []);
  });
  const drawing = artworkLine(spec.artwork);
  const vinylCount = new Set(spec.layers.map((layer) => layer.vinyl.id)).size;
  const stones = (spec.stones ?? []).map((field, index) => stoneLine(field, index, shop));
  const exact: ExactLine[] = [
    blankLine(
      spec.blank,
      size,
      (spec.blankPrices && choosePrice(spec.blankPrices, basis, quantity, 'money', spec.offerIds)) ?? null,
    ),
    ...(drawing ? [drawing] : []),
    ...materials,
    ...stones,
    ...(spec.extras ?? []).map(extraLine),
    setupLine(vinylCount, quantity, shop),
    ...spec.layers.map(({ vinyl }, index) =>
      cutLine({ index, vinyl, where: wheres[index], machine: machine[index]!, hands: cutHands[index]!, shop }),
    ),
    ...spec.layers.map(({ vinyl }, index) =>
      weedLine({ index, vinyl, where: wheres[index], seconds: weed[index]!, shop }),
    ),
    pressLine(press.value, pressHands, quantity, shop),
    wearLine({
      layers: spec.layers,
      plan: press.value,
      blank: spec.blank,
      quantity,
      shop,
      ...(spec.wear ? { prices: spec.wear } : {}),
    }),
  ];
  exact.push(
    spoilageLine(getAtStake(exact), spec.spoilage ?? getShopFigure(shop, 'spoilageShare')),
    checkLine(shop),
    packagingLine(spec.packaging ?? null, shop),
  );
  const overhead = overheadLine(
    exact.reduce((sum, line) => sum + line.handsSeconds, 0),
    shop,
  );
  if (overhead) exact.push(overhead);
  const costOf = (id: string) => materials.find((line) => line.id === id)?.cash ?? 0;
  const layers = spec.layers.map(({ vinyl }, index): LayerEstimate => ({
    areas: areas[index]!,
    vinylId: vinyl.id,
    cutMachineSeconds: machine[index]!,
    cutHandsSeconds: cutHands[index]!.value,
    weedSeconds: weed[index]!,
    vinylCost: costOf(`vinyl-${index}`) + costOf(`tape-${index}`),
  }));
  return succeed({ exact, layers, press: press.value });
}

/** The cost of one of `quantity` equal pieces (a whole number from 1). Fees depend on the price and are not in it: see pricing. */
export function computeItemCost(spec: ItemSpec, quantity: number, shop: ShopFigures): Result<ItemCost, CostProblem> {
  const built = buildLines(spec, quantity, shop);
  return built.ok
    ? succeed({ ...addUp(built.value.exact), quantity, layers: built.value.layers, press: built.value.press })
    : built;
}

/** Not rounded, for finding where two costs meet: all that a good piece costs but for what goes wrong, and the part of it that is lost with a spoiled one. */
export type ExactCost = { readonly full: number; readonly atStake: number };

export function computeExactCost(spec: ItemSpec, quantity: number, shop: ShopFigures): Result<ExactCost, CostProblem> {
  const built = buildLines(spec, quantity, shop);
  if (!built.ok) return built;
  const { exact } = built.value;
  return succeed({
    full: exact.reduce((sum, line) => sum + line.cash + line.time, 0),
    atStake: getAtStake(exact).reduce((sum, line) => sum + line.cash + line.time, 0),
  });
}

/** What can be lost at the bench is lost before it is checked and packed; set-up, the drawing and overheads are there whatever is lost. */
const getAtStake = (lines: readonly ExactLine[]): readonly ExactLine[] =>
  lines.filter((line) => !['artwork', 'set-up', 'risk', 'check', 'pack', 'overhead'].includes(line.stage));

function addUp(exact: readonly ExactLine[]): Pick<ItemCost, 'lines' | 'cash' | 'full' | 'withRisk' | 'handsSeconds'> {
  const sum = (pick: (line: ExactLine) => number) => exact.reduce((total, line) => total + pick(line), 0);
  const cashTotal = roundMoney(sum((line) => line.cash));
  const fullTotal = roundMoney(sum((line) => line.cash + line.time));
  const riskTotal = roundMoney(sum((line) => line.cash + line.time + line.risk));
  const cash = apportion(
    exact.map((line) => line.cash),
    cashTotal,
  );
  const time = apportion(
    exact.map((line) => line.time),
    fullTotal - cashTotal,
  );
  const risk = apportion(
    exact.map((line) => line.risk),
    riskTotal - fullTotal,
  );
  const lines = exact.map((line, index): CostLine => {
    const shares = { cash: cash[index]!, time: time[index]!, risk: risk[index]! };
    const total = minor(shares.cash + shares.time + shares.risk);
    return {
      id: line.id,
      stage: line.stage,
      ...shares,
      total,
      handsSeconds: line.handsSeconds,
      waitSeconds: line.waitSeconds,
      figure: figure(line.label, total, 'money', line.source, { how: line.how, parts: line.parts }),
    };
  });
  const pick = (part: (line: CostLine) => number) =>
    lines.filter((line) => part(line) !== 0).map((line) => ({ ...line.figure, value: part(line) }));
  const cashFigure = figure('Cash cost', cashTotal, 'money', 'computed', {
    how: 'what leaves the purse',
    parts: pick((line) => line.cash),
  });
  const fullFigure = figure('Full cost', fullTotal, 'money', 'computed', {
    how: 'cash cost + your time',
    parts: [
      cashFigure,
      figure('Your time', fullTotal - cashTotal, 'money', 'computed', { parts: pick((line) => line.time) }),
    ],
  });
  return {
    lines,
    cash: cashFigure,
    full: fullFigure,
    withRisk: figure('Full cost with risk', riskTotal, 'money', 'computed', {
      how: 'full cost + what goes wrong',
      parts: [fullFigure, ...pick((line) => line.risk)],
    }),
    handsSeconds: figure(
      'Your time for one',
      sum((line) => line.handsSeconds),
      's',
      'computed',
      {
        how: 'sum of the lines',
        low: sum((line) => line.lowSeconds),
        high: sum((line) => line.highSeconds),
        parts: exact
          .filter((line) => line.handsSeconds > 0)
          .map((line) =>
            figure(line.label, line.handsSeconds, 's', line.source, { low: line.lowSeconds, high: line.highSeconds }),
          ),
      },
    ),
  };
}
