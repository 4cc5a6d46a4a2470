// Which of several serves best: by seconds for a good piece, without those that can't be used.

import { describe, expect, it } from 'vitest';
import { EMPTY_SHEET, judgeSides, type SideCandidate, type SideSheet } from './side-by-side';

const NO_LOOKS = { pieces: 0, failed: 0 };
const candidate = (id: number, sheet: Partial<SideSheet>, more: Partial<SideCandidate> = {}): SideCandidate => ({
  id,
  sheet: { ...EMPTY_SHEET, ...sheet },
  isFilled: true,
  looks: NO_LOOKS,
  ...more,
});
const quick = candidate(1, { cutSeconds: 60, weedSeconds: 120 });
const slow = candidate(2, { cutSeconds: 60, weedSeconds: 240 });

describe('side by side', () => {
  it('the one that takes least for each good piece is best, and by how much is told', () => {
    const { sides, verdict } = judgeSides([slow, quick], 10);
    expect(verdict).toEqual({ kind: 'best', id: 1, ahead: 300 / 180 - 1 });
    expect(sides.map(({ perGood }) => perGood!.value)).toEqual([30, 18]);
    expect(sides[0]!.perGood!.parts!.map(({ value }) => value)).toEqual([60, 240, 10, 10]);
  });

  it('what is lost costs its time: a quick one that loses half is not the best', () => {
    const careless = candidate(1, { cutSeconds: 60, weedSeconds: 120, lost: 5 });
    const { sides, verdict } = judgeSides([careless, slow], 10);
    expect(sides.map(({ perGood }) => perGood!.value)).toEqual([36, 30]);
    expect(verdict).toMatchObject({ kind: 'best', id: 2 });
  });

  it('within a tenth they are as good as one another', () => {
    const near = candidate(2, { cutSeconds: 60, weedSeconds: 137 });
    expect(judgeSides([quick, near], 10).verdict).toEqual({ kind: 'even', ids: [1, 2] });
    const further = candidate(2, { cutSeconds: 60, weedSeconds: 139 });
    expect(judgeSides([quick, further], 10).verdict).toMatchObject({ kind: 'best', id: 1 });
  });

  it.each([
    ['none left', { lost: 10 }, {}],
    ['cuts through', { backing: 'cut through' }, {}],
    ['stays on tape', { lift: 'not at all' }, {}],
    ['does not stick', { stick: 'not at all' }, {}],
    ['did not last', {}, { looks: { pieces: 10, failed: 5 } }],
  ] as const)('%s: it is no choice, however quick', (fault, sheet, more) => {
    const bad = candidate(1, { cutSeconds: 1, weedSeconds: 1, ...sheet }, more);
    const { sides, verdict } = judgeSides([bad, slow], 10);
    expect(sides[0]!.faults).toEqual([fault]);
    expect(verdict).toEqual({ kind: 'best', id: 2, ahead: null });
  });

  it('a few that failed later are no verdict yet', () => {
    const looked = { ...quick, looks: { pieces: 10, failed: 4 } };
    expect(judgeSides([looked, slow], 10).verdict).toMatchObject({ kind: 'best', id: 1 });
  });

  it('nothing is said before all sheets are filled, or where none serves, or nobody timed', () => {
    expect(judgeSides([quick, { ...slow, isFilled: false }], 10).verdict).toEqual({ kind: 'not-filled', missing: 1 });
    const lost = (id: number) => candidate(id, { lost: 10 });
    expect(judgeSides([lost(1), lost(2)], 10).verdict).toEqual({ kind: 'none' });
    const untimed = (id: number) => candidate(id, {});
    expect(judgeSides([untimed(1), untimed(2)], 10)).toMatchObject({
      sides: [{ perGood: null }, { perGood: null }],
      verdict: { kind: 'untimed', ids: [1, 2] },
    });
    expect(judgeSides([candidate(1, { lost: 7 }), untimed(2)], 10).verdict).toEqual({ kind: 'untimed', ids: [2] });
  });
});
