// What an item's own page and its comparison calculate with: the item and what it is made of, never the whole shelf.

import { chooseVinyls, listArtworkIds, listVinylIds } from '../../core/costing/index';
import { getWornLayers, type ArtworkChecks } from '../../core/artwork/index';
import { keyOf, type Prices } from '../../core/stock/index';
import { findArtwork, findArtworks, findChecks, type StoredArtwork } from '../../data/artwork-store';
import { findNamed } from '../../data/find-named';
import { loadChannels } from '../../data/channel-store';
import { loadVinylEvidence } from '../../data/evidence-store';
import { findItem } from '../../data/item-store';
import { findOffersOf } from '../../data/offer-store';
import { loadPackings } from '../../data/packing-store';
import {
  findBlanks,
  findVinyls,
  listFirstVinyls,
  loadBlanks,
  loadVinylColours,
  type StoredBlank,
  type StoredVinyl,
} from '../../data/shelf-store';
import { loadSuppliers } from '../../data/supplier-store';
import type { CheckedArtworkView } from '../../views/artwork';
import type { CompareOffer, CompareView } from '../../views/compare';
import type { ItemEditorView, ItemMaterialsView } from '../../views/items';
import { toOffer } from '../buying/offer-of';
import { ROLL_FROM_MM } from '../buying/purchases';
import { listMaterials } from '../artwork/layer-materials';
import type { ShopContext } from '../context';
import { notFound } from '../errors';
import { loadEvidence } from './evidence';
import { makePriceLookup } from './prices';

/** So many of a kind stand in a list to choose from; others are looked for by name. */
const LISTED = 40;

/** @throws ShopError not-found */
export function loadArtworkView(shop: ShopContext, id: number): CheckedArtworkView {
  const artwork = findArtwork(shop.db, id);
  if (!artwork) throw notFound('This artwork');
  return { ...artwork, checks: readChecks(shop, artwork) };
}

/** Null where its vinyls allow something else by now. */
function readChecks(shop: ShopContext, { id, layerVinylIds }: StoredArtwork): ArtworkChecks | null {
  const checks = findChecks(shop.db, id);
  if (!checks) return null;
  const { of, ...said } = checks;
  return JSON.stringify(of) === JSON.stringify(listMaterials(shop, layerVinylIds)) ? said : null;
}

/** @throws ShopError not-found */
export function loadArtworkPage(shop: ShopContext, id: number) {
  const artwork = loadArtworkView(shop, id);
  return {
    artwork,
    ...listVinylsToChoose(
      shop,
      artwork.layerVinylIds.flatMap((chosen) => chosen ?? []),
    ),
  };
}

/** The first of the shelf, and those that are chosen already. */
export function listVinylsToChoose(
  shop: ShopContext,
  chosen: readonly number[],
): { readonly vinyls: readonly StoredVinyl[]; readonly more: boolean } {
  const listed = listFirstVinyls(shop.db, LISTED + 1);
  return { vinyls: withMissing(listed.slice(0, LISTED), findVinyls(shop.db, chosen)), more: listed.length > LISTED };
}

/**
 * What the item's page needs to calculate by itself: the item (or none yet), what it uses, and the first of the lists
 * to choose others from. @throws ShopError not-found
 */
export function loadItemEditor(shop: ShopContext, id: number | null, startArtworkId: number | null): ItemEditorView {
  const item = id === null ? null : findItem(shop.db, id);
  if (id !== null && !item) throw notFound('This item');
  const names = findNamed(shop.db, 'artwork', '', LISTED + 1);
  const blanks = loadBlanks(shop.db);
  const firstArtwork = startArtworkId ?? names[0]?.id;
  const used = item
    ? { artworkIds: listArtworkIds(item), vinylIds: listVinylIds(item), blankIds: [item.blankId] }
    : {
        artworkIds: firstArtwork === undefined ? [] : [firstArtwork],
        vinylIds: [],
        blankIds: blanks.slice(0, 1).map((blank) => blank.id),
      };
  const materials = loadItemMaterials(shop, used);
  const toChoose = listVinylsToChoose(
    shop,
    materials.vinyls.map((vinyl) => vinyl.id),
  );
  return {
    item,
    startArtworkId,
    channels: loadChannels(shop.db),
    evidence: item ? loadEvidence(shop).of(item.id) : {},
    artworks: materials.artworks,
    artworkNames: withMissing(
      names.slice(0, LISTED),
      materials.artworks.map(({ id: own, name }) => ({ id: own, name })),
    ),
    shelf: {
      vinyls: toChoose.vinyls,
      blanks: withMissing(blanks, findBlanks(shop.db, used.blankIds)),
    },
    more: { artworks: names.length > LISTED, vinyls: toChoose.more },
    prices: materials.prices,
    packings: materials.packings,
    priced: { vinylIds: materials.vinyls.map((vinyl) => vinyl.id), blankIds: used.blankIds },
  };
}

type Wanted = {
  readonly artworkIds: readonly number[];
  readonly vinylIds: readonly number[];
  readonly blankIds: readonly number[];
};

/** Artworks with the vinyls they are likely to be cut from, vinyls and blanks with their prices. */
export function loadItemMaterials(shop: ShopContext, wanted: Wanted): ItemMaterialsView {
  const blanks = findBlanks(shop.db, unique(wanted.blankIds));
  const artworks = proposeVinyls(shop, findArtworks(shop.db, unique(wanted.artworkIds)), blanks[0]);
  const proposed = artworks.flatMap((artwork) => artwork.layerVinylIds.flatMap((id) => id ?? []));
  const vinyls = findVinyls(shop.db, unique([...wanted.vinylIds, ...proposed]));
  return {
    artworks,
    vinyls,
    packings: loadPackings(
      shop.db,
      artworks.map((artwork) => artwork.id),
    ),
    prices: listPrices(shop, vinyls, blanks),
    evidence: listEvidence(shop, vinyls),
  };
}

/** For layers that no vinyl was chosen for: the nearest of a shelf that is too large to be sent. */
function proposeVinyls(
  shop: ShopContext,
  artworks: readonly StoredArtwork[],
  blank: StoredBlank | undefined,
): readonly StoredArtwork[] {
  const isOpen = ({ measurement, layerVinylIds }: StoredArtwork) =>
    getWornLayers(measurement).some((_, index) => !layerVinylIds[index]);
  if (!artworks.some(isOpen)) return artworks;
  const vinyls = loadVinylColours(shop.db);
  // The page has all of a small shelf, and chooses by itself, for any blank.
  if (vinyls.length <= LISTED) return artworks;
  return artworks.map((artwork) =>
    isOpen(artwork) ? { ...artwork, layerVinylIds: chooseVinyls(artwork, vinyls, blank) } : artwork,
  );
}

function listPrices(
  shop: ShopContext,
  vinyls: readonly StoredVinyl[],
  blanks: readonly StoredBlank[],
): readonly (readonly [string, Prices])[] {
  const find = makePriceLookup(shop);
  const keys = [
    ...vinyls.map((vinyl) => keyOf({ kind: 'vinyl', vinylId: vinyl.id })),
    ...blanks.flatMap(({ id: blankId, sizes, colours }) =>
      sizes.flatMap((size) =>
        colours.map((colour) => keyOf({ kind: 'blank', blankId, sizeName: size.name, colourName: colour.name })),
      ),
    ),
  ];
  return keys.flatMap((key) => {
    const prices = find(key);
    return prices ? [[key, prices] as const] : [];
  });
}

const unique = (ids: readonly number[]): readonly number[] => [...new Set(ids)];

function withMissing<T extends { readonly id: number }>(things: readonly T[], others: readonly T[]): readonly T[] {
  const there = new Set(things.map((thing) => thing.id));
  return [...things, ...others.filter((other) => !there.has(other.id))];
}

/** The item, and the vinyls, offers and blanks it may be tried in. @throws ShopError not-found */
export function loadCompare(shop: ShopContext, id: number): CompareView {
  const { item, artworks, shelf, prices, evidence, more } = loadItemEditor(shop, id, null);
  const { vinyls, blanks } = shelf;
  return {
    item: item!,
    artworks,
    blanks,
    vinyls,
    prices,
    moreVinyls: more.vinyls,
    own: evidence,
    offers: listOffers(shop, listVinylIds(item!)),
    evidence: listEvidence(shop, vinyls),
  };
}

const listEvidence = (shop: ShopContext, vinyls: readonly { readonly id: number }[]): CompareView['evidence'] =>
  [
    ...loadVinylEvidence(
      shop.db,
      vinyls.map((vinyl) => vinyl.id),
    ),
  ].map(([vinylId, counts]) => ({ vinylId, ...counts }));

/** Offers of one of these vinyls each: what bundles come to is told on the shelf. */
function listOffers(shop: ShopContext, vinylIds: readonly number[]): CompareView['offers'] {
  const suppliers = new Map(loadSuppliers(shop.db).map((supplier) => [supplier.id, supplier]));
  return vinylIds.flatMap((vinylId) =>
    findOffersOf(shop.db, [keyOf({ kind: 'vinyl', vinylId })]).flatMap((stored): CompareOffer[] => {
      const supplier = suppliers.get(stored.supplierId);
      const [part, ...others] = stored.parts;
      if (!supplier || others.length > 0 || !part?.widthMm || !part.lengthMm) return [];
      return [
        {
          id: stored.id,
          name: stored.name,
          supplierName: supplier.name,
          vinylId,
          form: part.lengthMm >= ROLL_FROM_MM ? 'roll' : 'sheet',
          offer: toOffer(stored),
          shipping: supplier.shipping,
          freeFrom: supplier.freeFrom,
        },
      ];
    }),
  );
}
