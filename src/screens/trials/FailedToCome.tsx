// What did not come: why, and once more.

import { wordsOf } from '../shared/api';
import { Failure } from '../shared/Failure';

export function FailedToCome({ error, onAgain }: { readonly error: Error; readonly onAgain: () => void }) {
  return (
    <Failure>
      {wordsOf(error)}{' '}
      <button className="quiet" onClick={onAgain}>
        try again
      </button>
    </Failure>
  );
}
