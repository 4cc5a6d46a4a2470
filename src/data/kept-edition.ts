// Which edition of what is kept of the log a file has.

import type { Database } from './database';

/** Raised when something is kept that was not before. */
const KEPT_EDITION = 2;

/** What is kept was counted by a program that keeps the same. */
export const isKeptAnew = (db: Database): boolean =>
  db.$client.pragma('user_version', { simple: true }) === KEPT_EDITION;

export function noteKeptAnew(db: Database): void {
  db.$client.pragma(`user_version = ${KEPT_EDITION}`);
}
