// A lot as screens see it: what is left of it, what that cost, and what its film failed.

import { parseKey, valueStock } from '../../core/stock';
import { groupBy } from '../../core/units';
import { loadLotEvidence } from '../../data/lot-evidence-store';
import type { StoredLot } from '../../data/stock-store';
import type { LotView } from '../../views/stock';
import type { ShopContext } from '../context';
import { rememberUntilChange } from '../remember';

type LotTries = NonNullable<LotView['tried']>;
export const NO_TRIES: ReadonlyMap<number, LotTries> = new Map();

export const toLotView = (
  lot: StoredLot,
  suppliers: ReadonlyMap<number, string>,
  tried: ReadonlyMap<number, LotTries> = NO_TRIES,
): LotView => ({
  id: lot.id,
  key: lot.key,
  form: lot.form,
  widthMm: lot.widthMm,
  lengthMm: lot.lengthMm,
  receivedAtMs: lot.receivedAtMs,
  unitCost: lot.unitCost,
  left: lot.left,
  shape: lot.shape,
  spoiledSpots: lot.spoiledSpots,
  code: lot.code,
  remark: lot.remark,
  supplier: suppliers.get(lot.supplierId ?? 0) ?? '',
  value: valueStock([{ lot, left: lot.left }]),
  tried: tried.get(lot.id) ?? null,
});

/** What was cut of the lots of a vinyl, and failed; of other things nothing. */
export function sumTries(shop: ShopContext, key: string): ReadonlyMap<number, LotTries> {
  const thing = parseKey(key);
  if (thing?.kind !== 'vinyl') return NO_TRIES;
  return rememberUntilChange(shop, `tries of lots of ${key}`, () => {
    const byLot = groupBy(loadLotEvidence(shop.db, [thing.vinylId]), ({ lotId }) => lotId);
    const sum = (counts: readonly number[]): number => counts.reduce((all, count) => all + count, 0);
    return new Map(
      [...byLot].map(([lotId, own]) => [
        lotId,
        { tries: sum(own.map(({ tries }) => tries)), failures: sum(own.map(({ failures }) => failures)) },
      ]),
    );
  });
}
