// Artworks that an earlier program measured, measured anew from their originals: before the shop opens where it could not
// show what is kept of them, and behind it, while it is open, where only figures are a little different.

import { MEASUREMENT_EDITION } from '../../core/artwork/index';
import {
  findArtwork,
  findOriginal,
  isAnyMeasuredBefore,
  listMeasuredBefore,
  replaceMeasured,
  type CheckedFile,
} from '../../data/artwork-store';
import { inTransaction } from '../../data/database';
import type { ShopContext } from '../context';
import { log, ShopError } from '../errors';
import { runForNobody } from '../heavy/asking';
import { listMaterials } from './layer-materials';
import { measureFile } from './measure-file';

type Anew = { readonly artwork: { readonly id: number; readonly version: number }; readonly measured: CheckedFile };

/** So many are kept at once: whatever rests on artworks is worked out anew after each time. */
const LOT = 20;

/** All that were measured in an edition before `edition`; what was changed meanwhile is left as it is. */
export async function measureAnew(shop: ShopContext, edition = MEASUREMENT_EDITION): Promise<void> {
  const ids = listMeasuredBefore(shop.db, edition);
  for (let at = 0; at < ids.length; at += LOT) {
    const lot: Anew[] = [];
    for (const id of ids.slice(at, at + LOT)) lot.push(...(await measureOne(shop, id)));
    inTransaction(shop.db, () => lot.forEach(({ artwork, measured }) => replaceMeasured(shop.db, artwork, measured)));
  }
}

/** None where it is gone, or can't be measured any more: it keeps what is known of it. */
async function measureOne(shop: ShopContext, id: number): Promise<readonly Anew[]> {
  const artwork = findArtwork(shop.db, id);
  const original = findOriginal(shop.db, id);
  if (!artwork || !original) return [];
  const { steps, measurement, layerVinylIds } = artwork;
  const wish = steps.length > 0 ? { steps } : { widthMm: measurement.widthMm };
  try {
    return [{ artwork, measured: await measureFile(original.original, wish, listMaterials(shop, layerVinylIds)) }];
  } catch (error) {
    if (!(error instanceof ShopError)) throw error;
    log.warn({ artworkId: id, reason: error.message }, 'an artwork keeps its earlier measurement');
    return [];
  }
}

/** While the shop is open. Stopped in the middle, the next server goes on. */
export function measureAnewBehind(openShop: () => ShopContext): void {
  const work = async () => {
    const shop = openShop();
    if (isAnyMeasuredBefore(shop.db, MEASUREMENT_EDITION)) await runForNobody(() => measureAnew(shop));
  };
  work().catch((error: unknown) => log.error(error, 'artworks could not be measured anew'));
}
