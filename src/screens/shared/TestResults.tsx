// How a test figure came out, told by its picture: five results, from not through to through the backing.

import { TEST_RESULTS, type TestResult } from '../../core/cutting';
import { TEST_RESULT_WORDS } from '../../wording/cutting';

type Props = {
  /** As the simulated film looks. */
  readonly looks: TestResult | null;
  readonly disabled: boolean;
  readonly onTell: (result: TestResult) => void;
};

export function TestResults({ looks, disabled, onTell }: Props) {
  return (
    <>
      <p className="flat above-3">
        How did it come out? Lift it by a corner.{' '}
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
