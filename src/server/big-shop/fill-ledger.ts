// What was bought and used up in those years: lots of vinyl and blanks, with the lines of the ledger.

import { keyOf } from '../../core/stock/index';
import { loadItems } from '../../data/item-store';
import { findBlanks, findVinyls } from '../../data/shelf-store';
import { addStockLine, insertLot, type NewLot } from '../../data/stock-store';
import { listVinylIds } from '../../core/costing/index';
import type { ShopContext } from '../context';
import type { Chance } from '../chance';

const DAY_MS = 86_400_000;
const YEARS_DAYS = 3 * 365;
/** Lines of one lot: it comes in, and is used up bit by bit. */
const LINES_PER_LOT = 20;
/** Of the lots, so many have something left. */
const STILL_THERE = 0.15;
const PIECES_PER_USE = 2;
const MM_PER_USE = 150;

type Filling = {
  readonly shop: ShopContext;
  readonly chance: Chance;
  readonly lines: number;
  readonly nowMs: number;
};

export function fillLedger({ shop, chance, lines, nowMs }: Filling): void {
  const kinds = listKinds(shop);
  for (let booked = 0; booked < lines; booked += LINES_PER_LOT) {
    const lot = chance.pick(kinds);
    const receivedAtMs = Math.round(nowMs - (YEARS_DAYS * DAY_MS * (lines - booked)) / Math.max(1, lines));
    const lotId = insertLot(shop.db, { ...lot, receivedAtMs });
    const uses = LINES_PER_LOT - 1;
    const step = lot.form === 'piece' ? PIECES_PER_USE : MM_PER_USE;
    const rest = chance.happens(STILL_THERE) ? step * chance.whole(1, 10) : 0;
    addStockLine(shop.db, { lotId, atMs: receivedAtMs, cause: 'received', quantity: step * uses + rest, note: '' });
    for (let use = 1; use <= uses; use++) {
      const atMs = Math.min(nowMs, receivedAtMs + use * chance.whole(1, 4) * DAY_MS);
      addStockLine(shop.db, { lotId, atMs, cause: 'cut', quantity: -step, note: '' });
    }
  }
}

/** What the items are made of, as a lot of it would be bought. */
function listKinds(shop: ShopContext): readonly Omit<NewLot, 'receivedAtMs'>[] {
  const items = loadItems(shop.db);
  const vinyls = findVinyls(shop.db, [...new Set(items.flatMap(listVinylIds))]);
  const blanks = findBlanks(shop.db, [...new Set(items.map((item) => item.blankId))]);
  return [
    ...vinyls.map((vinyl) => ({
      key: keyOf({ kind: 'vinyl', vinylId: vinyl.id }),
      form: 'roll' as const,
      widthMm: vinyl.rollWidthMm,
      lengthMm: null,
      unitCost: vinyl.rollPrice / vinyl.rollLengthMm,
    })),
    ...blanks.flatMap((blank) =>
      blank.sizes.flatMap((size) =>
        blank.colours.map((colour) => ({
          key: keyOf({ kind: 'blank', blankId: blank.id, sizeName: size.name, colourName: colour.name }),
          form: 'piece' as const,
          widthMm: null,
          lengthMm: null,
          unitCost: size.price,
        })),
      ),
    ),
  ];
}
