// Search over everything that has a name.

import { formatDay } from '../../core/units/index';
import { findArtworksLike } from '../../data/artwork-store';
import { findItemsLike } from '../../data/item-store';
import { findOrdersLike } from '../../data/order-search';
import { findBlanksLike, findVinylsLike } from '../../data/shelf-search';
import type { FoundThing } from '../../views/frame';
import { getSettings, type ShopContext } from '../context';

/** So many of each kind. */
const EACH = 6;

/** So many of one kind to choose from. */
const OF_A_KIND = 30;

const FINDERS = { artwork: findArtworksLike, vinyl: findVinylsLike, item: findItemsLike } as const;
type NamedKind = keyof typeof FINDERS;
export const NAMED_KINDS = Object.keys(FINDERS) as readonly NamedKind[];

/** Those of a kind whose name holds the words, by name. */
export const findNames = (
  shop: ShopContext,
  kind: NamedKind,
  words: string,
): readonly { readonly id: number; readonly name: string }[] =>
  FINDERS[kind](shop.db, words, OF_A_KIND).map(({ id, name }) => ({
    id,
    name,
  }));

/** Things whose name holds the words, archived ones left out; a number finds the order of that number. */
export function findThings(shop: ShopContext, words: string): readonly FoundThing[] {
  const settings = getSettings(shop);
  const found = <Row>(find: (db: ShopContext['db'], words: string, limit: number) => readonly Row[]) =>
    find(shop.db, words, EACH);
  const thing = (kind: FoundThing['kind'], label: string, detail: string, href: string): FoundThing => ({
    kind,
    label,
    detail,
    href,
  });
  return [
    ...found(findOrdersLike).map(({ id, title, customer, dueDay }) =>
      thing('order', title, `${customer}, due ${formatDay(dueDay, settings)}`, `/orders/${id}`),
    ),
    ...found(findItemsLike).map(({ id, name }) => thing('item', name, 'item', `/items/${id}`)),
    ...found(findArtworksLike).map(({ id, name }) => thing('artwork', name, 'artwork', `/artwork/${id}`)),
    ...found(findVinylsLike).map(({ id, name, colourName }) => thing('vinyl', name, colourName, `/shelf?vinyl=${id}`)),
    ...found(findBlanksLike).map(({ id, name }) => thing('blank', name, 'blank', `/shelf?blank=${id}`)),
  ];
}
