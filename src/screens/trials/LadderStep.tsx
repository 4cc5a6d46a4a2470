// What is done now: the figure is cut at a setting, and judged; at the end the fine design, once.

import Button from '@mui/material/Button';
import { useState } from 'react';
import { isSameSetting, type CutSetting } from '../../core/cutting';
import { FINE_RESULTS } from '../../core/trials';
import { formatClock } from '../../core/units';
import { describeSetting } from '../../wording/cutting';
import { FINE_WORDS } from '../../wording/trials';
import { SettingFields } from '../shared/SettingFields';
import { TestResults } from '../shared/TestResults';
import type { LadderAtHand } from './use-ladder';

export function LadderStep({ at }: { readonly at: LadderAtHand }) {
  const { ladder, pending, step } = at;
  const { cutter, cutNow, byItself, verdict, cleanSetting, fine } = ladder;
  const job = cutter?.job ?? null;
  // What is typed stands until the ladder moves on to another setting.
  const [typed, setTyped] = useState<{ readonly from: CutSetting; readonly setting: CutSetting } | null>(null);
  const setting = typed && isSameSetting(typed.from, ladder.setting) ? typed.setting : ladder.setting;
  if (job?.state === 'cutting')
    return (
      <p role="status" className="above-2">
        The figure is cut at {describeSetting(ladder.setting)}, {formatClock(job.secondsLeft)} left.
      </p>
    );
  if (byItself)
    return (
      <p role="status" className="above-2">
        It goes on by itself.{' '}
        <button className="quiet" onClick={() => step('by-itself', { on: false })}>
          stop after this one
        </button>
      </p>
    );
  const isOver = verdict.kind !== 'going-on';
  const isFineDue = isOver && cleanSetting !== null && fine === null;
  if (cutNow === 'fine') return <FineResults at={at} />;
  if (cutNow === 'figure')
    return (
      <TestResults
        looks={job?.looks ?? null}
        disabled={pending}
        onTell={(result) => step('result', { setting: ladder.setting, result })}
      />
    );
  return (
    <>
      {(!isOver || typed !== null || cleanSetting === null) && (
        <SettingFields setting={setting} onSetting={(now) => setTyped({ from: ladder.setting, setting: now })} />
      )}
      <div className="actions above-3">
        {isFineDue && (
          <Button variant="contained" disabled={pending} onClick={() => step('cut-fine', { setting: cleanSetting })}>
            {cutter ? 'Cut the fine design' : 'The fine design is cut'}
          </Button>
        )}
        <Button
          variant={isFineDue || fine === 'clean' ? 'outlined' : 'contained'}
          disabled={pending}
          onClick={() => step('cut', { setting: isOver ? getNext(at, setting) : setting })}
        >
          {sayCut(at, isOver)}
        </Button>
        {fine !== null && ladder.slower && (
          <Button variant="outlined" disabled={pending} onClick={() => step('setting', { setting: ladder.slower! })}>
            Look again at {ladder.slower.speedMmPerS} mm/s
          </Button>
        )}
        {cutter?.isSimulated && !isOver && (
          <Button variant="outlined" disabled={pending} onClick={() => step('by-itself', { on: true })}>
            Let it run by itself
          </Button>
        )}
      </div>
    </>
  );
}

/** Past the verdict whoever wants it surer goes on with the force that tells most. */
const getNext = ({ ladder }: LadderAtHand, setting: CutSetting): CutSetting =>
  ladder.nextGrams === null || !isSameSetting(setting, ladder.setting)
    ? setting
    : { ...setting, forceGrams: ladder.nextGrams };

function sayCut({ ladder }: LadderAtHand, isOver: boolean): string {
  if (isOver && ladder.nextGrams !== null)
    return `${ladder.cleanSetting ? 'Make surer' : 'Go on'}: cut at ${ladder.nextGrams} g`;
  if (isOver) return 'Cut another';
  return ladder.cutter ? 'Cut the figure' : 'The figure is cut';
}

function FineResults({ at }: { readonly at: LadderAtHand }) {
  return (
    <div className="above-3">
      <p className="flat">Weed the net of diamonds. How did it come out?</p>
      <div className="actions above-2" role="group" aria-label="How the fine design came out">
        {FINE_RESULTS.map((fine) => (
          <Button key={fine} variant="outlined" disabled={at.pending} onClick={() => at.step('fine', { fine })}>
            {FINE_WORDS[fine].name}
          </Button>
        ))}
      </div>
    </div>
  );
}
