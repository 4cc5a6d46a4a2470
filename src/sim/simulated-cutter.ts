// A cutter that isn't there: it reads the program it is sent, senses the width of what is loaded, cuts at the speed a
// real one would or sixty times as fast, and may be unplugged or jam. What it is at is told by the clock alone, so that
// it goes on while nobody looks, and while the server is down.

import { locateKnife, planKnifeRun, readHpgl, type CutterFault, type KnifeRun } from '../core/cutting';
import type { Polyline } from '../core/geometry';
import { fail, MS_PER_S, succeed, type Result } from '../core/units';
import type {
  Cutter,
  CutterJob,
  CutterReading,
  CutterRefusal,
  JobReading,
  JobState,
  StockInCutter,
} from '../ports/cutter';
import { computeDepth, judgeDepth, liftsOff, lookIntoFilm, runsOff } from './film';

export type Pace = 1 | 60;
/** What the machine keeps when its power goes, and the server's memory with it. */
export type CutterMemory = {
  readonly isPlugged: boolean;
  readonly pace: Pace;
  readonly stock: StockInCutter | null;
  readonly job: JobMemory | null;
};
type JobMemory = CutterJob & {
  readonly state: JobState;
  readonly fault: CutterFault | null;
  /** Seconds of the run that were done when it last began to run. */
  readonly doneS: number;
  /** Epoch ms; null while it doesn't run. */
  readonly runsSinceMs: number | null;
};
const NEW_CUTTER: CutterMemory = { isPlugged: true, pace: 1, stock: null, job: null };

/** Where it keeps its memory. */
export type MemoryStore<T> = { readonly read: () => T | null; readonly write: (memory: T) => void };

type Planned = { readonly key: string; readonly lines: readonly Polyline[]; readonly run: KnifeRun };
/** Of a run that goes wrong, where. */
const FAULT_AT_SHARE = 0.3;

export class SimulatedCutter implements Cutter {
  readonly name = 'Simulated cutter';
  readonly isSimulated = true;
  private planned: Planned | null = null;

  constructor(
    private readonly store: MemoryStore<CutterMemory>,
    private readonly now: () => number,
  ) {}

  read(): CutterReading {
    const memory = this.settle();
    const { isPlugged, stock, job } = memory;
    return {
      isOn: isPlugged,
      widthMm: isPlugged && stock ? lookIntoFilm(stock).widthMm : null,
      job: job && this.readJob(job, memory),
    };
  }

  getPace(): Pace {
    return this.remember().pace;
  }

  load(stock: StockInCutter): Result<null, CutterRefusal> {
    const memory = this.settle();
    if (!memory.isPlugged) return fail({ kind: 'off' });
    if (memory.job?.state === 'cutting') return fail({ kind: 'busy' });
    this.store.write({ ...memory, stock, job: null });
    return succeed(null);
  }

  unload(): void {
    this.store.write({ ...this.settle(), stock: null, job: null });
  }

  send(job: CutterJob): Result<null, CutterRefusal> {
    const memory = this.settle();
    if (!memory.isPlugged) return fail({ kind: 'off' });
    if (!memory.stock) return fail({ kind: 'empty' });
    if (memory.job?.state === 'cutting' || memory.job?.state === 'paused') return fail({ kind: 'busy' });
    if (!readHpgl(job.program).ok) return fail({ kind: 'unreadable' });
    this.store.write({
      ...memory,
      job: { ...job, state: 'cutting', fault: null, doneS: 0, runsSinceMs: this.now() },
    });
    return succeed(null);
  }

  pause(): Result<null, CutterRefusal> {
    return this.change('cutting', (job, memory) => {
      // At the end of its line, so that nothing is left half cut.
      const { run } = this.plan(job);
      const seconds = this.countSeconds(job, memory);
      const end = run.endsS.find((endS) => endS >= seconds) ?? run.seconds;
      return { ...job, state: 'paused', doneS: end, runsSinceMs: null };
    });
  }

  resume(): Result<null, CutterRefusal> {
    return this.change('paused', (job) => ({ ...job, state: 'cutting', runsSinceMs: this.now() }));
  }

  abort(): Result<null, CutterRefusal> {
    const memory = this.settle();
    if (!memory.isPlugged) return fail({ kind: 'off' });
    if (memory.job?.state !== 'cutting' && memory.job?.state !== 'paused') return fail({ kind: 'no-job' });
    this.store.write({ ...memory, job: this.stop(memory.job, memory, null) });
    return succeed(null);
  }

  /** Sixty times as fast, for trying things; from now on. */
  setPace(pace: Pace): void {
    const memory = this.settle();
    const job = memory.job?.runsSinceMs
      ? { ...memory.job, doneS: this.countSeconds(memory.job, memory), runsSinceMs: this.now() }
      : memory.job;
    this.store.write({ ...memory, pace, job });
  }

  /** The plug is pulled, or put back. What it cut when it lost power stays half done. */
  setPlugged(isPlugged: boolean): void {
    const memory = this.settle();
    if (isPlugged === memory.isPlugged) return;
    this.store.write({ ...memory, isPlugged, job: isPlugged ? memory.job : this.breakOff(memory, 'unplugged') });
  }

  /** Vinyl is caught, and it stops by itself. */
  jam(): void {
    const memory = this.settle();
    this.store.write({ ...memory, job: this.breakOff(memory, 'jammed') });
  }

  private breakOff(memory: CutterMemory, fault: CutterFault): JobMemory | null {
    const { job } = memory;
    return job?.state === 'cutting' || job?.state === 'paused' ? this.stop(job, memory, fault) : job;
  }

  private stop(job: JobMemory, memory: CutterMemory, fault: CutterFault | null): JobMemory {
    return { ...job, state: 'stopped', fault, doneS: this.countSeconds(job, memory), runsSinceMs: null };
  }

  private change(
    from: JobState,
    take: (job: JobMemory, memory: CutterMemory) => JobMemory,
  ): Result<null, CutterRefusal> {
    const memory = this.settle();
    if (!memory.isPlugged) return fail({ kind: 'off' });
    if (memory.job?.state !== from) return fail({ kind: 'no-job' });
    this.store.write({ ...memory, job: take(memory.job, memory) });
    return succeed(null);
  }

  private remember(): CutterMemory {
    return this.store.read() ?? NEW_CUTTER;
  }

  /** Its memory, with what came about since somebody looked: a job that ended, or went wrong. */
  private settle(): CutterMemory {
    const memory = this.remember();
    const { job } = memory;
    if (job?.state !== 'cutting') return memory;
    const { run } = this.plan(job);
    const seconds = this.countSeconds(job, memory);
    const fault = this.findFault(job, memory);
    const faultAtS = run.seconds * FAULT_AT_SHARE;
    const ended =
      fault && seconds >= faultAtS
        ? { ...job, state: 'stopped' as const, fault, doneS: faultAtS, runsSinceMs: null }
        : seconds >= run.seconds
          ? { ...job, state: 'done' as const, doneS: run.seconds, runsSinceMs: null }
          : null;
    if (!ended) return memory;
    const settled = { ...memory, job: ended };
    this.store.write(settled);
    return settled;
  }

  /** A job that was begun again after a fault is past it. */
  private findFault(job: JobMemory, { stock }: CutterMemory): CutterFault | null {
    if (!stock || job.fromLine > 0) return null;
    if (liftsOff(job.setting, lookIntoFilm(stock))) return 'lifted';
    return runsOff(stock) ? 'skewed' : null;
  }

  private countSeconds({ doneS, runsSinceMs }: JobMemory, { pace }: CutterMemory): number {
    if (runsSinceMs === null) return doneS;
    // A clock set back stops it for a while, and does not uncut anything.
    return doneS + (Math.max(0, this.now() - runsSinceMs) / MS_PER_S) * pace;
  }

  private plan(job: JobMemory): Planned {
    const key = `${job.id} ${job.fromLine}`;
    if (this.planned?.key === key) return this.planned;
    const read = readHpgl(job.program);
    const lines = read.ok ? read.value.lines.map(({ points }) => points).slice(job.fromLine) : [];
    const { speedMmPerS, passes } = job.setting;
    const { cornerSeconds, liftSeconds } = job;
    this.planned = { key, lines, run: planKnifeRun(lines, { speedMmPerS, passes, cornerSeconds, liftSeconds }) };
    return this.planned;
  }

  private readJob(job: JobMemory, memory: CutterMemory): JobReading {
    const { lines, run } = this.plan(job);
    const seconds = Math.min(run.seconds, this.countSeconds(job, memory));
    const place = locateKnife(lines, run, seconds);
    return {
      id: job.id,
      state: job.state,
      fault: job.fault,
      lines: job.fromLine + lines.length,
      linesDone: job.fromLine + place.done,
      at: place.at,
      secondsLeft: run.seconds - seconds,
      secondsDone: seconds,
      looks: memory.stock && job.state === 'done' ? this.look(job, memory.stock) : null,
    };
  }

  private look({ setting, bladeWorn }: JobMemory, stock: StockInCutter) {
    const film = lookIntoFilm(stock);
    return judgeDepth(computeDepth(setting, bladeWorn, film), film);
  }
}
