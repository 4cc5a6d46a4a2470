// The step of weeding one piece: its map, and the next group of cavities to take out.

import type { ReactNode } from 'react';
import type { ProgressStep } from '../../core/scheduling';
import type { BenchView } from '../../views/bench';
import type { RunningSession } from '../../views/frame';
import type { BatchRun } from './use-batch-run';
import { useLineInHand } from './use-bench';
import { readWeeding, WeedPanel } from './WeedPanel';

type Wish = {
  readonly view: BenchView;
  readonly run: BatchRun | null;
  readonly running: RunningSession;
  readonly pending: boolean;
  readonly onProgress: (step: ProgressStep) => void;
};
export type WeedStep = {
  readonly panel: ReactNode;
  /** Null once all of it is out. */
  readonly action: { readonly label: string; readonly run: () => void } | null;
};

/** Null where nothing is weeded, or nothing has to be picked out. */
export function useWeedStep({ view, run, running, pending, onProgress }: Wish): WeedStep | null {
  const isWeeding = run?.instruction.kind === 'weed';
  const part = isWeeding ? run.piece : null;
  // Of names each piece is a drawing of its own.
  const { lines } = useLineInHand(view, part?.lineId);
  const line = lines.find(({ lineId }) => lineId === part?.lineId);
  if (!part || !line || !run || run.instruction.piece === null) return null;
  const { piece } = run.instruction;
  const out = running.progress.weeded?.find((one) => one.piece === piece)?.groups ?? [];
  const weeding = readWeeding(part, line, out);
  if (!weeding || weeding.count.of === 0) return null;
  const keep = (groups: readonly number[]) =>
    onProgress({ from: run.at, to: run.at, start: [], stop: [], weeded: { piece, groups } });
  const { next } = weeding;
  return {
    panel: <WeedPanel part={part} line={line} weeding={weeding} disabled={pending} onOut={keep} />,
    action: next === null ? null : { label: 'Out', run: () => keep([...out, next]) },
  };
}
