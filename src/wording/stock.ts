// Words for the ledger of stock.

import type { StockCause } from '../core/stock';
import { formatPath, type FormatSettings } from '../core/units';
import type { BookedStock } from '../views/bench';

export const CAUSE_WORDS: Readonly<Record<StockCause, string>> = {
  received: 'received',
  cut: 'cut',
  used: 'used',
  spoiled: 'spoiled',
  counted: 'counted',
  sold: 'sold',
  returned: 'returned',
  'set-aside': 'set aside as an offcut',
};

/** A roll, a sheet or an offcut, as far as a sentence names it. */
export type NamedLot = { readonly id: number; readonly code: string | null };
export const nameLot = ({ id, code }: NamedLot): string => (code ? `Offcut ${code}` : `Lot ${id}`);

/** What a step at the bench took from the stock; where the book had less, that it wants a count. */
export function describeBooked({ thingName, form, quantity, missing }: BookedStock, settings: FormatSettings): string {
  const amount = (value: number) => (form === 'roll' ? formatPath(value, settings) : `${value}`);
  return `${quantity > 0 ? `Booked off: ${amount(quantity)} of ${thingName}.` : ''}${missing > 0 ? `${quantity > 0 ? ' ' : ''}The book had ${amount(missing)} of ${thingName} less than that took: count it.` : ''}`;
}
