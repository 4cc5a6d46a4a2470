// The state of one part (piece × layer), folded from the facts that happened to it. Facts are only ever added.

export type PartState = 'to-cut' | 'cut' | 'weeded' | 'pressed' | 'checked';
const PART_STATES: readonly PartState[] = ['to-cut', 'cut', 'weeded', 'pressed', 'checked'];

export type Station = 'cut' | 'weed' | 'press' | 'check';
export const STATIONS: readonly Station[] = ['cut', 'weed', 'press', 'check'];

export const SPOILAGE_CAUSES = [
  'cut',
  'mirrored-wrong',
  'weeding',
  'lifted',
  'crooked',
  'scorched',
  'wrong-text',
  'wrong-colour',
  'other',
] as const;
export type SpoilageCause = (typeof SPOILAGE_CAUSES)[number];

export type PartEventKind = PartState | 'spoiled' | 'undone';
export type PartEvent = {
  readonly id: number;
  readonly partId: number;
  readonly kind: Exclude<PartEventKind, 'to-cut'>;
  readonly atMs: number;
  /** The event taken back, for 'undone'. */
  readonly undoes: number | null;
  readonly cause: SpoilageCause | null;
  /** The blank went with it: true on one part of the piece only. */
  readonly blankLost: boolean;
  /**
   * For 'cut': its share of the vinyl that was really cut off, minor units; left out where only the estimate is known.
   */
  readonly vinylCost?: number | null;
};

export type PartStory = {
  readonly state: PartState;
  /** How often it was cut, spoiled ones included. */
  readonly cuts: number;
  /** Of those, how many with a known share of vinyl, and what that cost, minor units. */
  readonly knownCuts: number;
  readonly knownVinyl: number;
  readonly spoiled: number;
  readonly blanksLost: number;
  /** Spoiled and not yet cut again: a broken tooth. */
  readonly broken: boolean;
};

/** What each station makes of a part, and what it must be before. */
export const STATION_STEPS: Readonly<Record<Station, { readonly from: PartState; readonly to: PartState }>> = {
  cut: { from: 'to-cut', to: 'cut' },
  weed: { from: 'cut', to: 'weeded' },
  press: { from: 'weeded', to: 'pressed' },
  check: { from: 'pressed', to: 'checked' },
};

/** The story of one part from its events, in order of id; events taken back count as if they had not been. */
export function foldPart(events: readonly PartEvent[]): PartStory {
  const undone = new Set(events.filter((event) => event.kind === 'undone').map((event) => event.undoes));
  let state: PartState = 'to-cut';
  let cuts = 0,
    knownCuts = 0,
    knownVinyl = 0,
    spoiled = 0,
    blanksLost = 0,
    broken = false;
  for (const event of events) {
    if (event.kind === 'undone' || undone.has(event.id)) continue;
    if (event.kind === 'spoiled') {
      state = 'to-cut';
      spoiled++;
      broken = true;
      if (event.blankLost) blanksLost++;
      continue;
    }
    state = event.kind;
    if (event.kind === 'cut') {
      cuts++;
      if (event.vinylCost !== undefined && event.vinylCost !== null) {
        knownCuts++;
        knownVinyl += event.vinylCost;
      }
      broken = false;
    }
  }
  return { state, cuts, knownCuts, knownVinyl, spoiled, blanksLost, broken };
}

/**
 * Something is pressed on the piece's blank, and that blank is still good: pressing a part again takes no new one.
 * Events of all its parts, in any order.
 */
export function holdsBlank(events: readonly PartEvent[]): boolean {
  const undone = new Set(events.filter((event) => event.kind === 'undone').map((event) => event.undoes));
  const last = [...events]
    .sort((a, b) => a.id - b.id)
    .filter((event) => !undone.has(event.id) && (event.kind === 'pressed' || event.blankLost))
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
