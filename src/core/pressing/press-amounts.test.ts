// What pressing is calculated from adds up to what the plan takes, whichever way it is pressed.

import { describe, expect, it } from 'vitest';
import { PLAIN_BLANK, PLAIN_SHOP, PLAIN_VINYL, STICKY_VINYL } from '../../../test/worked-example';
import { A, B, cup, kindOf, pressed } from './press-examples';
import { listPressAmounts, PRESS_FIGURES } from './press-amounts';
import { planPressing, type PlanInput } from './press-plan';
import { PLAIN_RECIPE } from './press-recipe';

const input = (vinyls: PlanInput['layers'][number]['vinyl'][], more: Partial<PlanInput> = {}): PlanInput => ({
  layers: vinyls.map((vinyl) => ({ vinyl })),
  blank: PLAIN_BLANK,
  shop: PLAIN_SHOP,
  ...more,
});
const cold = pressed('Cold', { peel: 'cold' });
const WAYS: readonly (readonly [string, PlanInput])[] = [
  ['one layer', input([PLAIN_VINYL])],
  ['three layers, one of them peeled cold', input([A, cold, B])],
  ['a cup that is wrapped', input([A], { blank: cup })],
  ['a decal', input([STICKY_VINYL])],
  ['all layers stacked first', input([A, B], { recipe: { ...PLAIN_RECIPE, layers: 'all at once' } as never })],
  ['glitter', input([kindOf('Glint', 'glitter')])],
];

const amountsOf = (of: PlanInput) => {
  const listed = listPressAmounts(of);
  if (!listed.ok) throw new Error(listed.problem.kind);
  return listed.value;
};
const handsOf = (of: PlanInput): number => {
  const plan = planPressing(of);
  if (!plan.ok) throw new Error(plan.problem.kind);
  return plan.value.handsSeconds.value;
};

describe.each(WAYS)('%s', (_, way) => {
  it('adds up to the plan', () => {
    const { amounts, fixedSeconds } = amountsOf(way);
    const byHand = amounts.reduce((sum, amount, at) => sum + amount * PLAIN_SHOP[PRESS_FIGURES[at]!], 0);
    expect(byHand + fixedSeconds).toBeCloseTo(handsOf(way), 9);
    expect(byHand).toBeGreaterThan(0);
  });

  it('also in a shop whose hands are slower at each, with the same amounts', () => {
    const shop = {
      ...PLAIN_SHOP,
      pressLayOutSeconds: 41,
      pressPlaceSeconds: 33,
      pressPeelSeconds: 17,
      applySeconds: 99,
    };
    const { amounts, fixedSeconds } = amountsOf(way);
    const slower = amounts.reduce((sum, amount, at) => sum + amount * shop[PRESS_FIGURES[at]!], fixedSeconds);
    expect(slower).toBeCloseTo(handsOf({ ...way, shop }), 9);
    expect(amountsOf({ ...way, shop }).amounts.map((amount) => amount.toFixed(6))).toEqual(
      amounts.map((amount) => amount.toFixed(6)),
    );
  });
});

it('two layers are placed twice, laid out once and peeled twice', () =>
  expect(amountsOf(input([A, B])).amounts).toEqual([1, 2, 2, 0]));

it('the band widens what hands do, not how long the press is closed', () => {
  const shop = { ...PLAIN_SHOP, pressHandsLeast: 0.5, pressHandsMost: 2 };
  const plan = planPressing(input([A, B], { shop }));
  if (!plan.ok) throw new Error(plan.problem.kind);
  const { value, low, high } = plan.value.handsSeconds;
  const { fixedSeconds } = amountsOf(input([A, B]));
  expect(high! - value).toBeCloseTo(value - fixedSeconds, 9);
  expect(value - low!).toBeCloseTo((value - fixedSeconds) / 2, 9);
});
