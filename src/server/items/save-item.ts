// Adding, changing and taking off items; what an item refers to has to be there. What it costs is noted, so that a
// later change can be told.

import { added, changed, type Saved } from '../saved';
import type { InferType } from 'yup';
import { inTransaction } from '../../data/database';
import { getWornLayers } from '../../core/artwork';
import { listArtworkIds, toAcceptedCost, type ItemPlan, type AcceptedCost, type Placement } from '../../core/costing';
import type { itemInput, placingsInput } from '../../core/input';
import { minor } from '../../core/units';
import { findArtwork } from '../../data/artwork-store';
import { markLetteringsUsed } from '../../data/lettering-store';
import {
  findItem,
  insertItem,
  setItemArchived,
  setAcceptedCost,
  updateItem,
  type ItemFields,
} from '../../data/item-store';
import { findBlank, findVinyl } from '../../data/shelf-store';
import { getShop, type ShopContext } from '../context';
import { notFound, ShopError, stale } from '../errors';
import { loadEvidence } from './evidence';
import { loadMaterials } from './materials';
import { priceItem } from './price-item';

type PlacingInput = InferType<typeof placingsInput>;

function checkPlacement(shop: ShopContext, placement: Placement, sizes: readonly string[], field: string): Placement {
  const artwork = findArtwork(shop.db, placement.artworkId);
  if (!artwork) throw new ShopError('invalid', { reason: 'artwork-archived' }, `${field}.artworkId`);
  const layers = getWornLayers(artwork.measurement).length;
  if (placement.vinylIds.length !== layers)
    throw new ShopError(
      'invalid',
      { reason: 'vinyl-for-each-layer', artwork: artwork.name, layers },
      `${field}.vinylIds`,
    );
  for (const [index, id] of placement.vinylIds.entries()) {
    if (!findVinyl(shop.db, id))
      throw new ShopError('invalid', { reason: 'vinyl-archived' }, `${field}.vinylIds[${index}]`);
  }
  return {
    ...placement,
    widths: Object.fromEntries(
      Object.entries(placement.widths).filter(([size, width]) => sizes.includes(size) && width !== placement.widthMm),
    ),
  };
}

/** What was entered, checked against what is there. @throws ShopError naming the field */
export function toItemFields(shop: ShopContext, input: InferType<typeof itemInput>): ItemFields {
  const blank = findBlank(shop.db, input.blankId);
  if (!blank) throw new ShopError('invalid', { reason: 'blank-archived' }, 'blankId');
  if (!blank.sizes.some((size) => size.name === input.sizeName))
    throw new ShopError(
      'invalid',
      { reason: 'no-such-size', blank: blank.name, sizes: blank.sizes.map((size) => size.name) },
      'sizeName',
    );
  if (!blank.colours.some((colour) => colour.name === input.colourName))
    throw new ShopError(
      'invalid',
      { reason: 'colours-are', blank: blank.name, colours: blank.colours.map((colour) => colour.name) },
      'colourName',
    );
  const sizes = blank.sizes.map((size) => size.name);
  const { placements, details, ...fields } = input;
  const checked = placements.map((placement, at) => checkPlacement(shop, placement, sizes, `placements[${at}]`));
  const options = details.options.map((option, at) => ({
    label: option.label,
    surcharge: minor(option.surcharge),
    placement: checkPlacement(shop, option.placement, sizes, `details.options[${at}].placement`),
  }));
  for (const [at, rule] of details.variants.entries()) {
    for (const swap of rule.swaps)
      if (!findVinyl(shop.db, swap.byVinylId))
        throw new ShopError('invalid', { reason: 'vinyl-archived' }, `details.variants[${at}].swaps`);
  }
  return {
    ...fields,
    price: minor(input.price),
    artworkPrice: minor(input.artworkPrice),
    placements: checked,
    details: {
      ...details,
      options,
      othersAsk: details.othersAsk === null ? null : minor(details.othersAsk),
      packaging: details.packaging === null ? null : minor(details.packaging),
      negative: details.negative && {
        ...details.negative,
        price: minor(details.negative.price),
        ownCost: minor(details.negative.ownCost),
      },
      extras: details.extras.map((extra) => ({ ...extra, price: minor(extra.price) })),
      stones: details.stones.map((field) => ({
        ...field,
        grossPrice: minor(field.grossPrice),
        templatePrice: minor(field.templatePrice),
        tapePrice: minor(field.tapePrice),
      })),
      variants: details.variants.map((rule) => ({ ...rule, price: rule.price === null ? null : minor(rule.price) })),
    },
  };
}

/** What one costs now; null where it can't be told. */
function calculateAcceptedCost(
  shop: ShopContext,
  item: ItemPlan & { readonly quantity: number },
  id: number | null,
): AcceptedCost | null {
  const cost = priceItem({
    item,
    quantity: item.quantity,
    materials: loadMaterials(shop, { plans: [item] }),
    figures: getShop(shop).figures,
    ...(id === null ? {} : { evidence: loadEvidence(shop).of(id) }),
  });
  return cost.ok ? toAcceptedCost(cost.value, shop.now()) : null;
}

export function addItem(shop: ShopContext, input: InferType<typeof itemInput>): Saved {
  return added(
    inTransaction(shop.db, () => {
      const fields = toItemFields(shop, input);
      markLetteringsUsed(shop.db, listArtworkIds(fields));
      return insertItem(shop.db, fields, calculateAcceptedCost(shop, fields, null));
    }),
  );
}

export function changeItem(shop: ShopContext, id: number, input: InferType<typeof itemInput>, version: number): Saved {
  if (!findItem(shop.db, id)) throw notFound('This item');
  const saved = inTransaction(shop.db, () => {
    const fields = toItemFields(shop, input);
    markLetteringsUsed(shop.db, listArtworkIds(fields));
    return updateItem(shop.db, id, fields, version, calculateAcceptedCost(shop, fields, id));
  });
  if (!saved) throw stale('This item');
  return changed(id, version);
}

/**
 * Where its artworks lie, and how wide they are on each size; all else stays. Placements first, then those of its
 * options, in their order. @throws ShopError naming the field
 */
export function changePlacing(shop: ShopContext, id: number, { artworks }: PlacingInput, version: number): Saved {
  const item = findItem(shop.db, id);
  if (!item) throw notFound('This item');
  const { placements, details } = item;
  if (artworks.length !== placements.length + details.options.length) throw stale('This item');
  const sizes = findBlank(shop.db, item.blankId)?.sizes.map(({ name }) => name) ?? [];
  const put = (placement: Placement, at: number): Placement =>
    checkPlacement(shop, { ...placement, ...artworks[at]! }, sizes, `artworks[${at}]`);
  const saved = inTransaction(shop.db, () => {
    const { id: _id, version: _version, archived: _archived, acceptedCost: _acceptedCost, ...kept } = item;
    const fields: ItemFields = {
      ...kept,
      placements: placements.map(put),
      details: {
        ...details,
        options: details.options.map((option, at) => ({
          ...option,
          placement: put(option.placement, placements.length + at),
        })),
      },
    };
    return updateItem(shop.db, id, fields, version, calculateAcceptedCost(shop, fields, id));
  });
  if (!saved) throw stale('This item');
  return changed(id, version);
}

/** Takes what it costs now for what it is known to cost. */
export function acceptItemCost(shop: ShopContext, id: number): void {
  const item = findItem(shop.db, id);
  if (!item) throw notFound('This item');
  setAcceptedCost(shop.db, id, calculateAcceptedCost(shop, item, id));
}

export function archiveItem(shop: ShopContext, id: number, archived: boolean): void {
  if (!setItemArchived(shop.db, id, archived ? shop.now() : null)) throw notFound('This item');
}
