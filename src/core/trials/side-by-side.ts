// Vinyls, lots, tapes and tools side by side: the same drawing made with each, and which of them serves best.

import { figure, type Figure } from '../units';

/** What differs between the candidates. */
export const SIDE_AXES = ['vinyl', 'tape', 'mat', 'tool', 'blank', 'blade'] as const;
export type SideAxis = (typeof SIDE_AXES)[number];
export const CANDIDATES = { least: 2, most: 6 } as const;

export const BACKINGS = ['clean', 'marked', 'cut through'] as const;
export const LIFTS = ['at once', 'slowly', 'not at all'] as const;
export const STICKS = ['all of it', 'edges lift', 'not at all'] as const;
export const RESIDUES = ['none', 'some', 'much'] as const;
/** What is timed at the bench. */
export const SIDE_CLOCKS = ['cut', 'weed'] as const;
export type SideClock = (typeof SIDE_CLOCKS)[number];
export type Backing = (typeof BACKINGS)[number];
export type Lift = (typeof LIFTS)[number];
export type Stick = (typeof STICKS)[number];
export type Residue = (typeof RESIDUES)[number];

/** What is filled in at the bench for one candidate. Null: not looked at, or not timed. */
export type SideSheet = {
  readonly cutSeconds: number | null;
  readonly weedSeconds: number | null;
  /** Pieces of the drawing that were lost, of all that were made. */
  readonly lost: number;
  readonly backing: Backing | null;
  /** How it came off the tape, or off its carrier. */
  readonly lift: Lift | null;
  readonly stick: Stick | null;
  /** What it left on the mat. */
  readonly residue: Residue | null;
  readonly note: string;
};
export const EMPTY_SHEET: SideSheet = {
  cutSeconds: null,
  weedSeconds: null,
  lost: 0,
  backing: null,
  lift: null,
  stick: null,
  residue: null,
  note: '',
};

export type SideCandidate = {
  readonly id: number;
  readonly sheet: SideSheet;
  /** Whether its sheet was closed at the bench. */
  readonly isFilled: boolean;
  /** Pieces looked at later, and how many of those failed. */
  readonly looks: { readonly pieces: number; readonly failed: number };
};

/** Why a candidate is no choice, however quick it was. */
export type SideFault = 'none left' | 'cuts through' | 'stays on tape' | 'does not stick' | 'did not last';

export type JudgedSide = {
  readonly id: number;
  readonly isFilled: boolean;
  readonly faults: readonly SideFault[];
  /** Of the pieces. */
  readonly lost: number;
  /** Cutting and weeding for each piece that came out well, seconds; null where it was not timed, or none was left. */
  readonly perGood: Figure | null;
};

export type SideVerdict =
  | { readonly kind: 'not-filled'; readonly missing: number }
  /** Nothing can be used. */
  | { readonly kind: 'none' }
  /** Not timed: those without a fault that lost least are all that is known. */
  | { readonly kind: 'untimed'; readonly ids: readonly number[] }
  /** So close together that another day may turn them round. */
  | { readonly kind: 'even'; readonly ids: readonly number[] }
  /** `ahead`: by what share of its own time the next one takes longer; null where there is no other. */
  | { readonly kind: 'best'; readonly id: number; readonly ahead: number | null };

/** The candidates that a verdict speaks of, by id, in its order. */
export const listNamed = (verdict: SideVerdict): readonly number[] =>
  'ids' in verdict ? verdict.ids : 'id' in verdict ? [verdict.id] : [];

/** Closer than this, as a share, two times say the same. */
const EVEN_WITHIN = 0.1;

/** `pieces`: so many of the drawing were made with each. */
export function judgeSides(
  candidates: readonly SideCandidate[],
  pieces: number,
): { readonly sides: readonly JudgedSide[]; readonly verdict: SideVerdict } {
  const sides = candidates.map((candidate) => judgeSide(candidate, pieces));
  return { sides, verdict: findVerdict(sides) };
}

function judgeSide({ id, sheet, isFilled, looks }: SideCandidate, pieces: number): JudgedSide {
  const { cutSeconds, weedSeconds, lost } = sheet;
  const good = pieces - lost;
  const faults: readonly (SideFault | false)[] = [
    good <= 0 && 'none left',
    sheet.backing === 'cut through' && 'cuts through',
    sheet.lift === 'not at all' && 'stays on tape',
    sheet.stick === 'not at all' && 'does not stick',
    looks.failed > 0 && looks.failed * 2 >= looks.pieces && 'did not last',
  ];
  const isTimed = cutSeconds !== null || weedSeconds !== null;
  return {
    id,
    isFilled,
    lost,
    faults: faults.filter((fault): fault is SideFault => fault !== false),
    perGood: isTimed && good > 0 ? tellPerGood({ cut: cutSeconds ?? 0, weed: weedSeconds ?? 0, pieces, good }) : null,
  };
}

type Spent = { readonly cut: number; readonly weed: number; readonly pieces: number; readonly good: number };

const tellPerGood = ({ cut, weed, pieces, good }: Spent): Figure =>
  figure('A good piece', (cut + weed) / good, 's', 'measured', {
    how: '(cutting + weeding) ÷ pieces that came out well',
    parts: [
      figure('Cutting', cut, 's', 'measured'),
      figure('Weeding', weed, 's', 'measured'),
      figure('Made', pieces, 'count', 'measured'),
      figure('Came out well', good, 'count', 'measured'),
    ],
  });

function findVerdict(sides: readonly JudgedSide[]): SideVerdict {
  const missing = sides.filter(({ isFilled }) => !isFilled).length;
  if (missing > 0) return { kind: 'not-filled', missing };
  const sound = sides.filter(({ faults }) => faults.length === 0);
  if (sound.length === 0) return { kind: 'none' };
  const timed = sound
    .flatMap(({ id, perGood }) => (perGood ? [{ id, seconds: perGood.value }] : []))
    .sort((a, b) => a.seconds - b.seconds);
  if (timed.length < sound.length && sound.length > 1) return { kind: 'untimed', ids: listLeastLost(sound) };
  const [first, second] = timed;
  if (!first || !second) return { kind: 'best', id: sound[0]!.id, ahead: null };
  const even = timed.filter(({ seconds }) => seconds <= first.seconds * (1 + EVEN_WITHIN));
  if (even.length > 1) return { kind: 'even', ids: even.map(({ id }) => id) };
  return { kind: 'best', id: first.id, ahead: second.seconds / first.seconds - 1 };
}

function listLeastLost(sides: readonly JudgedSide[]): readonly number[] {
  const least = Math.min(...sides.map(({ lost }) => lost));
  return sides.filter(({ lost }) => lost === least).map(({ id }) => id);
}
