// After an item is saved its layers are laid out as they usually are made, in a thread beside: what it takes of a strip
// is then real.

import { decodeText } from '../../core/artwork';
import {
  explainChange,
  getPackedCopies,
  getUsualVariant,
  isPackedFor,
  listMadeLayers,
  resolveVariant,
  type MadeLayer,
  type Packing,
} from '../../core/costing';
import { decideHandedness, type ShopFigures } from '../../core/materials';
import { findOriginal } from '../../data/artwork-store';
import { findItem, findItemIdsUsing, loadItems, type StoredItem } from '../../data/item-store';
import { savePacking } from '../../data/packing-store';
import { getShop, type ShopContext } from '../context';
import { log, ShopError } from '../errors';
import { runForNobody } from '../heavy/asking';
import { heavyWork } from '../heavy/heavy-work';
import type { PackTask } from '../heavy/pack-thread';
import { loadEvidence } from './evidence';
import { acceptItemCost } from './save-item';
import { loadMaterials, type Materials } from './materials';
import { priceItem } from './price-item';

const LIMIT_MS = 60_000;
const tooMuch = () => new ShopError('busy', { reason: 'layer-too-slow' });
export type Pack = (task: PackTask) => Promise<Packing | null>;
const packInThread: Pack = (task) => heavyWork.run<Packing | null>({ kind: 'pack', task, limitMs: LIMIT_MS, tooMuch });

/**
 * Lays out what is not laid out yet; answers how many layers were. The item's accepted cost follows: it is told no
 * dearer or cheaper for it.
 */
export async function packItem(shop: ShopContext, itemId: number, pack: Pack = packInThread): Promise<number> {
  const item = findItem(shop.db, itemId);
  if (!item) return 0;
  const { figures } = getShop(shop),
    materials = loadMaterials(shop, { plans: [item] });
  const wasAsAccepted = isAsAccepted(shop, item, materials);
  let done = 0;
  for (const layer of listMadeLayers(resolveVariant(item, getUsualVariant(item)), materials, item.quantity)) {
    if (isPacked(layer, item, figures)) continue;
    const task = toTask(shop, layer, item.quantity, materials);
    const packing = task && (await pack(task));
    if (!packing) continue;
    savePacking(shop.db, {
      ...packing,
      artworkId: layer.artworkId,
      artworkVersion: materials.artworks.get(layer.artworkId)!.version,
      layerIndex: layer.layerIndex,
      widthMm: layer.widthMm,
    });
    done++;
  }
  if (done > 0 && wasAsAccepted && findItem(shop.db, itemId)?.version === item.version) acceptItemCost(shop, itemId);
  return done;
}

/** Laid out already for what the item usually is made of, and so many. */
const isPacked = (layer: MadeLayer, item: StoredItem, figures: ShopFigures): boolean =>
  layer.packings?.some(
    (packing) => packing.copies === getPackedCopies(item.quantity) && isPackedFor(packing, layer.vinyl, figures),
  ) ?? false;

function toTask(shop: ShopContext, layer: MadeLayer, quantity: number, materials: Materials): PackTask | null {
  const artwork = materials.artworks.get(layer.artworkId),
    file = findOriginal(shop.db, layer.artworkId);
  if (!artwork || !file) return null;
  const { mirrored } = decideHandedness(layer.vinyl, { seenThrough: layer.seenThrough });
  return {
    drawing: decodeText(file.original),
    wish: {
      steps: artwork.steps,
      savedWidthMm: artwork.measurement.widthMm,
      widthMm: layer.widthMm,
      layerIndex: layer.layerIndex,
      mirrored,
    },
    layer: layer.measurement,
    vinyl: layer.vinyl,
    quantity,
    figures: getShop(shop).figures,
  };
}

function isAsAccepted(shop: ShopContext, item: StoredItem, materials: Materials): boolean {
  const cost = priceItem({
    item,
    quantity: item.quantity,
    materials,
    figures: getShop(shop).figures,
    evidence: loadEvidence(shop).of(item.id),
  });
  return item.acceptedCost !== null && cost.ok && explainChange(item.acceptedCost, cost.value) === null;
}

let queue: Promise<unknown> = Promise.resolve();
/** One item after another, behind the answer; what fails is logged, and the item is calculated by boxes in rows. */
export function packSoon(shop: ShopContext, itemId: number): void {
  queue = queue
    .then(() => runForNobody(() => packItem(shop, itemId)))
    .catch((error: unknown) => log.warn({ err: error, itemId }, 'an item could not be laid out'));
}

/** What items are made of that was saved anew: their layers may lie otherwise now. */
export type ChangedMaterial = { readonly artworkId: number } | { readonly vinylId: number } | 'cutter';

/** Lays out the items that are made of it. Saving does this, never looking: a page that is read changes nothing. */
export function packItemsUsing(
  shop: ShopContext,
  material: ChangedMaterial,
  soon: (shop: ShopContext, itemId: number) => void = packSoon,
): void {
  const ids = material === 'cutter' ? loadItems(shop.db).map((item) => item.id) : findItemIdsUsing(shop.db, material);
  for (const id of ids) soon(shop, id);
}
