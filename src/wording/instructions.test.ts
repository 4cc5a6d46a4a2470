// What the bench says is to be done now, and how the cautions of a blank are put.

import { describe, expect, it } from 'vitest';
import type { Instruction } from '../core/scheduling';
import type { BenchLineView, BenchPartView } from '../views/bench';
import { describeInstruction } from './instructions';
import { describePressStep } from './press-steps';

const SETTINGS = { locale: 'en-GB', currency: 'EUR', timeZone: 'UTC', system: 'metric' as const };
const PART = {
  vinylName: 'Tarn Smooth, cream',
  handedness: 'mirrored: carrier down',
  texts: ['ASH'],
  layerText: null,
  layerName: 'loaf',
  layerIndex: 0,
  placement: 'bib, 70 mm below the edge',
  sizeName: 'M',
  colourName: 'navy',
  vinylId: 1,
  recut: null,
} as unknown as BenchPartView;
const LINE = { layers: [{ cavities: 3, pieces: 1 }] } as unknown as BenchLineView;
const say = (instruction: Instruction, part: Partial<BenchPartView> = {}) =>
  describeInstruction(instruction, { pieces: [{ ...PART, ...part }], line: LINE, vinyls: [] }, SETTINGS);
const press = (step: Partial<Extract<Instruction, { kind: 'press' }>['step']>): Instruction => ({
  kind: 'press',
  piece: 0,
  key: '0.0',
  clockS: null,
  cools: null,
  after: null,
  step: { kind: 'press', seconds: 15, attended: true, ...step },
});

describe('what is to be done now', () => {
  it('at the cutter tells which way round', () => {
    expect(say({ kind: 'load', piece: null, sheet: null })).toEqual({
      what: 'Load Tarn Smooth, cream',
      facts: ['mirrored: carrier down'],
    });
  });

  it('at weeding counts what comes out and what stays, and of a recut which bits', () => {
    expect(say({ kind: 'weed', piece: 0 }).facts).toEqual([
      'outside first, from a corner',
      '3 cavities out',
      '1 piece stays',
    ]);
    expect(say({ kind: 'weed', piece: 0 }, { recut: { bits: [1], of: 4 } }).facts[0]).toBe(
      'only 1 of 4 bits, cut again',
    );
  });

  it('a vinyl that lets go better warm is warmed before it is weeded', () => {
    const warmed = [{ id: 1, rollWidthMm: 500, details: { warmToWeed: true } }] as unknown as Parameters<
      typeof describeInstruction
    >[1]['vinyls'];
    const said = describeInstruction(
      { kind: 'weed', piece: 0 },
      { pieces: [PART], line: LINE, vinyls: warmed },
      SETTINGS,
    );
    expect(said.facts[0]).toBe('warm it 2 to 3 s on the lower platen first');
  });

  it('a decal is told part by part; thin vinyl wants a dull tape', () => {
    const apply = (part: 'tape' | 'peel-tape' | 'lift-stencil', weedingFactor: number) =>
      describeInstruction(
        press({ kind: 'apply', vinylName: 'Film', apply: part }),
        {
          pieces: [PART],
          line: LINE,
          vinyls: [{ id: 9, name: 'Film', weedingFactor, details: { thicknessUm: 80 } }] as unknown as Parameters<
            typeof describeInstruction
          >[1]['vinyls'],
        },
        SETTINGS,
      );
    expect(apply('tape', 1).facts[1]).toBe('from the middle outwards, then rub it down');
    expect(apply('tape', 1.4).facts[1]).toMatch(/^thin vinyl: dull the tape/);
    expect(apply('lift-stencil', 1).facts[0]).toBe('before the paint is quite dry');
    expect(apply('peel-tape', 1)).toEqual({
      what: 'Peel the tape',
      facts: ['back on itself, at a sharp angle', 'from fine parts to bold ones', 'away with it'],
    });
  });

  it('tape is counted: what it serves, what is left of it, when it is done with', () => {
    const apply = (part: 'tape' | 'peel-tape', use: number, of: number, isLast: boolean) =>
      say(press({ kind: 'apply', vinylName: 'Film', apply: part, tapeUse: { use, of, isLast } })).facts;
    expect(apply('tape', 1, 3, false)[0]).toBe('new tape, use 1 of 3');
    expect(apply('tape', 2, 3, false)[0]).toBe('the tape of the piece before, use 2 of 3');
    expect(apply('tape', 1, 1, true)[0]).toBe('new tape');
    expect(apply('peel-tape', 1, 3, false).at(-1)).toBe('keep it for the next piece');
    expect(apply('peel-tape', 1, 3, true).at(-1)).toBe('keep it on its liner: 2 uses left');
    expect(apply('peel-tape', 3, 3, true).at(-1)).toBe('away with it: it served 3 times');
  });

  it('stones are told with their number and size', () => {
    const step = { kind: 'stones', vinylName: 'stones, clear', stones: { count: 48, diameterMm: 3 } } as const;
    expect(say(press(step))).toEqual({
      what: 'Lay on: stones, clear',
      facts: ['48 of 3 mm', 'brushed into the template, lifted with hot-fix tape'],
    });
  });

  it('at the press tells degrees, seconds, pressure and cover', () => {
    const said = say(press({ vinylName: 'Tarn Cool', temperatureC: 150, pressure: 'firm', covered: true }));
    expect(said).toEqual({ what: 'Press: Tarn Cool', facts: ['150 °C', '15 s', 'firm', 'covered'] });
    expect(say(press({ kind: 'peel', peel: 'cold', seconds: 5 })).facts).toEqual(['peel cold']);
    expect(say(press({ kind: 'wait', peel: 'cold', seconds: 45, attended: false })).facts).toEqual([
      '45 s',
      'peel cold',
    ]);
  });

  it('tells what of the blank must not lie under the platen', () => {
    const step = { kind: 'lay-out', seconds: 12, attended: true, inTheWay: ['zip', 'pocket'] } as const;
    const told = ['zip off the platen, or on a pillow', 'board in the pocket'];
    expect(say(press(step)).facts).toEqual(told);
    expect(describePressStep(step, SETTINGS).facts).toEqual(['12 s', ...told]);
  });

  it('at the check has the text read letter by letter', () => {
    expect(say({ kind: 'read', piece: 0 })).toMatchObject({ what: 'Read: ASH' });
    expect(say({ kind: 'look', piece: 0 }).facts[0]).toBe('position: bib, 70 mm below the edge');
  });
});
