// The heat press as it is, and what is done with it.

import type { InferType } from 'yup';
import type { pressInput } from '../../core/input/index';
import type { PressView } from '../../views/press';
import type { ShopContext } from '../context';
import { chooseDevice, findPress, playTrick } from '../devices';

export function viewPress(shop: ShopContext): PressView {
  const press = findPress(shop);
  return press && { name: press.name, isSimulated: press.isSimulated, ...press.read() };
}

/** Where none is connected, nothing is done. */
export function workPress(shop: ShopContext, { choice, trick, heatTo, act }: InferType<typeof pressInput>): PressView {
  if (choice) chooseDevice(shop, 'press', choice);
  if (trick) playTrick(shop, trick);
  const press = findPress(shop);
  if (heatTo !== undefined) press?.heatTo(heatTo);
  if (act === 'close') press?.close();
  if (act === 'open') press?.open();
  if (act === 'off') press?.switchOff();
  return viewPress(shop);
}
