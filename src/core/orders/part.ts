// The state of one part (piece × layer), folded from the facts that happened to it. Facts are only ever added.

import type { DesignClass } from '../artwork';

export type PartState = 'to-cut' | 'cut' | 'weeded' | 'pressed' | 'checked';
export const PART_STATES: readonly PartState[] = ['to-cut', 'cut', 'weeded', 'pressed', 'checked'];

export type Station = 'cut' | 'weed' | 'press' | 'check';
export const STATIONS: readonly Station[] = ['cut', 'weed', 'press', 'check'];

export const SPOILAGE_CAUSES = [
  'cut',
  'cut-through',
  'mirrored-wrong',
  'weeding',
  'lifted',
  'crooked',
  'scorched',
  'wrong-text',
  'wrong-colour',
  'blank-fault',
  'other',
] as const;
export type SpoilageCause = (typeof SPOILAGE_CAUSES)[number];

/** Of these the film is to blame, or how it was cut: what they tell is told of the vinyl. */
export const FILM_CAUSES: ReadonlySet<SpoilageCause> = new Set(['cut', 'cut-through', 'weeding', 'lifted']);

/**
 * What of a part is made anew where the rest of it is still good: a letter, a group of them, a loose bit of a drawing.
 */
export type RecutBits = {
  /** Islands of its layer, from 0, as they lie from left to right, seen from the front. */
  readonly bits: readonly number[];
  /** Of so many. */
  readonly of: number;
};

/** The share of a part's material and work that bits of it take; 1 for all of it. */
export const shareOfRecut = (recut: RecutBits | null): number => (recut ? recut.bits.length / recut.of : 1);

export type PartEventKind = PartState | 'spoiled' | 'undone';
export type PartEvent = {
  readonly id: number;
  readonly partId: number;
  readonly kind: Exclude<PartEventKind, 'to-cut'>;
  readonly atMs: number;
  /** The event taken back, for 'undone'. */
  readonly undoes: number | null;
  readonly cause: SpoilageCause | null;
  /** For 'spoiled': what of it is made anew; null or left out for all of it. */
  readonly recut?: RecutBits | null;
  /** The blank went with it: true on one part of the piece only. */
  readonly blankLost: boolean;
  /** The work at the bench that did it; null or left out where none was logged. */
  readonly sessionId?: number | null;
  /**
   * What it took, minor units, not rounded; null or left out where only the estimate is known. For 'undone': what of it
   * could not be given back, since it is gone all the same.
   */
  readonly vinylCost?: number | null;
  /** On one part of a piece only: the blank that was taken for it. */
  readonly blankCost?: number | null;
  /** What wore and was used up with it: blade, mat, cover sheet, pillow, transfer tape. */
  readonly wearCost?: number | null;
  /** Of a cut, and of what spoiled it: the lot it was cut from, and how fine it is; null where nobody knows. */
  readonly lotId?: number | null;
  readonly design?: DesignClass | null;
  /** Its thinnest stroke or gap, mm. */
  readonly finestMm?: number | null;
};

export type PartStory = {
  readonly state: PartState;
  /** How often it was cut, spoiled ones included. */
  readonly cuts: number;
  /** Of those, how many with a known share of vinyl, and what that cost, minor units. */
  readonly knownCuts: number;
  readonly knownVinyl: number;
  /** Blanks whose cost is known, and what they cost; minor units. */
  readonly knownBlanks: number;
  readonly blankCost: number;
  /** Minor units. */
  readonly wearCost: number;
  readonly spoiled: number;
  readonly blanksLost: number;
  /** Spoiled and not yet cut again: a broken tooth. */
  readonly broken: boolean;
  /** What of it is made anew, until it is pressed; null for all of it. */
  readonly recut: RecutBits | null;
};

/** What each station makes of a part, and what it must be before. */
export const STATION_STEPS: Readonly<Record<Station, { readonly from: PartState; readonly to: PartState }>> = {
  cut: { from: 'to-cut', to: 'cut' },
  weed: { from: 'cut', to: 'weeded' },
  press: { from: 'weeded', to: 'pressed' },
  check: { from: 'pressed', to: 'checked' },
};

/**
 * The story of one part from its events, in order of id. Events taken back count as if they had not been, but for what
 * they took and did not give back.
 */
export function foldPart(events: readonly PartEvent[]): PartStory {
  const live = listLive(events);
  const last = live.at(-1);
  const spoiled = live.filter((event) => event.kind === 'spoiled');
  const cuts = live.filter((event) => event.kind === 'cut');
  return {
    state: !last || last.kind === 'spoiled' || last.kind === 'undone' ? 'to-cut' : last.kind,
    cuts: cuts.length,
    spoiled: spoiled.length,
    blanksLost: spoiled.filter((event) => event.blankLost).length,
    broken:
      live.findLastIndex((event) => event.kind === 'spoiled') > live.findLastIndex((event) => event.kind === 'cut'),
    recut: live.reduce<RecutBits | null>(advanceRecut, null),
    ...sumCosts(events, live),
  };
}

/** Where a part is, and whether it was spoiled and not yet cut again. */
export type PartNow = Pick<PartStory, 'state' | 'broken' | 'recut'>;
export const UNTOUCHED_PART: PartNow = { state: 'to-cut', broken: false, recut: null };

/** Where a part is after one more step: what `foldPart` gives of all its steps. What takes one back is none. */
export function advancePart(
  now: PartNow,
  { kind, recut }: { readonly kind: Exclude<PartEvent['kind'], 'undone'>; readonly recut?: RecutBits | null },
): PartNow {
  const next = advanceRecut(now.recut, { kind, recut });
  if (kind === 'spoiled') return { state: 'to-cut', broken: true, recut: next };
  return { state: kind, broken: kind !== 'cut' && now.broken, recut: next };
}

/** Once it is pressed, a part is whole again. */
function advanceRecut(before: RecutBits | null, { kind, recut }: Pick<PartEvent, 'kind' | 'recut'>): RecutBits | null {
  if (kind === 'spoiled') return recut ?? null;
  return kind === 'pressed' || kind === 'checked' ? null : before;
}

/** What happened and was not taken back, in order of id. */
export function listLive<Event extends Pick<PartEvent, 'id' | 'kind' | 'undoes'>>(
  events: readonly Event[],
): readonly Event[] {
  const undone = new Set(events.filter((event) => event.kind === 'undone').map((event) => event.undoes));
  return events.filter((event) => event.kind !== 'undone' && !undone.has(event.id));
}

function sumCosts(
  events: readonly PartEvent[],
  live: readonly PartEvent[],
): Pick<PartStory, 'knownCuts' | 'knownVinyl' | 'knownBlanks' | 'blankCost' | 'wearCost'> {
  const counted = [...live, ...events.filter((event) => event.kind === 'undone')];
  const sum = (pick: (event: PartEvent) => number | null | undefined) =>
    counted.reduce((all, event) => all + (pick(event) ?? 0), 0);
  return {
    knownCuts: live.filter((event) => event.kind === 'cut' && isKnown(event.vinylCost)).length,
    knownVinyl: sum((event) => event.vinylCost),
    knownBlanks: live.filter((event) => isKnown(event.blankCost)).length,
    blankCost: sum((event) => event.blankCost),
    wearCost: sum((event) => event.wearCost),
  };
}

const isKnown = (cost: number | null | undefined): boolean => cost !== null && cost !== undefined;

/**
 * Something is pressed on the piece's blank, and that blank is still good: pressing a part again takes no new one.
 * Events of all its parts, in any order.
 */
export function holdsBlank(events: readonly PartEvent[]): boolean {
  const last = [...listLive(events)]
    .sort((a, b) => a.id - b.id)
    .filter((event) => event.kind === 'pressed' || event.blankLost)
    .at(-1);
  return last?.kind === 'pressed';
}

/** How far along a state is, 0 (to cut) to 4 (checked). */
const rankState = (state: PartState): number => PART_STATES.indexOf(state);

export function findSlowest(states: readonly PartState[]): PartState {
  return states.reduce<PartState>(
    (slowest, state) => (rankState(state) < rankState(slowest) ? state : slowest),
    'checked',
  );
}

/**
 * A piece waits at press until all its parts are weeded, and at check until all are pressed; cut and weed take parts
 * singly.
 */
export function findReadyParts<T extends { readonly pieceId: number; readonly state: PartState }>(
  station: Station,
  parts: readonly T[],
): readonly T[] {
  const { from } = STATION_STEPS[station];
  if (station === 'cut' || station === 'weed') return parts.filter((part) => part.state === from);
  const slowest = new Map<number, PartState>();
  for (const part of parts)
    slowest.set(part.pieceId, findSlowest([slowest.get(part.pieceId) ?? 'checked', part.state]));
  return parts.filter((part) => part.state === from && slowest.get(part.pieceId) === from);
}
