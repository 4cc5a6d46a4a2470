// Hot-fix stones at the press: after the vinyl of their place, through their tape, at a heat that melts their glue.

import { describe, expect, it } from 'vitest';
import { PLAIN_BLANK } from '../../../test/worked-example';
import { findStepCautions } from './press-cautions';
import { kindOf, kinds, lines, planned, planOf, pressed } from './press-examples';

const CLEAR = { label: 'clear', count: 48, diameterMm: 3 };
const BLUE = { label: 'blue', count: 12, diameterMm: 4 };
/** 145 to 165 °C: its middle is 155. */
const WIDE = pressed('Wide', { lowC: 145, highC: 165 });

describe('stones', () => {
  it('are laid, pressed 12 s and peeled cold after the vinyl of the first place, each field by itself', () => {
    const plan = planned({ front: [WIDE], back: [WIDE] }, {}, { stones: [CLEAR, BLUE] });
    const own = lines(plan).filter((line) => line.includes('stones'));
    expect(own).toEqual([
      'stones stones, clear 30',
      'press stones, clear 12 covered',
      'wait stones, clear 45',
      'peel stones, clear 10',
      'stones stones, blue 30',
      'press stones, blue 12 covered',
      'wait stones, blue 45',
      'peel stones, blue 10',
    ]);
    const places = plan.steps.filter(({ vinylName }) => vinylName?.startsWith('stones')).map(({ place }) => place);
    expect(new Set(places)).toEqual(new Set(['front']));
    // What is pressed of stones says so, and how many: the press of the vinyl stays the one that counts.
    const told = plan.steps.filter(({ stones }) => stones).map(({ kind, stones }) => [kind, stones!.count]);
    expect(told).toEqual([
      ['stones', 48],
      ['press', 48],
      ['stones', 12],
      ['press', 12],
    ]);
    // The vinyl is peeled before, and pressed once more after.
    const order = plan.steps.filter(({ place }) => place === 'front').map(({ kind }) => kind);
    expect(order.indexOf('peel')).toBeLessThan(order.indexOf('stones'));
    expect(order.at(-1)).toBe('re-press');
  });

  it('cost hands and closings of the press: two of each more than without', () => {
    const without = planned({ front: [WIDE] });
    const plan = planned({ front: [WIDE] }, {}, { stones: [CLEAR] });
    expect(plan.pressCycles - without.pressCycles).toBe(1);
    // Laid 30, pressed 12, peeled 10; 45 of cooling are no hands.
    expect(plan.handsSeconds.value - without.handsSeconds.value).toBe(52);
    expect(plan.waitSeconds - without.waitSeconds).toBe(45);
    // What lies below is under heat for them too.
    const heatOf = ({ heat }: typeof plan) => heat.find(({ vinylName }) => vinylName === 'Wide')!.seconds;
    expect(heatOf(plan) - heatOf(without)).toBe(12);
  });

  it('take the shared heat into what their glue wants, where vinyl and blank allow it', () => {
    const cool = pressed('Cool', { lowC: 130, highC: 160 });
    expect(planned({ front: [cool] }).temperatureC).toBe(145);
    // 155 to 160 is common to both.
    const plan = planned({ front: [cool] }, {}, { stones: [CLEAR] });
    expect(plan.temperatureC).toBe(158);
    expect(kinds(plan)).toEqual(['hot-platen', 'small-stones']);
    const hot = pressed('Hot', { lowC: 160, highC: 190 });
    expect(planned({ front: [hot] }, {}, { stones: [CLEAR] }).temperatureC).toBe(163);
  });

  it('say so where the heat can’t be theirs', () => {
    const low = pressed('Low', { lowC: 115, highC: 135 });
    const plan = planned({ front: [low] }, {}, { stones: [CLEAR] });
    expect(plan.temperatureC).toBe(125);
    expect(plan.cautions).toContainEqual({ kind: 'stones-off', ownC: 125, lowC: 155, highC: 165 });
    // At their own steps, and at no other.
    const told = plan.steps.map((step) => findStepCautions(step, plan.cautions).map(({ kind }) => kind));
    expect(told.filter((own) => own.length > 0)).toEqual([['stones-off'], ['stones-off']]);
    expect(plan.steps.filter((_, at) => told[at]!.length > 0).map(({ kind }) => kind)).toEqual(['stones', 'press']);
    const own = { temperatureC: 185, seconds: 8 };
    expect(kinds(planned({ front: [WIDE] }, { ownHeat: own }, { stones: [CLEAR] }))).toContain('stones-off');
    expect(kinds(planned({ front: [WIDE] }, {}, { stones: [CLEAR] }))).not.toContain('stones-off');
  });

  it('want glue where nothing is heated, and flatten puff', () => {
    const sticky = kindOf('Sticky', 'permanent');
    const plan = planned({ front: [sticky] }, {}, { stones: [CLEAR] });
    expect(lines(plan).some((line) => line.includes('stones'))).toBe(false);
    expect(kinds(plan)).toContain('stones-unset');
    expect(kinds(planned({ front: [kindOf('Puff', 'puff')] }, {}, { stones: [CLEAR] }))).toContain('puff-last');
  });

  it('take longer under an iron: half as long again, 15 s at least', () => {
    const plan = planned({ front: [WIDE] }, { tool: 'hand press', cover: 'never' }, { stones: [CLEAR] });
    expect(lines(plan)).toContain('press stones, clear 18 bare');
  });

  it('go onto a decal’s film, before it is stuck on as one', () => {
    const tin = { ...PLAIN_BLANK, name: 'Tin', fabric: 'glass-tin' as const, heating: 'none' as const };
    const recipe = { layers: 'on a decal film' } as const;
    expect(planOf({ side: [WIDE] }, {}, { blank: tin, stones: [CLEAR] }).ok).toBe(false);
    const plan = planned({ side: [WIDE] }, recipe, { blank: tin, stones: [CLEAR] });
    expect(lines(plan).slice(-6)).toEqual([
      'stones stones, clear 30',
      'press stones, clear 12 covered',
      'wait stones, clear 45',
      'peel stones, clear 10',
      're-press 3 covered',
      'apply the decal 60',
    ]);
    // The film stands 160 °C: 155 to 160 is common to all.
    expect(plan.temperatureC).toBe(158);
  });
});
