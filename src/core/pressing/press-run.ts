// Several pieces at one press: which hand goes where next, so that a piece that cools is not waited for.

import { figure, SECONDS_PER_HOUR, type Figure } from '../units';
import type { PressStep } from './press-step';

/** One thing to do: a step of a piece, both from 0. `startS` and `endS`: seconds from the beginning of the run. */
type RunStep = {
  readonly piece: number;
  readonly step: number;
  readonly startS: number;
  readonly endS: number;
};
export type PressRun = {
  /** In the order they are done; what cools beside other work is no step of its own. */
  readonly steps: readonly RunStep[];
  readonly seconds: number;
  /** Pieces an hour at this pace; 0 for a run of none. */
  readonly perHour: number;
  /** So many pieces cool at one time at most: places to lay them. */
  readonly restingPlaces: number;
};

/** Steps that follow one another with hands on the piece, and how long it cools after them. */
type Block = { readonly steps: readonly number[]; readonly coolS: number };

/** What is peeled hand-cool may cool longer; what is peeled warm may not. */
const mayRest = (step: PressStep): boolean => step.kind === 'wait' && step.peel === 'cold';

/** Beside most presses there is room for so many. */
const USUAL_PLACES = 2;

/**
 * Pieces of one plan, one after another; while one cools, the next is laid on, as long as there is a place to rest one.
 * One press and one pair of hands. A wait for a warm peel is sat out, for it can't be late.
 */
export function orderPressRun(plan: readonly PressStep[], pieces: number, places = USUAL_PLACES): PressRun {
  const blocks = splitBlocks(plan);
  const done = Array<number>(pieces).fill(0);
  const coolAt = Array<number>(pieces).fill(0);
  const steps: RunStep[] = [];
  let nowS = 0;
  const spend = (piece: number, step: number, seconds: number) => {
    steps.push({ piece, step, startS: nowS, endS: nowS + seconds });
    nowS += seconds;
  };
  for (let piece = choosePiece(done, coolAt, blocks.length, places); piece !== -1;) {
    // Nothing else is to be done: its cooling is waited for, and that is a step by itself.
    if (coolAt[piece]! > nowS) spend(piece, blocks[done[piece]! - 1]!.steps.at(-1)! + 1, coolAt[piece]! - nowS);
    const { steps: own, coolS } = blocks[done[piece]!]!;
    for (const step of own) spend(piece, step, plan[step]!.seconds);
    done[piece]! += 1;
    coolAt[piece] = nowS + coolS;
    piece = choosePiece(done, coolAt, blocks.length, places);
  }
  const perHour = nowS > 0 ? (pieces * SECONDS_PER_HOUR) / nowS : 0;
  return { steps, seconds: nowS, perHour, restingPlaces: countResting(steps, pieces) };
}

/** How many pieces an hour such a run brings. */
export const tellPace = ({ perHour, seconds }: PressRun, pieces: number): Figure =>
  figure('Pieces an hour', perHour, 'count', 'computed', {
    how: 'pieces ÷ the time at the press, as an hour has it; the next is laid on while one cools',
    parts: [figure('Pieces', pieces, 'count', 'computed'), figure('At the press', seconds, 's', 'computed')],
  });

/** The steps of a plan, parted where a piece may rest. */
function splitBlocks(plan: readonly PressStep[]): readonly Block[] {
  const blocks: Block[] = [];
  let steps: number[] = [];
  plan.forEach((step, at) => {
    if (mayRest(step)) {
      blocks.push({ steps, coolS: step.seconds });
      steps = [];
    } else steps.push(at);
  });
  return steps.length > 0 ? [...blocks, { steps, coolS: 0 }] : blocks;
}

/** A new one while there is a place to rest it, else the one that is cool first; -1 where all are done. */
function choosePiece(done: readonly number[], coolAt: readonly number[], blocks: number, places: number): number {
  const open = done.flatMap((count, piece) => (count < blocks ? [piece] : []));
  const begun = open.filter((piece) => done[piece]! > 0).sort((a, b) => coolAt[a]! - coolAt[b]! || a - b);
  const fresh = open.find((piece) => done[piece] === 0);
  return fresh !== undefined && begun.length <= places ? fresh : (begun[0] ?? -1);
}

/** Pieces that lie beside the press at one time: between two of their steps another one has the hands. */
function countResting(steps: readonly RunStep[], pieces: number): number {
  const stretches = Array.from({ length: pieces }, (_, piece) => steps.filter((step) => step.piece === piece)).flatMap(
    (own) =>
      own.slice(1).flatMap((step, at) => (step.startS > own[at]!.endS ? [[own[at]!.endS, step.startS] as const] : [])),
  );
  return Math.max(0, ...stretches.map(([from]) => stretches.filter(([a, b]) => a <= from && from < b).length));
}
