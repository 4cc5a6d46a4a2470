// One task in a thread of its own, under a limit of time and memory, so that nothing that is sent can stop the shop.

import { join } from 'node:path';
import { Worker } from 'node:worker_threads';
import { programRoot } from './context';

const MEMORY_LIMIT_MB = 1024;

/** The thread's first answer; `tooMuch` is thrown when it takes longer than `limitMs`, or more memory than it may. */
export function runInThread<Answer>(input: {
  readonly thread: 'measure-thread' | 'nest-thread' | 'pack-thread' | 'book-thread';
  readonly task: unknown;
  readonly limitMs: number;
  readonly tooMuch: () => Error;
}): Promise<Answer> {
  const { thread, task, limitMs, tooMuch } = input;
  return new Promise((resolve, reject) => {
    const worker = new Worker(join(programRoot(), 'dist', 'tools', `${thread}.mjs`), {
      resourceLimits: { maxOldGenerationSizeMb: MEMORY_LIMIT_MB },
    });
    const end = () => {
      clearTimeout(timer);
      void worker.terminate();
    };
    const timer = setTimeout(() => {
      end();
      reject(tooMuch());
    }, limitMs);
    worker.once('message', (answer: Answer) => {
      end();
      resolve(answer);
    });
    worker.once('error', (error: Error & { code?: string }) => {
      end();
      reject(error.code === 'ERR_WORKER_OUT_OF_MEMORY' ? tooMuch() : error);
    });
    worker.postMessage(task);
  });
}
