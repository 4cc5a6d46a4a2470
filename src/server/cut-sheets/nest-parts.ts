// Lays out pieces for a script, in a thread under a limit of time and memory.

import type { InferType } from 'yup';
import type { nestInput } from '../../core/input/index';
import type { NestLayout, NestProblem, NestStock } from '../../core/nesting/index';
import type { Result } from '../../core/units/index';
import { getShop, type ShopContext } from '../context';
import { ShopError } from '../errors';
import { heavyWork } from '../heavy/heavy-work';
import type { NestTask } from '../heavy/nest-thread';

/** For the first layout, beyond the seconds of improvement that are asked for. */
const GRACE_MS = 30_000;
const tooMuch = () => new ShopError('busy', { reason: 'laying-too-slow' });

export async function nestParts(
  shop: ShopContext,
  { pieces, stock, seconds, ...options }: InferType<typeof nestInput>,
): Promise<NestLayout> {
  const { locale, currency, timeZone } = getShop(shop);
  const task: NestTask = {
    pieces,
    stock: stock as readonly NestStock[],
    options: { ...options, timeMs: seconds * 1000 },
  };
  const result = await heavyWork.run<Result<NestLayout, NestProblem>>({
    kind: 'nest',
    task,
    limitMs: seconds * 1000 + GRACE_MS,
    tooMuch,
  });
  if (!result.ok)
    throw new ShopError(
      'invalid',
      { reason: 'load-not-laid', problem: result.problem, settings: { locale, currency, timeZone, system: 'metric' } },
      'pieces',
    );
  return result.value;
}
