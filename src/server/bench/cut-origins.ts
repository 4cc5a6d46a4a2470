// From which lot a part was cut, and how fine it is: what its vinyl is judged by later.

import { classifyDesign, findFinestMm } from '../../core/artwork/index';
import type { PartEvent } from '../../core/orders/index';
import type { ShopContext } from '../context';
import { readMadeLines } from '../items/materials';
import type { ReadOrder, ReadPart } from '../orders/read-orders';

export type CutOrigin = Pick<PartEvent, 'lotId' | 'design' | 'finestMm'>;

/** `lotOf`: the lot each part was cut from; null where the book had none. */
export function findOrigins(
  shop: ShopContext,
  { orders, parts }: { readonly orders: readonly ReadOrder[]; readonly parts: readonly ReadPart[] },
  lotOf: (partId: number) => number | null,
): ReadonlyMap<number, CutOrigin> {
  const { lines } = readMadeLines(shop, orders);
  return new Map(
    parts.map(({ id, lineId, layerIndex }) => {
      const layer = lines.get(lineId)?.layers[layerIndex];
      const finestMm = layer ? findFinestMm([layer.measurement]) : null;
      const design = layer ? classifyDesign(finestMm) : null;
      return [id, { lotId: lotOf(id), design, finestMm }] as const;
    }),
  );
}
