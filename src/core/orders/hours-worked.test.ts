import { expect, it } from 'vitest';
import { tellHours } from './hours-worked';

it('sums the stations, and says how long a piece took', () => {
  const hours = tellHours(
    [
      { station: 'cut', seconds: 1200, stretches: 3 },
      { station: 'weed', seconds: 5400, stretches: 1 },
    ],
    12,
  );
  expect(hours.stations.cut).toMatchObject({ value: 1200, unit: 's', how: '3 stretches of work, from start to stop' });
  expect(hours.stations.weed.how).toMatch(/^1 stretch of/);
  expect(hours.stations.press.value).toBe(0);
  expect(hours.all.value).toBe(6600);
  expect(hours.all.parts!.map(({ value }) => value)).toEqual([1200, 5400, 0, 0]);
  expect(hours.each).toMatchObject({ value: 550, unit: 's' });
  expect(hours.each!.parts!.map(({ value }) => value)).toEqual([6600, 12]);
});

it('says nothing of a piece where none was checked', () => {
  expect(tellHours([{ station: 'cut', seconds: 60, stretches: 1 }], 0).each).toBeNull();
  expect(tellHours([], 0).all.value).toBe(0);
});
