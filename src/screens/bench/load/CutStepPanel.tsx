// The cut itself: how far the knife is along its lines, what went wrong, and what can be done about it.

import Button from '@mui/material/Button';
import { tellTensCut } from '../../../core/cutting';
import { formatClock } from '../../../core/units';
import { describeSetting, FAULT_WORDS, TEST_RESULT_WORDS } from '../../../wording/cutting';
import { LoadDrawing } from './LoadDrawing';
import { SettingFields } from '../../shared/SettingFields';
import type { StepProps } from './step-props';

export function CutStepPanel(props: StepProps) {
  const { at, plan, now, cutter, setting, onSetting } = props;
  const job = cutter?.job?.of === 'load' && cutter.job.sheet === now.sheet ? cutter.job : null;
  const isUnderWay = job?.state === 'cutting' || job?.state === 'paused';
  return (
    <>
      <Progress {...props} />
      {now.fault && now.state === 'stopped' && (
        <p className="notice bad" role="alert">
          <strong>{FAULT_WORDS[now.fault].what}.</strong> {FAULT_WORDS[now.fault].todo}
        </p>
      )}
      <LoadDrawing
        plan={plan}
        now={now}
        cutter={cutter}
        label={`Cut: ${now.linesDone} of ${plan.lines.length} lines`}
      />
      {now.state === 'cut' || isUnderWay ? (
        <p className="soft flat above-2">{describeSetting(now.setting)}</p>
      ) : (
        <SettingFields setting={setting} onSetting={onSetting} />
      )}
      {now.state !== 'cut' && (
        <div className="actions above-2">
          {isUnderWay && (
            <Button
              size="small"
              color="error"
              disabled={at.pending}
              onClick={() => at.step('abort', { sheet: now.sheet })}
            >
              Stop the cut
            </Button>
          )}
          {now.state === 'stopped' && (
            <Button
              size="small"
              color="error"
              disabled={at.pending}
              onClick={() => at.step('give-up', { sheet: now.sheet })}
            >
              Give it up: the vinyl is spoiled
            </Button>
          )}
          {cutter && !isUnderWay && (
            <Button size="small" disabled={at.pending} onClick={() => at.step('cut', { sheet: now.sheet })}>
              It is cut already
            </Button>
          )}
        </div>
      )}
    </>
  );
}

function Progress({ plan, now, cutter }: StepProps) {
  const job = cutter?.job?.of === 'load' && cutter.job.sheet === now.sheet ? cutter.job : null;
  if (now.state === 'cut')
    return (
      <p className="text-large flat" role="status">
        Cut. Lift a corner before you unload it: if it hangs, it can still be cut once more.{' '}
        {job?.looks && <strong>The simulated film: {TEST_RESULT_WORDS[job.looks].seen}</strong>}
      </p>
    );
  return (
    <>
      <ul className="big bare flat pad-0">
        <li>
          line {Math.min(now.linesDone + 1, plan.lines.length)} of {plan.lines.length}
        </li>
        {job?.state === 'cutting' && <li>{formatClock(Math.ceil(job.secondsLeft))} left</li>}
        {job?.state === 'paused' && <li>paused: nothing has moved</li>}
      </ul>
      {/* Told by tenths: a voice that counts every line is in the way. */}
      <span className="visually-hidden" role="status">
        {tellTensCut(now.linesDone, plan.lines.length)} percent cut
      </span>
    </>
  );
}
