// Press plans under every school, written out by hand: layers, fabrics, tools, and what can't be pressed at all.

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { PLAIN_BLANK, PLAIN_SHOP, PLAIN_VINYL, STICKY_VINYL } from '../../../test/worked-example';
import { getOrdinaryDetails, VINYL_KINDS, type Blank, type Peel, type Vinyl, type VinylKind } from '../materials';
import {
  compareSchools,
  COVER_SCHOOLS,
  LAYER_SCHOOLS,
  listFittingVinyls,
  PEEL_SCHOOLS,
  PLAIN_RECIPE,
  planPressing,
  PRESS_TOOLS,
  type PressPlan,
  type PressRecipe,
} from '.';

const vinyl = (name: string, more: Partial<Vinyl> = {}): Vinyl => ({ ...PLAIN_VINYL, name, ...more });
const pressed = (name: string, press: Partial<NonNullable<Vinyl['press']>>, more: Partial<Vinyl> = {}): Vinyl =>
  vinyl(name, { press: { ...PLAIN_VINYL.press!, ...press }, ...more });
const kindOf = (name: string, kind: VinylKind, id = 20): Vinyl => ({
  ...PLAIN_VINYL,
  id,
  name,
  kind,
  press: VINYL_KINDS[kind].press,
  details: getOrdinaryDetails(kind),
});
const [A, B, C] = ['A', 'B', 'C'].map((name, at) => vinyl(name, { id: 30 + at })) as [Vinyl, Vinyl, Vinyl];
const cup: Blank = { ...PLAIN_BLANK, name: 'Cup', fabric: 'enamel', heating: 'wrap' };
const hoodie: Blank = {
  ...PLAIN_BLANK,
  name: 'Hoodie',
  fabric: 'cotton-poly',
  areas: [
    {
      name: 'front',
      sizeName: '',
      datum: 'neckline',
      dropMm: 75,
      widthMm: 300,
      heightMm: 300,
      curve: null,
      obstacles: [
        { kind: 'pocket', xMm: 0, yMm: 200, widthMm: 300, heightMm: 100 },
        { kind: 'zip', xMm: 140, yMm: 0, widthMm: 20, heightMm: 300 },
      ],
    },
  ],
};

type Places = Readonly<Record<string, readonly Vinyl[]>>;
const boxed = (size: { width: number; height: number } | null) => (size ? { measurement: { box: size } } : {});
function planOf(
  places: Places,
  recipe: Partial<PressRecipe> = {},
  { blank = PLAIN_BLANK, size = null }: { blank?: Blank; size?: { width: number; height: number } | null } = {},
) {
  const layers = Object.entries(places).flatMap(([place, own]) =>
    own.map((one) => ({ vinyl: one, place, ...boxed(size) })),
  );
  return planPressing({ layers, blank, shop: PLAIN_SHOP, recipe: { ...PLAIN_RECIPE, ...recipe } });
}
function planned(...input: Parameters<typeof planOf>): PressPlan {
  const plan = planOf(...input);
  if (!plan.ok) throw new Error(plan.problem.kind);
  return plan.value;
}
/** Kind, vinyl, seconds, and whether it is covered: a line a step. */
const lines = ({ steps }: PressPlan) =>
  steps.map(({ kind, vinylName, seconds, covered }) =>
    [kind, vinylName, seconds, covered === undefined ? null : covered ? 'covered' : 'bare']
      .filter((part) => part !== null && part !== undefined)
      .join(' '),
  );
const kinds = ({ cautions }: PressPlan) => cautions.map(({ kind }) => kind);

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
