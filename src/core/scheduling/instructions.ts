// What is to be done at a station, one thing after another: data, put into words elsewhere.

import { listApplyParts, orderPressRun, type PressPlan, type PressStep } from '../pressing';
import type { Station } from '../orders';

/** At the cutter, all pieces at one time. */
export type CutInstruction = {
  readonly kind: 'load' | 'width' | 'test-cut' | 'cut' | 'cut-off';
  readonly piece: null;
  /** Of a saved load, as it is numbered there; null where parts are cut without one. */
  readonly sheet: number | null;
};
/** `piece`: which one of the batch it is about, from 0; null for all of it. */
export type Instruction =
  | CutInstruction
  | { readonly kind: 'weed' | 'read' | 'look' | 'pack'; readonly piece: number }
  | {
      readonly kind: 'press';
      readonly piece: number;
      readonly step: PressStep;
      /** Names its clock among those of the batch. */
      readonly key: string;
      /** Counted down while it lasts; null for what takes as long as it takes. */
      readonly clockS: number | null;
      /** What begins to cool by itself as soon as this is done. */
      readonly cools: { readonly key: string; readonly step: PressStep } | null;
      /** The clock that has to have run out before this is done. */
      readonly after: string | null;
    };
type PressInstruction = Extract<Instruction, { readonly kind: 'press' }>;

/** `hasTexts`: of each piece or part of the batch, whether it says something. `plan`: null where nothing is pressed. */
export type BatchFacts = {
  readonly hasTexts: readonly boolean[];
  readonly plan: PressPlan | null;
  /** Of a saved load; left out where parts are cut without one. */
  readonly sheets?: readonly SheetAtCutter[] | null;
};
type SheetAtCutter = { readonly sheet: number; readonly needsTest: boolean };

export function listInstructions(station: Station, { hasTexts, plan, sheets }: BatchFacts): readonly Instruction[] {
  switch (station) {
    case 'cut':
      return (sheets ?? [{ sheet: null, needsTest: true }]).flatMap(listCutting);
    case 'weed':
      return hasTexts.map((_, piece) => ({ kind: 'weed', piece }));
    case 'press':
      return plan ? listPressing(plan.steps, hasTexts.length) : [];
    case 'check':
      return hasTexts.flatMap((says, piece) =>
        (says ? (['read', 'look', 'pack'] as const) : (['look', 'pack'] as const)).map((kind) => ({ kind, piece })),
      );
    default:
      return station satisfies never;
  }
}

/** A sheet is finished before the next is loaded. */
function listCutting({ sheet, needsTest }: { readonly sheet: number | null; readonly needsTest: boolean }) {
  const kinds = ['load', 'width', ...(needsTest ? (['test-cut'] as const) : []), 'cut', 'cut-off'] as const;
  return kinds.map((kind) => ({ kind, piece: null, sheet }));
}

/** While the press is closed, or a piece is waited for. */
const COUNTED: ReadonlySet<PressStep['kind']> = new Set(['pre-press', 'tack', 'press', 're-press', 'wait']);
const keyOf = (piece: number, step: number): string => `${piece}.${step}`;

function listPressing(plan: readonly PressStep[], pieces: number): readonly PressInstruction[] {
  const { steps } = orderPressRun(plan, pieces);
  return steps.flatMap(({ piece, step }): readonly PressInstruction[] => {
    const own = plan[step]!;
    const next = plan[step + 1];
    const before = plan[step - 1];
    const told = own.kind === 'apply' ? listSticking(own, piece, pieces) : [own];
    return told.map((one) => ({
      kind: 'press',
      piece,
      step: one,
      key: keyOf(piece, step),
      clockS: COUNTED.has(own.kind) ? own.seconds : null,
      cools: next?.kind === 'wait' ? { key: keyOf(piece, step + 1), step: next } : null,
      after: before?.kind === 'wait' ? keyOf(piece, step - 1) : null,
    }));
  });
}

/** Part by part, with the tape of the piece before as often as it serves: those of a batch are equal. */
function listSticking(step: PressStep, piece: number, pieces: number): readonly PressStep[] {
  const of = Math.max(1, Math.floor(step.tapeUses ?? 1));
  const use = (piece % of) + 1;
  const tapeUse = { use, of, isLast: use === of || piece === pieces - 1 };
  return listApplyParts(step).map((apply) => ({ ...step, apply, tapeUse }));
}

/** Pieces of which all is done after so many instructions; those of a batch that is done as a whole at its end. */
export function listDonePieces(instructions: readonly Instruction[], at: number): readonly number[] {
  const left = new Set(instructions.slice(at).map(({ piece }) => piece));
  const all = new Set(instructions.map(({ piece }) => piece));
  return [...all].flatMap((piece) => (piece === null || left.has(piece) || left.has(null) ? [] : [piece]));
}
