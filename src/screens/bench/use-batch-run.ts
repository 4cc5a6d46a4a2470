// One thing after another: where a batch in work is, its clocks, and a step on or back.

import { useMemo } from 'react';
import type { Station } from '../../core/orders';
import {
  listDonePieces,
  listInstructions,
  readClock,
  type Instruction,
  type ProgressStep,
} from '../../core/scheduling';
import { groupBy } from '../../core/units';
import type { BenchPartView, BenchView } from '../../views/bench';
import type { RunningSession } from '../../views/frame';
import { describeInstruction, type SaidInstruction } from '../../wording/instructions';
import { useSettings } from '../shared/settings';

type Wish = {
  readonly station: Station;
  readonly view: BenchView;
  readonly parts: readonly BenchPartView[];
  readonly running: RunningSession;
  readonly nowMs: number;
  readonly onProgress: (step: ProgressStep) => void;
};

export type BatchRun = {
  readonly at: number;
  readonly count: number;
  readonly instruction: Instruction;
  readonly said: SaidInstruction;
  /** The piece it is about; null for all of them. */
  readonly piece: BenchPartView | null;
  readonly next: string | null;
  /** Seconds that are left of its own clock, and by how much it is over; null while that does not run. */
  readonly clock: { readonly leftS: number; readonly overS: number } | null;
  /** Seconds that what is to be done now should cool yet. */
  readonly coolsS: number;
  /** Parts of pieces of which all is done. */
  readonly donePartIds: readonly number[];
  readonly begin: () => void;
  /** False where this was the last. */
  readonly forward: () => boolean;
  readonly back: () => void;
};

/** With which setting it is cut without a load; null at any other work. */
export const findHandSetting = ({ byHand }: RunningSession, pieces: readonly BenchPartView[]) =>
  byHand.find(({ vinylId }) => vinylId === pieces[0]?.vinylId) ?? null;

/** Null where nothing is to be said of it, or all of it is done. */
export function useBatchRun({ station, view, parts, running, nowMs, onProgress }: Wish): BatchRun | null {
  const settings = useSettings();
  const byPiece = station === 'press' || station === 'check';
  const groups = useMemo(
    () => [...groupBy(parts, (part) => (byPiece ? part.pieceId : part.partId)).values()],
    [parts, byPiece],
  );
  const line = view.lines.find((one) => one.lineId === parts[0]?.lineId);
  const pieces = groups.map((group) => group[0]!);
  const plan = line?.plan ?? null;
  const says = JSON.stringify(pieces.map(({ texts }) => texts.length > 0));
  const instructions = useMemo(
    () => listInstructions(station, { hasTexts: JSON.parse(says) as boolean[], plan, sheets: running.load }),
    [station, says, plan, running.load],
  );
  const { at, clocks } = running.progress;
  const instruction = instructions[at];
  if (!instruction) return null;
  const say = (one: Instruction) =>
    describeInstruction(
      one,
      {
        ...{ pieces, line, vinyls: view.vinyls, sheetCount: running.load?.length ?? 1 },
        setting: findHandSetting(running, pieces)?.setting,
      },
      settings,
    );
  const said = say(instruction);
  const press = instruction.kind === 'press' ? instruction : null;
  const find = (key: string | null | undefined) => clocks.find((clock) => clock.key === key);
  const own = find(press?.key);
  const cooling = find(press?.after);
  const move = (to: number, more: Partial<ProgressStep>) => onProgress({ from: at, to, start: [], stop: [], ...more });
  const before = instructions[at - 1];
  const next = instructions[at + 1];
  return {
    at,
    count: instructions.length,
    instruction,
    said,
    piece: instruction.piece === null ? null : (pieces[instruction.piece] ?? null),
    next: next ? `${say(next).what}${sayPiece(next, instruction, pieces)}` : null,
    clock: own ? readClock(own, nowMs) : null,
    coolsS: cooling ? readClock(cooling, nowMs).leftS : 0,
    donePartIds: listDonePieces(instructions, at).flatMap((piece) => groups[piece]!.map(({ partId }) => partId)),
    begin: () =>
      press?.clockS &&
      move(at, { start: [{ key: press.key, label: said.what, seconds: press.clockS, press: wishOf(press) }] }),
    forward: () => {
      if (!next) return false;
      const cools = press?.cools;
      move(at + 1, {
        stop: [press?.key, press?.after].flatMap((key) => key ?? []),
        start: cools
          ? [{ key: cools.key, label: `Cools: ${nameOf(pieces[press.piece])}`, seconds: cools.step.seconds }]
          : [],
      });
      return true;
    },
    back: () => at > 0 && move(at - 1, { stop: before?.kind === 'press' ? [before.key] : [] }),
  };
}

/** Where it is another piece than the one in hand. */
function sayPiece({ piece }: Instruction, now: Instruction, pieces: readonly BenchPartView[]): string {
  return piece === null || piece === now.piece ? '' : `, piece ${pieces[piece]?.pieceNumber}`;
}

/** Of a full press, how it is to be: the log keeps how it was. */
function wishOf({ step, cools }: Extract<Instruction, { readonly kind: 'press' }>) {
  const { kind, vinylName, temperatureC } = step;
  if (kind !== 'press' || vinylName === undefined || temperatureC === undefined) return null;
  return { vinylName, plannedC: temperatureC, peel: cools?.step.peel ?? 'hot' } as const;
}

const nameOf = (part: BenchPartView | undefined): string =>
  part ? [`piece ${part.pieceNumber}`, ...part.texts].join(' ') : 'a piece';
