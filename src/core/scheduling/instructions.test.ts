// What is to be done next at each station, and the clocks that run for it.

import { describe, expect, it } from 'vitest';
import type { PressPlan, PressStep } from '../pressing';
import {
  isForgotten,
  listDonePieces,
  listInstructions,
  NO_PROGRESS,
  readClock,
  sumPresses,
  takeProgress,
  type Instruction,
} from './index';

const step = (kind: PressStep['kind'], seconds: number, peel?: 'cold' | 'hot'): PressStep => ({
  kind,
  seconds,
  attended: kind !== 'wait',
  ...(peel ? { peel } : {}),
});
const COLD = [step('lay-out', 10), step('press', 15), step('wait', 45, 'cold'), step('peel', 5, 'cold')];
const planOf = (steps: readonly PressStep[]) => ({ steps }) as PressPlan;
const press = (steps: readonly PressStep[], pieces: number) =>
  listInstructions('press', { hasTexts: Array<boolean>(pieces).fill(false), plan: planOf(steps) });
const say = (list: readonly Instruction[]) =>
  list.map((one) => (one.kind === 'press' ? `${one.piece} ${one.step.kind}` : `${one.piece} ${one.kind}`));

describe('instructions', () => {
  it('of the cutter come once for the batch', () => {
    expect(say(listInstructions('cut', { hasTexts: [true, false], plan: null }))).toEqual([
      ...['null load', 'null width', 'null test-cut', 'null cut', 'null cut-off'],
    ]);
  });

  it('have a text read back only where there is one', () => {
    expect(say(listInstructions('check', { hasTexts: [true, false], plan: null }))).toEqual([
      ...['0 read', '0 look', '0 pack', '1 look', '1 pack'],
    ]);
    expect(say(listInstructions('weed', { hasTexts: [true, false], plan: null }))).toEqual(['0 weed', '1 weed']);
  });

  it('at the press count a closed press down, and nothing that hands do', () => {
    const list = press([step('lay-out', 10), step('pre-press', 5), step('place', 8), step('press', 15)], 1);
    expect(list.map((one) => one.kind === 'press' && one.clockS)).toEqual([null, 5, null, 15]);
  });

  it('at the press lay the next piece on while one cools, whose clock runs beside and is waited for at its peel', () => {
    const list = press(COLD, 2);
    expect(say(list)).toEqual([
      ...['0 lay-out', '0 press', '1 lay-out', '1 press', '0 wait', '0 peel', '1 wait', '1 peel'],
    ]);
    // It cools from the moment the press opens, also where it is waited for in the end.
    expect(list[1]).toMatchObject({ cools: { key: '0.2' }, after: null });
    expect(list[4]).toMatchObject({ key: '0.2', clockS: 45 });
    const three = press(COLD, 3);
    expect(say(three).slice(0, 7)).toEqual([
      ...['0 lay-out', '0 press', '1 lay-out', '1 press', '2 lay-out', '2 press', '0 peel'],
    ]);
    expect(three[1]).toMatchObject({ cools: { key: '0.2', step: { seconds: 45 } } });
    expect(three[6]).toMatchObject({ after: '0.2' });
  });

  it('without a plan are none', () => {
    expect(listInstructions('press', { hasTexts: [false], plan: null })).toEqual([]);
  });

  it('tell which pieces are done', () => {
    const list = press(COLD, 3);
    expect(listDonePieces(list, 0)).toEqual([]);
    expect(listDonePieces(list, 7)).toEqual([0]);
    expect(listDonePieces(list, list.length)).toEqual([0, 1, 2]);
    const cut = listInstructions('cut', { hasTexts: [false], plan: null });
    expect(listDonePieces(cut, 3)).toEqual([]);
  });
});

describe('progress of a piece of work', () => {
  const start = [{ key: '0.1', label: 'Press', seconds: 15 }];

  it('goes on from where it is, with its clocks', () => {
    const on = takeProgress(NO_PROGRESS, { from: 0, to: 0, start, stop: [] }, 1000);
    expect(on).toMatchObject({ ok: true, value: { at: 0, clocks: [{ key: '0.1', startedAtMs: 1000 }] } });
    if (!on.ok) return;
    const next = takeProgress(on.value, { from: 0, to: 1, start: [], stop: ['0.1'] }, 17_000);
    expect(next).toMatchObject({ ok: true, value: { at: 1, clocks: [] } });
    const again = takeProgress(on.value, { from: 0, to: 0, start, stop: [] }, 5000);
    expect(again).toMatchObject({ ok: true, value: { clocks: [{ startedAtMs: 5000 }] } });
  });

  it('does nothing twice where two windows are at it', () => {
    expect(takeProgress({ at: 3, clocks: [] }, { from: 2, to: 3, start: [], stop: [] }, 0)).toEqual({
      ok: false,
      problem: { kind: 'moved', at: 3 },
    });
  });

  it('counts down, then over, and never below nothing where the clock was set back', () => {
    const clock = { startedAtMs: 10_000, seconds: 15 };
    expect(readClock(clock, 10_000)).toEqual({ leftS: 15, overS: 0 });
    expect(readClock(clock, 22_000)).toEqual({ leftS: 3, overS: 0 });
    expect(readClock(clock, 65_000)).toEqual({ leftS: 0, overS: 40 });
    expect(readClock(clock, 2000)).toEqual({ leftS: 15, overS: 0 });
  });

  it.each([
    [600, 600, false],
    [1900, 600, false],
    [2401, 600, true],
    [1801, 0, true],
    [5400, 3600, false],
  ])('that ran %d s where %d are usual was left running: %s', (gone, usual, forgotten) =>
    expect(isForgotten(gone, usual)).toBe(forgotten),
  );
});

describe('a decal', () => {
  it('is stuck on in five parts, and is done with the last of them', () => {
    const plan = {
      steps: [
        { kind: 'lay-out', seconds: 20, attended: true },
        { kind: 'apply', seconds: 60, attended: true, vinylName: 'Sticky' },
      ],
    } as unknown as PressPlan;
    const told = listInstructions('press', { hasTexts: [false, false], plan });
    expect(told.map((one) => (one.kind === 'press' ? (one.step.apply ?? one.step.kind) : one.kind))).toEqual([
      ...['lay-out', 'clean', 'tape', 'lift', 'set', 'peel-tape'],
      ...['lay-out', 'clean', 'tape', 'lift', 'set', 'peel-tape'],
    ]);
    const stencil = { ...plan.steps[1]!, isStencil: true } as const;
    const painted = listInstructions('press', { hasTexts: [false], plan: { ...plan, steps: [stencil] } });
    expect(painted.slice(-2).map((one) => one.kind === 'press' && one.step.apply)).toEqual(['paint', 'lift-stencil']);
    expect(listDonePieces(told, 5)).toEqual([]);
    expect(listDonePieces(told, 6)).toEqual([0]);
  });
});

describe('transfer tape', () => {
  const uses = (tapeUses: number, pieces: number) => {
    const steps = [{ kind: 'apply', seconds: 60, attended: true, vinylName: 'Sticky', tapeUses }];
    return listInstructions('press', {
      hasTexts: Array.from({ length: pieces }, () => false),
      plan: { steps } as unknown as PressPlan,
    }).flatMap((one) => (one.kind === 'press' && one.step.apply === 'tape' ? [one.step.tapeUse!] : []));
  };
  it('is counted from piece to piece, and new when it has served', () => {
    expect(uses(3, 5)).toEqual([
      { use: 1, of: 3, isLast: false },
      { use: 2, of: 3, isLast: false },
      { use: 3, of: 3, isLast: true },
      { use: 1, of: 3, isLast: false },
      { use: 2, of: 3, isLast: true },
    ]);
    // Half a use is none.
    expect(uses(1.5, 2).map(({ use }) => use)).toEqual([1, 1]);
  });
});

describe('how it was really pressed', () => {
  const press = { vinylName: 'Tarn', plannedC: 150, peel: 'cold' } as const;
  const step = (at: number) => ({
    from: at,
    to: at,
    start: [{ key: `${at}`, label: 'Press', seconds: 15, press }],
    stop: [],
  });

  it('is kept with each closing of the press, and told together', () => {
    const readings = [148.2, null, 152.6];
    const done = readings.reduce((before, readC) => {
      const next = takeProgress(before, step(0), 1000, readC);
      if (!next.ok) throw new Error('moved');
      return next.value;
    }, NO_PROGRESS);
    expect(done.presses).toHaveLength(3);
    expect(sumPresses(done.presses!)).toEqual([
      { ...press, seconds: 15, count: 3, read: { lowC: 148.2, highC: 152.6 } },
    ]);
    expect(sumPresses([{ ...press, seconds: 15, readC: null }])[0]!.read).toBeNull();
  });

  it('is nothing where nothing is pressed full', () => {
    const next = takeProgress(
      NO_PROGRESS,
      { from: 0, to: 1, start: [{ key: 'a', label: 'Cools', seconds: 45, press: null }], stop: [] },
      1000,
      150,
    );
    expect(next.ok && next.value.presses).toBeUndefined();
  });
});
