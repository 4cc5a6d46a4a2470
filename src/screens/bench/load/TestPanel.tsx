// The test cut: why it comes first, with which setting, and how it came out; the next setting follows from that.

import { TEST_RESULTS, type TestResult } from '../../../core/cutting';
import { describeNextTry, describeSetting, TEST_REASON_WORDS, TEST_RESULT_WORDS } from '../../../wording/cutting';
import { formatClock } from '../../../core/units';
import { KeepSetting } from './KeepSetting';
import { SettingFields } from './SettingFields';
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
      {isClean && <KeepSetting vinylId={vinyl.id} vinylName={vinyl.name} setting={now.tests.at(-1)!.setting} />}
      {!isClean && <SettingFields setting={setting} onSetting={onSetting} />}
      {job?.state === 'cutting' && <p role="status">The figure is cut, {formatClock(job.secondsLeft)} left.</p>}
      {!isClean && job?.state !== 'cutting' && (!cutter || (job?.state === 'done' && !at.isResultKnown)) && (
        <Results looks={job?.looks ?? null} disabled={at.pending} onTell={tell} />
      )}
    </>
  );
}

type ResultsProps = {
  /** As the simulated film looks. */
  readonly looks: TestResult | null;
  readonly disabled: boolean;
  readonly onTell: (result: TestResult) => void;
};

function Results({ looks, disabled, onTell }: ResultsProps) {
  return (
    <>
      <p className="flat above-3">
        How did it come out? Lift the square by a corner.{' '}
        {looks && <strong>The simulated film: {TEST_RESULT_WORDS[looks].seen}</strong>}
      </p>
      <div className="test-results" role="group" aria-label="How the test cut came out">
        {TEST_RESULTS.map((result) => (
          <button key={result} type="button" disabled={disabled} onClick={() => onTell(result)}>
            <ResultPicture result={result} />
            <strong>{TEST_RESULT_WORDS[result].name}</strong>
            <small>{TEST_RESULT_WORDS[result].seen}</small>
          </button>
        ))}
      </div>
    </>
  );
}

/** How far the knife goes: film above, backing below, from the side. */
const DEPTHS: Readonly<Record<TestResult, number>> = { shallow: 13, hangs: 20, clean: 23, marks: 31, through: 42 };

function ResultPicture({ result }: { readonly result: TestResult }) {
  const depth = DEPTHS[result];
  return (
    <svg viewBox="0 0 58 46" aria-hidden>
      <rect x="2" y="6" width="54" height="15" fill="var(--cut-side)" stroke="currentColor" />
      <rect x="2" y="21" width="54" height="17" fill="none" stroke="currentColor" strokeDasharray="2 2" />
      <path d={`M20 2L20 ${depth}M38 2L38 ${depth}`} stroke="var(--mui-palette-primary-main)" strokeWidth="2.4" />
    </svg>
  );
}
