// The test cut: why it comes first, with which setting, and how it came out; the next setting follows from that.

import type { CutSetting, PresetUse, TestResult } from '../../../core/cutting';
import { describeNextTry, describeSetting, TEST_REASON_WORDS, TEST_RESULT_WORDS } from '../../../wording/cutting';
import { formatClock } from '../../../core/units';
import { createByApi } from '../../shared/api';
import { TestResults } from '../../shared/TestResults';
import { KeepSetting } from '../../shared/KeepSetting';
import { SettingFields } from '../../shared/SettingFields';
import type { StepProps } from './step-props';

export function TestPanel(props: StepProps) {
  const { at, now, cutter, setting, onSetting, vinyl } = props;
  const job = cutter?.job?.of === 'test' && cutter.job.sheet === now.sheet ? cutter.job : null;
  const isClean = now.tests.at(-1)?.result === 'clean';
  const tell = (result: TestResult) => at.tellResult({ sheet: now.sheet, setting, result });
  return (
    <>
      <p className="soft flat">
        Because {now.testReasons.map((reason) => TEST_REASON_WORDS[reason]).join('; ')}. A figure of 25 mm in a corner;
        the load is cut beside it.
      </p>
      {now.tests.length > 0 && (
        <ol className="tries">
          {now.tests.map(({ setting: tried, result }, index) => (
            <li key={index}>
              {describeSetting(tried)}: <strong>{TEST_RESULT_WORDS[result].name}</strong>
            </li>
          ))}
        </ol>
      )}
      {now.next && (
        <p className="text-large flat above-2" role="status">
          {describeNextTry(now.next)}
        </p>
      )}
      {isClean && (
        <KeepSetting
          called={vinyl.name}
          use="everything"
          onKeep={(name, use) => keepPreset({ vinylId: vinyl.id, name, use, setting: now.tests.at(-1)!.setting })}
        />
      )}
      {!isClean && <SettingFields setting={setting} onSetting={onSetting} />}
      {job?.state === 'cutting' && <p role="status">The figure is cut, {formatClock(job.secondsLeft)} left.</p>}
      {!isClean && job?.state !== 'cutting' && (!cutter || (job?.state === 'done' && !at.isResultKnown)) && (
        <TestResults looks={job?.looks ?? null} disabled={at.pending} onTell={tell} />
      )}
    </>
  );
}

const keepPreset = (preset: { vinylId: number; name: string; use: PresetUse; setting: CutSetting }) =>
  createByApi('/api/cut-presets', preset, crypto.randomUUID());
