// Supplies: kept, taken into use, worn at the bench or by hand, and cleaned.

import { added, changed, type Saved } from '../saved';
import type { InferType } from 'yup';
import type { supplyInput, wearInput } from '../../core/input';
import { inTransaction } from '../../data/database';
import { computeWear, getSupplyFacts, keyOf } from '../../core/stock';
import { loadLotsOnShelf } from '../../data/stock-store';
import {
  addWear,
  findSupply,
  insertSupply,
  loadSupplies,
  loadWearInUse,
  setSupplyArchived,
  updateSupply,
  type SupplyFields,
} from '../../data/supply-store';
import type { SuppliesView } from '../../views/supplies';
import type { ShopContext } from '../context';
import { notFound, ShopError, stale } from '../errors';
import { writeLine } from './save-stock';
import { toSupplyThing } from './things';

const WHAT = 'This supply';

function toFields(input: InferType<typeof supplyInput>): SupplyFields {
  const { wears } = getSupplyFacts(input.kind);
  if (wears !== null && input.life === null) throw new ShopError('invalid', { reason: 'life-missing', wears }, 'life');
  return {
    ...input,
    life: wears === null ? null : input.life,
    angleDegrees: input.kind === 'blade' ? input.angleDegrees : null,
  };
}

export const addSupply = (shop: ShopContext, input: InferType<typeof supplyInput>): Saved =>
  added(insertSupply(shop.db, toFields(input)));

export function changeSupply(
  shop: ShopContext,
  id: number,
  input: InferType<typeof supplyInput>,
  version: number,
): Saved {
  if (!findSupply(shop.db, id)) throw notFound(WHAT);
  if (!updateSupply(shop.db, id, toFields(input), version)) throw stale(WHAT);
  return changed(id, version);
}

export function archiveSupply(shop: ShopContext, id: number, archived: boolean): void {
  if (!setSupplyArchived(shop.db, id, archived ? shop.now() : null)) throw notFound(WHAT);
}

/**
 * Books wear, a cleaning, or that a new one is in use; that one is taken off the shelf where `fromStock` says so and
 * one lies there.
 */
export function bookWear(
  shop: ShopContext,
  id: number,
  { kind, amount, fromStock }: InferType<typeof wearInput>,
): { tookFromStock: boolean } {
  return inTransaction(shop.db, () => {
    const supply = findSupply(shop.db, id);
    if (!supply) throw notFound(WHAT);
    const { wears, cleanable } = getSupplyFacts(supply.kind);
    if (wears === null) throw new ShopError('invalid', { reason: 'supply-without-wear' });
    if (kind === 'cleaned' && !cleanable) throw new ShopError('invalid', { reason: 'not-cleanable' });
    if (kind !== 'fitted' && !(amount > 0)) throw new ShopError('invalid', { reason: 'wear-nothing' }, 'amount');
    if (kind !== 'fitted' && !loadWearInUse(shop.db).has(id))
      throw new ShopError('conflict', { reason: 'supply-not-in-use' });
    const [lot] =
      kind === 'fitted' && fromStock ? loadLotsOnShelf(shop.db, keyOf({ kind: 'supply', supplyId: id })) : [];
    if (lot) writeLine(shop, lot, 'used', -1, 'taken into use');
    addWear(shop.db, { supplyId: id, atMs: shop.now(), kind, amount: kind === 'fitted' ? 0 : amount, sessionId: null });
    return { tookFromStock: lot !== undefined };
  });
}

/** Those nearest to their end first. */
export function loadSuppliesView(shop: ShopContext): SuppliesView {
  const lines = loadWearInUse(shop.db);
  const views = loadSupplies(shop.db).map(({ archived: _, ...supply }) => {
    const thing = toSupplyThing(supply);
    return {
      ...supply,
      thing,
      wear: computeWear(supply, lines.get(supply.id) ?? []),
      onShelf: loadLotsOnShelf(shop.db, thing.key).reduce((sum, lot) => sum + lot.left, 0),
    };
  });
  return { supplies: views.sort((a, b) => (b.wear?.share ?? -1) - (a.wear?.share ?? -1)) };
}
