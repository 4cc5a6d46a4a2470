// How the machine is asked to do something: refused in words where it is not there, or does not.

import type { Result } from '../../core/units/index';
import type { Cutter, CutterJob, CutterRefusal } from '../../ports/cutter';
import { getShop, type ShopContext } from '../context';
import { findCutter } from '../devices';
import { ShopError } from '../errors';
import { findBlade } from './begin-load';

/** @throws ShopError where none is connected */
export function requireCutter(shop: ShopContext): Cutter {
  const cutter = findCutter(shop);
  if (!cutter) throw new ShopError('conflict', { reason: 'cutter-none' });
  return cutter;
}

/** @throws ShopError where it was refused */
export function accept(answer: Result<null, CutterRefusal>): void {
  if (!answer.ok) throw new ShopError('conflict', { reason: `cutter-${answer.problem.kind}` });
}

type JobWish = Pick<CutterJob, 'id' | 'program' | 'setting' | 'fromLine'>;
/** With the blade as the book has it, and how the machine slows and lifts. */
export function toJob(shop: ShopContext, wish: JobWish): CutterJob {
  const { cutterCornerSeconds, cutterLiftSeconds } = getShop(shop).figures;
  const blade = findBlade(shop);
  return {
    ...wish,
    bladeWorn: blade ? blade.metres / blade.lifeMetres : 0,
    cornerSeconds: cutterCornerSeconds,
    liftSeconds: cutterLiftSeconds,
  };
}
