// The one thing to do now, large; what counts down for it, what cools beside, and what comes next in one line.

import Button from '@mui/material/Button';
import type { ReactNode } from 'react';
import { formatClock } from '../../core/units';
import { Icon } from '../shared/Icon';
import type { BatchRun } from './use-batch-run';

type Props = {
  /** What it is about, drawn; and what is to be done with it before the next step. */
  readonly panel?: ReactNode;
  /** The panel is a picture: the words above it are smaller. */
  readonly isPictured?: boolean;
  readonly action?: { readonly label: string; readonly run: () => void } | null;
  readonly run: BatchRun;
  readonly disabled: boolean;
  readonly onForward: () => void;
  /** Its clock begins, with what goes along with it. */
  readonly onBegin: () => void;
};

export function StepCard({ run, panel, isPictured = false, action = null, disabled, onForward, onBegin }: Props) {
  const { at, count, said, piece, next, clock, instruction } = run;
  const isCounted = instruction.kind === 'press' && instruction.clockS !== null;
  return (
    <div className={isPictured ? 'step-card with-panel' : 'step-card'}>
      <p className="soft flat">
        {at + 1} of {count}
        {piece && (
          <>
            : piece {piece.pieceNumber}, {piece.sizeName}, {piece.colourName}{' '}
            <b className="own-text">{piece.texts.join(' ')}</b>
          </>
        )}
      </p>
      <p className="step-what flat" aria-live="polite">
        {said.what}
      </p>
      <ul className="big bare flat pad-0">
        {said.facts.map((fact) => (
          <li key={fact}>{fact}</li>
        ))}
      </ul>
      {run.coolsS > 0 && (
        <p className="short flat above-2">
          <Icon name="peel-cold" /> Let it cool {formatClock(run.coolsS)} longer.
        </p>
      )}
      {panel}
      {isCounted && <Countdown clock={clock} wholeS={instruction.clockS!} />}
      <div className="bench-actions">
        {action && (
          <Button variant="contained" disabled={disabled} onClick={action.run}>
            {action.label}&ensp;<small className="hide-small">space</small>
          </Button>
        )}
        {isCounted && !clock && (
          <Button variant="contained" disabled={disabled} onClick={onBegin}>
            Count {formatClock(instruction.clockS!)}&ensp;<small className="hide-small">space</small>
          </Button>
        )}
        <Button
          variant={(isCounted && !clock) || action ? 'outlined' : 'contained'}
          disabled={disabled}
          onClick={onForward}
        >
          {next ? 'Next' : 'Finish'}
          {(!isCounted || clock) && !action && <small className="hide-small">&ensp;space</small>}
        </Button>
        <Button variant="text" disabled={disabled || at === 0} onClick={run.back}>
          Back
        </Button>
      </div>
      {next && <p className="soft flat above-3">Then: {next}</p>}
    </div>
  );
}

/** Large, and told in words once it is over: never by colour alone. */
function Countdown({ clock, wholeS }: { readonly clock: BatchRun['clock']; readonly wholeS: number }) {
  const isOver = clock !== null && clock.leftS === 0;
  return (
    <div className={`clock${isOver ? ' over' : ''}`} role="timer" aria-label="Time left">
      {isOver ? `${formatClock(clock.overS)} over` : formatClock(clock ? Math.ceil(clock.leftS) : wholeS)}
    </div>
  );
}
