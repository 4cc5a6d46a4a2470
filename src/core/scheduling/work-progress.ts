// How far a piece of work at the bench is, and the clocks that count down for it: a press that is closed, a carrier that
// cools. Instants are the server's.

import type { Peel } from '../materials';
import { fail, groupBy, MS_PER_S, succeed, type Result } from '../units';

/** Counts down `seconds` from `startedAtMs`. */
export type StepClock = {
  /** Names it among the clocks of its work. */
  readonly key: string;
  /** What ends with it, in words: "Press: Tarn Cool, white". */
  readonly label: string;
  readonly seconds: number;
  /** Epoch ms. */
  readonly startedAtMs: number;
  /** Of a full press, how it was to be; left out for all else. */
  readonly press?: PressWish | null;
};
type PressWish = Pick<PressUse, 'vinylName' | 'plannedC' | 'peel'>;
/** A full press: how it was to be, and how it was. */
export type PressUse = {
  readonly vinylName: string;
  readonly plannedC: number;
  /** As the press told when it closed; null where nobody could read it. */
  readonly readC: number | null;
  readonly seconds: number;
  readonly peel: Peel;
};
export type WorkProgress = {
  /** Of the instructions so many are done. */
  readonly at: number;
  readonly clocks: readonly StepClock[];
  /** Of pieces that are being weeded, the groups of cavities that are out. Left out while nobody counts. */
  readonly weeded?: readonly Weeded[];
  /** Full presses so far, as they really were. Left out before the first. */
  readonly presses?: readonly PressUse[];
};
/** `piece`: of the batch, from 0; `groups`: by their place in the picture of its layer. */
type Weeded = { readonly piece: number; readonly groups: readonly number[] };
export const NO_PROGRESS: WorkProgress = { at: 0, clocks: [] };

/** From where to where, with the clocks that begin and end by it. */
export type ProgressStep = {
  readonly from: number;
  readonly to: number;
  readonly start: readonly Omit<StepClock, 'startedAtMs'>[];
  readonly stop: readonly string[];
  /** Of one piece, all that is out of it now. */
  readonly weeded?: Weeded | null;
};

/**
 * The work one step on, or back. A clock that begins anew takes the place of the one it was. Problem `moved`: another
 * window was faster; nothing is done twice. `readC`: of the press at this moment; null where nobody can read it.
 */
export function takeProgress(
  before: WorkProgress,
  { from, to, start, stop, weeded = null }: ProgressStep,
  atMs: number,
  readC: number | null = null,
): Result<WorkProgress, { readonly kind: 'moved'; readonly at: number }> {
  if (before.at !== from) return fail({ kind: 'moved', at: before.at });
  const others = (before.weeded ?? []).filter(({ piece }) => piece !== weeded?.piece);
  const counted = weeded ? [...others, weeded] : (before.weeded ?? []);
  const pressed = [...(before.presses ?? []), ...listPresses(start, readC)].slice(-MOST_PRESSES);
  const ended = new Set([...stop, ...start.map(({ key }) => key)]);
  return succeed({
    at: Math.max(0, to),
    clocks: [
      ...before.clocks.filter(({ key }) => !ended.has(key)),
      ...start.map((clock) => ({ ...clock, startedAtMs: atMs })),
    ],
    ...(counted.length > 0 ? { weeded: counted } : {}),
    ...(pressed.length > 0 ? { presses: pressed } : {}),
  });
}

const listPresses = (start: ProgressStep['start'], readC: number | null): readonly PressUse[] =>
  start.flatMap(({ press, seconds }) => (press ? [{ ...press, seconds, readC }] : []));
/** A stretch of work has a few hundred at the most. */
const MOST_PRESSES = 2000;

/** Seconds that are left, 0 at the least; and by how much it is over. A clock of the computer set back adds nothing. */
export function readClock(
  { startedAtMs, seconds }: Pick<StepClock, 'startedAtMs' | 'seconds'>,
  nowMs: number,
): { readonly leftS: number; readonly overS: number } {
  const gone = Math.max(0, (nowMs - startedAtMs) / MS_PER_S);
  return { leftS: Math.max(0, seconds - gone), overS: Math.max(0, gone - seconds) };
}

/** Longer than so many times what was calculated, and by more than so many seconds, nobody works at one batch. */
const FORGOTTEN_TIMES = 3;
const FORGOTTEN_MORE_S = 30 * 60;

/** Whether a clock was most likely left running: its minutes are asked about before they are kept. */
export const isForgotten = (goneS: number, usualS: number): boolean =>
  goneS > usualS * FORGOTTEN_TIMES && goneS > usualS + FORGOTTEN_MORE_S;

/** Presses of one vinyl that were to be alike, told together. */
export type PressesTogether = Omit<PressUse, 'readC'> & {
  readonly count: number;
  /** Coldest and hottest that was read; null where nothing was. */
  readonly read: { readonly lowC: number; readonly highC: number } | null;
};

export const sumPresses = (presses: readonly PressUse[]): readonly PressesTogether[] =>
  [...groupBy(presses, ({ readC: _, ...use }) => JSON.stringify(use)).values()].map((alike) => {
    const { readC: _, ...use } = alike[0]!;
    const read = alike.flatMap(({ readC }) => readC ?? []);
    return {
      ...use,
      count: alike.length,
      read: read.length > 0 ? { lowC: Math.min(...read), highC: Math.max(...read) } : null,
    };
  });
