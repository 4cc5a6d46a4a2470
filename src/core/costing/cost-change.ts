// Why a cost is no longer what it was: what it rested on then against what it rests on now.

import { SHARE_NOISE } from '../units';
import type { Figure, Unit } from '../units';
import type { ItemCost } from './item-cost';

type Input = { readonly label: string; readonly value: number; readonly unit: Unit };
/** A cost as it was accepted, with every figure that went into it. */
export type AcceptedCost = {
  readonly atMs: number;
  readonly quantity: number;
  readonly withRisk: number;
  readonly lines: readonly { readonly label: string; readonly total: number }[];
  readonly inputs: readonly Input[];
};

export const toAcceptedCost = (cost: ItemCost, atMs: number): AcceptedCost => ({
  atMs,
  quantity: cost.quantity,
  withRisk: cost.withRisk.value,
  lines: cost.lines.map((line) => ({ label: line.figure.label, total: line.total })),
  inputs: listInputs(cost),
});

/** Figures that are given, not calculated, each once; named after their line where lines differ in them. */
function listInputs(cost: ItemCost): readonly Input[] {
  const found = new Map<string, { readonly line: string; readonly input: Input }[]>();
  for (const line of cost.lines) {
    const seen = new Set<string>();
    for (const leaf of listLeaves(line.figure)) {
      if (leaf.source === 'computed' || seen.has(leaf.label)) continue;
      seen.add(leaf.label);
      found.set(leaf.label, [
        ...(found.get(leaf.label) ?? []),
        { line: line.figure.label, input: { label: leaf.label, value: leaf.value, unit: leaf.unit } },
      ]);
    }
  }
  return [...found.values()].flatMap((uses) => {
    const [first] = uses;
    return uses.every(({ input }) => input.value === first!.input.value)
      ? [first!.input]
      : uses.map(({ line, input }) => ({ ...input, label: `${input.label} (${line})` }));
  });
}

const listLeaves = (of: Figure): readonly Figure[] =>
  of.parts && of.parts.length > 0 ? of.parts.flatMap(listLeaves) : [of];

export type InputChange = {
  readonly label: string;
  readonly was: number | null;
  readonly now: number | null;
  readonly unit: Unit;
};
export type CostChange = {
  readonly was: number;
  readonly now: Figure;
  /** What went into it and is another now. */
  readonly because: readonly InputChange[];
  /** The lines that moved, the most first. */
  readonly lines: readonly {
    readonly label: string;
    readonly was: number;
    readonly now: number;
  }[];
};

/**
 * Null where one costs what it did. Inputs that moved a line are named; those only of the other cost have null on one
 * side.
 */
export function explainChange(accepted: AcceptedCost, cost: ItemCost): CostChange | null {
  if (accepted.withRisk === cost.withRisk.value) return null;
  const before = new Map(accepted.inputs.map((input) => [input.label, input])),
    after = new Map(listInputs(cost).map((input) => [input.label, input]));
  const because = [...new Set([...before.keys(), ...after.keys()])].flatMap((label): InputChange[] => {
    const was = before.get(label)?.value ?? null,
      now = after.get(label)?.value ?? null;
    return was !== null && now !== null && Math.abs(was - now) <= Math.abs(was) * SHARE_NOISE
      ? []
      : [{ label, was, now, unit: (after.get(label) ?? before.get(label)!).unit }];
  });
  const oldLines = new Map(accepted.lines.map((line) => [line.label, line.total])),
    newLines = new Map(cost.lines.map((line) => [line.figure.label, line.total as number]));
  const lines = [...new Set([...oldLines.keys(), ...newLines.keys()])]
    .map((label) => ({ label, was: oldLines.get(label) ?? 0, now: newLines.get(label) ?? 0 }))
    .filter((line) => line.was !== line.now)
    .sort((a, b) => Math.abs(b.now - b.was) - Math.abs(a.now - a.was));
  // What both costs have says more than what only one has.
  const both = because.filter((change) => change.was !== null && change.now !== null);
  return { was: accepted.withRisk, now: cost.withRisk, because: both.length > 0 ? both : because, lines };
}
