// What the lines of an order cost: each in its size, colour and options, with the set-up that all of its item share.

import type { CostProblem, ItemCost, Made } from '../../core/costing';
import type { LineText } from '../../core/orders';
import type { Result } from '../../core/units';
import { findItems, type StoredItem } from '../../data/item-store';
import { getShop, type ShopContext } from '../context';
import { ShopError } from '../errors';
import { loadEvidence } from '../items/evidence';
import { loadMaterials, type Materials } from '../items/materials';
import { priceItem } from '../items/price-item';
import { makeTextPlacer } from './line-texts';

export type WishedLine = {
  readonly itemId: number;
  readonly quantity: number;
  readonly sizeName: string;
  readonly colourName: string;
  /** Places in the options of the item; none where none are named. */
  readonly options?: readonly number[] | undefined;
  /** What it says; set as drawings before. */
  readonly texts?: readonly LineText[] | undefined;
};

export type CostedLine<Line extends WishedLine> = {
  readonly line: Line & { readonly options: readonly number[] };
  readonly item: StoredItem;
  readonly cost: Result<ItemCost, CostProblem> & { readonly made: Made };
};

/** The lines in their order. @throws ShopError for an item, a colour or an option that is not there. */
export function costOrder<Line extends WishedLine>(
  shop: ShopContext,
  wished: readonly Line[],
): { readonly lines: readonly CostedLine<Line>[]; readonly materials: Materials } {
  const { figures } = getShop(shop);
  const found = findItems(
    shop.db,
    wished.map((line) => line.itemId),
  );
  const items = new Map(found.map((item) => [item.id, item]));
  const texts = makeTextPlacer(shop, wished, items);
  const materials = loadMaterials(shop, { plans: found, artworkIds: texts.artworkIds });
  const evidence = loadEvidence(shop);
  const quantities = countByItem(wished);
  const orderPieces = wished.reduce((sum, line) => sum + line.quantity, 0);
  const lines = wished.map((wish, index): CostedLine<Line> => {
    const line = { ...wish, options: wish.options ?? [] };
    const item = requireLine(line, items.get(line.itemId), materials, index);
    const cost = priceItem({
      item,
      variant: line,
      quantity: quantities.get(item.id)!,
      orderPieces,
      materials,
      figures,
      evidence: evidence.of(item.id),
      setTexts: texts.place(line),
    });
    return { line, item, cost };
  });
  return { lines, materials };
}

/** Set-up is shared by all pieces of an item in the order, whatever their sizes. */
function countByItem(lines: readonly WishedLine[]): ReadonlyMap<number, number> {
  const quantities = new Map<number, number>();
  for (const { itemId, quantity } of lines) quantities.set(itemId, (quantities.get(itemId) ?? 0) + quantity);
  return quantities;
}

function requireLine(
  line: WishedLine & { readonly options: readonly number[] },
  item: StoredItem | undefined,
  materials: Materials,
  index: number,
): StoredItem {
  const refuse = (refusal: ConstructorParameters<typeof ShopError>[1], field: string) =>
    new ShopError('invalid', refusal, `lines[${index}].${field}`);
  if (!item) throw refuse({ reason: 'item-archived' }, 'itemId');
  const blank = materials.blanks.get(item.blankId);
  const colour = line.colourName;
  if (!blank?.colours.some(({ name }) => name === colour))
    throw refuse({ reason: 'no-such-colour', blank: blank?.name, colour }, 'colourName');
  if (line.options.some((option) => !item.details.options[option]))
    throw refuse({ reason: 'option-gone', item: item.name }, 'options');
  return item;
}
