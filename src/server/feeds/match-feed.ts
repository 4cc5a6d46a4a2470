// A channel's order in the shop's own terms: its articles as items, its columns as texts and options.

import type { FeedLine, FeedOrder } from '../../core/feeds/index';
import { findSizeName } from '../../core/materials/index';
import { groupBy } from '../../core/units/index';
import type { ShopContext } from '../context';
import { loadFeedItems, loadFeedNames } from '../../data/feed-store';
import type { UnknownName } from '../../views/feed';
import type { OrderableItem } from '../../views/orders';
import { listOrderable } from '../orders/load-new-order';
import type { WrittenLine } from '../orders/save-order';

/** Names are the same whatever their capitals. */
export const keyOfName = (article: string): string => article.trim().toLowerCase();

export type MatchedOrder = {
  readonly lines: readonly (WrittenLine & {
    readonly options: readonly number[];
    readonly texts: NonNullable<WrittenLine['texts']>;
  })[];
  /** What nothing is known for, each once. */
  readonly unknown: readonly UnknownName[];
};

/** An article is the item it was matched to once, else the item of that very name; sizes and colours likewise. */
export function matchFeedOrder(shop: ShopContext, { lines }: FeedOrder): MatchedOrder {
  const items = listOrderable(shop);
  const matched = loadFeedItems(shop.db);
  const byId = new Map(items.map((item) => [item.id, item]));
  const byName = new Map(items.map((item) => [keyOfName(item.name), item]));
  const names = groupBy(loadFeedNames(shop.db), ({ kind, itemId }) => `${kind} ${itemId}`);
  const found = lines.map((line) => {
    const key = keyOfName(line.article);
    const item = byId.get(matched.get(key) ?? 0) ?? byName.get(key);
    return { line, variant: item && findVariant(line, item, (kind) => names.get(`${kind} ${item.id}`) ?? []) };
  });
  const unknown = found.flatMap(({ line, variant }): readonly UnknownName[] =>
    variant ? variant.unknown : [{ kind: 'item', name: line.article }],
  );
  return {
    lines: found.flatMap(({ line, variant }) => (variant ? [toLine(line, variant)] : [])),
    unknown: [...new Map(unknown.map((name) => [JSON.stringify(name), name])).values()],
  };
}

type Variant = {
  readonly item: OrderableItem;
  readonly sizeName: string;
  readonly colourName: string;
  readonly unknown: readonly UnknownName[];
};
type KnownNames = readonly { readonly name: string; readonly own: string }[];

/** What the file leaves out is as usual. */
function findVariant(line: FeedLine, item: OrderableItem, known: (kind: 'size' | 'colour') => KnownNames): Variant {
  const find = (kind: 'size' | 'colour', written: string, choices: readonly string[]): string | null => {
    const told = known(kind).find(({ name }) => name === keyOfName(written));
    if (told && choices.includes(told.own)) return told.own;
    if (kind === 'size') return findSizeName(written, choices);
    return choices.find((own) => keyOfName(own) === keyOfName(written)) ?? null;
  };
  const size = line.sizeName === '' ? item.usualSize : find('size', line.sizeName, item.sizes);
  const colour = line.colourName === '' ? item.usualColour : find('colour', line.colourName, item.colours);
  const of = { id: item.id, name: item.name };
  return {
    item,
    sizeName: size ?? line.sizeName,
    colourName: colour ?? line.colourName,
    unknown: [
      ...(size === null ? [{ kind: 'size' as const, name: line.sizeName, item: of, choices: item.sizes }] : []),
      ...(colour === null ? [{ kind: 'colour' as const, name: line.colourName, item: of, choices: item.colours }] : []),
    ],
  };
}

/** Columns that are no text of the item go into the note. */
function toLine(line: FeedLine, { item, sizeName, colourName }: Variant): MatchedOrder['lines'][number] {
  const labels = new Map(item.letterings.map(({ label }) => [label.toLowerCase(), label]));
  const texts = line.texts.flatMap(({ label, text }) => {
    const own = labels.get(label.toLowerCase());
    return own === undefined ? [] : [{ label: own, text, given: text }];
  });
  const others = line.texts.filter(({ label }) => !labels.has(label.toLowerCase()));
  const said = new Set(texts.map(({ label }) => label));
  return {
    itemId: item.id,
    quantity: line.quantity,
    sizeName,
    colourName,
    options: item.options.flatMap(({ text }, at) => (text !== null && said.has(text) ? [at] : [])),
    texts,
    each: line.each,
    note: others
      .map(({ label, text }) => `${label}: ${text}`)
      .join('; ')
      .slice(0, NOTE_LETTERS),
  };
}
const NOTE_LETTERS = 200;
