import { expect, it } from 'vitest';
import { tellCutOff, tellTensCut } from '.';

it('a roll is cut off behind the load and the test figures before it; never less than nothing stays', () => {
  const { cutAt, stays } = tellCutOff(310, 35, 4000);
  expect([cutAt.value, stays.value]).toEqual([345, 3655]);
  expect(tellCutOff(310, 35, 300).stays.value).toBe(0);
});

it('the share that is cut is told in tens, and is whole only at the end', () => {
  expect([0, 1, 19, 20, 199, 200].map((done) => tellTensCut(done, 200))).toEqual([0, 0, 0, 10, 90, 100]);
  expect(tellTensCut(0, 0)).toBe(0);
});
