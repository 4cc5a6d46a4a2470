// What a finished piece of work took of the stock and wore.

import type { Station } from '../../core/orders/index';
import type { BookedStock } from '../../views/bench';
import type { ShopContext } from '../context';
import type { Costs } from './bench-parts';
import { bookBlanks, bookStrips, type BenchWork } from './book-stock';
import { findOrigins, type CutOrigin } from './cut-origins';
import { bookCutWear, bookPressWear, bookWeedWear } from './book-wear';

const NO_ORIGINS: ReadonlyMap<number, CutOrigin> = new Map();

/** What it took, told, and what each part bears of it. Call it inside a transaction. */
export function bookWork(
  shop: ShopContext,
  station: Station,
  work: BenchWork,
): { readonly booked: readonly BookedStock[]; readonly costs: ReadonlyMap<number, Costs & CutOrigin> } {
  if (work.parts.length > 0 && station === 'weed') bookWeedWear(shop, work);
  if (work.parts.length === 0 || (station !== 'cut' && station !== 'press')) return { booked: [], costs: new Map() };
  const wear = station === 'cut' ? bookCutWear(shop, work) : bookPressWear(shop, work);
  const stock = station === 'cut' ? bookStrips(shop, work) : bookBlanks(shop, work);
  const origins = station === 'cut' ? findOrigins(shop, work, (id) => stock.lots.get(id) ?? null) : NO_ORIGINS;
  const costs = work.parts.map(({ id }): [number, Costs & CutOrigin] => [
    id,
    {
      ...origins.get(id),
      wearCost: wear.get(id) ?? null,
      [station === 'cut' ? 'vinylCost' : 'blankCost']: stock.costs.get(id) ?? null,
    },
  ]);
  return { booked: stock.booked, costs: new Map(costs) };
}
