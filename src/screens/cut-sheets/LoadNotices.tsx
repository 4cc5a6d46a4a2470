// What stands in the way of a load: refusals, changes that are not saved, faults.

import { describeFault } from '../../wording/nesting';
import { useSettings } from '../shared/settings';
import type { LoadState } from './use-load';
import { Failure } from '../shared/Failure';

const MOST_FAULTS = 3;

export function LoadNotices({ state, stale }: { readonly state: LoadState; readonly stale: boolean }) {
  const settings = useSettings();
  const { laid, running, refusal, faults, saving } = state;
  return (
    <>
      {running && (
        <p className="soft flat" role="status">
          {laid ? 'Looking for a shorter strip; the best so far is shown and saved.' : 'Reading the outlines.'}
        </p>
      )}
      {refusal && <Failure>{refusal}</Failure>}
      {saving.problem && (
        <Failure>
          <strong>This is not saved</strong>
          {saving.problem}
        </Failure>
      )}
      {stale && !running && (
        <div className="notice" role="status">
          Parts, stock or what is drawn beside them have changed since: lay out again.
        </div>
      )}
      {faults.length > 0 && (
        <Failure>
          <strong>This can’t be cut so</strong>
          {[...new Set(faults.map((fault) => describeFault(fault, settings)))].slice(0, MOST_FAULTS).join(' ')}
        </Failure>
      )}
    </>
  );
}
