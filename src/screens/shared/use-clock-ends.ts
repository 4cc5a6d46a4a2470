// Clocks of the bench, heard and seen on whatever page: a sound at their end, and what is left in the tab's title.

import { useEffect } from 'react';
import { readClock, type StepClock } from '../../core/scheduling';
import { formatClock, MS_PER_S } from '../../core/units';
import type { RunningSession } from '../../views/frame';
import { chime } from './chime';

/** A clock that ended longer ago was heard, or nobody was here to hear it. */
const HEARD_S = 2;

export const listClocks = (running: readonly RunningSession[]): readonly StepClock[] =>
  running.flatMap(({ progress }) => progress.clocks);

/** Of those that still run, the one that ends first. */
export const findFirstEnding = (clocks: readonly StepClock[], nowMs: number): StepClock | null =>
  [...clocks]
    .filter((clock) => readClock(clock, nowMs).leftS > 0)
    .sort((a, b) => readClock(a, nowMs).leftS - readClock(b, nowMs).leftS)[0] ?? null;

export function useClockEnds(running: readonly RunningSession[], serverNowMs: number, nowMs: number): void {
  const clocks = listClocks(running);
  const signature = JSON.stringify(clocks);
  useEffect(() => {
    const offset = serverNowMs - Date.now();
    const timers = (JSON.parse(signature) as readonly StepClock[]).flatMap((clock) => {
      const { leftS, overS } = readClock(clock, Date.now() + offset);
      return overS > HEARD_S ? [] : [setTimeout(() => chime(), leftS * MS_PER_S)];
    });
    return () => timers.forEach(clearTimeout);
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the server's time is asked for again and again; the clocks are what counts
  }, [signature]);
  const first = findFirstEnding(clocks, nowMs);
  const left = first && `${formatClock(readClock(first, nowMs).leftS)} ${first.label}`;
  useEffect(() => {
    if (!left) return;
    const before = document.title;
    document.title = left;
    return () => {
      document.title = before;
    };
  }, [left]);
}
