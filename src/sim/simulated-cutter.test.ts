// The simulated cutter by itself: with a clock moved by hand, and its memory in a variable.

import { beforeEach, describe, expect, it } from 'vitest';
import { writeHpgl, type CutLayer } from '../core/artwork';
import type { CutterJob, StockInCutter } from '../ports/cutter';
import { SimulatedCutter, type CutterMemory } from './simulated-cutter';

let nowMs = 0;
let memory: CutterMemory | null = null;
let cutter: SimulatedCutter;
const store = {
  read: () => memory,
  write: (next: CutterMemory) => {
    memory = next;
  },
};
beforeEach(() => {
  nowMs = 5_000_000;
  memory = null;
  cutter = new SimulatedCutter(store, () => nowMs);
});
const pass = (seconds: number) => {
  nowMs += seconds * 1000;
};

/** Ten lines of 100 mm, one beneath the other: at 10 mm/s with a second for each lift, 11 s each. */
const layer: CutLayer = {
  name: 'lines',
  mirrored: false,
  widthMm: 100,
  heightMm: 100,
  note: 'lines',
  paths: Array.from({ length: 10 }, (_, at) => ({
    inner: false,
    open: true,
    points: [
      { x: 0, y: at * 10 },
      { x: 100, y: at * 10 },
    ],
  })),
};
const setting = { forceGrams: 90, speedMmPerS: 10, passes: 1, bladeDegrees: 45 } as const;
const job = (more: Partial<CutterJob> = {}): CutterJob => ({
  id: 'one',
  program: writeHpgl(layer),
  fromLine: 0,
  setting,
  bladeWorn: 0,
  cornerSeconds: 0,
  liftSeconds: 1,
  ...more,
});
const stock = (more: Partial<StockInCutter> = {}): StockInCutter => ({
  lotId: 12,
  labelWidthMm: 305,
  lengthMm: 200,
  onMat: true,
  kind: 'smooth',
  thicknessUm: null,
  ...more,
});
const jobNow = () => cutter.read().job!;
const refusal = (answer: { ok: boolean } & Partial<{ problem: { kind: string } }>) =>
  answer.ok ? null : answer.problem!.kind;

describe('what it takes', () => {
  it('senses the width of what is loaded, and nothing while it is empty or off', () => {
    expect(cutter.read()).toMatchObject({ isOn: true, widthMm: null, job: null });
    cutter.load(stock());
    expect(cutter.read().widthMm).toBeGreaterThan(290);
    cutter.setPlugged(false);
    expect(cutter.read()).toMatchObject({ isOn: false, widthMm: null });
    cutter.setPlugged(true);
    cutter.unload();
    expect(cutter.read().widthMm).toBeNull();
  });

  it('refuses a job while it is empty, off or busy, and one that it does not understand', () => {
    expect(refusal(cutter.send(job()))).toBe('empty');
    cutter.load(stock());
    expect(refusal(cutter.send(job({ program: 'hello' })))).toBe('unreadable');
    expect(refusal(cutter.send(job()))).toBeNull();
    expect(refusal(cutter.send(job({ id: 'two' })))).toBe('busy');
    expect(refusal(cutter.load(stock()))).toBe('busy');
    cutter.setPlugged(false);
    expect([cutter.send(job()), cutter.pause(), cutter.load(stock()), cutter.abort()].map(refusal)).toEqual([
      'off',
      'off',
      'off',
      'off',
    ]);
  });

  it('pauses, resumes and aborts only what there is', () => {
    cutter.load(stock());
    expect([cutter.pause(), cutter.resume(), cutter.abort()].map(refusal)).toEqual(['no-job', 'no-job', 'no-job']);
    cutter.send(job());
    expect(refusal(cutter.resume())).toBe('no-job');
    expect(refusal(cutter.pause())).toBeNull();
    expect(refusal(cutter.pause())).toBe('no-job');
  });
});

describe('its way along the lines', () => {
  beforeEach(() => {
    cutter.load(stock());
    cutter.send(job());
  });

  it('is told line by line, with what is left, and how the cut looks once it is done', () => {
    expect(jobNow()).toMatchObject({ lines: 10, linesDone: 0, secondsLeft: 110, looks: null });
    pass(5.5);
    expect(jobNow().at).toEqual({ x: 50, y: 100 });
    pass(27.5);
    expect(jobNow()).toMatchObject({ linesDone: 3, secondsLeft: 77, secondsDone: 33 });
    pass(77);
    expect(jobNow()).toMatchObject({ state: 'done', linesDone: 10, secondsLeft: 0, at: null });
    expect(jobNow().looks).not.toBeNull();
  });

  it('goes sixty times as fast from when it is told to', () => {
    pass(11);
    cutter.setPace(60);
    expect(jobNow().linesDone).toBe(1);
    pass(1);
    expect(jobNow().linesDone).toBe(6);
    cutter.setPace(1);
    pass(11);
    expect(jobNow().linesDone).toBe(7);
  });

  it('pauses at the end of its line, however long, and goes on from there', () => {
    pass(12);
    cutter.pause();
    expect(jobNow()).toMatchObject({ state: 'paused', linesDone: 2 });
    pass(3600);
    expect(jobNow().linesDone).toBe(2);
    cutter.resume();
    pass(11);
    expect(jobNow()).toMatchObject({ state: 'cutting', linesDone: 3 });
  });

  it('goes on while nobody looks, and another program knows it by its memory', () => {
    pass(60);
    const again = new SimulatedCutter(store, () => nowMs);
    expect(again.read().job).toMatchObject({ linesDone: 5 });
    pass(600);
    expect(again.read().job).toMatchObject({ state: 'done' });
  });
});

describe('what befalls it', () => {
  it.each([
    ['unplugged', () => cutter.setPlugged(false)],
    ['jammed', () => cutter.jam()],
  ] as const)('%s it stops where it is, and takes the rest from there', (fault, befall) => {
    cutter.load(stock());
    cutter.send(job());
    pass(35);
    befall();
    expect(jobNow()).toMatchObject({ state: 'stopped', fault, linesDone: 3 });
    cutter.setPlugged(true);
    cutter.send(job({ id: 'again', fromLine: 3 }));
    expect(jobNow()).toMatchObject({ id: 'again', linesDone: 3, lines: 10, secondsLeft: 77 });
    pass(77);
    expect(jobNow()).toMatchObject({ state: 'done', linesDone: 10 });
  });

  it('a thin film cut fast lifts in the middle of it; begun again it is past that', () => {
    cutter.load(stock({ kind: 'permanent', thicknessUm: 60 }));
    const fast = { ...setting, speedMmPerS: 200 };
    cutter.send(job({ setting: fast }));
    pass(3600);
    expect(jobNow()).toMatchObject({ state: 'stopped', fault: 'lifted' });
    const { linesDone } = jobNow();
    expect(linesDone).toBeGreaterThan(0);
    expect(linesDone).toBeLessThan(10);
    cutter.send(job({ id: 'again', setting: fast, fromLine: linesDone }));
    pass(3600);
    expect(jobNow().state).toBe('done');
  });

  it('a long run that nothing holds goes off its line', () => {
    cutter.load(stock({ onMat: false, lengthMm: 2400 }));
    cutter.send(job());
    pass(3600);
    expect(jobNow()).toMatchObject({ state: 'stopped', fault: 'skewed' });
  });

  it('a jam while nothing is cut, and a plug that is pulled twice, change nothing', () => {
    cutter.load(stock());
    cutter.jam();
    expect(cutter.read().job).toBeNull();
    cutter.send(job());
    cutter.setPlugged(false);
    cutter.setPlugged(false);
    expect(jobNow().fault).toBe('unplugged');
    cutter.setPlugged(true);
    expect(jobNow().state).toBe('stopped');
  });
});
