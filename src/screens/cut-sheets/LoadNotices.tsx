// What stands in the way of a load: refusals, changes that are not saved, faults.

import { describeFault } from '../../wording/nesting';
import { useSettings } from '../shared/settings';
import type { LoadState } from './use-load';

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
      {refusal && (
        <div className="notice bad" role="alert">
          {refusal}
        </div>
      )}
      {saving.problem && (
        <div className="notice bad" role="alert">
          <strong>This is not saved</strong>
          {saving.problem}
        </div>
      )}
      {stale && !running && (
        <div className="notice" role="status">
          Parts, stock or what is drawn beside them have changed since: lay out again.
        </div>
      )}
      {faults.length > 0 && (
        <div className="notice bad" role="alert">
          <strong>This can’t be cut so</strong>
          {[...new Set(faults.map((fault) => describeFault(fault, settings)))].slice(0, MOST_FAULTS).join(' ')}
        </div>
      )}
    </>
  );
}
