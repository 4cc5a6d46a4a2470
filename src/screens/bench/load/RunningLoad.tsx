// A saved load at the cutter: sheet by sheet, one thing at a time, with the machine's own doing in it.

import Button from '@mui/material/Button';
import { useState } from 'react';
import type { CutSetting } from '../../../core/cutting';
import type { CutInstruction, Instruction, ProgressStep } from '../../../core/scheduling';
import { formatClock, formatDuration, MS_PER_S } from '../../../core/units';
import type { BenchPartView, BenchView } from '../../../views/bench';
import type { RunningSession } from '../../../views/frame';
import { Failure } from '../../shared/Failure';
import { useKeys } from '../../shared/keys';
import { useSettings } from '../../shared/settings';
import type { StopWork } from '../RunningBatch';
import { useBatchRun, type BatchRun } from '../use-batch-run';
import { CutterBar } from './CutterBar';
import { makeLoadStep, type LoadStep } from './load-step';
import type { StepProps } from './step-props';
import { useLoad, type LoadAtCutter } from './use-load';

type Props = {
  readonly view: BenchView;
  readonly parts: readonly BenchPartView[];
  readonly running: RunningSession;
  readonly nowMs: number;
  readonly pending: boolean;
  readonly onProgress: (step: ProgressStep) => void;
  readonly onStop: StopWork;
  readonly onLoadDone: () => void;
};

export function RunningLoad({ view, parts, running, nowMs, pending, onProgress, onStop, onLoadDone }: Props) {
  const settings = useSettings();
  const run = useBatchRun({ station: 'cut', view, parts, running, nowMs, onProgress });
  const at = useLoad(running.id, onLoadDone);
  const { vinylId, vinylName } = parts[0]!;
  const step = useLoadStep(run, at, { id: vinylId, name: vinylName });
  const isBusy = pending || at.pending;
  const goOn = () => {
    if (!step?.mayGoOn) return;
    if (!run?.forward()) at.book();
  };
  useKeys('Step', [
    { keys: 'Space', shown: 'Space', does: 'next', run: () => !isBusy && takeMain(step, goOn) },
    { keys: 'b', shown: 'B', does: 'back one step', run: () => run?.back() },
  ]);
  return (
    <>
      {at.failure && (
        <Failure>
          {at.failure} <Button onClick={at.retry}>Try again</Button>
        </Failure>
      )}
      {!at.load && !at.failure && <p className="soft">Making the load ready for the cutter…</p>}
      {run && step && <LoadStepCard run={run} step={step} disabled={isBusy} onGoOn={goOn} />}
      {!run && at.load && <AllCut disabled={isBusy} onBook={() => at.book()} />}
      <p className="soft flat above-4 text-large" role="timer" aria-label="Time on this batch">
        <strong className="figures">{formatClock((nowMs - running.startedAtMs) / MS_PER_S)}</strong> on this load, about{' '}
        {formatDuration(running.estimateSeconds, settings)} calculated
      </p>
      <div className="bench-actions small-actions">
        <Button disabled={isBusy} onClick={() => onStop(running, 'paused')}>
          Stop, not done
        </Button>
        <Button variant="text" disabled={isBusy} onClick={() => onStop(running, 'discarded')}>
          Drop these minutes
        </Button>
      </div>
      {at.load && <CutterBar at={at} cutter={at.load.cutter} />}
      {at.dialog}
    </>
  );
}

/** What the space bar does: the step’s own action, else the next step; never what is better said with a click. */
function takeMain(step: LoadStep | null, goOn: () => void): void {
  if (step?.action) step.action.run();
  else if (step && step.goOn === null) goOn();
}

const isAtCutter = (instruction: Instruction): instruction is CutInstruction => 'sheet' in instruction;

/** The setting that is tried goes on from what the tests say, until another one is typed. */
function useLoadStep(run: BatchRun | null, at: LoadAtCutter, vinyl: StepProps['vinyl']): LoadStep | null {
  const [typed, setTyped] = useState<{ readonly key: string; readonly setting: CutSetting } | null>(null);
  const instruction = run && isAtCutter(run.instruction) ? run.instruction : null;
  const now = at.load?.sheets.find(({ sheet }) => sheet === instruction?.sheet);
  if (!instruction || !at.load || !now) return null;
  const key = `${now.sheet} ${now.tests.length}`;
  const proposed = now.next?.kind === 'try' ? now.next.setting : now.setting;
  const setting = typed?.key === key ? typed.setting : proposed;
  const onSetting = (changed: CutSetting) => setTyped({ key, setting: changed });
  return makeLoadStep(instruction, at.load, { at, setting, onSetting, vinyl });
}

type CardProps = {
  readonly run: BatchRun;
  readonly step: LoadStep;
  readonly disabled: boolean;
  readonly onGoOn: () => void;
};

function LoadStepCard({ run, step, disabled, onGoOn }: CardProps) {
  const { action, mayGoOn, goOn } = step;
  const isMain = !action && goOn === null;
  const space = <small className="hide-small">&ensp;space</small>;
  return (
    <div className="step-card with-panel">
      <p className="soft flat">
        {run.at + 1} of {run.count}
      </p>
      <p className="step-what flat" aria-live="polite">
        {run.said.what}
      </p>
      {step.panel}
      <div className="bench-actions">
        {action && (
          <Button variant="contained" disabled={disabled} onClick={action.run}>
            {action.label}
            {space}
          </Button>
        )}
        <Button variant={isMain ? 'contained' : 'outlined'} disabled={disabled || !mayGoOn} onClick={onGoOn}>
          {goOn ?? (run.next ? 'Next' : 'Book the load')}
          {isMain && space}
        </Button>
        <Button variant="text" disabled={disabled || run.at === 0} onClick={run.back}>
          Back
        </Button>
      </div>
      {run.next && <p className="soft flat above-3">Then: {run.next}</p>}
    </div>
  );
}

/** Every step is behind it; it was not booked yet. */
function AllCut({ disabled, onBook }: { readonly disabled: boolean; readonly onBook: () => void }) {
  return (
    <>
      <p className="step-what flat">All of it is cut</p>
      <div className="bench-actions">
        <Button variant="contained" disabled={disabled} onClick={onBook}>
          Book the load
        </Button>
      </div>
    </>
  );
}
