// All that waits at the bench, whatever stands in the first queue.

import type { BenchPartView } from '../src/views/bench';
import type { ShopContext } from '../src/server/context';
import { partsOf } from '../src/server/bench/bench-views';
import { readMadeLines } from '../src/server/items/materials';
import { readOrdersInHand } from '../src/server/orders/read-orders';

export function listBenchParts(shop: ShopContext): readonly BenchPartView[] {
  const orders = readOrdersInHand(shop);
  const made = readMadeLines(shop, orders);
  return orders.flatMap(({ order, parts }) =>
    parts.filter((part) => part.state !== 'checked').map(partsOf(order, new Map(), made)),
  );
}
