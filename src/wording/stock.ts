// Words for the ledger of stock.

import type { StockCause } from '../core/stock';

export const CAUSE_WORDS: Readonly<Record<StockCause, string>> = { received: 'received', cut: 'cut', spoiled: 'spoiled', counted: 'counted', sold: 'sold', returned: 'returned', 'set-aside': 'set aside as an offcut' };
