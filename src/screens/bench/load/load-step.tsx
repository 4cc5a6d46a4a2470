// One step of a load: what it shows, its own action, and whether the next may follow. Keys and buttons do the same.

import type { ReactNode } from 'react';
import type { CutInstruction } from '../../../core/scheduling';
import type { LoadView } from '../../../views/load';
import { CutStepPanel } from './CutStepPanel';
import { CutOffPanel } from './CutOffPanel';
import { LoadingPanel } from './LoadingPanel';
import { TestPanel } from './TestPanel';
import type { StepProps } from './step-props';
import { WidthPanel } from './WidthPanel';

export type LoadStep = {
  readonly panel: ReactNode;
  /** The main thing to do before the next step; null where there is none left. */
  readonly action: { readonly label: string; readonly run: () => void } | null;
  readonly mayGoOn: boolean;
  /** What going on means, where it is more than the next step. */
  readonly goOn: string | null;
};

/** Null where the load has no such sheet. */
export function makeLoadStep(
  { kind, sheet }: CutInstruction,
  load: LoadView,
  props: Omit<StepProps, 'plan' | 'now' | 'cutter'>,
): LoadStep | null {
  const plan = load.plans.find((one) => one.sheet === sheet);
  const now = load.sheets.find((one) => one.sheet === sheet);
  if (!plan || !now) return null;
  const step: StepProps = { ...props, plan, now, cutter: load.cutter };
  switch (kind) {
    case 'load':
      return { panel: <LoadingPanel {...step} />, action: null, mayGoOn: true, goOn: null };
    case 'width':
      return makeWidthStep(step);
    case 'test-cut':
      return makeTestStep(step);
    case 'cut':
      return makeCutStep(step);
    case 'cut-off':
      return { panel: <CutOffPanel {...step} />, action: null, mayGoOn: true, goOn: null };
    default:
      return kind satisfies never;
  }
}

function makeWidthStep(step: StepProps): LoadStep {
  const { at, now, cutter } = step;
  const isRead = now.verdict !== null && now.verdict !== 'too-narrow';
  const read = () => at.step('width', { sheet: now.sheet });
  return {
    panel: <WidthPanel {...step} />,
    action: cutter && !isRead ? { label: now.verdict ? 'Read it again' : 'Read the width', run: read } : null,
    mayGoOn: isRead,
    goOn: null,
  };
}

/** The figure was cut, and nobody said yet how it came out. */
const awaitsResult = ({ cutter, now }: Pick<StepProps, 'cutter' | 'now'>): boolean =>
  cutter?.job?.of === 'test' && cutter.job.sheet === now.sheet && cutter.job.state === 'done';
const isTesting = ({ cutter, now }: Pick<StepProps, 'cutter' | 'now'>): boolean =>
  cutter?.job?.of === 'test' && cutter.job.sheet === now.sheet && cutter.job.state === 'cutting';

function makeTestStep(step: StepProps): LoadStep {
  const { at, now, cutter, setting } = step;
  const isClean = now.tests.at(-1)?.result === 'clean';
  const isIdle = cutter !== null && !isTesting(step) && !isTold(step);
  const cut = () => at.step('test', { sheet: now.sheet, setting });
  return {
    panel: <TestPanel {...step} />,
    action: !isClean && isIdle ? { label: now.tests.length > 0 ? 'Cut another' : 'Cut the figure', run: cut } : null,
    mayGoOn: isClean || now.state !== 'waiting',
    goOn: isClean ? null : 'Go on untested',
  };
}

/** A figure is cut, and its result is to be told: no other is cut before. */
const isTold = (step: StepProps): boolean => awaitsResult(step) && !step.at.isResultKnown;

function makeCutStep(step: StepProps): LoadStep {
  const { at, now, cutter, setting } = step;
  const { sheet } = now;
  const isClean = now.tests.at(-1)?.result === 'clean';
  const send = () => at.step('send', { sheet, setting, untested: !isClean });
  const act = (label: string, run: () => void): LoadStep => ({
    panel: <CutStepPanel {...step} />,
    action: { label, run },
    mayGoOn: false,
    goOn: null,
  });
  if (now.state === 'cut') return { panel: <CutStepPanel {...step} />, action: null, mayGoOn: true, goOn: null };
  if (!cutter) return act('It is cut', () => at.step('cut', { sheet }));
  const job = cutter.job?.of === 'load' && cutter.job.sheet === sheet ? cutter.job : null;
  if (job?.state === 'cutting') return act('Pause', () => at.step('pause', { sheet }));
  if (job?.state === 'paused') return act('Go on', () => at.step('resume', { sheet }));
  return act(now.linesDone > 0 ? `Go on from line ${now.linesDone + 1}` : 'Send to the cutter', send);
}
