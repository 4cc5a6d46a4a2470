// What is kept of the log, counted anew from the whole of it: once, for a file that an older program wrote.

import { inTransaction } from '../../data/database';
import { recountParts } from '../../data/evidence-store';
import { isKeptAnew, noteKeptAnew } from '../../data/kept-edition';
import { dropMinutes } from '../../data/minutes-store';
import { findSessionIds } from '../../data/work-store';
import type { ShopContext } from '../context';
import { keepMinutes } from './keep-minutes';

const SESSIONS_AT_ONCE = 200;

/** Does nothing where the file is of this edition. */
export function refreshKept(shop: ShopContext): void {
  if (isKeptAnew(shop.db)) return;
  inTransaction(shop.db, () => {
    recountParts(shop.db);
    recountMinutes(shop);
    noteKeptAnew(shop.db);
  });
}

export function recountMinutes(shop: ShopContext): void {
  dropMinutes(shop.db);
  const ids = findSessionIds(shop.db);
  for (let at = 0; at < ids.length; at += SESSIONS_AT_ONCE) keepMinutes(shop.db, ids.slice(at, at + SESSIONS_AT_ONCE));
}
