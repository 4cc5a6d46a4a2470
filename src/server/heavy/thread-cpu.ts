// What a thread has really worked. A limit by the clock refuses on a busy machine what it could well do.

import { readFileSync, readlinkSync } from 'node:fs';
import { setPriority } from 'node:os';

/** Linux counts a thread's work in hundredths of a second. */
const TICK_MS = 10;
/** Of heavy work: pages go first. Much lower, it waits for the engine that compiles it, which has its usual priority. */
const LOW_PRIORITY = 5;

/** Of the thread that asks; 0 where the system does not tell. */
export function readThreadId(): number {
  try {
    return Number(readlinkSync('/proc/thread-self').split('/').at(-1)) || 0;
  } catch {
    return 0;
  }
}

/** Lets pages go first while this thread works. Where the system has no such thing, nothing changes. */
export function yieldToPages(threadId: number): void {
  if (threadId === 0) return;
  try {
    setPriority(threadId, LOW_PRIORITY);
  } catch {
    // Not allowed here: the thread works like any other.
  }
}

/** Milliseconds a thread of this process has worked since it began; null where the system does not tell. */
export function readThreadCpuMs(threadId: number): number | null {
  if (threadId === 0) return null;
  try {
    const stat = readFileSync(`/proc/self/task/${threadId}/stat`, 'utf8');
    // After the name, which may hold blanks and brackets: state is field 3, user time 14, system time 15 (proc(5)).
    const fields = stat.slice(stat.lastIndexOf(')') + 2).split(' ');
    return (Number(fields[11]) + Number(fields[12])) * TICK_MS;
  } catch {
    return null;
  }
}
