// Stopping a clock: done, part done, later, or dropped.

import { useMemo, useState, type ReactNode } from 'react';
import { isForgotten } from '../../core/scheduling';
import { MS_PER_S } from '../../core/units';
import type { RunningSession } from '../../views/frame';
import { late } from '../shared/late';
import type { StopWork } from './RunningBatch';
import type { Outcome, useBatchSteps } from './use-bench';

const ForgottenDialog = late(() => import('./ForgottenDialog'));

type Stopping = { readonly work: RunningSession; readonly outcome: Outcome; readonly partIds?: readonly number[] };

/** Stops a clock; one that was most likely left running is asked about first. */
export function useStopping(
  send: ReturnType<typeof useBatchSteps>['stop'],
  serverNowMs: number,
  onDone: () => void,
): { readonly stop: StopWork; readonly dialog: ReactNode } {
  const [asked, setAsked] = useState<(Stopping & { readonly goneSeconds: number }) | null>(null);
  const loadedAt = useMemo(() => Date.now() - serverNowMs, [serverNowMs]);
  const end = ({ work, outcome, partIds }: Stopping, countSeconds?: number) => {
    setAsked(null);
    send(work, outcome, { ...(partIds ? { partIds } : {}), ...(countSeconds === undefined ? {} : { countSeconds }) });
    if (outcome === 'done') onDone();
  };
  const stop: StopWork = (work, outcome, partIds) => {
    const goneSeconds = (Date.now() - loadedAt - work.startedAtMs) / MS_PER_S;
    const stopping = { work, outcome, ...(partIds ? { partIds } : {}) };
    if (outcome !== 'discarded' && isForgotten(goneSeconds, work.estimateSeconds))
      setAsked({ ...stopping, goneSeconds });
    else end(stopping);
  };
  const dialog = asked && (
    <ForgottenDialog
      goneSeconds={asked.goneSeconds}
      usualSeconds={asked.work.estimateSeconds}
      onClose={() => setAsked(null)}
      onCount={(seconds) => end(asked, seconds)}
    />
  );
  return { stop, dialog };
}
