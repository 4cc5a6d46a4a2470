import { describe, expect, it } from 'vitest';
import { PLAIN_BLANK, PLAIN_SHOP, PLAIN_VINYL, STICKY_VINYL } from '../../../test/worked-example';
import { decideHandedness, getOrdinaryDetails, type Blank, type Vinyl } from '../materials';
import { planPressing } from './press-plan';

const plan = (vinyls: readonly Vinyl[], blank: Blank = PLAIN_BLANK) =>
  planPressing({ layers: vinyls.map((vinyl) => ({ vinyl })), blank, shop: PLAIN_SHOP });
const cold: Vinyl = { ...PLAIN_VINYL, id: 3, name: 'Cold', press: { ...PLAIN_VINYL.press!, peel: 'cold' } };

describe('planPressing', () => {
  it('tacks each layer but the last, base first, and covers what is pressed', () => {
    const result = plan([PLAIN_VINYL, cold]);
    if (!result.ok) throw new Error();
    expect(result.value.steps.map((step) => step.kind)).toEqual([
      'lay-out',
      'pre-press',
      'place',
      'tack',
      'peel',
      'place',
      'press',
      'wait',
      'peel',
      're-press',
    ]);
    expect(
      result.value.steps.filter((step) => step.kind === 'tack' || step.kind === 'press').map((step) => step.covered),
    ).toEqual([false, true]);
    expect(result.value.pressCycles).toBe(3);
  });

  it('counts the wait of a cold peel as elapsed, not as hands', () => {
    const hot = plan([PLAIN_VINYL]),
      cool = plan([cold]);
    if (!hot.ok || !cool.ok) throw new Error();
    expect(cool.value.handsSeconds.value).toBe(hot.value.handsSeconds.value);
    expect([hot.value.waitSeconds, cool.value.waitSeconds]).toEqual([0, 45]);
    const warm = plan([{ ...PLAIN_VINYL, press: { ...PLAIN_VINYL.press!, peel: 'warm' } }]);
    expect(warm.ok && warm.value.waitSeconds).toBe(15);
  });

  it('takes a temperature that every vinyl and the blank allow', () => {
    const cooler: Vinyl = { ...cold, press: { ...cold.press!, lowC: 140, highC: 152 } };
    expect(plan([PLAIN_VINYL, cooler])).toMatchObject({ ok: true, value: { temperatureC: 151 } });
    expect(plan([PLAIN_VINYL], { ...PLAIN_BLANK, fabric: 'polyester' })).toMatchObject({
      ok: true,
      value: { temperatureC: 150 },
    });
  });

  it('says which vinyls cannot be pressed together', () => {
    const low: Vinyl = { ...cold, name: 'Low', press: { ...cold.press!, lowC: 115, highC: 135 } };
    expect(plan([PLAIN_VINYL, low])).toEqual({
      ok: false,
      problem: { kind: 'windows-apart', vinylNames: ['Low', 'Plain'], lowC: 150, highC: 135 },
    });
  });

  it('applies adhesive vinyl without heat and warns of its cure', () => {
    expect(plan([STICKY_VINYL], { ...PLAIN_BLANK, heating: 'none', fabric: 'glass-tin' })).toMatchObject({
      ok: true,
      value: { temperatureC: null, pressCycles: 0, cautions: [{ kind: 'cure' }] },
    });
  });

  it('warns when something is laid over glitter', () => {
    const glitter: Vinyl = { ...PLAIN_VINYL, name: 'Glint', kind: 'glitter', details: getOrdinaryDetails('glitter') };
    const result = plan([glitter, PLAIN_VINYL]);
    expect(result.ok && result.value.cautions).toContainEqual({ kind: 'nothing-over', lower: 'Glint', upper: 'Plain' });
  });

  it('presses as the maker says for this fabric, and covers what has to be covered', () => {
    const own: Vinyl = {
      ...PLAIN_VINYL,
      details: {
        ...PLAIN_VINYL.details,
        cover: 'always',
        pressOn: { cotton: { lowC: 170, highC: 180, seconds: 25, pressure: 'firm', peel: 'cold' } },
      },
    };
    const result = plan([own]);
    if (!result.ok) throw new Error(result.problem.kind);
    expect(result.value.temperatureC).toBe(175);
    expect(result.value.steps.find((step) => step.kind === 'press')).toMatchObject({
      seconds: 25,
      pressure: 'firm',
      covered: true,
    });
    expect(result.value.steps.find((step) => step.kind === 'peel')!.peel).toBe('cold');
    const elsewhere = plan([own], { ...PLAIN_BLANK, fabric: 'cotton-poly' });
    expect(elsewhere.ok && elsewhere.value.temperatureC).toBe(155);
  });
});

it('handedness follows from material and use', () => {
  const mirrored = (kind: Vinyl['kind'], seenThrough = false) =>
    decideHandedness({ kind, details: getOrdinaryDetails(kind) }, { seenThrough });
  expect(mirrored('smooth')).toEqual({ mirrored: true, because: 'carrier-down' });
  expect(mirrored('printed-pattern')).toEqual({ mirrored: false, because: 'masked-print' });
  expect(mirrored('permanent')).toEqual({ mirrored: false, because: 'face-up' });
  expect(mirrored('permanent', true)).toEqual({ mirrored: true, because: 'seen-through' });
});
