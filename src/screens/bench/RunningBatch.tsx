// A batch in work: the one thing to do now, how long it has been, and every way to end it.

import Button from '@mui/material/Button';
import type { Station } from '../../core/orders';
import { findStepCautions, type PressCaution } from '../../core/pressing';
import type { ProgressStep } from '../../core/scheduling';
import { formatClock, formatDuration } from '../../core/units';
import type { BenchPartView, BenchView } from '../../views/bench';
import type { RunningSession } from '../../views/frame';
import { useKeys } from '../shared/keys';
import { useMounted } from '../shared/use-mounted';
import { useSettings } from '../shared/settings';
import { late } from '../shared/late';
import { BigFacts } from './BigFacts';
import { PressCautions } from './PressCautions';
import { NotHotYet, PressBar } from './PressBar';
import { SoundChoice } from './SoundChoice';
import { StepCard } from './StepCard';
import { usePress } from './use-press';
import { useWeedStep } from './use-weed-step';
import { findHandSetting, useBatchRun, type BatchRun } from './use-batch-run';
import type { Outcome } from './use-bench';

const HandSetting = late(() => import('./HandSetting'));
const PlacePanel = late(() => import('./PlacePanel'));

/** `partIds`: those that are done, where not all are. */
export type StopWork = (work: RunningSession, outcome: Outcome, partIds?: readonly number[]) => void;
type Props = {
  readonly station: Station;
  readonly view: BenchView;
  readonly parts: readonly BenchPartView[];
  readonly running: RunningSession;
  readonly nowMs: number;
  readonly pending: boolean;
  readonly onProgress: (step: ProgressStep) => void;
  readonly onStop: StopWork;
  readonly onSpoil: () => void;
};

export function RunningBatch({ station, view, parts, running, nowMs, pending, onProgress, onStop, onSpoil }: Props) {
  const settings = useSettings();
  const run = useBatchRun({ station, view, parts, running, nowMs, onProgress });
  const heated = run?.instruction.kind === 'press' ? run.instruction.step.temperatureC : undefined;
  const press = usePress(station === 'press', heated ?? null);
  const weed = useWeedStep({ view, run, running, pending, onProgress });
  // What comes late is not drawn on the server.
  const isMounted = useMounted();
  const placed = isMounted ? findPlaced(run) : null;
  const isCut = run?.instruction.kind === 'test-cut' || run?.instruction.kind === 'cut';
  const byHand = isMounted && isCut ? findHandSetting(running, parts) : null;
  const begin = () => {
    if (heated !== undefined) press.work({ act: 'close' });
    run?.begin();
  };
  const forward = () => {
    if (press.press && press.press.closedForS !== null) press.work({ act: 'open' });
    if (!run?.forward()) onStop(running, 'done');
  };
  const isToBegin = run?.instruction.kind === 'press' && run.instruction.clockS !== null && run.clock === null;
  useKeys('Step', [
    {
      keys: 'Space',
      shown: 'Space',
      does: 'next',
      run: () => (isToBegin ? begin() : weed?.action ? weed.action.run() : forward()),
    },
    { keys: 'b', shown: 'B', does: 'back one step', run: () => run?.back() },
    { keys: 'd', shown: 'D', does: 'done with all of it', run: () => onStop(running, 'done') },
  ]);
  return (
    <>
      {run ? (
        <StepCard
          run={run}
          panel={
            weed?.panel ?? (
              <StepPanel
                sessionId={running.id}
                byHand={byHand}
                placed={placed}
                press={heated === undefined ? null : press.press}
                cautions={listCautions(run, view)}
              />
            )
          }
          isPictured={weed !== null || placed !== null}
          action={weed?.action ?? null}
          disabled={pending}
          onBegin={begin}
          onForward={forward}
        />
      ) : (
        <BigFacts station={station} view={view} parts={parts} />
      )}
      <p className="soft flat above-4 text-large" role="timer" aria-label="Time on this batch">
        <strong className="figures">{formatClock((nowMs - running.startedAtMs) / 1000)}</strong> on this batch, about{' '}
        {formatDuration(running.estimateSeconds, settings)} calculated
      </p>
      <Ends run={run} running={running} pending={pending} parts={parts} onStop={onStop} onSpoil={onSpoil} />
      {station === 'press' && <PressBar {...press} />}
      {station === 'press' && <SoundChoice />}
    </>
  );
}

type PanelProps = {
  readonly sessionId: number;
  readonly byHand: RunningSession['byHand'][number] | null;
  readonly placed: Placed | null;
  /** Null where nothing is heated now. */
  readonly press: Parameters<typeof NotHotYet>[0]['press'];
  /** Of this step alone. */
  readonly cautions: readonly PressCaution[];
};

/** What is seen or said before the next step: a setting, a picture of where it goes, a press that is not hot yet. */
function StepPanel({ sessionId, byHand, placed, press, cautions }: PanelProps) {
  if (byHand) return <HandSetting sessionId={sessionId} hand={byHand} />;
  return (
    <>
      <PressCautions cautions={cautions} />
      {placed ? <PlacePanel {...placed} /> : press && <NotHotYet press={press} />}
    </>
  );
}

function listCautions({ instruction, piece }: BatchRun, { lines }: BenchView): readonly PressCaution[] {
  const plan = lines.find(({ lineId }) => lineId === piece?.lineId)?.plan;
  return instruction.kind === 'press' && plan ? findStepCautions(instruction.step, plan.cautions) : [];
}

type Placed = { readonly lineId: number; readonly place: string | null };

/** What is laid out, placed or looked at now; null at any other step. */
function findPlaced(run: BatchRun | null): Placed | null {
  if (run?.instruction.kind === 'look' && run.piece) return { lineId: run.piece.lineId, place: null };
  if (run?.instruction.kind !== 'press' || !run.piece) return null;
  const { kind, place = null } = run.instruction.step;
  return kind === 'lay-out' || kind === 'place' || kind === 'stones' ? { lineId: run.piece.lineId, place } : null;
}

type EndsProps = Pick<Props, 'running' | 'pending' | 'parts' | 'onStop' | 'onSpoil'> & {
  readonly run: BatchRun | null;
};

function Ends({ run, running, pending, parts, onStop, onSpoil }: EndsProps) {
  const done = run?.donePartIds ?? [];
  const isPart = done.length > 0 && done.length < parts.length;
  return (
    <div className="bench-actions small-actions">
      <Button variant={run ? 'outlined' : 'contained'} disabled={pending} onClick={() => onStop(running, 'done')}>
        Done with all&ensp;<small className="hide-small">D</small>
      </Button>
      {isPart && (
        <Button disabled={pending} onClick={() => onStop(running, 'done', done)}>
          Part done: {done.length} of {parts.length}
        </Button>
      )}
      <Button disabled={pending} onClick={() => onStop(running, 'paused')}>
        Stop, not done
      </Button>
      <Button color="error" disabled={pending} onClick={onSpoil}>
        Spoiled
      </Button>
      <Button variant="text" disabled={pending} onClick={() => onStop(running, 'discarded')}>
        Drop these minutes
      </Button>
    </div>
  );
}
