import { describe, expect, it } from 'vitest';
import { STEP_KINDS, type Finding, type StepAction } from '../core/artwork';
import type { FormatSettings } from '../core/units';
import {
  describeFinding,
  describeLicenceCaution,
  describeRemedy,
  describeStep,
  describeVerdict,
  LICENCE_NAMES,
} from './findings';

const METRIC: FormatSettings = { locale: 'en-GB', currency: 'EUR', timeZone: 'UTC', system: 'metric' };
const INCH: FormatSettings = { ...METRIC, system: 'inch' };
const nameOf = (key: string) => ({ red: 'oars', blue: 'waves' })[key] ?? key;
const thin: Finding = {
  kind: 'thin-strokes',
  hasOwnFloor: false,
  layer: 'red',
  thinnestMm: 0.6,
  floorMm: 1,
  places: [],
  safeWidthMm: 118,
  withinReach: true,
  remedies: [{ kind: 'size', widthMm: 118 }],
};
const FINDINGS: readonly (readonly [Finding, RegExp])[] = [
  [thin, /oars: strokes down to 0.6 mm.*holds from 1 mm.*from 118 mm up/],
  [{ ...thin, kind: 'thin-gaps', layer: 'blue' }, /waves: gaps down to 0.6 mm.*weeds well from 118 mm/],
  [{ ...thin, withinReach: false, remedies: [] }, /choose one that takes finer detail/],
  [
    { kind: 'too-wide', layer: 'red', needsMm: 510, usableMm: 468, fitsTurned: true, shrinkToMm: 468, remedies: [] },
    /oars is 510 mm wide, its vinyl takes 468 mm.*Turned by a quarter it fits/,
  ],
  [
    { kind: 'too-wide', layer: 'red', needsMm: 510, usableMm: 468, fitsTurned: false, shrinkToMm: 468, remedies: [] },
    /part it into loads side by side/,
  ],
  [{ kind: 'doubled', layer: 'red', count: 1, remedies: [] }, /1 doubled line[^s]/],
  [{ kind: 'doubled', layer: 'red', count: 3, remedies: [] }, /3 doubled lines/],
  [{ kind: 'crossing', layer: 'red', extraMm: 110, remedies: [] }, /0.11 m inside the outline/],
  [{ kind: 'specks', layer: 'blue', count: 2, underMm2: 1, remedies: [] }, /waves: 2 specks/],
  [{ kind: 'open-paths', layer: 'blue', count: 1, remedies: [] }, /1 open path[^s]/],
  [{ kind: 'strokes-apart', count: 4, remedies: [] }, /4 lines drawn as strokes/],
  [
    { kind: 'colour-on-colour', lower: 'red', upper: 'blue', areaMm2: 900, remedies: [] },
    /waves lies on oars.*9.0 cm²/,
  ],
  [{ kind: 'too-thick', depth: 4, areaMm2: 100, remedies: [] }, /4 vinyls on one another/],
  [{ kind: 'like-colours', layer: 'blue', into: 'red', remedies: [] }, /waves is nearly the colour of oars/],
];
const STEPS: readonly (readonly [StepAction, RegExp])[] = [
  [{ kind: 'size', widthMm: 120 }, /^120 mm wide$/],
  [{ kind: 'size', heightMm: 60 }, /^60 mm high$/],
  [{ kind: 'size', widthMm: 120, heightMm: 60, fit: true }, /^Fit into 120 mm × 60 mm$/],
  [{ kind: 'rotate', degrees: 90 }, /90°/],
  [{ kind: 'outline-strokes' }, /strokes into outlines/],
  [{ kind: 'merge', layer: 'blue', into: 'red' }, /Merge waves into oars/],
  [{ kind: 'leave-out', layer: 'red' }, /Leave out oars/],
  [{ kind: 'open-paths', how: 'close', widthMm: 1 }, /Close/],
  [{ kind: 'open-paths', how: 'stroke', widthMm: 2 }, /lines of 2 mm/],
  [{ kind: 'remove-doubled', withinMm: 0.2 }, /doubled/],
  [{ kind: 'remove-specks', underMm2: 1 }, /specks/],
  [{ kind: 'unite' }, /Unite/],
  [{ kind: 'offset', layer: 'red', byMm: 3, copy: true }, /Outline of 3 mm around oars/],
  [{ kind: 'offset', layer: 'red', byMm: -0.5, copy: false }, /Inset oars by 0.5 mm/],
  [{ kind: 'offset', layer: 'red', byMm: 2, copy: false }, /Grow oars by 2 mm/],
  [{ kind: 'knock-out', lower: 'red', upper: 'blue', overlapMm: 0.4 }, /waves out of oars, less 0.4 mm/],
  [{ kind: 'negative', layer: 'red', marginMm: 4 }, /Negative of oars/],
  [{ kind: 'registration', sizeMm: 4, gapMm: 8 }, /Registration/],
  [{ kind: 'weed-boxes', layer: 'red', marginMm: 4, joinMm: 6 }, /Weed boxes in oars/],
  [{ kind: 'loose', layer: 'red' }, /moved apart/],
  [{ kind: 'role', layer: 'red', role: 'stencil' }, /oars: a stencil or template/],
  [{ kind: 'split', layer: 'red', mostMm: 280, overlapMm: 1 }, /Part oars into loads of 280 mm at most/],
  [{ kind: 'stone-template', layer: 'red', diameterMm: 3, playMm: 0.4, marginMm: 12 }, /stones of 3 mm/],
];

describe('findings in words', () => {
  it.each(FINDINGS)('%o', (finding, words) => {
    const { what, detail } = describeFinding(finding, nameOf, METRIC);
    expect(`${what} ${detail}`).toMatch(words);
    expect(detail).toMatch(/\.$/);
  });

  it('speak inches where inches are chosen', () => {
    expect(describeFinding(thin, nameOf, INCH).detail).toMatch(/from 4.65 in up/);
  });
});

describe('steps in words', () => {
  it.each(STEPS)('%o', (step, words) => expect(describeStep(step, nameOf, METRIC)).toMatch(words));

  it('have words for every kind there is', () => {
    expect(new Set(STEPS.map(([step]) => step.kind))).toEqual(new Set(STEP_KINDS));
  });

  it('say on the button what happens', () => {
    expect(describeRemedy({ kind: 'size', widthMm: 118 }, nameOf, METRIC)).toBe('Make it 118 mm wide');
    expect(describeRemedy({ kind: 'open-paths', how: 'leave-out', widthMm: 1 }, nameOf, METRIC)).toBe('Leave them out');
    expect(describeRemedy({ kind: 'merge', layer: 'blue', into: 'red' }, nameOf, METRIC)).toBe('Merge into oars');
    expect(describeRemedy({ kind: 'unite' }, nameOf, METRIC)).toBe('Unite crossing shapes');
  });
});

describe('the verdict', () => {
  const verdict = (...findings: readonly Finding[]) => describeVerdict(findings, '2 layers', nameOf, METRIC);
  it('is ready where nothing is found', () => expect(verdict()).toBe('Ready to cut: 2 layers.'));
  it('names the widest of the safe widths', () =>
    expect(verdict(thin, { ...thin, kind: 'thin-gaps', layer: 'blue', safeWidthMm: 140 })).toBe(
      'Cut it at 140 mm or wider, or use a vinyl for waves that takes finer detail.',
    ));
  it('does not ask for a width that no vinyl has', () =>
    expect(verdict({ ...thin, withinReach: false })).toBe(
      'Too fine for the vinyl of oars: use one that takes finer detail there.',
    ));
  it('puts what does not fit first', () =>
    expect(
      verdict(thin, {
        kind: 'too-wide',
        layer: 'red',
        needsMm: 510,
        usableMm: 468,
        fitsTurned: true,
        shrinkToMm: 468,
        remedies: [],
      }),
    ).toMatch(/^Too wide for its vinyl. Turn it, or make it 468 mm wide/));
  it('counts the rest', () =>
    expect(verdict({ kind: 'strokes-apart', count: 1, remedies: [] })).toBe(
      '2 layers. 1 thing to look at before it is cut.',
    ));
});

it('cautions on drawings whose right is not known or not for sale', () => {
  expect(describeLicenceCaution('personal-only')).toMatch(/don’t sell/);
  expect(describeLicenceCaution('unknown')).toMatch(/Whose drawing/);
  for (const licence of ['own', 'for-sale', 'customer', 'open'] as const)
    expect(describeLicenceCaution(licence)).toBeNull();
  expect(Object.values(LICENCE_NAMES).every((name) => name.length > 3)).toBe(true);
});
