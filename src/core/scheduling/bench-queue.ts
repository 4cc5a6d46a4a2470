// What lies ready at each station, gathered into batches that are done in one go, the most urgent first.

import { findReadyParts, STATIONS, type PartState, type RecutBits, type Station } from '../orders';
import { groupBy } from '../units';

/** A part as the bench sees it. */
export type BenchPart = {
  readonly partId: number;
  readonly pieceId: number;
  readonly pieceNumber: number;
  readonly orderId: number;
  readonly lineId: number;
  /** What is made in one go: pieces of a line; of a list of names, all of them. */
  readonly runKey: string;
  readonly dueDay: string;
  readonly vinylId: number;
  readonly layerIndex: number;
  readonly state: PartState;
  readonly broken: boolean;
  /** The saved cut sheet it lies on; null while it lies on none. */
  readonly savedId?: number | null;
  /** What of it is made anew; null for all of it. */
  readonly recut: RecutBits | null;
  readonly estimates: Readonly<Record<Station, number>>;
};

export type Batch<T extends BenchPart> = {
  readonly key: string;
  readonly station: Station;
  readonly dueDay: string;
  readonly parts: readonly T[];
  readonly pieceCount: number;
  readonly seconds: number;
};

/**
 * Cut one load for each vinyl, across orders, and each that is laid out already by itself; weed one layer of a line;
 * press and check a line's pieces.
 */
function getBatchKey(station: Station, part: BenchPart): string {
  switch (station) {
    case 'cut':
      return part.savedId ? `load-${part.savedId}` : `vinyl-${part.vinylId}`;
    case 'weed':
      return `${part.runKey}-layer-${part.layerIndex}`;
    case 'press':
    case 'check':
      return part.runKey;
    default:
      return station satisfies never;
  }
}

/** Batches at a station, by due day, recuts first within a day, then as they came in. */
export function gatherBatches<T extends BenchPart>(station: Station, parts: readonly T[]): readonly Batch<T>[] {
  const groups = groupBy(findReadyParts(station, parts), (part) => getBatchKey(station, part));
  const batches = [...groups].map(([key, members]): Batch<T> => {
    const sorted = [...members].sort(
      (a, b) => compareText(a.dueDay, b.dueDay) || Number(b.broken) - Number(a.broken) || a.partId - b.partId,
    );
    return {
      key,
      station,
      parts: sorted,
      dueDay: sorted[0]!.dueDay,
      pieceCount: new Set(members.map((part) => part.pieceId)).size,
      seconds: members.reduce((sum, part) => sum + part.estimates[station], 0),
    };
  });
  return batches.sort(
    (a, b) =>
      compareText(a.dueDay, b.dueDay) ||
      Number(b.parts[0]!.broken) - Number(a.parts[0]!.broken) ||
      a.parts[0]!.partId - b.parts[0]!.partId,
  );
}

/** What waits at a station: parts to be cut or weeded, whole pieces to be pressed or checked. */
export function countWaiting(station: Station, parts: readonly BenchPart[]): number {
  const ready = findReadyParts(station, parts);
  return station === 'cut' || station === 'weed' ? ready.length : new Set(ready.map((part) => part.pieceId)).size;
}

const compareText = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0);

/** Who does it: free hands, the cutter or the press. */
export type NextDoer = 'hands' | 'cutter' | 'press';

export type NextActions<T extends BenchPart> = {
  readonly hands: Batch<T> | null;
  readonly cutter: Batch<T> | null;
  readonly press: Batch<T> | null;
  /** The first of all of them; null where nothing waits. */
  readonly first: NextDoer | null;
};

/**
 * The next batch for the cutter, the press and free hands (weeding or checking), by due day; what is nearly done goes
 * first.
 */
export function proposeNext<T extends BenchPart>(parts: readonly T[]): NextActions<T> {
  const at = Object.fromEntries(
    STATIONS.map((station) => [station, gatherBatches(station, parts)[0] ?? null]),
  ) as Record<Station, Batch<T> | null>;
  const hands =
    [at.check, at.weed]
      .filter((batch): batch is Batch<T> => batch !== null)
      .sort((a, b) => compareText(a.dueDay, b.dueDay))[0] ?? null;
  const all = { press: at.press, hands, cutter: at.cut };
  return { ...all, first: findFirst(all) };
}

/** By due day; of one day, what is nearest to done. */
function findFirst<T extends BenchPart>(all: Readonly<Record<NextDoer, Batch<T> | null>>): NextDoer | null {
  const nearest: readonly NextDoer[] =
    all.hands?.station === 'check' ? ['hands', 'press', 'cutter'] : ['press', 'hands', 'cutter'];
  const [first] = nearest
    .filter((doer) => all[doer] !== null)
    .sort((a, b) => compareText(all[a]!.dueDay, all[b]!.dueDay));
  return first ?? null;
}
