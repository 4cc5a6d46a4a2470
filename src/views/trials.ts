// Trials as they are shown. Types only.

import type { DesignClass, DetailFloor } from '../core/artwork';
import type { GuessGroup, GuessProblem, GuessReason, GuessSum, Tested } from '../core/estimating';
import type { Fabric, Grade, ShopFigureKey } from '../core/materials';
import type { LookKind } from '../core/pressing';
import type { LaterLook, LookReason } from '../core/scheduling';
import type { CutSetting, FigureChoice, TestResult } from '../core/cutting';
import type { Station } from '../core/orders';
import type {
  BeliefSource,
  FineResult,
  Ladder,
  LadderVerdict,
  SideAxis,
  SideClock,
  SideFault,
  SideSheet,
  SideVerdict,
  TriedWidth,
  TrustVerdict,
} from '../core/trials';
import type { Figure } from '../core/units';

type TriedLot = { readonly id: number; readonly code: string | null; readonly remark: string };
export type LadderRow = {
  readonly id: number;
  readonly vinylName: string;
  readonly colourHex: string;
  readonly lot: TriedLot | null;
  readonly verdict: LadderVerdict;
  readonly cuts: number;
  readonly cleanSetting: CutSetting | null;
  readonly presetName: string | null;
  readonly startedAtMs: number;
};

/** The machine, and the figure it has in hand. */
type LadderCutterView = {
  readonly name: string;
  readonly isSimulated: boolean;
  readonly isOn: boolean;
  readonly pace: 1 | 60;
  readonly job: {
    readonly state: 'cutting' | 'paused' | 'done' | 'stopped';
    readonly secondsLeft: number;
    readonly looks: TestResult | null;
  } | null;
};

export type LadderView = Omit<Ladder, 'best'> & {
  readonly id: number;
  readonly vinylId: number;
  readonly vinylName: string;
  readonly colourHex: string;
  readonly lot: TriedLot | null;
  readonly figure: FigureChoice;
  /** Of a drawing of one's own. */
  readonly figureName: string | null;
  readonly sideMm: number;
  readonly enough: number;
  readonly startFrom: BeliefSource;
  readonly startGrams: number;
  readonly setting: CutSetting;
  readonly cuts: readonly { readonly setting: CutSetting; readonly result: TestResult; readonly atMs: number }[];
  /** Cuts that fit the others badly, by their place among those made like the present setting. */
  readonly doubts: readonly number[];
  readonly fine: FineResult | null;
  readonly cleanSetting: CutSetting | null;
  /** What is tried where the fine design failed. */
  readonly slower: CutSetting | null;
  readonly presetName: string | null;
  readonly byItself: boolean;
  readonly closedAtMs: number | null;
  readonly spent: Figure;
  readonly time: Figure;
  readonly room: Figure | null;
  readonly cutter: LadderCutterView | null;
  /** What is cut or sent, and not judged yet. */
  readonly cutNow: 'figure' | 'fine' | null;
};

/** What a new one is begun on. */
export type LadderChoices = {
  readonly vinyls: readonly { readonly id: number; readonly name: string }[];
  /** Of the chosen vinyl, the one in use first. */
  readonly lots: readonly TriedLot[];
};

/** What the bench tells of a vinyl with designs of one kind. */
type TrustClass = {
  readonly design: DesignClass;
  readonly tries: number;
  readonly failures: number;
  /** Of the lot that is cut from next, by that lot and the others. */
  readonly rate: Figure;
  readonly verdict: TrustVerdict;
  /** Of all its lots as one: by that it is bought again or not. */
  readonly asBought: TrustVerdict;
  /** Null for what no lot on the book was cut for. */
  readonly lots: readonly {
    readonly lot: TriedLot | null;
    readonly tries: number;
    readonly failures: number;
    readonly rate: Figure;
  }[];
  /** Of a lot that nobody tried yet. */
  readonly next: Figure;
  /** How far lots lie apart. */
  readonly spread: number;
};
export type TrustRow = {
  readonly vinylId: number;
  readonly vinylName: string;
  readonly colourHex: string;
  /** The seller's last word, and why; empty where nothing was written. */
  readonly grade: Grade;
  readonly gradeNote: string;
  readonly classes: readonly TrustClass[];
  /** On the shelf, and cut of by nobody yet: not to be sold from before it was tried. */
  readonly untried: readonly TriedLot[];
};

/** How fine a vinyl holds, by what was cut of it at which width. */
export type FloorRow = {
  readonly vinylId: number;
  readonly vinylName: string;
  readonly colourHex: string;
  readonly tried: readonly TriedWidth[];
  readonly floor: Figure;
  /** Its likely range is narrow enough to calculate with. */
  readonly isKnown: boolean;
  /** What is calculated with now, and what is kept of the vinyl itself: null for what its kind ordinarily holds. */
  readonly now: DetailFloor;
  readonly kept: KeptFloor;
  /** What would be kept. */
  readonly proposed: DetailFloor;
};
export type KeptFloor = { readonly strokeMm: number | null; readonly gapMm: number | null };

/** How good the estimates are, of the work that was done last. */
export type GuessesView = {
  /** Null where nothing counts. */
  readonly all: GuessSum | null;
  readonly groups: readonly GuessGroup[];
  /** Why each station is guessed as well or badly as it is, the worst first. */
  readonly reasons: readonly GuessReason<Station>[];
  readonly points: readonly { readonly station: Station; readonly atMs: number; readonly ratio: number }[];
  readonly leftOut: readonly { readonly problem: GuessProblem; readonly count: number }[];
};

export type SideRow = {
  readonly id: number;
  readonly name: string;
  readonly axis: SideAxis;
  readonly names: readonly string[];
  readonly verdict: SideVerdict;
  /** Of those that the verdict names, in its order. */
  readonly best: readonly string[];
  readonly startedAtMs: number;
};

export type SideCandidateView = {
  readonly id: number;
  /** Of its vinyl and lot, or of what is compared. */
  readonly name: string;
  readonly vinylId: number;
  readonly vinylName: string;
  readonly colourHex: string;
  readonly lot: TriedLot | null;
  readonly setting: CutSetting | null;
  readonly sheet: SideSheet;
  readonly isFilled: boolean;
  readonly clock: { readonly what: SideClock; readonly sinceMs: number } | null;
  readonly faults: readonly SideFault[];
  readonly perGood: Figure | null;
};

export type SideView = {
  readonly id: number;
  readonly name: string;
  readonly axis: SideAxis;
  readonly artworkId: number;
  readonly artworkName: string;
  readonly pictureHref: string;
  readonly widthMm: number;
  readonly heightMm: number;
  readonly design: DesignClass;
  readonly pieces: number;
  readonly fabric: Fabric;
  readonly candidates: readonly SideCandidateView[];
  readonly verdict: SideVerdict;
  /** An item that the drawing is on, to compare what its vinyls cost; null where there is none. */
  readonly itemId: number | null;
  readonly startedAtMs: number;
  readonly closedAtMs: number | null;
  readonly nowMs: number;
  /** ISO day. */
  readonly today: string;
};

/** Something pressed that is to be looked at. */
export type LaterRow = {
  readonly id: number;
  readonly what: string;
  readonly vinylName: string;
  readonly colourHex: string;
  readonly fabric: Fabric;
  readonly pieces: number;
  readonly reason: LookReason;
  readonly washes: number;
  /** ISO day. */
  readonly dueDay: string;
  readonly orderId: number | null;
};
/** One that is planned, and what was seen where somebody looked. */
export type LaterSeen = LaterRow & {
  readonly seen: { readonly kind: LookKind; readonly day: string; readonly note: string } | null;
};

/** Of an order or a candidate: what is planned and was seen, and what could be. */
export type LaterPlan = { readonly later: readonly LaterSeen[]; readonly proposed: readonly LaterLook[] };

/** What is counted of tapes, mats and tools. */
export type LabelRow = {
  readonly axis: SideAxis;
  readonly label: string;
  readonly tries: number;
  readonly failures: number;
  readonly rate: Figure;
};

/** A figure of the shop as the log would have it. */
export type LearnedFigure = { readonly key: ShopFigureKey; readonly was: number; readonly now: Figure };
export type LearnedFactor = {
  readonly vinylId: number;
  readonly name: string;
  readonly colourHex: string;
  readonly was: number;
  readonly now: Figure;
};
/** What one takes against what is calculated. */
export type LearnedPace = {
  readonly personId: number;
  readonly name: string;
  readonly was: number;
  readonly now: Figure;
};
export type LearnedStation = {
  readonly station: 'cut' | 'weed' | 'press';
  /** That count, and that were left out by rule. */
  readonly logs: number;
  readonly leftOut: number;
  /** Nothing while too few logs count. */
  readonly figures: readonly LearnedFigure[];
  readonly factors: readonly LearnedFactor[];
  /** Of each who works here, where there are several. */
  readonly people: readonly LearnedPace[];
  /** What nine in ten jobs take, as shares of what is calculated. */
  readonly bands: readonly LearnedFigure[];
  readonly tested: Tested | null;
  /** What nine in ten jobs take that are calculated at an hour with it, seconds. */
  readonly hour: { readonly low: number; readonly high: number } | null;
  /** When it was taken into the shop's figures; null where it is not. */
  readonly takenAtMs: number | null;
};
export type LearnedView = { readonly stations: readonly LearnedStation[]; readonly leastLogs: number };

export type TrialsView = {
  readonly open: readonly LadderRow[];
  readonly closed: readonly LadderRow[];
  readonly sides: readonly SideRow[];
  readonly labels: readonly LabelRow[];
  /** Whether older ones are left. */
  readonly more: boolean;
};
