// Press plans under every school, written out by hand: layers, fabrics, tools, heat.

import { describe, expect, it } from 'vitest';
import { PLAIN_BLANK, STICKY_VINYL } from '../../../test/worked-example';
import type { Peel } from '../materials';
import {
  A,
  B,
  C,
  cup,
  hoodie,
  kindOf,
  kinds,
  lines,
  planned,
  planOf,
  pressed,
  vinyl,
  type Places,
} from './press-examples';
import type { PressRecipe } from '.';

// The plain shop lays out in 20 s, pre-presses 5, places in 30, tacks 4, peels in 10, presses again 3, tapes in 60.
describe('layers', () => {
  it.each<[string, Places, Partial<PressRecipe>, readonly string[]]>([
    [
      'tacked, the last pressed full',
      { front: [A, B] },
      {},
      [
        'lay-out 20',
        'pre-press 5',
        'place A 30',
        'tack A 4 bare',
        'peel A 10',
        'place B 30',
        'press B 12 covered',
        'peel B 10',
        're-press 3 covered',
      ],
    ],
    [
      'two of one vinyl: only the last is pressed full',
      { front: [A, A] },
      {},
      [
        'lay-out 20',
        'pre-press 5',
        'place A 30',
        'tack A 4 bare',
        'peel A 10',
        'place A 30',
        'press A 12 covered',
        'peel A 10',
        're-press 3 covered',
      ],
    ],
    [
      'each pressed full',
      { front: [A, B] },
      { layers: 'full each' },
      [
        'lay-out 20',
        'pre-press 5',
        'place A 30',
        'press A 12 bare',
        'peel A 10',
        'place B 30',
        'press B 12 covered',
        'peel B 10',
        're-press 3 covered',
      ],
    ],
    [
      'laid together on one carrier and pressed once',
      { front: [A, B, C] },
      { layers: 'on one carrier' },
      [
        'lay-out 20',
        'pre-press 5',
        'stack A 30',
        'stack B 30',
        'stack C 30',
        'place 30',
        'press C 12 bare',
        'peel C 10',
        're-press 3 covered',
      ],
    ],
    [
      'a single one on one carrier is pressed as ever',
      { front: [A] },
      { layers: 'on one carrier' },
      ['lay-out 20', 'pre-press 5', 'place A 30', 'press A 12 bare', 'peel A 10', 're-press 3 covered'],
    ],
    [
      'always covered',
      { front: [A, B] },
      { cover: 'always' },
      [
        'lay-out 20',
        'pre-press 5',
        'place A 30',
        'tack A 4 covered',
        'peel A 10',
        'place B 30',
        'press B 12 covered',
        'peel B 10',
        're-press 3 covered',
      ],
    ],
    [
      'never covered',
      { front: [A, B] },
      { cover: 'never' },
      [
        'lay-out 20',
        'pre-press 5',
        'place A 30',
        'tack A 4 bare',
        'peel A 10',
        'place B 30',
        'press B 12 bare',
        'peel B 10',
        're-press 3 bare',
      ],
    ],
    [
      'peeled cold, whatever the maker says',
      { front: [A] },
      { peel: 'cold' },
      ['lay-out 20', 'pre-press 5', 'place A 30', 'press A 12 bare', 'wait A 45', 'peel A 10', 're-press 3 covered'],
    ],
    [
      'one that sticks without heat among them keeps its place',
      { front: [A, STICKY_VINYL, B] },
      {},
      [
        'lay-out 20',
        'pre-press 5',
        'place A 30',
        'tack A 4 bare',
        'peel A 10',
        'apply Sticky 60',
        'place B 30',
        'press B 12 covered',
        'peel B 10',
        're-press 3 covered',
      ],
    ],
    [
      'puff is never pressed again',
      { front: [A, kindOf('Puff', 'puff')] },
      {},
      [
        'lay-out 20',
        'pre-press 5',
        'place A 30',
        'tack A 4 bare',
        'peel A 10',
        'place Puff 30',
        'press Puff 10 covered',
        'peel Puff 10',
      ],
    ],
    [
      'with a hand press, half as long again and 15 s at least',
      { front: [A] },
      { tool: 'hand press' },
      ['lay-out 20', 'pre-press 5', 'place A 30', 'press A 18 bare', 'peel A 10', 're-press 3 covered'],
    ],
  ])('%s', (_, places, recipe, expected) => {
    expect(lines(planned(places, recipe))).toEqual(expected);
  });

  it('on one carrier wait as long as the one that waits longest, and are pressed as the one that needs longest', () => {
    const slow = pressed('Slow', { seconds: 20, peel: 'cold' }, { id: 41 });
    const plan = planned({ front: [slow, A] }, { layers: 'on one carrier' });
    expect(lines(plan).slice(5)).toEqual(['press A 20 bare', 'wait A 45', 'peel A 10', 're-press 3 covered']);
  });

  it('are stretched before they are pressed again where they are made to stretch', () => {
    const plan = planned({ front: [kindOf('Stretch', 'stretch')] });
    expect(plan.steps.at(-1)).toMatchObject({ kind: 're-press', stretchFirst: true });
    expect(planned({ front: [A] }).steps.at(-1)!.stretchFirst).toBeUndefined();
  });
});

describe('the blank', () => {
  it('says what must not lie under the platen; what is pressed already lies soft beneath the next side', () => {
    const plan = planned({ front: [A], back: [B] }, {}, { blank: hoodie });
    const [front, back] = plan.steps.filter(({ kind }) => kind === 'lay-out');
    expect(front).toMatchObject({ place: 'front', inTheWay: ['pocket', 'zip'] });
    expect(front!.pressedBelow).toBeUndefined();
    expect(back).toMatchObject({ place: 'back', pressedBelow: true });
  });

  it('that is round has the vinyl stretched on, and is never pressed in sections', () => {
    const five = ['one', 'two', 'three', 'four', 'five'].map((name, at) => vinyl(name, { id: 60 + at }));
    const tacked = planned({ wall: five }, {}, { blank: cup, size: { width: 700, height: 80 } });
    expect(tacked.steps.filter(({ isWrapped }) => isWrapped)).toHaveLength(5);
    expect(tacked.steps.some(({ sections }) => sections)).toBe(false);
    expect(kinds(tacked)).toEqual(['hot-platen', 'drinkware']);
    // Four tacks of 4 s, a full press of 12 and one more of 3.
    expect(tacked.heat[0]).toEqual({ vinylName: 'one', place: 'wall', seconds: 31, limitSeconds: 36 });
    const together = planned({ wall: five }, { layers: 'on one carrier' }, { blank: cup });
    expect(together.heat.map(({ seconds }) => seconds)).toEqual([15, 15, 15, 15, 15]);
    expect(kinds(together)).toEqual(['hot-platen', 'drinkware', 'stack-thick']);
    expect(together.handsSeconds.value).toBeLessThan(tacked.handsSeconds.value);
    const full = planned({ wall: five }, { layers: 'full each' }, { blank: cup });
    expect(full.heat[0]!.seconds).toBe(5 * 12 + 3);
    expect(kinds(full).filter((kind) => kind === 'too-much-heat')).toHaveLength(3);
  });

  it.each([
    [{ width: 300, height: 300 }, 'press', 1],
    [{ width: 500, height: 400 }, 'press', 1],
    [{ width: 401, height: 501 }, 'press', 2],
    [{ width: 700, height: 400 }, 'press', 2],
    [{ width: 981, height: 400 }, 'press', 3],
    [{ width: 230, height: 110 }, 'hand press', 1],
    [{ width: 110, height: 230 }, 'hand press', 1],
    [{ width: 300, height: 200 }, 'hand press', 4],
  ] as const)('%o takes the %s %i times', (size, tool, times) => {
    const plan = planned({ front: [A] }, { tool }, { size });
    const press = plan.steps.find(({ kind }) => kind === 'press')!;
    expect(press.sections ?? 1).toBe(times);
    expect(press.seconds).toBe((tool === 'press' ? 12 : 18) * times);
    expect(plan.pressCycles).toBe(2 * times);
    // Of any one spot, however many sections.
    expect(plan.heat[0]!.seconds).toBe((tool === 'press' ? 12 : 18) + 3);
  });
});

describe('heat', () => {
  it('of its own is taken instead of the makers’, with what it leaves named', () => {
    const hot = planned({ front: [A] }, { ownHeat: { temperatureC: 188, seconds: 6 } });
    expect(hot.temperatureC).toBe(188);
    expect(hot.steps.find(({ kind }) => kind === 'press')!.seconds).toBe(6);
    expect(hot.cautions).toContainEqual({ kind: 'off-maker', vinylName: 'A', lowC: 150, highC: 160, ownC: 188 });
    const polyester = { ...PLAIN_BLANK, name: 'Shirt', fabric: 'polyester' as const };
    const shiny = planned({ front: [A] }, { ownHeat: { temperatureC: 188, seconds: 6 } }, { blank: polyester });
    expect(shiny.cautions).toContainEqual({ kind: 'off-blank', blankName: 'Shirt', ceilingC: 150, ownC: 188 });
    const within = planned({ front: [A] }, { ownHeat: { temperatureC: 155, seconds: 12 } });
    expect(kinds(within)).toEqual(['hot-platen']);
  });

  it('of its own is taken where makers and blank agree on none; what takes no heat is still refused', () => {
    const coated = { ...PLAIN_BLANK, fabric: 'coated' as const };
    expect(planOf({ front: [A] }, {}, { blank: coated })).toMatchObject({ problem: { kind: 'no-safe-window' } });
    expect(
      planned({ front: [A] }, { ownHeat: { temperatureC: 120, seconds: 20 } }, { blank: coated }).temperatureC,
    ).toBe(120);
    const tin = { ...PLAIN_BLANK, fabric: 'glass-tin' as const, heating: 'none' as const };
    expect(planOf({ front: [A] }, { ownHeat: { temperatureC: 120, seconds: 20 } }, { blank: tin })).toMatchObject({
      problem: { kind: 'blank-takes-no-heat' },
    });
  });

  it.each<[Peel, PressRecipe['peel'], boolean]>([
    ['cold', 'hot', true],
    ['cold', 'warm', true],
    ['warm', 'hot', true],
    ['hot', 'cold', false],
    ['warm', 'warm', false],
    ['cold', 'as the vinyl asks', false],
  ])('a carrier to be peeled %s, peeled %s: told of is %s', (asks, peel, isTold) => {
    const plan = planned({ front: [pressed('A', { peel: asks })] }, { peel });
    expect(kinds(plan).includes('peeled-hotter')).toBe(isTold);
  });

  it('of places that agree on none follows in the order that needs the fewest changes', () => {
    const low = (name: string) => pressed(name, { lowC: 115, highC: 135 }, { id: 50 });
    const plan = planned({ front: [A], sleeve: [low('L')], back: [B], neck: [low('M')] });
    expect([...new Set(plan.steps.map(({ place }) => place))]).toEqual(['front', 'back', 'sleeve', 'neck']);
    const changes = plan.steps
      .flatMap(({ temperatureC }) => temperatureC ?? [])
      .filter((c, at, all) => at > 0 && c !== all[at - 1]);
    expect(changes).toEqual([125]);
    expect(plan.cautions).toContainEqual({ kind: 'temperatures', fromC: 125, toC: 155 });
  });

  it('of puff under another is told, and of what nothing holds on', () => {
    const puff = kindOf('Puff', 'puff');
    expect(planned({ front: [puff, A] }).cautions).toContainEqual({ kind: 'puff-last', vinylName: 'Puff' });
    const glint = kindOf('Glint', 'glitter');
    expect(planned({ front: [glint, A] }).cautions).toContainEqual({
      kind: 'nothing-over',
      lower: 'Glint',
      upper: 'A',
    });
  });
});
