// Everything that items are made of, looked up at once: archived things too, since an old item still has to be costed
// and made.

import {
  listArtworkIds,
  listMadeLayers,
  listPackings,
  listVinylIds,
  resolveVariant,
  type ItemMaterials,
  type ItemPlan,
  type Made,
  type MadeLayer,
  type PackedLayer,
} from '../../core/costing';
import { groupBy } from '../../core/units';
import { findMadeFrom, type MadeFrom } from '../../data/artwork-store';
import { loadPackings } from '../../data/packing-store';
import { findItems, type StoredItem } from '../../data/item-store';
import { findBlanks, findVinyls, type StoredBlank, type StoredVinyl } from '../../data/shelf-store';
import type { ShopContext } from '../context';
import type { WaitingOrder } from '../orders/read-orders';
import { makePriceLookup } from './prices';

export type Materials = ItemMaterials & {
  readonly blanks: ReadonlyMap<number, StoredBlank>;
  readonly vinyls: ReadonlyMap<number, StoredVinyl>;
  readonly artworks: ReadonlyMap<number, MadeFrom>;
};
type Wanted = {
  readonly plans?: readonly ItemPlan[];
  readonly made?: readonly Made[];
  /** Other vinyls that parts of older orders are cut from. */
  readonly vinylIds?: readonly number[];
  /** Other artworks: customers' own texts that take the place of a sample. */
  readonly artworkIds?: readonly number[];
};

export function loadMaterials(
  shop: ShopContext,
  { plans = [], made = [], vinylIds = [], artworkIds = [] }: Wanted,
): Materials {
  const byId = <T extends { id: number }>(things: readonly T[]) => new Map(things.map((thing) => [thing.id, thing]));
  const placements = made.flatMap((one) => one.placements);
  const blanks = byId(findBlanks(shop.db, [...new Set([...plans, ...made].map((one) => one.blankId))]));
  const vinyls = byId(
    findVinyls(shop.db, [
      ...new Set([
        ...plans.flatMap(listVinylIds),
        ...placements.flatMap((placement) => placement.vinylIds),
        ...vinylIds,
      ]),
    ]),
  );
  const artworks = byId(
    findMadeFrom(shop.db, [
      ...new Set([
        ...plans.flatMap(listArtworkIds),
        ...placements.map((placement) => placement.artworkId),
        ...artworkIds,
      ]),
    ]),
  );
  // Looked up only where an item asks for them: most are calculated at the shelf's prices.
  const prices = plans.some((plan) => plan.details.priceBasis !== 'shelf') ? makePriceLookup(shop) : null;
  const packed = groupBy(loadPackings(shop.db, [...artworks.keys()]), (packing) => packing.artworkId);
  const packings = (layer: Omit<PackedLayer, 'artworkVersion'>) =>
    listPackings(packed.get(layer.artworkId) ?? [], {
      ...layer,
      artworkVersion: artworks.get(layer.artworkId)?.version ?? 0,
    });
  return {
    blanks,
    vinyls,
    artworks,
    packings,
    vinyl: (id) => vinyls.get(id),
    artwork: (id) => artworks.get(id),
    ...(prices ? { prices: (key: string) => prices(key) ?? undefined } : {}),
  };
}

/** A line of an order with the item it is of, and how its pieces are made. */
export type MadeLine = {
  readonly item: StoredItem;
  readonly made: Made;
  readonly layers: readonly MadeLayer[];
  readonly blank: StoredBlank;
};

/** How the pieces of each line are made, by the line's id: as frozen with the order, else as the item is now. */
export function readMadeLines(
  shop: ShopContext,
  orders: readonly WaitingOrder[],
): { readonly lines: ReadonlyMap<number, MadeLine>; readonly materials: Materials } {
  const all = orders.flatMap(({ order }) => order.lines);
  const items = new Map(
    findItems(shop.db, [...new Set(all.map((line) => line.itemId))]).map((item) => [item.id, item]),
  );
  const made = all.flatMap((line) => {
    const item = items.get(line.itemId);
    return item
      ? [
          {
            line,
            item,
            made:
              line.made ?? resolveVariant(item, { sizeName: line.sizeName, colourName: line.colourName, options: [] }),
          },
        ]
      : [];
  });
  const vinylsOfParts = groupBy(
    orders.flatMap(({ parts }) => parts),
    (part) => part.vinylId,
  );
  const materials = loadMaterials(shop, { made: made.map((entry) => entry.made), vinylIds: [...vinylsOfParts.keys()] });
  return {
    materials,
    lines: new Map(
      made.flatMap((entry): [number, MadeLine][] => {
        const blank = materials.blanks.get(entry.made.blankId);
        return blank
          ? [
              [
                entry.line.id,
                { item: entry.item, made: entry.made, layers: listMadeLayers(entry.made, materials), blank },
              ],
            ]
          : [];
      }),
    ),
  };
}
