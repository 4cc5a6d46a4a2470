// How far a piece of work at the bench is: kept by the server, so that it survives a reload and is seen in every window.

import { takeProgress, type ProgressStep } from '../../core/scheduling/index';
import { inTransaction } from '../../data/database';
import { findSession, saveProgress } from '../../data/work-store';
import type { ShopContext } from '../context';
import { findPress } from '../devices';
import { notFound, ShopError } from '../errors';

/** Asked of the machine only where a press closes. */
const readHeat = (shop: ShopContext, { start }: ProgressStep): number | null =>
  start.some(({ press }) => press) ? (findPress(shop)?.read().temperatureC ?? null) : null;

/** @throws ShopError where it was stopped, or another window is further */
export function progressWork(shop: ShopContext, id: number, step: ProgressStep): void {
  inTransaction(shop.db, () => {
    const work = findSession(shop.db, id);
    if (!work) throw notFound('This timer');
    if (work.stoppedAtMs !== null) throw new ShopError('conflict', { reason: 'timer-stopped' });
    const next = takeProgress(work.progress, step, shop.now(), readHeat(shop, step));
    if (!next.ok) throw new ShopError('conflict', { reason: 'step-taken' });
    saveProgress(shop.db, id, next.value);
  });
}
