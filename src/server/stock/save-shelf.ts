// Adding, changing and taking off vinyls and blanks, and the shop's own figures.

import { added, changed, type Saved } from '../saved';
import type { InferType } from 'yup';
import { inTransaction } from '../../data/database';
import { blankInput, vinylInput } from '../../core/input/index';
import { getKindFacts, getOrdinaryDetails } from '../../core/materials/index';
import { minor } from '../../core/units/index';
import {
  insertBlank,
  insertVinyl,
  setBlankArchived,
  setVinylArchived,
  updateBlank,
  updateVinyl,
  findBlank,
  findVinyl,
  type BlankFields,
  type VinylFields,
} from '../../data/shelf-store';
import type { ShopContext } from '../context';
import { notFound, ShopError, stale } from '../errors';

function toVinylFields(input: InferType<typeof vinylInput>): VinylFields {
  const heat = getKindFacts(input.kind).family === 'heat';
  if (heat && !input.press) throw new ShopError('invalid', { reason: 'press-missing' }, 'press.lowC');
  return {
    ...input,
    rollPrice: minor(input.rollPrice),
    press: heat ? input.press : null,
    details: { ...getOrdinaryDetails(input.kind), ...input.details },
  };
}

const toBlankFields = (input: InferType<typeof blankInput>): BlankFields => ({
  ...input,
  sizes: input.sizes.map((size) => ({ ...size, price: minor(size.price) })),
});

export function addVinyl(shop: ShopContext, input: InferType<typeof vinylInput>): Saved {
  return added(insertVinyl(shop.db, toVinylFields(input)));
}

export function changeVinyl(
  shop: ShopContext,
  id: number,
  input: InferType<typeof vinylInput>,
  version: number,
): Saved {
  if (!findVinyl(shop.db, id)) throw notFound('This vinyl');
  if (!updateVinyl(shop.db, id, toVinylFields(input), version)) throw stale('This vinyl');
  return changed(id, version);
}

export function archiveVinyl(shop: ShopContext, id: number, archived: boolean): void {
  if (!setVinylArchived(shop.db, id, archived ? shop.now() : null)) throw notFound('This vinyl');
}

export function addBlank(shop: ShopContext, input: InferType<typeof blankInput>): Saved {
  return added(inTransaction(shop.db, () => insertBlank(shop.db, toBlankFields(input))));
}

export function changeBlank(
  shop: ShopContext,
  id: number,
  input: InferType<typeof blankInput>,
  version: number,
): Saved {
  if (!findBlank(shop.db, id)) throw notFound('This blank');
  if (!inTransaction(shop.db, () => updateBlank(shop.db, id, toBlankFields(input), version))) throw stale('This blank');
  return changed(id, version);
}

export function archiveBlank(shop: ShopContext, id: number, archived: boolean): void {
  if (!setBlankArchived(shop.db, id, archived ? shop.now() : null)) throw notFound('This blank');
}
