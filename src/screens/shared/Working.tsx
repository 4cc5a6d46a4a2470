// Long work under way: a bar once it takes longer than a moment, and a way to stop it.

import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import { useEffect, useState } from 'react';
import type { Asking } from './use-latest';

const SHOWN_AFTER_MS = 300;

export function Working({
  doing,
  asking,
}: {
  /** As in "Measuring". */
  readonly doing: string;
  readonly asking: Asking;
}) {
  const [slow, setSlow] = useState(false);
  const { busy } = asking;
  useEffect(() => {
    if (!busy) return setSlow(false);
    const timer = setTimeout(() => setSlow(true), SHOWN_AFTER_MS);
    return () => clearTimeout(timer);
  }, [busy]);
  if (asking.stopped)
    return (
      <div className="notice" role="status">
        <strong>Stopped</strong>
        {doing} was stopped; what is shown below is older than what you asked for.{' '}
        <Button size="small" variant="text" onClick={asking.again}>
          Go on with it
        </Button>
      </div>
    );
  if (!busy || !slow) return null;
  return (
    // Over the page, not in it: what comes and goes by itself must not move a button from under the hand.
    <div className="long-work wide" role="status">
      <LinearProgress aria-label={doing} className="grow" />
      <span className="soft">{doing} …</span>
      <Button size="small" variant="text" onClick={asking.stop}>
        Stop
      </Button>
    </div>
  );
}
