// The shop's own recipes in a plan, written out by hand.

import { describe, expect, it } from 'vitest';
import { PLAIN_BLANK } from '../../../test/worked-example';
import type { OwnPress, Vinyl } from '../materials';
import { A, B, cup, kinds, lines, planned, planOf, pressed, vinyl } from './press-examples';
import { chooseOwnTemperature, sumLooks, type PressLook } from '.';

const OWN: OwnPress = {
  temperatureC: 185,
  seconds: 7,
  pressure: 'firm',
  peel: 'hot',
  source: 'own trial',
  day: '2026-10-01',
  note: '',
};
const withOwn = (name: string, own: Partial<OwnPress> = {}, more: Partial<Vinyl> = {}): Vinyl => {
  const plain = vinyl(name, more);
  return { ...plain, details: { ...plain.details, ownPress: { cotton: { ...OWN, ...own } } } };
};

describe('an own recipe', () => {
  it('is pressed as it says, with a caution that its maker says otherwise', () => {
    const plan = planned({ front: [withOwn('A', {}, { press: { ...A.press!, peel: 'cold' } })] });
    expect(plan.temperatureC).toBe(185);
    expect(lines(plan)).toContain('press A 7 bare');
    expect(plan.steps.find(({ kind }) => kind === 'press')!.pressure).toBe('firm');
    expect(plan.steps.find(({ kind }) => kind === 'peel')!.peel).toBe('hot');
    expect(kinds(plan)).toContain('off-maker');
    expect(kinds(plan)).toContain('peeled-hotter');
  });

  it('within the maker’s window is no caution', () => {
    const plan = planned({ front: [withOwn('A', { temperatureC: 152, peel: 'cold' })] });
    expect(plan.temperatureC).toBe(152);
    expect(kinds(plan)).toEqual(['hot-platen']);
  });

  it('counts on its own fabric only', () => {
    const softer = { ...PLAIN_BLANK, fabric: 'cotton-poly' as const };
    expect(planned({ front: [withOwn('A')] }, {}, { blank: softer }).temperatureC).toBe(155);
  });

  it('steps back where it does not suit what is pressed with it, and both are pressed as their makers say', () => {
    const plan = planned({ front: [withOwn('A'), B] });
    expect(plan.temperatureC).toBe(155);
    expect(lines(plan)).toContain('press B 12 covered');
    expect(kinds(plan)).not.toContain('off-maker');
  });

  it('of several is the one that most layers have, then the first; to five degrees, and within the maker’s window', () => {
    const at = (temperatureC: number, id: number) => withOwn(`${id}`, { temperatureC }, { id });
    const choose = (...vinyls: readonly Vinyl[]) =>
      chooseOwnTemperature(
        vinyls.map((one) => ({ vinyl: one })),
        PLAIN_BLANK,
      );
    expect(choose(at(183, 1), at(185, 2), at(185, 3))).toBe(185);
    expect(choose(at(185, 1), at(183, 2))).toBe(185);
    expect(choose(at(180, 1), at(185, 2))).toBe(180);
    expect(choose(at(179, 1), at(185, 2))).toBeNull();
    // Their maker's window is 150 to 160.
    expect(choose(at(160, 1), A)).toBe(160);
    expect(choose(at(161, 1), A)).toBeNull();
    expect(choose(at(149, 1), A)).toBeNull();
  });

  it('five degrees off it is pressed as it says, six off as its maker says', () => {
    const wide = { press: { ...A.press!, highC: 195 } };
    const secondsAt = (temperatureC: number) => {
      const other = withOwn('B', { temperatureC, seconds: 30 }, { id: 31, ...wide });
      const plan = planned({ front: [withOwn('A', {}, wide), withOwn('A2', {}, { id: 32, ...wide }), other] });
      expect(plan.temperatureC).toBe(185);
      return plan.steps.find(({ kind, vinylName }) => kind === 'press' && vinylName === 'B')!.seconds;
    };
    expect(secondsAt(190)).toBe(30);
    expect(secondsAt(191)).toBe(12);
  });

  it('suits a layer whose own recipe is a few degrees away, or whose maker allows it', () => {
    const near = withOwn('B', { temperatureC: 181, seconds: 9 }, { id: 31 });
    const plan = planned({ front: [withOwn('A'), near] });
    expect(plan.temperatureC).toBe(185);
    expect(lines(plan)).toContain('press B 9 covered');
    const wide = pressed('C', { lowC: 150, highC: 190 });
    expect(chooseOwnTemperature([{ vinyl: withOwn('A') }, { vinyl: wide }], PLAIN_BLANK)).toBe(185);
  });

  it('a dozen degrees from another’s own is not the same heat', () => {
    const other = withOwn('B', { temperatureC: 172 }, { id: 31 });
    expect(planned({ front: [withOwn('A'), other] }).temperatureC).toBe(155);
  });

  it('one over what the blank stands is allowed, and told', () => {
    const blank = { ...PLAIN_BLANK, fabric: 'polyester' as const };
    const hot = vinyl('A', { press: { ...A.press!, lowC: 140 } });
    const own = { ...hot, details: { ...hot.details, ownPress: { polyester: { ...OWN, temperatureC: 160 } } } };
    const plan = planned({ front: [own] }, {}, { blank });
    expect(plan.temperatureC).toBe(160);
    expect(kinds(plan)).toContain('off-blank');
  });

  it('finds a way where makers have none in common', () => {
    const [low, high] = [pressed('Low', { lowC: 120, highC: 130 }), pressed('High', { lowC: 150, highC: 160 })];
    expect(planOf({ front: [low, high] }).ok).toBe(false);
    const own = { ...low, details: { ...low.details, ownPress: { cotton: { ...OWN, temperatureC: 150 } } } };
    expect(planned({ front: [own, high] }).temperatureC).toBe(150);
  });

  it('gives way to the heat that the item itself is pressed with', () => {
    const plan = planned({ front: [withOwn('A')] }, { ownHeat: { temperatureC: 170, seconds: 10 } });
    expect([plan.temperatureC, lines(plan).includes('press A 10 bare')]).toEqual([170, true]);
  });

  it('is of no use where nothing is heated', () => {
    const cold = { ...cup, heating: 'none' as const, fabric: 'glass-tin' as const };
    expect(chooseOwnTemperature([{ vinyl: withOwn('A') }], cold)).toBeNull();
  });
});

describe('what was seen since', () => {
  const look = (kind: PressLook['kind'], pieces: number, washes: number): PressLook => ({
    kind,
    pieces,
    washes,
    day: '2026-11-01',
  });

  it('is summed: how many, how many failed, after how many washes', () => {
    const sum = sumLooks([look('washed', 20, 25), look('lifted', 2, 5), look('marked', 1, 9), look('worn', 7, 0)]);
    expect(sum).toMatchObject({ pieces: 30, failed: 3, mostWashes: 25, failedFromWashes: 5 });
    expect(sum.failedShare!.value).toBeCloseTo(0.1, 12);
  });

  it('of nothing says nothing', () =>
    expect(sumLooks([])).toEqual({ pieces: 0, failed: 0, mostWashes: 0, failedFromWashes: null, failedShare: null }));
});
