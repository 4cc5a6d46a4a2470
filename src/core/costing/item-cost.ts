// What one piece costs at a quantity: the lines in the order it is made, cash and hours apart, and the three costs.

import type { LayerMeasurement } from '../artwork';
import { estimateCutHandsSeconds, estimateCutSeconds, estimateWeedSeconds } from '../estimating';
import type { Blank, ShopFigures, Vinyl } from '../materials';
import { planPressing, type PressPlan, type PressProblem } from '../pressing';
import { apportion, fail, figure, minor, roundMoney, succeed, type Figure, type Minor, type Result } from '../units';
import { artworkLine, blankLine, checkLine, cutLine, overheadLine, packagingLine, pressLine, setupLine, spoilageLine, tapeLine, vinylLine, wearLine, weedLine, type ArtworkCost, type ExactLine } from './cost-lines';
import { computeLayerAreas, type AreaBasis, type LayerAreas, type TooWideProblem } from './layer-areas';

export type CostLayer = { readonly measurement: LayerMeasurement; readonly vinyl: Vinyl };
export type ItemSpec = { readonly blank: Blank; readonly sizeName: string; readonly layers: readonly CostLayer[]; readonly areaBasis: AreaBasis; readonly artwork?: ArtworkCost };

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

export type LayerEstimate = { readonly areas: LayerAreas; readonly vinylId: number; readonly cutMachineSeconds: Figure; readonly cutHandsSeconds: number; readonly weedSeconds: Figure; readonly vinylCost: number };

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

export type CostProblem = TooWideProblem | PressProblem | { readonly kind: 'unknown-size'; readonly sizeName: string; readonly blankName: string } | { readonly kind: 'no-layers' };

type Built = { readonly exact: readonly ExactLine[]; readonly layers: readonly LayerEstimate[]; readonly press: PressPlan };

function buildLines(spec: ItemSpec, quantity: number, shop: ShopFigures): Result<Built, CostProblem> {
  const size = spec.blank.sizes.find((candidate) => candidate.name === spec.sizeName);
  if (!size) return fail({ kind: 'unknown-size', sizeName: spec.sizeName, blankName: spec.blank.name });
  if (spec.layers.length === 0) return fail({ kind: 'no-layers' });
  const press = planPressing({ layers: spec.layers, blank: spec.blank, shop });
  if (!press.ok) return press;
  const layers: LayerEstimate[] = [];
  const drawing = artworkLine(spec.artwork);
  const exact: ExactLine[] = [blankLine(spec.blank, size), ...(drawing ? [drawing] : [])];
  const later: ExactLine[] = [];
  for (const [index, layer] of spec.layers.entries()) {
    const areas = computeLayerAreas({ layer: layer.measurement, vinyl: layer.vinyl, quantity, shop });
    if (!areas.ok) return areas;
    const cutMachineSeconds = estimateCutSeconds(layer.measurement, shop);
    const batchHands = estimateCutHandsSeconds(cutMachineSeconds.value * quantity, shop);
    const weedSeconds = estimateWeedSeconds(layer.measurement, layer.vinyl.weedingFactor, shop);
    const vinyl = vinylLine({ index, vinyl: layer.vinyl, areas: areas.value, basis: spec.areaBasis });
    exact.push(vinyl);
    const tape = tapeLine({ index, vinyl: layer.vinyl, areas: areas.value, shop });
    if (tape) exact.push(tape);
    later.push(cutLine({ index, vinyl: layer.vinyl, machine: cutMachineSeconds, batchHands, quantity, shop }), weedLine({ index, vinyl: layer.vinyl, seconds: weedSeconds, shop }));
    layers.push({ areas: areas.value, vinylId: layer.vinyl.id, cutMachineSeconds, cutHandsSeconds: batchHands.value / quantity, weedSeconds, vinylCost: vinyl.cash + (tape?.cash ?? 0) });
  }
  const vinylCount = new Set(spec.layers.map((layer) => layer.vinyl.id)).size;
  exact.push(setupLine(vinylCount, quantity, shop), ...later.filter((line) => line.stage === 'cut'), ...later.filter((line) => line.stage === 'weed'));
  exact.push(pressLine(press.value, quantity, shop), wearLine(spec.layers, press.value, spec.blank, quantity, shop));
  exact.push(spoilageLine(getAtStake(exact), shop), checkLine(shop), packagingLine(shop));
  const overhead = overheadLine(exact.reduce((sum, line) => sum + line.handsSeconds, 0), shop);
  if (overhead) exact.push(overhead);
  return succeed({ exact, layers, press: press.value });
}

/** The cost of one of `quantity` equal pieces (a whole number from 1). Fees depend on the price and are not in it: see pricing. */
export function computeItemCost(spec: ItemSpec, quantity: number, shop: ShopFigures): Result<ItemCost, CostProblem> {
  const built = buildLines(spec, quantity, shop);
  return built.ok ? succeed({ ...addUp(built.value.exact), quantity, layers: built.value.layers, press: built.value.press }) : built;
}

/** Not rounded, for finding where two costs meet: all that a good piece costs but for what goes wrong, and the part of it that is lost with a spoiled one. */
export type ExactCost = { readonly full: number; readonly atStake: number };

export function computeExactCost(spec: ItemSpec, quantity: number, shop: ShopFigures): Result<ExactCost, CostProblem> {
  const built = buildLines(spec, quantity, shop);
  if (!built.ok) return built;
  const { exact } = built.value;
  return succeed({ full: exact.reduce((sum, line) => sum + line.cash + line.time, 0), atStake: getAtStake(exact).reduce((sum, line) => sum + line.cash + line.time, 0) });
}

/** What can be lost at the bench is lost before it is checked and packed; set-up, the drawing and overheads are there whatever is lost. */
const getAtStake = (lines: readonly ExactLine[]): readonly ExactLine[] => lines.filter((line) => !['artwork', 'set-up', 'risk', 'check', 'pack', 'overhead'].includes(line.stage));

function addUp(exact: readonly ExactLine[]): Pick<ItemCost, 'lines' | 'cash' | 'full' | 'withRisk' | 'handsSeconds'> {
  const sum = (pick: (line: ExactLine) => number) => exact.reduce((total, line) => total + pick(line), 0);
  const cashTotal = roundMoney(sum((line) => line.cash));
  const fullTotal = roundMoney(sum((line) => line.cash + line.time));
  const riskTotal = roundMoney(sum((line) => line.cash + line.time + line.risk));
  const cash = apportion(exact.map((line) => line.cash), cashTotal);
  const time = apportion(exact.map((line) => line.time), fullTotal - cashTotal);
  const risk = apportion(exact.map((line) => line.risk), riskTotal - fullTotal);
  const lines = exact.map((line, index): CostLine => {
    const shares = { cash: cash[index]!, time: time[index]!, risk: risk[index]! };
    const total = minor(shares.cash + shares.time + shares.risk);
    return { id: line.id, stage: line.stage, ...shares, total, handsSeconds: line.handsSeconds, waitSeconds: line.waitSeconds, figure: figure(line.label, total, 'money', line.source, { how: line.how, parts: line.parts }) };
  });
  const pick = (part: (line: CostLine) => number) => lines.filter((line) => part(line) !== 0).map((line) => ({ ...line.figure, value: part(line) }));
  const cashFigure = figure('Cash cost', cashTotal, 'money', 'computed', { how: 'what leaves the purse', parts: pick((line) => line.cash) });
  const fullFigure = figure('Full cost', fullTotal, 'money', 'computed', { how: 'cash cost + your time', parts: [cashFigure, figure('Your time', fullTotal - cashTotal, 'money', 'computed', { parts: pick((line) => line.time) })] });
  return {
    lines,
    cash: cashFigure,
    full: fullFigure,
    withRisk: figure('Full cost with risk', riskTotal, 'money', 'computed', { how: 'full cost + what goes wrong', parts: [fullFigure, ...pick((line) => line.risk)] }),
    handsSeconds: figure('Your time for one', sum((line) => line.handsSeconds), 's', 'computed', { how: 'sum of the lines', parts: exact.filter((line) => line.handsSeconds > 0).map((line) => figure(line.label, line.handsSeconds, 's', line.source)) }),
  };
}
