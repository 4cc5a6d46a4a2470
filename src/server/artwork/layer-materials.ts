// What the vinyls of an artwork's layers allow, in the order of its layers.

import type { LayerMaterial } from '../../core/artwork/index';
import { getLayerMaterial } from '../../core/materials/index';
import { findVinyls } from '../../data/shelf-store';
import { getShop, type ShopContext } from '../context';

/** Null where no vinyl is chosen. */
export function listMaterials(
  shop: ShopContext,
  vinylIds: readonly (number | null)[],
): readonly (LayerMaterial | null)[] {
  const { figures } = getShop(shop);
  const chosen = findVinyls(
    shop.db,
    vinylIds.flatMap((id) => id ?? []),
  );
  const known = new Map(chosen.map((vinyl) => [vinyl.id, getLayerMaterial(vinyl, figures)]));
  return vinylIds.map((id) => known.get(id ?? 0) ?? null);
}
