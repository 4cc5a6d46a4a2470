// A run of several pieces at the press, against every order there is of small ones.

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { orderPressRun, tellPace, type PressRun, type PressStep } from './index';

const hands = (seconds: number, kind: PressStep['kind'] = 'press'): PressStep => ({ kind, seconds, attended: true });
const cool = (seconds: number, peel: 'cold' | 'warm' = 'cold'): PressStep => ({
  kind: 'wait',
  seconds,
  attended: false,
  peel,
});
const COLD = [hands(10, 'lay-out'), hands(20), cool(45), hands(5, 'peel'), hands(5, 're-press')];
const order = ({ steps }: PressRun) => steps.map(({ piece, step }) => `${piece}.${step}`);

/** The shortest run of all: every order in which blocks of pieces can follow one another. */
function shortest(blocks: readonly { readonly handsS: number; readonly coolS: number }[], pieces: number): number {
  const go = (done: readonly number[], coolAt: readonly number[], nowS: number): number => {
    const open = done.flatMap((count, piece) => (count < blocks.length ? [piece] : []));
    if (open.length === 0) return nowS;
    return Math.min(
      ...open.map((piece) => {
        const { handsS, coolS } = blocks[done[piece]!]!;
        const endS = Math.max(nowS, coolAt[piece]!) + handsS;
        return go(
          done.map((count, at) => (at === piece ? count + 1 : count)),
          coolAt.map((at, one) => (one === piece ? endS + coolS : at)),
          endS,
        );
      }),
    );
  };
  return go(Array<number>(pieces).fill(0), Array<number>(pieces).fill(0), 0);
}

describe('a run at the press', () => {
  it('of one piece waits until it is cool', () => {
    const run = orderPressRun(COLD, 1);
    expect(order(run)).toEqual(['0.0', '0.1', '0.2', '0.3', '0.4']);
    expect(run).toMatchObject({ seconds: 85, restingPlaces: 0 });
  });

  it('of four lays the next one on while the first cools', () => {
    const run = orderPressRun(COLD, 4);
    expect(order(run)).toEqual([
      ...['0.0', '0.1', '1.0', '1.1', '2.0', '2.1', '0.3', '0.4'],
      ...['3.0', '3.1', '1.3', '1.4', '2.3', '2.4', '3.2', '3.3', '3.4'],
    ]);
    // 4 × 40 s of hands, and 25 s at the end for the last one to cool: one by one it would be 340.
    expect(run.seconds).toBe(185);
    expect(run.perHour).toBeCloseTo((4 * 3600) / 185, 9);
    expect(tellPace(run, 4)).toMatchObject({ value: run.perHour, parts: [{ value: 4 }, { value: 185 }] });
    expect(run.restingPlaces).toBe(2);
  });

  it('with one place to rest lays one on beside the one that cools, with none it waits', () => {
    const one = orderPressRun(COLD, 3, 1);
    expect(order(one).slice(0, 5)).toEqual(['0.0', '0.1', '1.0', '1.1', '0.2']);
    expect(one.restingPlaces).toBe(1);
    expect(orderPressRun(COLD, 3, 0)).toMatchObject({ seconds: 255, restingPlaces: 0 });
  });

  it('does not let a warm peel be late', () => {
    const run = orderPressRun([hands(10), cool(15, 'warm'), hands(5, 'peel')], 2);
    expect(order(run)).toEqual(['0.0', '0.1', '0.2', '1.0', '1.1', '1.2']);
    expect(run).toMatchObject({ seconds: 60, restingPlaces: 0 });
  });

  it('without any wait is one piece after another', () => {
    expect(order(orderPressRun([hands(3), hands(4)], 2))).toEqual(['0.0', '0.1', '1.0', '1.1']);
    expect(orderPressRun([hands(3)], 0)).toEqual({ steps: [], seconds: 0, perHour: 0, restingPlaces: 0 });
  });

  const block = fc.record({ handsS: fc.integer({ min: 1, max: 40 }), coolS: fc.integer({ min: 1, max: 60 }) });
  const toPlan = (blocks: readonly { handsS: number; coolS: number }[]): readonly PressStep[] =>
    blocks.flatMap(({ handsS, coolS }, at) => [hands(handsS), ...(at < blocks.length - 1 ? [cool(coolS)] : [])]);

  it('takes no step before its piece is cool, none twice, and leaves none out', () => {
    fc.assert(
      fc.property(fc.array(block, { minLength: 1, maxLength: 4 }), fc.integer({ min: 1, max: 6 }), (blocks, pieces) => {
        const plan = toPlan(blocks);
        const { steps, seconds } = orderPressRun(plan, pieces);
        let nowS = 0;
        for (const step of steps) {
          expect(step.startS).toBe(nowS);
          nowS = step.endS;
        }
        expect(seconds).toBe(nowS);
        for (let piece = 0; piece < pieces; piece++) {
          const own = steps.filter((step) => step.piece === piece && plan[step.step]!.attended);
          expect(own.map(({ step }) => step)).toEqual(plan.flatMap((step, at) => (step.attended ? [at] : [])));
          own.slice(1).forEach((step, at) => {
            const between = plan.slice(own[at]!.step + 1, step.step).reduce((sum, one) => sum + one.seconds, 0);
            expect(step.startS - own[at]!.endS).toBeGreaterThanOrEqual(between);
          });
        }
      }),
    );
  });

  it('of one cold peel, with room for all, is the shortest of all orders', () => {
    fc.assert(
      fc.property(fc.tuple(block, block), fc.integer({ min: 1, max: 4 }), (blocks, pieces) => {
        expect(orderPressRun(toPlan(blocks), pieces, pieces).seconds).toBe(
          shortest([blocks[0], { ...blocks[1], coolS: 0 }], pieces),
        );
      }),
    );
  });

  it('of several is never shorter than any order can be, and at most half as long again', () => {
    fc.assert(
      fc.property(fc.array(block, { minLength: 3, maxLength: 3 }), fc.integer({ min: 1, max: 3 }), (blocks, pieces) => {
        const own = blocks.map((one, at) => (at === 2 ? { ...one, coolS: 0 } : one));
        const best = shortest(own, pieces);
        const { seconds } = orderPressRun(toPlan(blocks), pieces);
        expect(seconds).toBeGreaterThanOrEqual(best);
        expect(seconds).toBeLessThanOrEqual(best * 1.5);
      }),
    );
  });
});
