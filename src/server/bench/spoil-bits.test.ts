// One letter of a name lifts: it alone is cut, weeded and pressed again, and takes its share alone.

import { expect, it } from 'vitest';
import { eachFresh, type TestShop } from '../../../test/demo-shop';
import { makeNamed, readAllBack, setNames, takeOrderOf } from '../../../test/named-orders';
import type { Station } from '../../core/orders';
import { loadCutSheets } from '../cut-sheets/load-cut-sheets';
import { readOrder } from '../orders/read-orders';
import { listNeedsByDue } from '../stock/order-needs';
import { loadPartDrawing } from './part-drawing';
import { spoilParts } from './spoil-parts';
import { undoSteps } from './undo-steps';
import { finishSession, startSession } from './work-at-bench';

let shop: TestShop;
eachFresh((fresh) => {
  shop = fresh;
});
const BITS = { bits: [1], of: 3 };

function work(station: Station, partIds: readonly number[]): void {
  const { id } = startSession(shop, { station, partIds: [...partIds] });
  shop.clock.ms += 60_000;
  finishSession(shop, id, 'done');
}

async function takeAsh(): Promise<{ readonly id: number; readonly partIds: readonly number[] }> {
  await setNames(shop, ['ASH']);
  const id = takeOrderOf(shop, { lines: [makeNamed(shop, 'ASH')] });
  readAllBack(shop, id);
  return { id, partIds: readOrder(shop, id)!.parts.map((part) => part.id) };
}
const partOf = (id: number, partId: number) => readOrder(shop, id)!.parts.find((part) => part.id === partId)!;
const vinylOf = (id: number, partId: number) =>
  partOf(id, partId).events.flatMap(({ kind, vinylCost }) => (kind === 'cut' ? [vinylCost ?? 0] : []));
const spoil = (partId: number, recut: typeof BITS | null) =>
  spoilParts(shop, { partIds: [partId], cause: 'lifted', blankLost: false, recut });

it('one letter goes back to be cut, with a third of the vinyl and of the time', async () => {
  const { id, partIds } = await takeAsh();
  const name = partIds.at(-1)!;
  const wholeNeeds = listNeedsByDue(shop).filter(({ orderId }) => orderId === id);
  const whole = partOf(id, name).estimates;
  for (const station of ['cut', 'weed', 'press'] as const) work(station, partIds);
  spoil(name, BITS);
  const part = partOf(id, name);
  expect(part).toMatchObject({ state: 'to-cut', broken: true, recut: BITS });
  expect(part.estimates.weed).toBeCloseTo(whole.weed / 3, 9);
  const own = loadCutSheets(shop)
    .groups.flatMap((group) => group.parts)
    .find(({ partId }) => partId === name)!;
  expect(own.bits).toEqual([1]);
  expect(own.layerName).toMatch(/^1 of 3 bits of /);
  expect(loadPartDrawing(shop, name)).toMatchObject({ recut: BITS });
  // The crest is cut from the same vinyl; the name is the last of its layers.
  const need = listNeedsByDue(shop).find(({ orderId }) => orderId === id)!;
  expect(need.amount).toBeCloseTo(wholeNeeds.filter(({ key }) => key === need.key).at(-1)!.amount / 3, 6);
  work('cut', [name]);
  const [first, again] = vinylOf(id, name);
  // Strips are booked in tenths of a mm.
  expect(again! / first!).toBeCloseTo(1 / 3, 1);
  work('weed', [name]);
  expect(partOf(id, name).recut).toEqual(BITS);
  work('press', [name]);
  expect(partOf(id, name)).toMatchObject({ state: 'pressed', recut: null, broken: false });
});

it('is whole again where that is taken back, and all of it goes where all of it is spoiled', async () => {
  const { id, partIds } = await takeAsh();
  const name = partIds.at(-1)!;
  work('cut', partIds);
  const { eventIds } = spoil(name, BITS);
  undoSteps(shop, eventIds, [name]);
  expect(partOf(id, name)).toMatchObject({ state: 'cut', recut: null });
  spoil(name, null);
  expect(partOf(id, name)).toMatchObject({ state: 'to-cut', recut: null });
});
