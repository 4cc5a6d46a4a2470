// What other schools would change, and which vinyls would do where there is no temperature.

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { PLAIN_BLANK, PLAIN_SHOP, STICKY_VINYL } from '../../../test/worked-example';
import type { Blank } from '../materials';
import { A, B, C, planned, pressed, vinyl } from './press-examples';
import {
  compareSchools,
  COVER_SCHOOLS,
  LAYER_SCHOOLS,
  listFittingVinyls,
  PEEL_SCHOOLS,
  planPressing,
  PRESS_TOOLS,
} from '.';

describe('where there is no temperature', () => {
  const nylon: Blank = { ...PLAIN_BLANK, name: 'Jacket', fabric: 'softshell' };
  const low = pressed('Low', { lowC: 115, highC: 135 }, { id: 71, kind: 'low-heat' });
  const lowSmooth = pressed('Low smooth', { lowC: 120, highC: 130 }, { id: 72 });
  it('names those that would do, those of its kind first, and never what is on it already', () => {
    const layers = [{ vinyl: A }];
    const plan = planPressing({ layers, blank: nylon, shop: PLAIN_SHOP });
    if (plan.ok) throw new Error('Expected: none');
    const fitting = listFittingVinyls(plan.problem, {
      layers,
      blank: nylon,
      vinyls: [A, low, B, lowSmooth, STICKY_VINYL],
    });
    expect(fitting.map(({ name }) => name)).toEqual(['Low smooth', 'Low']);
  });

  it('of two that lie apart either may be replaced, as long as the other stays pressable', () => {
    const hot = pressed('Hot', { lowC: 165, highC: 175 }, { id: 73 });
    const layers = [{ vinyl: A }, { vinyl: hot }];
    const plan = planPressing({ layers, blank: PLAIN_BLANK, shop: PLAIN_SHOP });
    if (plan.ok) throw new Error('Expected: none');
    const wide = pressed('Wide', { lowC: 150, highC: 180 }, { id: 74 });
    const fitting = listFittingVinyls(plan.problem, { layers, blank: PLAIN_BLANK, vinyls: [low, wide, B] });
    expect(fitting.map(({ name }) => name)).toEqual(['Wide', 'B']);
  });

  it('on what takes no heat names what sticks without', () => {
    const tin: Blank = { ...PLAIN_BLANK, fabric: 'glass-tin', heating: 'none' };
    const layers = [{ vinyl: A }];
    const plan = planPressing({ layers, blank: tin, shop: PLAIN_SHOP });
    if (plan.ok) throw new Error('Expected: none');
    expect(listFittingVinyls(plan.problem, { layers, blank: tin, vinyls: [B, STICKY_VINYL] })).toEqual([STICKY_VINYL]);
  });
});

describe('another school', () => {
  it('is told with what it changes of hands, waiting and closings, and what it brings', () => {
    const layers = [A, B, C].map((one) => ({ vinyl: one }));
    const { layers: schools, peel, cover } = compareSchools({ layers, blank: PLAIN_BLANK, shop: PLAIN_SHOP });
    expect(
      schools.map(({ option, handsSeconds, pressCycles, isChosen }) => [option, handsSeconds, pressCycles, isChosen]),
    ).toEqual([
      ['tack, then full', 0, 0, true],
      ['full each', 16, 0, false],
      // One placing more, two tacks and two peels less.
      ['on one carrier', 30 - 2 * 4 - 2 * 10, -2, false],
    ]);
    expect(peel.map(({ option, waitSeconds }) => [option, waitSeconds])).toEqual([
      ['as the vinyl asks', 0],
      ['hot', 0],
      ['warm', 45],
      ['cold', 135],
    ]);
    expect(cover.find(({ option }) => option === 'when bare')!.matters).toBe(false);
    expect(schools[1]!.brings.map(({ kind }) => kind)).toEqual(['too-much-heat']);
  });

  it('is none where nothing is heated', () => {
    const tin: Blank = { ...PLAIN_BLANK, fabric: 'glass-tin', heating: 'none' };
    expect(compareSchools({ layers: [{ vinyl: STICKY_VINYL }], blank: tin, shop: PLAIN_SHOP }).cover).toEqual([]);
  });

  it('never makes a plan whose seconds are not the sum of its steps, or a layer colder than its own press', () => {
    const recipe = fc.record({
      cover: fc.constantFrom(...COVER_SCHOOLS),
      layers: fc.constantFrom(...LAYER_SCHOOLS),
      peel: fc.constantFrom(...PEEL_SCHOOLS),
      tool: fc.constantFrom(...PRESS_TOOLS),
    });
    const size = fc.record({ width: fc.integer({ min: 10, max: 1500 }), height: fc.integer({ min: 10, max: 1500 }) });
    fc.assert(
      fc.property(recipe, size, fc.integer({ min: 1, max: 5 }), (own, box, count) => {
        const stack = Array.from({ length: count }, (_, at) => vinyl(`V${at}`, { id: 80 + at }));
        const plan = planned({ front: stack }, own, { size: box });
        const hands = plan.steps.filter(({ attended }) => attended).reduce((sum, { seconds }) => sum + seconds, 0);
        expect(plan.handsSeconds.value).toBe(hands);
        expect(plan.heat).toHaveLength(count);
        for (const { seconds } of plan.heat) expect(seconds).toBeGreaterThanOrEqual(12 + 3);
        expect(plan.steps.filter(({ kind }) => kind === 'place' || kind === 'stack').length).toBeGreaterThanOrEqual(
          count,
        );
      }),
    );
  });
});
