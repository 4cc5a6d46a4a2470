// A lot as screens see it: what is left of it, what that cost, and what its film failed.

import { parseKey, valueStock } from '../../core/stock';
import { groupBy } from '../../core/units';
import { loadLotEvidence } from '../../data/lot-evidence-store';
import type { StoredLot } from '../../data/stock-store';
import type { LotView } from '../../views/stock';
import type { ShopContext } from '../context';

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
export function sumTries({ db }: ShopContext, key: string): ReadonlyMap<number, LotTries> {
  const thing = parseKey(key);
  if (thing?.kind !== 'vinyl') return NO_TRIES;
  const byLot = groupBy(loadLotEvidence(db, [thing.vinylId]), ({ lotId }) => lotId);
  return new Map(
    [...byLot].map(([lotId, own]) => [
      lotId,
      {
        tries: own.reduce((sum, { tries }) => sum + tries, 0),
        failures: own.reduce((sum, { failures }) => sum + failures, 0),
      },
    ]),
  );
}
