// A load on the cutter, as the bench shows it. Types only.

import type { CutSetting, CutterFault, NextTry, TestCut, TestReason, WidthVerdict } from '../core/cutting';
import type { LeftoverKind } from '../core/nesting';
import type { LoadFacts } from '../core/orders';
import type { LotForm } from '../core/stock';

type Outline = readonly { readonly x: number; readonly y: number }[];

/** One sheet of it: as it lies, x across the stock and y along it, mm. */
export type LoadSheetView = {
  readonly sheet: number;
  readonly lot: {
    readonly lotId: number;
    readonly form: LotForm;
    readonly code: string | null;
    readonly remark: string;
    readonly widthMm: number;
    readonly lengthMm: number | null;
    readonly left: number;
  };
  readonly facts: LoadFacts;
  readonly stock: Outline;
  readonly spoiledSpots: readonly Outline[];
  readonly pieces: readonly { readonly outline: Outline; readonly tag: string }[];
  /** What the knife follows, in its order, thinned for the eye; as SVG path data. */
  readonly lines: readonly string[];
  readonly testSpots: readonly { readonly x: number; readonly y: number }[];
  /** What of it may be saved, the way that is worth most first. */
  readonly leftovers: readonly {
    readonly kind: LeftoverKind;
    readonly pieces: readonly Outline[];
    readonly areaMm2: number;
  }[];
};

/** How far a sheet is. */
export type SheetCutView = {
  readonly sheet: number;
  readonly state: 'waiting' | 'loaded' | 'sent' | 'cut' | 'stopped';
  readonly setting: CutSetting;
  readonly testReasons: readonly TestReason[];
  readonly tests: readonly TestCut[];
  /** What follows from them; null before the first. */
  readonly next: NextTry | null;
  readonly expectedWidthMm: number | null;
  readonly readWidthMm: number | null;
  /** Null while nothing was read. */
  readonly verdict: WidthVerdict | null;
  readonly shiftMm: number;
  readonly lines: number;
  readonly linesDone: number;
  readonly fault: CutterFault | null;
};

export type CutterView = {
  readonly name: string;
  readonly isSimulated: boolean;
  readonly isOn: boolean;
  /** Sixty times as fast, where it is simulated. */
  readonly pace: 1 | 60;
  readonly job: {
    /** The figure of a test cut, or the load. */
    readonly of: 'test' | 'load';
    /** Which of the sheet’s test cuts it is, from 0; null for the load. */
    readonly test: number | null;
    readonly sheet: number;
    readonly state: 'cutting' | 'paused' | 'done' | 'stopped';
    readonly lines: number;
    readonly linesDone: number;
    readonly secondsLeft: number;
    /** Where the knife is on the stock; null where it isn’t known. */
    readonly at: { readonly x: number; readonly y: number } | null;
    /** How the cut looks, where a simulated machine tells it. */
    readonly looks: TestCut['result'] | null;
  } | null;
};

/** What changes while it is cut; asked for again and again. */
export type LoadStateView = {
  readonly sheets: readonly SheetCutView[];
  /** Null where none is connected: files are taken to it by hand. */
  readonly cutter: CutterView | null;
};

/** All of it, asked for once. */
export type LoadView = LoadStateView & {
  readonly savedId: number;
  readonly savedVersion: number;
  readonly plans: readonly LoadSheetView[];
};
