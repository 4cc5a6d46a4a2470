// What a thread's file exports: its task, with a meter by which the server sees how much it has worked.

import { makeForgetAtRest } from './forget-at-rest';
import { readThreadId, yieldToPages } from './thread-cpu';

/** A task on its way to a thread. `meter` holds the thread's number once it has begun. */
export type Sent<Task> = { readonly task: Task; readonly meter: SharedArrayBuffer };

export const makeMeter = (): SharedArrayBuffer => new SharedArrayBuffer(Int32Array.BYTES_PER_ELEMENT);
export const readMeter = (meter: SharedArrayBuffer): number => Atomics.load(new Int32Array(meter), 0);

export function heavyJob<Task, Answer>(work: (task: Task) => Answer): (sent: Sent<Task>) => Answer {
  const threadId = readThreadId();
  yieldToPages(threadId);
  const forgetAtRest = makeForgetAtRest();
  return ({ task, meter }) => {
    Atomics.store(new Int32Array(meter), 0, threadId);
    try {
      return work(task);
    } finally {
      forgetAtRest();
    }
  };
}
