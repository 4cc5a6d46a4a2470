import fc from 'fast-check';
import { expect, it } from 'vitest';
import { PLAIN_ITEM, PLAIN_SHOP } from '../../../test/worked-example';
import { computeItemCost, computeLadder, LADDER_QUANTITIES, levelLadder } from './index';

it('each rung is the cost at its quantity', () => {
  const ladder = computeLadder(PLAIN_ITEM, LADDER_QUANTITIES, PLAIN_SHOP);
  const ten = computeItemCost(PLAIN_ITEM, 10, PLAIN_SHOP);
  if (!ladder.ok || !ten.ok) throw new Error('not calculated');
  expect(ladder.value.map((cost) => cost.quantity)).toEqual([...LADDER_QUANTITIES]);
  expect(ladder.value[3]!.withRisk.value).toBe(ten.value.withRisk.value);
  expect(ladder.value.at(-1)!.withRisk.value).toBeLessThan(ladder.value[0]!.withRisk.value);
  expect(computeLadder({ ...PLAIN_ITEM, sizeName: 'XXL' }, [1], PLAIN_SHOP)).toMatchObject({
    ok: false,
    problem: { kind: 'unknown-size' },
  });
});

it('prices never rise with the quantity, and none falls below what its rung needs', () => {
  fc.assert(
    fc.property(fc.array(fc.nat(5000), { minLength: 1, maxLength: 9 }), (prices) => {
      const level = levelLadder(prices);
      level.forEach((price, at) => {
        expect(price).toBeGreaterThanOrEqual(prices[at]!);
        if (at > 0) expect(price).toBeLessThanOrEqual(level[at - 1]!);
      });
      expect(level.at(-1)).toBe(prices.at(-1));
    }),
  );
});
