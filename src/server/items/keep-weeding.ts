// What a stretch of weeding was of, kept for learning: amounts that its seconds are calculated from.

import { listWeedAmounts, WEED_FIGURES } from '../../core/estimating/index';
import { MS_PER_S } from '../../core/units/index';
import { insertWeedStretch } from '../../data/minutes-store';
import type { ShopContext } from '../context';
import { readMadeLines } from './materials';
import { isInOneGo, type Stretch } from './stretch';

/** Nothing of work that was not done in one go. */
export function keepWeeding(shop: ShopContext, stretch: Stretch): void {
  if (!isInOneGo(shop, 'weed', stretch)) return;
  const { work, stopMs, orders, partIds } = stretch;
  const { lines } = readMadeLines(shop, orders);
  const weeded = new Set(partIds);
  const layers = orders
    .flatMap(({ parts }) => parts)
    .filter(({ id }) => weeded.has(id))
    .map(({ lineId, layerIndex }) => lines.get(lineId)?.layers[layerIndex]);
  // A drawing that is gone tells nothing of the whole stretch.
  if (layers.length === 0 || layers.includes(undefined)) return;
  const known = layers.flatMap((layer) => layer ?? []);
  const vinylIds = new Set(known.map(({ vinyl }) => vinyl.id));
  const isOne = vinylIds.size === 1;
  const amounts = known.reduce<readonly number[]>(
    (sums, { measurement, vinyl }) => {
      const factor = isOne ? 1 : vinyl.weedingFactor;
      const own = listWeedAmounts(measurement, vinyl);
      return sums.map((sum, at) => sum + factor * own[at]!);
    },
    WEED_FIGURES.map(() => 0),
  );
  insertWeedStretch(shop.db, {
    sessionId: work.id,
    vinylId: isOne ? known[0]!.vinyl.id : null,
    atMs: stopMs,
    seconds: (stopMs - work.startedAtMs) / MS_PER_S,
    amounts,
  });
}
