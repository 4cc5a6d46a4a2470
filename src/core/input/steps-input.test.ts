import { describe, expect, it } from 'vitest';
import { STEP_KINDS, type PrepStep } from '../artwork';
import { prepSteps } from './steps-input';

const GOOD: readonly PrepStep[] = [
  { kind: 'size', widthMm: 120, on: true },
  { kind: 'size', heightMm: 50, on: false },
  { kind: 'size', widthMm: 100, heightMm: 50, fit: true, on: true },
  { kind: 'rotate', degrees: -90, on: true },
  { kind: 'outline-strokes', on: true },
  { kind: 'merge', layer: '#ff0000', into: '#00ff00', on: true },
  { kind: 'leave-out', layer: '#ff0000', on: true },
  { kind: 'open-paths', how: 'stroke', widthMm: 1.5, on: true },
  { kind: 'remove-doubled', withinMm: 0.2, on: true },
  { kind: 'remove-specks', underMm2: 1, on: true },
  { kind: 'unite', on: true },
  { kind: 'offset', layer: '#ff0000', byMm: -2, copy: false, on: true },
  { kind: 'knock-out', lower: '#ff0000', upper: '#00ff00', overlapMm: 0.4, on: true },
  { kind: 'negative', layer: '#ff0000', marginMm: 4, on: true },
  { kind: 'registration', sizeMm: 4, gapMm: 8, on: true },
  { kind: 'weed-boxes', layer: '#ff0000', marginMm: 4, joinMm: 6, on: true },
  { kind: 'loose', layer: '#ff0000', on: true },
  { kind: 'role', layer: '#ff0000', role: 'stencil', on: true },
  { kind: 'split', layer: '#ff0000', mostMm: 280, overlapMm: 1, on: true },
  { kind: 'stone-template', layer: '#ff0000', diameterMm: 3, playMm: 0.4, marginMm: 12, on: true },
];

describe('steps that are taken', () => {
  it('come through as they are, whatever else hangs on them', () => {
    const asked = GOOD.map((step) => ({ ...step, extra: 'dropped' }));
    expect(JSON.parse(JSON.stringify(prepSteps.validateSync(asked, { stripUnknown: true })))).toEqual(
      JSON.parse(JSON.stringify(GOOD)),
    );
    expect(new Set(GOOD.map((step) => step.kind))).toEqual(new Set(STEP_KINDS));
  });
});

describe('steps that are refused, with what and why', () => {
  it.each([
    ['an unknown kind', { kind: 'melt', on: true }, /not known here/],
    ['no kind', { on: true }, /not known here/],
    ['nothing at all', null, /./],
    ['a width of nought', { kind: 'size', widthMm: 0, on: true }, /from 3 to 3000/],
    ['a width that is no number', { kind: 'size', widthMm: 'wide', on: true }, /from 3 to 3000/],
    ['no layer', { kind: 'leave-out', on: true }, /Layer: choose one/],
    [
      'an overlap of a hand',
      { kind: 'knock-out', lower: 'a', upper: 'b', overlapMm: 90, on: true },
      /Overlap: from 0 to 10/,
    ],
    ['an unheard-of way', { kind: 'open-paths', how: 'melt', widthMm: 1, on: true }, /close, leave-out or stroke/],
    ['a turn too many', { kind: 'rotate', degrees: 900, on: true }, /from -360 to 360/],
    ['neither on nor off', { kind: 'unite' }, /./],
  ])('%s', (_, step, words) => {
    expect(() => prepSteps.validateSync([step])).toThrow(words);
  });

  it('more than sixty', () => {
    expect(() => prepSteps.validateSync(Array.from({ length: 61 }, () => ({ kind: 'unite', on: true })))).toThrow(
      /at most 60/,
    );
  });
});
