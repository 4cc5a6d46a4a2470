// What an order was quoted at beside what it has really taken so far.

import { figure, minor, SECONDS_PER_HOUR, type Figure, type Minor } from '../units';
import { getQuotedSeconds, type LineQuote } from './order';
import { findSlowest, type PartState, type PartStory, type Station } from './part';

/** A part as far as its costs go. Left out in older logs: what only the quote knows. */
type ProgressPart = Pick<PartStory, 'state' | 'cuts' | 'blanksLost'> &
  Partial<Pick<PartStory, 'knownCuts' | 'knownVinyl' | 'knownBlanks' | 'blankCost' | 'wearCost'>> & {
    readonly layerIndex: number;
    readonly pieceId: number;
  };

export type LineProgress = {
  readonly quote: LineQuote;
  readonly quantity: number;
  readonly parts: readonly ProgressPart[];
  /** Logged seconds of hands at each station that fell on this line's parts. */
  readonly workedSeconds: Readonly<Record<Station, number>>;
};

type QuotedAndReal = { readonly quoted: Figure; readonly real: Figure };
export type QuotedAgainstReal = {
  readonly stations: readonly ({ readonly station: Station } & QuotedAndReal)[];
  readonly time: QuotedAndReal;
  readonly cash: QuotedAndReal;
  readonly cost: QuotedAndReal;
};

export const STATION_LABELS: Readonly<Record<Station, string>> = {
  cut: 'Set up and cut',
  weed: 'Weed',
  press: 'Press',
  check: 'Check and pack',
};

/** Quoted minutes and cost beside the real ones so far, for a whole order. Materials count when they are used. */
export function compareWithQuote(lines: readonly LineProgress[]): QuotedAgainstReal {
  const stations = compareStations(lines);
  const time = {
    quoted: sumStations('Your time', 'computed', stations, 'quoted'),
    real: sumStations('Your time so far', 'measured', stations, 'real'),
  };
  const cash = {
    quoted: figure(
      'Cash',
      total(lines, (line) => line.quote.cash * line.quantity),
      'money',
      'computed',
      {
        how: 'cash cost for one × pieces',
      },
    ),
    real: sumRealCash(lines),
  };
  return { stations, time, cash, cost: compareCosts(lines, cash.real, time.real) };
}

const total = (lines: readonly LineProgress[], pick: (line: LineProgress) => number): number =>
  lines.reduce((sum, line) => sum + pick(line), 0);

const compareStations = (lines: readonly LineProgress[]): QuotedAgainstReal['stations'] =>
  (Object.keys(STATION_LABELS) as Station[]).map((station) => ({
    station,
    quoted: figure(
      STATION_LABELS[station],
      total(lines, (line) => getQuotedSeconds(line.quote)[station] * line.quantity),
      's',
      'computed',
      { how: 'estimate for one × pieces, when the order was taken' },
    ),
    real: figure(
      STATION_LABELS[station],
      total(lines, (line) => line.workedSeconds[station]),
      's',
      'measured',
      { how: 'logged between start and stop' },
    ),
  }));

function sumStations(
  label: string,
  source: 'computed' | 'measured',
  stations: QuotedAgainstReal['stations'],
  which: 'quoted' | 'real',
): Figure {
  const parts = stations.map((row) => row[which]);
  return figure(
    label,
    parts.reduce((seconds, part) => seconds + part.value, 0),
    's',
    source,
    { parts },
  );
}

function compareCosts(lines: readonly LineProgress[], cashReal: Figure, timeReal: Figure): QuotedAndReal {
  const wages = Math.round(
    total(lines, ({ quote, workedSeconds }) => {
      const seconds = Object.values(workedSeconds).reduce((a, b) => a + b, 0);
      return (seconds / SECONDS_PER_HOUR) * quote.wagePerHour;
    }),
  );
  const beside = Math.round(
    total(lines, (line) => {
      const seconds = countPieces(line, (state) => state === 'checked') * (line.quote.orderSeconds ?? 0);
      return (seconds / SECONDS_PER_HOUR) * line.quote.wagePerHour;
    }),
  );
  const quoted = total(lines, (line) => line.quote.withRisk * line.quantity);
  return {
    quoted: figure('Full cost with risk', quoted, 'money', 'computed', { how: 'full cost with risk for one × pieces' }),
    real: figure('Full cost so far', cashReal.value + wages + beside, 'money', 'measured', {
      how: 'cash spent + your time at your hour',
      parts: [
        cashReal,
        figure('Your time, paid', wages, 'money', 'computed', { parts: [timeReal] }),
        figure('Messages, proof, post, as quoted for what is done', beside, 'money', 'computed'),
      ],
    }),
  };
}

/** What left the purse: as the stock's ledger and the log of the work say, by the quote where they say nothing. */
function sumRealCash(lines: readonly LineProgress[]): Figure {
  const row = (label: string, source: 'measured' | 'computed', how: string, pick: (line: LineProgress) => number) =>
    figure(label, Math.round(total(lines, pick)), 'money', source, { how });
  const parts = [
    row('Vinyl, every cut counted', 'measured', 'share of the strip of each cut, recuts too', sumVinyl),
    row('Machine time', 'computed', 'cuts × machine minutes × machine hour', sumMachine),
    row('Blanks pressed or lost', 'measured', 'what each cost', sumBlanks),
    row('Wear and transfer tape', 'measured', 'as each cut and press booked it', sumWear),
    row('Press: electricity and machine', 'computed', 'minutes at the press and its warm-up × a second', sumEnergy),
    row('Packaging and the rest', 'computed', 'as quoted, for each piece that was checked', sumPacked),
  ];
  const cash = parts.reduce((sum, part) => sum + part.value, 0);
  return figure('Cash spent so far', cash, 'money', 'measured', { how: 'sum of what was used', parts });
}

const sumParts = ({ parts }: LineProgress, pick: (part: ProgressPart) => number): number =>
  parts.reduce((sum, part) => sum + pick(part), 0);

const sumVinyl = (line: LineProgress): number =>
  sumParts(line, (part) => {
    const unknown = part.cuts - (part.knownCuts ?? 0);
    return (part.knownVinyl ?? 0) + unknown * (line.quote.layers[part.layerIndex]?.vinylCost ?? 0);
  });

const sumMachine = (line: LineProgress): number =>
  sumParts(line, (part) => {
    const seconds = line.quote.layers[part.layerIndex]?.cutMachineSeconds ?? 0;
    return part.cuts * (seconds / SECONDS_PER_HOUR) * line.quote.cutterRatePerHour;
  });

function sumBlanks(line: LineProgress): number {
  const used = countPieces(line, isPressed) + sumParts(line, (part) => part.blanksLost);
  const unknown = Math.max(0, used - sumParts(line, (part) => part.knownBlanks ?? 0));
  return sumParts(line, (part) => part.blankCost ?? 0) + unknown * line.quote.blankPrice;
}

/** Of orders older than the log of wear, it is in what is quoted for each piece that was checked. */
const isWearLogged = ({ quote }: LineProgress): boolean => quote.workCash !== undefined;

const sumWear = (line: LineProgress): number => (isWearLogged(line) ? sumParts(line, (part) => part.wearCost ?? 0) : 0);

const sumEnergy = (line: LineProgress): number =>
  line.workedSeconds.press * (line.quote.pressSecondCash ?? 0) +
  countPieces(line, isPressed) * (line.quote.warmUpCash ?? 0);

const sumPacked = (line: LineProgress): number =>
  countPieces(line, (state) => state === 'checked') * Math.max(0, line.quote.otherCash - (line.quote.workCash ?? 0));

const isPressed = (state: PartState): boolean => state === 'pressed' || state === 'checked';

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

/** What an hour of the seller’s earned: what is theirs with what their time was paid. Null before any was logged. */
export function computeHourEarned(profit: Figure, against: QuotedAgainstReal): Figure | null {
  const hours = against.time.real.value / SECONDS_PER_HOUR;
  if (hours <= 0) return null;
  const wages = against.cost.real.value - against.cash.real.value;
  return figure('An hour earned', Math.round((profit.value + wages) / hours), 'money/h', 'computed', {
    how: '(yours + your time, paid) ÷ hours logged',
    parts: [profit, figure('Your time, paid', wages, 'money', 'computed'), against.time.real],
  });
}
