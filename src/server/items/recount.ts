// What is kept of the log, counted anew from the whole of it: once, for a file that an older program wrote.

import { inTransaction } from '../../data/database';
import { recountParts } from '../../data/evidence-store';
import { dropMinutes } from '../../data/minutes-store';
import { findSessionIds } from '../../data/work-store';
import type { ShopContext } from '../context';
import { keepMinutes } from './keep-minutes';

/** Raised when something is kept that was not before. */
const KEPT_EDITION = 2;
const SESSIONS_AT_ONCE = 200;

/** Does nothing where the file is of this edition. */
export function refreshKept(shop: ShopContext): void {
  const { $client: client } = shop.db;
  if (client.pragma('user_version', { simple: true }) === KEPT_EDITION) return;
  inTransaction(shop.db, () => {
    recountParts(shop.db);
    recountMinutes(shop);
    client.pragma(`user_version = ${KEPT_EDITION}`);
  });
}

export function recountMinutes(shop: ShopContext): void {
  dropMinutes(shop.db);
  const ids = findSessionIds(shop.db);
  for (let at = 0; at < ids.length; at += SESSIONS_AT_ONCE) keepMinutes(shop.db, ids.slice(at, at + SESSIONS_AT_ONCE));
}
