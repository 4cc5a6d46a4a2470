// The press as the bench works it.

import { expect, it } from 'vitest';
import { eachFresh, refusalOf, type TestShop } from '../../../test/demo-shop';
import { pressInput } from '../../core/input';
import { parseInput } from '../errors';
import { viewPress, workPress } from './work-press';

let shop: TestShop;
eachFresh((fresh) => {
  shop = fresh;
});
const work = (deed: object) => workPress(shop, parseInput(pressInput, deed));

it('heats to what is asked for, closes and opens, and is switched off', () => {
  expect(viewPress(shop)).toMatchObject({ name: 'Simulated press', isSimulated: true, isOn: false });
  expect(work({ heatTo: 155 })).toMatchObject({ isOn: true, targetC: 155, closedForS: null });
  shop.clock.ms += 20 * 60_000;
  expect(viewPress(shop)).toMatchObject({ readyInS: 0 });
  work({ act: 'close' });
  shop.clock.ms += 12_000;
  expect(viewPress(shop)).toMatchObject({ closedForS: 12 });
  expect(work({ act: 'open' })).toMatchObject({ closedForS: null });
  expect(work({ act: 'off' })).toMatchObject({ isOn: false });
});

it('tells that it has no reading, and goes on', () => {
  work({ heatTo: 155 });
  expect(work({ trick: 'blind' })).toMatchObject({ temperatureC: null, readyInS: null, isOn: true });
  expect(work({ trick: 'see' })).toMatchObject({ temperatureC: 20 });
});

it('is none where the shop goes by its own, until the simulated one is tried', () => {
  expect(work({ choice: 'none' })).toBeNull();
  expect(work({ heatTo: 155 })).toBeNull();
  expect(work({ choice: 'simulated' })).toMatchObject({ isOn: false });
});

it.each([[{ heatTo: 500 }], [{ act: 'explode' }], [{ trick: 'jam' }]])('%j is refused', async (deed) => {
  expect((await refusalOf(() => work(deed))).code).toBe('invalid');
});
