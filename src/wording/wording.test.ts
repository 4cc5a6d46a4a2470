import { describe, expect, it } from 'vitest';
import { getDisplayColourName } from './colours';
import { describeArtworkProblem, describeCostProblem, describeLeftOut, describePriceProblem } from './problems';
import { describeHandedness } from './stations';

const settings = { locale: 'en-GB', currency: 'EUR', system: 'metric' as const, timeZone: 'UTC' };

describe('problems in words say what, where and what next', () => {
  it('artwork', () => {
    expect(describeArtworkProblem({ kind: 'broken-file', line: 3, column: 7, detail: 'unclosed tag: g' })).toBe(
      'The file breaks off or is damaged at line 3, column 7: unclosed tag: g. Export it again; if it came by mail, ask for it once more.',
    );
    expect(describeArtworkProblem({ kind: 'too-many-segments', segments: 512_000, limit: 400_000 })).toContain(
      '512,000',
    );
    expect(
      describeArtworkProblem({ kind: 'nothing-to-cut', leftOut: [{ kind: 'stroke', count: 12, names: ['a'] }] }),
    ).toMatch(/12 lines drawn as strokes.*turn strokes into outlines/);
    expect(describeArtworkProblem({ kind: 'nothing-to-cut', leftOut: [] })).toContain('Fill what should be cut');
  });

  it('what was left out, by name', () => {
    expect(describeLeftOut({ kind: 'text', count: 4, names: ['one', 'two', 'three'] })).toEqual({
      what: '4 live texts left out: one, two, three …',
      remedy: 'Turn text into outlines in your drawing program, then drop the file again.',
    });
  });

  it('cost and price, in the chosen units', () => {
    const wide = { kind: 'wider-than-roll', vinylName: 'Reed', needsMm: 610, usableMm: 480, shrinkTo: 0.7834 } as const;
    expect(describeCostProblem(wide, settings)).toContain('78.3 % of this width');
    expect(describeCostProblem({ ...wide, shrinkTo: 0 }, { ...settings, system: 'inch' })).toContain('18.9 in');
    expect(
      describeCostProblem(
        { kind: 'no-safe-window', vinylName: 'Reed', needsC: 150, blankName: 'Jacket', ceilingC: 135 },
        settings,
      ),
    ).toMatch(/at least 150 °C.*no more than 135 °C.*Choose/);
    expect(describePriceProblem({ kind: 'goal-beyond-price', feeShare: 0.5, goalShare: 0.5 }, settings)).toContain(
      'leave nothing of the price',
    );
  });

  it('handedness', () => {
    expect(describeHandedness({ mirrored: true, because: 'carrier-down' })).toBe('mirrored: carrier down');
  });
});

it.each([
  ['#ffffff', 'white'],
  ['#000000', 'black'],
  ['#888888', 'grey'],
  ['#ff0000', 'red'],
  ['#3f5e86', 'blue'],
  ['#c98a12', 'orange'],
  ['#0a3d12', 'dark green'],
  ['#f7c6d9', 'light pink'],
])('%s is called %s', (hex, name) => {
  expect(getDisplayColourName(hex)).toBe(name);
});
