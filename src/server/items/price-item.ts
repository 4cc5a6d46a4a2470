// What an item costs now, from the shelf, its artworks, the shop's figures and its log.

import {
  computeItemCost,
  getUsualVariant,
  resolveVariant,
  toItemSpec,
  type CostProblem,
  type ItemCost,
  type ItemEvidence,
  type ItemPlan,
  type Made,
  type Variant,
} from '../../core/costing';
import type { ShopFigures } from '../../core/materials';
import type { Result } from '../../core/units';
import type { Materials } from './materials';

type PriceInput = {
  readonly item: ItemPlan;
  /** As it is usually made where nothing is said. */
  readonly variant?: Variant;
  readonly quantity: number;
  /** Pieces of the order it is one of; as many as usual where none is known. */
  readonly orderPieces?: number;
  readonly materials: Materials;
  readonly figures: ShopFigures;
  readonly evidence?: ItemEvidence;
  /** Puts a customer's own texts in their places; the samples stay where it is left out. */
  readonly setTexts?: (made: Made) => Made;
};

export function priceItem({
  item,
  variant = getUsualVariant(item),
  quantity,
  orderPieces,
  materials,
  figures,
  evidence,
  setTexts = (made) => made,
}: PriceInput): Result<ItemCost, CostProblem> & { readonly made: Made } {
  const made = setTexts(resolveVariant(item, variant));
  const blank = materials.blanks.get(made.blankId);
  if (!blank)
    return { ok: false, problem: { kind: 'unknown-size', sizeName: made.sizeName, blankName: 'This blank' }, made };
  return {
    ...computeItemCost(
      {
        ...toItemSpec({ plan: item, made, blank, materials, ...(evidence ? { evidence } : {}) }),
        ...(orderPieces === undefined ? {} : { orderPieces }),
      },
      quantity,
      figures,
    ),
    made,
  };
}
