// What this window asked for and the server has not got to, or is long at: told, with how many come first and a way out.

import Button from '@mui/material/Button';
import { useEffect, useState, useSyncExternalStore } from 'react';
import type { HeavyKind, HeavyView } from '../../views/work';
import { plural, verbFor } from '../../wording/plural';
import { windowHeaders } from './this-window';
import { getOpenCalls, subscribeOpenCalls, type OpenCall } from './open-calls';

const TOLD_AFTER_MS = 1500;
const ASK_EVERY_MS = 1000;
const DOING: Readonly<Record<HeavyKind, string>> = {
  measure: 'The drawing is being measured',
  nest: 'The pieces are being laid out',
  pack: 'The layers are being laid out',
  book: 'The cut is being booked',
  cut: 'Making the load ready for the cutter',
  basket: 'The basket is being worked out',
  paper: 'The paper is being printed',
  cost: 'The costs are being calculated',
  letter: 'The texts are being set',
  learn: 'The log is being looked through',
};
const NONE: readonly OpenCall[] = [];

export function LongWork() {
  const calls = useSyncExternalStore(subscribeOpenCalls, getOpenCalls, () => NONE);
  const job = useOldestJob(calls.length > 0);
  if (!job) return null;
  // The screen of the basket tells by itself that it is worked on, and has its own way to stop it and go on.
  const isToldThere = job.kind === 'basket';
  if (isToldThere && job.before === 0) return null;
  return (
    <div className="long-work" role="status">
      <span>
        {job.before === 0
          ? `${DOING[job.kind]} …`
          : `${plural(job.before, 'other')} ${verbFor(job.before, 'is', 'are')} worked out first.`}
      </span>
      {!isToldThere && (
        <Button size="small" variant="text" onClick={() => calls.forEach((call) => call.stop())}>
          Stop
        </Button>
      )}
    </div>
  );
}

/** What the server is at for this window, once a call takes long. */
function useOldestJob(waiting: boolean): HeavyView | null {
  const [job, setJob] = useState<HeavyView | null>(null);
  useEffect(() => {
    if (!waiting) return setJob(null);
    let timer: ReturnType<typeof setTimeout>;
    let over = false;
    const look = async () => {
      const jobs = await askJobs();
      if (over) return;
      setJob(jobs[0] ?? null);
      timer = setTimeout(() => void look(), ASK_EVERY_MS);
    };
    timer = setTimeout(() => void look(), TOLD_AFTER_MS);
    return () => {
      over = true;
      clearTimeout(timer);
    };
  }, [waiting]);
  return job;
}

/** Not by `callApi`: asking what is waited for is nothing to wait for. */
async function askJobs(): Promise<readonly HeavyView[]> {
  try {
    const response = await fetch('/api/work', { headers: windowHeaders() });
    return response.ok ? ((await response.json()) as { jobs: readonly HeavyView[] }).jobs : [];
  } catch {
    return [];
  }
}
