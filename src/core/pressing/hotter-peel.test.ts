import { describe, expect, it } from 'vitest';
import { PLAIN_BLANK, PLAIN_SHOP } from '../../../test/worked-example';
import { A, planned, pressed } from './press-examples';
import { compareRuns, PLAIN_RECIPE, planHotterPeel, planPressing, type PeelSchool, type PressPlan } from '.';

const input = (peel: PeelSchool, asks: 'hot' | 'cold' = 'hot') => ({
  layers: [{ vinyl: pressed('A', { peel: asks }) }],
  blank: PLAIN_BLANK,
  shop: PLAIN_SHOP,
  recipe: { ...PLAIN_RECIPE, peel },
});
const plan = (peel: PeelSchool): PressPlan => {
  const made = planPressing(input(peel));
  if (!made.ok) throw new Error(made.problem.kind);
  return made.value;
};

describe('peeling hotter while much waits', () => {
  it('is proposed where the recipe cools what its maker lets off hot', () => {
    const then = planHotterPeel(input('cold'))!;
    expect(then.steps.some(({ kind }) => kind === 'wait')).toBe(false);
    // One piece alone waits its 45 seconds out.
    expect(compareRuns(plan('cold'), then, 1)!.value).toBe(45);
  });

  it('saves less of a longer run, for the next is laid on meanwhile', () => {
    const then = planHotterPeel(input('cold'))!;
    const four = compareRuns(plan('cold'), then, 4);
    expect(four === null || four.value <= 45).toBe(true);
  });

  it('is not proposed where the maker asks for the cold, or the recipe follows the maker', () => {
    expect(planHotterPeel(input('cold', 'cold'))).toBeNull();
    expect(planHotterPeel(input('as the vinyl asks'))).toBeNull();
    expect(planHotterPeel(input('hot'))).toBeNull();
    expect(compareRuns(planned({ front: [A] }), planned({ front: [A] }), 3)).toBeNull();
  });
});
