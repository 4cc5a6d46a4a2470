// Work that takes long goes to threads that are kept warm, one queue for each kind: in turns between those who ask, under
// a limit of work and memory, and stopped when nobody waits for it any more.

import { availableParallelism } from 'node:os';
import { join } from 'node:path';
import { setFlagsFromString } from 'node:v8';
import Tinypool from 'tinypool';
import type { HeavyKind, HeavyView } from '../../views/work';
import { programRoot } from '../context';
import { ShopError } from '../errors';
import { getAsking, type Asking } from './asking';
import { FairQueue } from './fair-queue';
import { makeMeter, type Sent } from './heavy-job';
import { watchWork } from './watch-work';

/** How many may wait: a task that waits is held in memory. Laying out and costs are asked for by the shop itself. */
const MOST_WAITING: Readonly<Record<HeavyKind, number>> = {
  measure: 20,
  nest: 60,
  pack: Infinity,
  book: 20,
  cut: 20,
  basket: 40,
  paper: 40,
  cost: Infinity,
  letter: 200,
  learn: 20,
};
const MEMORY_MB = 500;
/** One core stays for the pages; texts come in lots so short that pages find room between them. */
const THREADS = Math.max(1, availableParallelism() - 1);
const countThreads = (kind: HeavyKind): number => (kind === 'letter' ? Math.max(2, THREADS) : THREADS);
/** Setting texts makes much that is forgotten with the text: with room for it, it is rarely looked through. */
const SHORT_LIVED = { maxYoungGenerationSizeMb: 128 };
/**
 * A heavy drawing keeps its points until it is measured: a thread that may not hold them looks all of them through, again
 * and again, for what it could forget. It takes a fifth longer by that, for 20 MB.
 */
const KEPT_MB: Partial<Readonly<Record<HeavyKind, number>>> = { measure: 150 };
const WARM_MS = 2 * 60_000;
/** A thread that measures stays: without what is compiled in it by then, a heavy drawing takes twice as long. */
const STAYS: Partial<Readonly<Record<HeavyKind, boolean>>> = { measure: true };
/** The longest a timer can take: 24 days. */
const NEVER_MS = 2 ** 31 - 1;
/** A thread costs about a second to start: work that nobody waits for any more is let finish, if it does so soon. */
const LET_FINISH_MS = 500;

export type HeavyWish = {
  readonly kind: HeavyKind;
  readonly task: unknown;
  /** Of time that the thread works, not of time that goes by: on a busy machine it takes longer and is not refused. */
  readonly limitMs: number;
  readonly tooMuch: () => Error;
};

type Job = HeavyWish & {
  readonly asking: Asking;
  readonly meter: SharedArrayBuffer;
  readonly resolve: (answer: unknown) => void;
  readonly reject: (error: Error) => void;
  /** Ends its thread; set while it is under way. */
  end: (() => void) | null;
  /** Nobody waits for it any more. */
  left: boolean;
};

const stopped = () => new ShopError('busy', { reason: 'stopped' });

/** The threads for one kind of work, and who waits for them. */
class Crew {
  private readonly queue = new FairQueue<Job>();
  private readonly running = new Set<Job>();
  private readonly pool: Tinypool;

  constructor(
    private readonly kind: HeavyKind,
    file: string,
  ) {
    this.pool = new Tinypool({
      filename: file,
      minThreads: 0,
      maxThreads: countThreads(kind),
      idleTimeout: STAYS[kind] ? NEVER_MS : WARM_MS,
      // A thread that waited in them could not tidy up.
      useAtomics: false,
      resourceLimits: { maxOldGenerationSizeMb: MEMORY_MB, ...(kind === 'letter' ? SHORT_LIVED : {}) },
    });
  }

  run(wish: HeavyWish, asking: Asking): Promise<unknown> {
    if (asking.signal?.aborted) return Promise.reject(stopped());
    const waiting = this.queue.size;
    if (waiting >= MOST_WAITING[this.kind])
      return Promise.reject(new ShopError('busy', { reason: 'queue-full', waiting }));
    return new Promise((resolve, reject) => {
      const job: Job = { ...wish, asking, meter: makeMeter(), resolve, reject, end: null, left: false };
      asking.signal?.addEventListener('abort', () => this.stop(job), { once: true });
      this.queue.push(job, asking.caller);
      this.startNext();
    });
  }

  list(caller: string): readonly HeavyView[] {
    const { kind } = this;
    const running = [...this.running].filter(({ left }) => !left).map(({ asking }) => ({ asking, before: 0 }));
    const waiting = this.queue.list().map(({ asking }, place) => ({ asking, before: place + this.running.size }));
    return [...running, ...waiting]
      .filter(({ asking }) => asking.caller === caller)
      .map(({ before }) => ({ kind, before }));
  }

  async close(): Promise<void> {
    await this.pool.destroy();
  }

  private stop(job: Job): void {
    job.left = true;
    job.reject(stopped());
    if (!this.queue.remove(job)) setTimeout(() => job.end?.(), LET_FINISH_MS);
  }

  private startNext(): void {
    while (this.running.size < countThreads(this.kind)) {
      const job = this.queue.shift();
      if (!job) return;
      this.running.add(job);
      void this.carryOut(job).finally(() => {
        this.running.delete(job);
        this.startNext();
      });
    }
  }

  private async carryOut(job: Job): Promise<void> {
    const thread = new AbortController();
    let because: Error | null = null;
    const endFor = (reason: Error) => {
      because ??= reason;
      thread.abort();
    };
    job.end = () => endFor(stopped());
    const watched = watchWork(job, endFor);
    // Counts for a thread that begins now; limits of memory stay what they are.
    setRoomOfNewThreads(KEPT_MB[this.kind] ?? 0);
    try {
      const sent: Sent<unknown> = { task: job.task, meter: job.meter };
      job.resolve(await this.pool.run(sent, { signal: thread.signal }));
    } catch (error) {
      job.reject(because ?? nameFailure(error as Error & { code?: string }, job));
    } finally {
      watched.stop();
      job.end = null;
    }
  }
}

/** Node has no option for it. 0: as the engine thinks best. */
const setRoomOfNewThreads = (mb: number): void => setFlagsFromString(`--initial-old-space-size=${mb}`);

const nameFailure = (error: Error & { code?: string }, job: Job): Error =>
  error.code === 'ERR_WORKER_OUT_OF_MEMORY' ? job.tooMuch() : error;

const inTools = (kind: HeavyKind): string => join(programRoot(), 'dist', 'tools', `${kind}-thread.mjs`);

/** All kinds of heavy work, with the file of each kind's threads. */
export function makeHeavyWork(fileOf: (kind: HeavyKind) => string = inTools) {
  const crews = new Map<HeavyKind, Crew>();
  const getCrew = (kind: HeavyKind): Crew => {
    const crew = crews.get(kind) ?? new Crew(kind, fileOf(kind));
    crews.set(kind, crew);
    return crew;
  };
  return {
    /**
     * The answer to a task, for whoever asks (`getAsking`). @throws what `tooMuch` makes, past the limit of work or
     * memory; ShopError 'busy' when too many wait already, when the thread died of it, or when who asked has left
     */
    run: <Answer>(wish: HeavyWish): Promise<Answer> => getCrew(wish.kind).run(wish, getAsking()) as Promise<Answer>,
    /** What waits or runs for whoever asks. */
    list: (): readonly HeavyView[] => [...crews.values()].flatMap((crew) => crew.list(getAsking().caller)),
    close: async (): Promise<void> => {
      await Promise.all([...crews.values()].map((crew) => crew.close()));
    },
  };
}

export const heavyWork = makeHeavyWork();
