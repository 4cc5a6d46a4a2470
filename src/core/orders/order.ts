// What an order is worth and where it stands: its stage, its quote, and what it has really taken so far.

import type { ItemCost } from '../costing';
import { figure, minor, SECONDS_PER_HOUR, type Figure, type Minor } from '../units';
import { findSlowest, type PartState, type Station } from './part';

export type OrderStage = 'to-cut' | 'in-work' | 'ready' | 'handed-over' | 'cancelled';

export type StageInput = {
  readonly states: readonly PartState[];
  readonly handedOver: boolean;
  readonly cancelled: boolean;
};

/** An order is as far as its slowest part: ready only when every part is checked. */
export function decideStage({ states, handedOver, cancelled }: StageInput): OrderStage {
  if (cancelled) return 'cancelled';
  if (handedOver) return 'handed-over';
  if (states.length > 0 && findSlowest(states) === 'checked') return 'ready';
  return states.every((state) => state === 'to-cut') ? 'to-cut' : 'in-work';
}

/** One piece of a line as it was calculated when the order was taken; it never changes after. Money in minor units. */
export type LineQuote = {
  readonly quantity: number;
  readonly cash: number;
  readonly full: number;
  readonly withRisk: number;
  readonly wagePerHour: number;
  readonly cutterRatePerHour: number;
  readonly blankPrice: number;
  /** Everything else that leaves the purse and is neither blank, vinyl nor machine time. */
  readonly otherCash: number;
  readonly setupSeconds: number;
  readonly layers: readonly {
    readonly cutHandsSeconds: number;
    readonly cutMachineSeconds: number;
    readonly weedSeconds: number;
    readonly vinylCost: number;
  }[];
  readonly pressSeconds: number;
  readonly checkSeconds: number;
};

export function freezeQuote(cost: ItemCost, wagePerHour: number, cutterRatePerHour: number): LineQuote {
  const secondsOf = (stage: string) =>
    cost.lines.filter((line) => line.stage === stage).reduce((sum, line) => sum + line.handsSeconds, 0);
  const blankPrice = cost.lines.filter((line) => line.stage === 'blank').reduce((sum, line) => sum + line.cash, 0);
  const layers = cost.layers.map((layer) => ({
    cutHandsSeconds: layer.cutHandsSeconds,
    cutMachineSeconds: layer.cutMachineSeconds.value,
    weedSeconds: layer.weedSeconds.value,
    vinylCost: layer.vinylCost,
  }));
  const machine = layers.reduce(
    (sum, layer) => sum + (layer.cutMachineSeconds / SECONDS_PER_HOUR) * cutterRatePerHour + layer.vinylCost,
    0,
  );
  return {
    quantity: cost.quantity,
    cash: cost.cash.value,
    full: cost.full.value,
    withRisk: cost.withRisk.value,
    wagePerHour,
    cutterRatePerHour,
    blankPrice,
    otherCash: Math.max(0, cost.cash.value - blankPrice - machine),
    setupSeconds: secondsOf('set-up'),
    layers,
    pressSeconds: secondsOf('press'),
    checkSeconds: secondsOf('check'),
  };
}

/** Quoted seconds of hands at each station for one piece; set-up is quoted with the cutting, where it happens. */
export function getQuotedSeconds(quote: LineQuote): Readonly<Record<Station, number>> {
  return {
    cut: quote.setupSeconds + quote.layers.reduce((sum, layer) => sum + layer.cutHandsSeconds, 0),
    weed: quote.layers.reduce((sum, layer) => sum + layer.weedSeconds, 0),
    press: quote.pressSeconds,
    check: quote.checkSeconds,
  };
}

/** Seconds of hands one part still needs from its state on; what is done once for a piece is shared by its layers. */
export function estimateRemaining(
  quote: LineQuote,
  layerIndex: number,
  state: PartState,
): Readonly<Record<Station, number>> {
  const layer = quote.layers[layerIndex];
  const share = 1 / Math.max(1, quote.layers.length);
  return {
    cut: state === 'to-cut' ? (layer?.cutHandsSeconds ?? 0) + quote.setupSeconds * share : 0,
    weed: state === 'to-cut' || state === 'cut' ? (layer?.weedSeconds ?? 0) : 0,
    press: state === 'pressed' || state === 'checked' ? 0 : quote.pressSeconds * share,
    check: state === 'checked' ? 0 : quote.checkSeconds * share,
  };
}

/**
 * How one logged stretch of work is shared by the parts it was done on: by their estimates, evenly where there are
 * none.
 */
export function shareSessionSeconds(seconds: number, estimates: readonly number[]): readonly number[] {
  const whole = estimates.reduce((sum, estimate) => sum + estimate, 0);
  return estimates.map((estimate) => (whole > 0 ? (seconds * estimate) / whole : seconds / estimates.length));
}

export type LineProgress = {
  readonly quote: LineQuote;
  readonly quantity: number;
  readonly parts: readonly {
    readonly layerIndex: number;
    readonly state: PartState;
    readonly cuts: number;
    /** Cuts with a known share of vinyl, and what that cost. */
    readonly knownCuts?: number;
    readonly knownVinyl?: number;
    readonly blanksLost: number;
    readonly pieceId: number;
  }[];
  /** Logged seconds of hands at each station that fell on this line's parts. */
  readonly workedSeconds: Readonly<Record<Station, number>>;
};

export type QuotedAgainstReal = {
  readonly stations: readonly { readonly station: Station; readonly quoted: Figure; readonly real: Figure }[];
  readonly time: { readonly quoted: Figure; readonly real: Figure };
  readonly cash: { readonly quoted: Figure; readonly real: Figure };
  readonly cost: { readonly quoted: Figure; readonly real: Figure };
};

const STATION_LABELS: Readonly<Record<Station, string>> = {
  cut: 'Set up and cut',
  weed: 'Weed',
  press: 'Press',
  check: 'Check and pack',
};

/**
 * Quoted minutes and cost beside the real ones so far, for a whole order. Materials count when they are used: vinyl at
 * each cut, blanks at the press.
 */
export function compareWithQuote(lines: readonly LineProgress[]): QuotedAgainstReal {
  const total = (pick: (line: LineProgress) => number) => lines.reduce((sum, line) => sum + pick(line), 0);
  const stations = (Object.keys(STATION_LABELS) as Station[]).map((station) => ({
    station,
    quoted: figure(
      STATION_LABELS[station],
      total((line) => getQuotedSeconds(line.quote)[station] * line.quantity),
      's',
      'computed',
      { how: 'estimate for one × pieces, when the order was taken' },
    ),
    real: figure(
      STATION_LABELS[station],
      total((line) => line.workedSeconds[station]),
      's',
      'measured',
      { how: 'logged between start and stop' },
    ),
  }));
  const sum = (which: 'quoted' | 'real') => stations.reduce((seconds, row) => seconds + row[which].value, 0);
  const wages = (seconds: (line: LineProgress) => number) =>
    total((line) => (seconds(line) / SECONDS_PER_HOUR) * line.quote.wagePerHour);
  const quotedCash = total((line) => line.quote.cash * line.quantity);
  const vinyl = total((line) =>
    line.parts.reduce(
      (amount, part) =>
        amount +
        (part.knownVinyl ?? 0) +
        (part.cuts - (part.knownCuts ?? 0)) * (line.quote.layers[part.layerIndex]?.vinylCost ?? 0),
      0,
    ),
  );
  const machine = total((line) =>
    line.parts.reduce(
      (amount, part) =>
        amount +
        part.cuts *
          ((line.quote.layers[part.layerIndex]?.cutMachineSeconds ?? 0) / SECONDS_PER_HOUR) *
          line.quote.cutterRatePerHour,
      0,
    ),
  );
  const blanks = total(
    (line) =>
      (countPieces(line, (state) => state === 'pressed' || state === 'checked') +
        line.parts.reduce((lost, part) => lost + part.blanksLost, 0)) *
      line.quote.blankPrice,
  );
  const other = total((line) => countPieces(line, (state) => state === 'checked') * line.quote.otherCash);
  const realCash = Math.round(vinyl) + Math.round(machine) + Math.round(blanks) + Math.round(other);
  const realWages = Math.round(wages((line) => Object.values(line.workedSeconds).reduce((a, b) => a + b, 0)));
  const cashReal = figure('Cash spent so far', realCash, 'money', 'measured', {
    how: 'sum of what was used',
    parts: [
      figure('Vinyl, every cut counted', Math.round(vinyl), 'money', 'measured'),
      figure('Machine time', Math.round(machine), 'money', 'computed'),
      figure('Blanks pressed or lost', Math.round(blanks), 'money', 'measured'),
      figure('Tape, wear, energy, packaging', Math.round(other), 'money', 'computed'),
    ],
  });
  const timeReal = figure('Your time so far', sum('real'), 's', 'measured', { parts: stations.map((row) => row.real) });
  return {
    stations,
    time: {
      quoted: figure('Your time', sum('quoted'), 's', 'computed', { parts: stations.map((row) => row.quoted) }),
      real: timeReal,
    },
    cash: {
      quoted: figure('Cash', quotedCash, 'money', 'computed', { how: 'cash cost for one × pieces' }),
      real: cashReal,
    },
    cost: {
      quoted: figure(
        'Full cost with risk',
        total((line) => line.quote.withRisk * line.quantity),
        'money',
        'computed',
        { how: 'full cost with risk for one × pieces' },
      ),
      real: figure('Full cost so far', realCash + realWages, 'money', 'measured', {
        how: 'cash spent + your time at your hour',
        parts: [cashReal, figure('Your time, paid', realWages, 'money', 'computed', { parts: [timeReal] })],
      }),
    },
  };
}

function countPieces(line: LineProgress, reached: (state: PartState) => boolean): number {
  const slowest = new Map<number, PartState>();
  for (const part of line.parts)
    slowest.set(part.pieceId, findSlowest([slowest.get(part.pieceId) ?? 'checked', part.state]));
  return [...slowest.values()].filter(reached).length;
}

/** What the price leaves after the fee and what it really cost. */
export function computeProfit(agreed: Minor, fee: Minor, realCost: Figure): Figure {
  return figure('Yours', minor(agreed - fee - realCost.value), 'money', 'computed', {
    how: 'agreed price − fee − full cost so far',
    parts: [figure('Agreed price', agreed, 'money', 'typed'), figure('Fee', fee, 'money', 'computed'), realCost],
  });
}
