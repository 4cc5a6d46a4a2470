// What Chiral needs of a cutter. A driver for a real one fulfils the same; which there is, is chosen in
// server/devices.ts.

import type { CutSetting, CutterFault, TestResult } from '../core/cutting';
import type { VinylKind } from '../core/materials';
import type { Result } from '../core/units';

/** What is put into it, as the book has it: for machines that can't sense it by themselves. */
export type StockInCutter = {
  readonly lotId: number;
  readonly labelWidthMm: number;
  readonly lengthMm: number;
  readonly onMat: boolean;
  readonly kind: VinylKind;
  readonly thicknessUm: number | null;
};

export type CutterJob = {
  /** Of the asker's own; what is read back of a job carries it. */
  readonly id: string;
  /** In the plotter language, y upwards from the origin. */
  readonly program: string;
  /** Lines before this one are cut already. */
  readonly fromLine: number;
  readonly setting: CutSetting;
  /** Of the blade's life that is spent, from 0. */
  readonly bladeWorn: number;
  /** How it slows at corners and lifts between lines, seconds. */
  readonly cornerSeconds: number;
  readonly liftSeconds: number;
};

export type JobState = 'cutting' | 'paused' | 'done' | 'stopped';
export type JobReading = {
  readonly id: string;
  readonly state: JobState;
  readonly fault: CutterFault | null;
  readonly lines: number;
  readonly linesDone: number;
  /** Where the knife is, mm from the origin, y upwards; null where the machine doesn't say. */
  readonly at: { readonly x: number; readonly y: number } | null;
  readonly secondsLeft: number;
  /** Seconds it has really worked. */
  readonly secondsDone: number;
  /** How the cut looks, where the machine can tell: only a simulated one can. */
  readonly looks: TestResult | null;
};
export type CutterReading = {
  readonly isOn: boolean;
  /** The width between the edges of what is loaded, mm; null where it senses nothing. */
  readonly widthMm: number | null;
  /** The last job, running or not. */
  readonly job: JobReading | null;
};

export type CutterRefusal = { readonly kind: 'off' | 'empty' | 'busy' | 'no-job' | 'unreadable' };

export type Cutter = {
  /** As it is shown; a simulated one says so. */
  readonly name: string;
  readonly isSimulated: boolean;
  read(): CutterReading;
  load(stock: StockInCutter): Result<null, CutterRefusal>;
  unload(): void;
  send(job: CutterJob): Result<null, CutterRefusal>;
  /** The knife lifts at the end of its line and waits. */
  pause(): Result<null, CutterRefusal>;
  resume(): Result<null, CutterRefusal>;
  abort(): Result<null, CutterRefusal>;
};
