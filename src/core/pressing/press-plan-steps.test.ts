// Whole plans, worked out on paper: every step, its seconds, its degrees, and what is warned of.

import { describe, expect, it } from 'vitest';
import { printWorking } from '../../../test/print-working';
import { PLAIN_BLANK, PLAIN_SHOP, PLAIN_VINYL, STICKY_VINYL } from '../../../test/worked-example';
import type { Blank, Vinyl } from '../materials';
import { planPressing, type PressPlan } from './press-plan';

const LOW: Vinyl = { ...PLAIN_VINYL, id: 5, name: 'Low', press: { ...PLAIN_VINYL.press!, lowC: 115, highC: 135 } };
const named = (name: string, vinyl: Vinyl = PLAIN_VINYL): Vinyl => ({ ...vinyl, name });
const withDetails = (vinyl: Vinyl, details: Partial<Vinyl['details']>): Vinyl => ({
  ...vinyl,
  details: { ...vinyl.details, ...details },
});

/** Places in order, with the vinyls that lie on one another there. */
function plan(places: Readonly<Record<string, readonly Vinyl[]>>, blank: Blank = PLAIN_BLANK) {
  const layers = Object.entries(places).flatMap(([place, vinyls]) => vinyls.map((vinyl) => ({ vinyl, place })));
  return planPressing({ layers, blank, shop: PLAIN_SHOP });
}
function planned(places: Readonly<Record<string, readonly Vinyl[]>>, blank?: Blank): PressPlan {
  const result = plan(places, blank);
  if (!result.ok) throw new Error(result.problem.kind);
  return result.value;
}
const print = ({ steps }: PressPlan) =>
  steps.map((step) =>
    [
      step.place,
      step.kind,
      step.vinylName,
      `${step.seconds} s`,
      step.temperatureC && `${step.temperatureC} °C`,
      step.pressure,
      step.peel,
      step.covered === undefined ? '' : step.covered ? 'covered' : 'bare',
      step.attended ? '' : 'by itself',
    ]
      .filter(Boolean)
      .join(', '),
  );

describe('one layer', () => {
  it('is laid out, pre-pressed, placed, pressed, peeled and pressed once more', () => {
    const one = planned({ front: [PLAIN_VINYL] });
    expect(print(one)).toEqual([
      'lay-out, 20 s',
      'pre-press, 5 s, 155 °C',
      'place, Plain, 30 s',
      'press, Plain, 12 s, 155 °C, medium, bare',
      'peel, Plain, 10 s, hot',
      're-press, 3 s, 155 °C, covered',
    ]);
    expect(one).toMatchObject({
      temperatureC: 155,
      waitSeconds: 0,
      pressCycles: 2,
      cautions: [{ kind: 'hot-platen' }],
    });
    expect(one.cautions).toHaveLength(1);
  });

  it('takes 80 s of hands, each step from where it is known, from 65 to 110', () => {
    const { handsSeconds } = planned({ front: [PLAIN_VINYL] });
    expect(printWorking(handsSeconds)).toBe(
      [
        'Press: 80 s, computed (sum of the steps; while a piece cools you press the next)',
        '  Lay out: 20 s, shop',
        '  Pre-press: 5 s, default',
        '  Place: Plain: 30 s, shop',
        '  Press: Plain: 12 s, maker',
        '  Peel: Plain: 10 s, shop',
        '  Re-press, covered: 3 s, shop',
      ].join('\n'),
    );
    expect(handsSeconds.low).toBeCloseTo(65, 9);
    expect(handsSeconds.high).toBeCloseTo(110, 9);
  });

  it('that cools before it is peeled leaves the hands free meanwhile', () => {
    const cold = planned({ front: [{ ...PLAIN_VINYL, press: { ...PLAIN_VINYL.press!, peel: 'cold' } }] });
    expect(print(cold).slice(4, 6)).toEqual(['wait, Plain, 45 s, cold, by itself', 'peel, Plain, 10 s, cold']);
    expect(cold.handsSeconds.value).toBe(80);
    expect(cold.waitSeconds).toBe(45);
  });
});

describe('without heat', () => {
  const tin: Blank = { ...PLAIN_BLANK, name: 'Tin', heating: 'none', fabric: 'glass-tin' };

  it('is taped and burnished, and cures', () => {
    const sticky = planned({ front: [STICKY_VINYL] }, tin);
    expect(print(sticky)).toEqual(['lay-out, 20 s', 'apply, Sticky, 60 s']);
    expect(sticky.cautions).toEqual([{ kind: 'cure', hours: 24 }]);
    expect(printWorking(sticky.handsSeconds)).toContain('Tape and place: 80 s, computed');
    expect(sticky.temperatureC).toBeNull();
  });

  it('nothing that needs heat goes on what takes none', () => {
    expect(plan({ front: [PLAIN_VINYL] }, tin)).toEqual({
      ok: false,
      problem: { kind: 'blank-takes-no-heat', vinylName: 'Plain', blankName: 'Tin' },
    });
  });

  it('one that sticks is not pressed for having degrees written down', () => {
    const odd: Vinyl = { ...STICKY_VINYL, press: PLAIN_VINYL.press };
    expect(print(planned({ front: [odd] }))).toEqual(['lay-out, 20 s', 'apply, Sticky, 60 s']);
  });

  it('beside heat: the last that is heated is pressed in full, and only its place has degrees', () => {
    const both = planned({ back: [STICKY_VINYL], front: [PLAIN_VINYL, STICKY_VINYL] });
    expect(print(both)).toEqual([
      'back, lay-out, 20 s',
      'back, apply, Sticky, 60 s',
      'front, lay-out, 20 s',
      'front, pre-press, 5 s, 155 °C',
      'front, place, Plain, 30 s',
      'front, press, Plain, 12 s, 155 °C, medium, bare',
      'front, peel, Plain, 10 s, hot',
      'front, apply, Sticky, 60 s',
      'front, re-press, 3 s, 155 °C, covered',
    ]);
    expect(both.temperatureC).toBe(155);
    expect(both.cautions).toEqual([{ kind: 'cure', hours: 24 }, { kind: 'hot-platen' }]);
    expect(printWorking(both.handsSeconds)).toContain('  Lay out: back: 20 s, shop');
  });
});

describe('layers on one another', () => {
  it('are tacked but for the last, which lies beside bare vinyl', () => {
    const two = planned({ front: [named('A'), named('B')] });
    expect(print(two).filter((line) => /tack|press, [AB]/.test(line))).toEqual([
      'tack, A, 4 s, 155 °C, medium, bare',
      'press, B, 12 s, 155 °C, medium, covered',
    ]);
    expect(two.pressCycles).toBe(3);
  });

  it('are covered as each vinyl says', () => {
    const covered = (cover: Vinyl['details']['cover']) =>
      planned({ front: [withDetails(named('A'), { cover }), withDetails(named('B'), { cover })] })
        .steps.filter(({ kind }) => kind === 'tack' || kind === 'press')
        .map((step) => step.covered);
    expect(covered('always')).toEqual([true, true]);
    expect(covered('when bare')).toEqual([false, true]);
    expect(covered('never')).toEqual([false, false]);
  });

  it('warns of each pair that does not hold: one that takes nothing, one that lies on nothing', () => {
    const takesNothing = withDetails(named('Rough'), { takesLayers: false });
    const liesOnNothing = withDetails(named('Stiff'), { liesOnVinyl: false });
    expect(planned({ front: [takesNothing, PLAIN_VINYL], back: [PLAIN_VINYL, liesOnNothing] }).cautions).toEqual([
      { kind: 'hot-platen' },
      { kind: 'nothing-over', lower: 'Rough', upper: 'Plain' },
      { kind: 'nothing-over', lower: 'Plain', upper: 'Stiff' },
    ]);
    expect(planned({ front: [liesOnNothing, PLAIN_VINYL], back: [PLAIN_VINYL, takesNothing] }).cautions).toEqual([
      { kind: 'hot-platen' },
    ]);
  });
});

describe('degrees', () => {
  it('are one for all places where one suits all', () => {
    const cooler: Vinyl = { ...PLAIN_VINYL, name: 'Cooler', press: { ...PLAIN_VINYL.press!, lowC: 140, highC: 154 } };
    const both = planned({ front: [PLAIN_VINYL], back: [cooler] });
    expect(both.steps.filter(({ kind }) => kind === 'press').map((step) => step.temperatureC)).toEqual([152, 152]);
    expect(both.cautions).toEqual([{ kind: 'hot-platen' }]);
  });

  it('are each place\u2019s own where they lie apart, and that is told', () => {
    const both = planned({ front: [PLAIN_VINYL], back: [LOW] });
    expect(both.steps.filter(({ kind }) => kind === 'press').map((step) => step.temperatureC)).toEqual([155, 125]);
    expect(both.temperatureC).toBe(155);
    expect(both.cautions).toEqual([{ kind: 'hot-platen' }, { kind: 'temperatures', fromC: 125, toC: 155 }]);
  });

  it('that lie apart at one place are a problem, other places or not, told of the first two it concerns', () => {
    const problem = { kind: 'windows-apart', vinylNames: ['Low', 'Plain'], lowC: 150, highC: 135 };
    const four = [PLAIN_VINYL, named('Twin'), LOW, named('Low twin', LOW)];
    expect(plan({ front: four })).toEqual({ ok: false, problem });
    expect(plan({ back: [PLAIN_VINYL], front: four })).toEqual({ ok: false, problem });
  });

  it('that meet at a single one are that one', () => {
    const meets: Vinyl = { ...LOW, press: { ...LOW.press!, lowC: 130, highC: 150 } };
    expect(planned({ front: [PLAIN_VINYL, meets] }).temperatureC).toBe(150);
  });

  it('end where the blank is harmed, whichever place needs more', () => {
    const blank: Blank = { ...PLAIN_BLANK, name: 'Thin', fabric: 'polyester' };
    const hotter: Vinyl = { ...PLAIN_VINYL, name: 'Hotter', press: { ...PLAIN_VINYL.press!, lowC: 165, highC: 175 } };
    expect(plan({ back: [LOW], front: [hotter] }, blank)).toMatchObject({
      ok: false,
      problem: { kind: 'no-safe-window', vinylName: 'Hotter', needsC: 165, blankName: 'Thin' },
    });
  });

  it('of a wrap come with a word about drinks', () => {
    const mug: Blank = { ...PLAIN_BLANK, heating: 'wrap' };
    expect(planned({ front: [PLAIN_VINYL] }, mug).cautions).toEqual([{ kind: 'hot-platen' }, { kind: 'drinkware' }]);
  });
});

describe('what of a blank is in the way', () => {
  const area = (name: string, kinds: readonly ('zip' | 'pocket')[]) => ({
    name,
    sizeName: '',
    datum: 'collar' as const,
    dropMm: 0,
    widthMm: 300,
    heightMm: 300,
    curve: null,
    obstacles: kinds.map((kind) => ({ kind, xMm: 0, yMm: 0, widthMm: 10, heightMm: 100 })),
  });
  const hoodie: Blank = { ...PLAIN_BLANK, areas: [area('front', ['zip', 'pocket']), area('back', ['zip'])] };

  it('is told once each where the blank is laid out, for the platen is larger than the place', () => {
    const [layOut, ...rest] = planned({ back: [PLAIN_VINYL] }, hoodie).steps;
    expect(layOut).toMatchObject({ kind: 'lay-out', inTheWay: ['zip', 'pocket'] });
    expect(rest.every((step) => step.inTheWay === undefined)).toBe(true);
  });

  it('is nothing where there is none, or where no press closes', () => {
    expect(planned({ back: [PLAIN_VINYL] }).steps[0]).not.toHaveProperty('inTheWay');
    expect(planned({ back: [STICKY_VINYL] }, hoodie).steps[0]).not.toHaveProperty('inTheWay');
  });
});
