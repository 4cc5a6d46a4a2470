// How often the film of a vinyl failed, by how wide the thinnest stroke or gap was: what its detail floor is estimated
// from. Kept with the counts of its lots.

import { sql } from 'drizzle-orm';
import type { DesignClass } from '../core/artwork';
import type { TriedWidth } from '../core/trials';
import type { Database } from './database';
import { isIn } from './is-in';
import { prepareOnce } from './prepared';
import { widthTries } from './schema';

const TENTHS = 10;
/** From here on nothing is thin. */
const WIDEST_TENTHS = 60;

type Tries = {
  readonly vinylId: number;
  readonly design: DesignClass;
  /** mm */
  readonly finestMm: number | null;
  readonly tries: number;
  readonly failures: number;
};

/** Nothing where it is known to be fine, and not how fine. */
function toTenths({ design, finestMm }: Pick<Tries, 'design' | 'finestMm'>): number | null {
  if (finestMm === null) return design === 'bold' ? WIDEST_TENTHS : null;
  return Math.min(WIDEST_TENTHS, Math.max(1, Math.round(finestMm * TENTHS)));
}

/** Negative: it is taken back. */
export function addToWidth(db: Database, { vinylId, tries, failures, ...width }: Tries): void {
  const tenthsMm = toTenths(width);
  if (tenthsMm === null) return;
  prepareOnce(db, 'add to width tries', () =>
    db
      .insert(widthTries)
      .values({
        vinylId: sql.placeholder('vinylId'),
        tenthsMm: sql.placeholder('tenthsMm'),
        tries: sql.placeholder('tries'),
        failures: sql.placeholder('failures'),
      })
      .onConflictDoUpdate({
        target: [widthTries.vinylId, widthTries.tenthsMm],
        set: {
          tries: sql`${widthTries.tries} + excluded.tries`,
          failures: sql`${widthTries.failures} + excluded.failures`,
        },
      })
      .prepare(),
  ).run({ vinylId, tenthsMm, tries, failures });
}

export const dropWidths = (db: Database): void => void db.delete(widthTries).run();

/** By vinyl, from the finest. */
export function loadWidthTries(
  db: Database,
  vinylIds: readonly number[],
): readonly (TriedWidth & { vinylId: number })[] {
  return db
    .select()
    .from(widthTries)
    .where(isIn(widthTries.vinylId, vinylIds))
    .orderBy(widthTries.vinylId, widthTries.tenthsMm)
    .all()
    .map(({ tenthsMm, ...one }) => ({ ...one, widthMm: tenthsMm / TENTHS }));
}
