// Looks at a thread while it works: whether it has worked beyond its limit, and whether it is still there.

import { ShopError } from '../errors';
import { readMeter } from './heavy-job';
import { readThreadCpuMs } from './thread-cpu';

const LOOK_EVERY_MS = 100;
/** Where the system does not tell what a thread has worked, the clock may go this much further than the limit. */
const CLOCK_PER_WORK = 4;

export type Watched = {
  readonly meter: SharedArrayBuffer;
  readonly limitMs: number;
  readonly tooMuch: () => Error;
};

/** Calls `end` with the reason, once there is one. */
export function watchWork({ meter, limitMs, tooMuch }: Watched, end: (reason: Error) => void): { stop: () => void } {
  const startedMs = performance.now();
  let workedBefore: number | null = null;
  const timer = setInterval(() => {
    const worked = readThreadCpuMs(readMeter(meter));
    if (worked !== null) {
      workedBefore ??= worked;
      if (worked - workedBefore > limitMs) end(tooMuch());
      return;
    }
    if (workedBefore !== null) end(new ShopError('busy', { reason: 'thread-died' }));
    else if (performance.now() - startedMs > limitMs * CLOCK_PER_WORK) end(tooMuch());
  }, LOOK_EVERY_MS);
  return { stop: () => clearInterval(timer) };
}
