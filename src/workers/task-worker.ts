// A worker that screens ask for things: a newer question ends an older one of its kind that is still under way.

import { wrap, type Remote } from 'comlink';

type Running<T> = {
  readonly worker: Worker;
  readonly remote: Remote<T>;
  /** Tasks under way that a newer one may end, and those that have to be finished. */
  passing: number;
  lasting: number;
};

export class TaskWorker<T> {
  private running: Running<T> | null = null;

  constructor(private readonly start: () => Worker) {}

  /**
   * With a signal, the task replaces an older one that has one, and rejects with an AbortError when the signal fires
   * first.
   */
  async ask<Answer>(
    task: (remote: Remote<T>, worker: Worker) => Promise<Answer>,
    signal?: AbortSignal,
  ): Promise<Answer> {
    const own = this.get(signal !== undefined);
    const kind = signal ? 'passing' : 'lasting';
    own[kind]++;
    // Aborted or not, the worker is busy until the task itself is done.
    const done = task(own.remote, own.worker).finally(() => own[kind]--);
    const aborted = new Promise<never>((_, reject) =>
      signal?.addEventListener(
        'abort',
        () => {
          reject(new DOMException('Stopped', 'AbortError'));
          if (this.running === own) this.endIfPassing();
        },
        { once: true },
      ),
    );
    return Promise.race([done, aborted]);
  }

  private get(replace: boolean): Running<T> {
    if (replace) this.endIfPassing();
    if (!this.running) {
      const worker = this.start();
      this.running = { worker, remote: wrap<T>(worker), passing: 0, lasting: 0 };
    }
    return this.running;
  }

  /** Nobody waits for what they have replaced or stopped: a worker still at it is ended. */
  private endIfPassing(): void {
    if (!this.running || this.running.passing === 0 || this.running.lasting > 0) return;
    this.running.worker.terminate();
    this.running = null;
  }
}
