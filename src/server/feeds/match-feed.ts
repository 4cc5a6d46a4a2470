// A channel's order in the shop's own terms: its articles as items, its columns as texts and options.

import type { FeedLine, FeedOrder } from '../../core/feeds/index';
import type { ShopContext } from '../context';
import { loadFeedItems } from '../../data/feed-store';
import type { OrderableItem } from '../../views/orders';
import { listOrderable } from '../orders/load-new-order';
import type { WrittenLine } from '../orders/save-order';

export const keyOfArticle = (article: string): string => article.trim().toLowerCase();

export type MatchedOrder = {
  readonly lines: readonly (WrittenLine & {
    readonly options: readonly number[];
    readonly texts: NonNullable<WrittenLine['texts']>;
  })[];
  /** Articles that no item is known for. */
  readonly unknown: readonly string[];
};

/** An article is the item it was matched to once, else the item of that very name. */
export function matchFeedOrder(shop: ShopContext, { lines }: FeedOrder): MatchedOrder {
  const items = listOrderable(shop);
  const matched = loadFeedItems(shop.db);
  const byId = new Map(items.map((item) => [item.id, item]));
  const byName = new Map(items.map((item) => [keyOfArticle(item.name), item]));
  const found = lines.map((line) => {
    const key = keyOfArticle(line.article);
    return { line, item: byId.get(matched.get(key) ?? 0) ?? byName.get(key) };
  });
  return {
    lines: found.flatMap(({ line, item }) => (item ? [toLine(line, item)] : [])),
    unknown: [...new Set(found.flatMap(({ line, item }) => (item ? [] : [line.article])))],
  };
}

/** What the file leaves out is as usual; columns that are no text of the item go into the note. */
function toLine(line: FeedLine, item: OrderableItem): MatchedOrder['lines'][number] {
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
    sizeName: findNamed(item.sizes, line.sizeName) ?? item.usualSize,
    colourName: findNamed(item.colours, line.colourName) ?? item.usualColour,
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

/** A size the shop hasn't is passed on as it is, to be refused by its name. */
function findNamed(names: readonly string[], wanted: string): string | null {
  if (wanted === '') return null;
  return names.find((name) => name.toLowerCase() === wanted.toLowerCase()) ?? wanted;
}
