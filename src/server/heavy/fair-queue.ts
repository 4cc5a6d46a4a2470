// Who waits for a thread, and who is next: whoever asks for one thing waits for nobody who asks for twenty.

type Waiting<Job> = { readonly job: Job; readonly caller: string; readonly turn: number };

/**
 * A queue by turns. A caller's first job gets the turn that is being served, his second the one after it, and so on;
 * the lowest turn is next, in order of arrival. (Start-time fair queueing with jobs of one size: P. Goyal, H. Vin,
 * H. Cheng, 1996.)
 */
export class FairQueue<Job> {
  private waiting: Waiting<Job>[] = [];
  private serving = 0;
  private readonly lastTurn = new Map<string, number>();

  get size(): number {
    return this.waiting.length;
  }

  push(job: Job, caller: string): void {
    const turn = Math.max(this.serving, this.lastTurn.get(caller) ?? 0) + 1;
    this.lastTurn.set(caller, turn);
    const behind = this.waiting.findIndex((other) => other.turn > turn);
    this.waiting.splice(behind < 0 ? this.waiting.length : behind, 0, { job, caller, turn });
  }

  /** Takes the next one off the queue; undefined when nobody waits. */
  shift(): Job | undefined {
    const next = this.waiting.shift();
    if (!next) return undefined;
    this.serving = next.turn;
    if (this.waiting.length === 0) this.lastTurn.clear();
    return next.job;
  }

  /** False when it does not wait (any more). */
  remove(job: Job): boolean {
    const before = this.waiting.length;
    this.waiting = this.waiting.filter((waiting) => waiting.job !== job);
    return this.waiting.length < before;
  }

  /** In the order in which they are served, if nobody else comes. */
  list(): readonly Job[] {
    return this.waiting.map(({ job }) => job);
  }
}
