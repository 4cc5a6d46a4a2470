// A file that an older program wrote is counted once when it is opened, and never again.

import { sql } from 'drizzle-orm';
import { expect, it } from 'vitest';
import { eachFresh, type TestShop } from '../../../test/demo-shop';
import { readKeptSums } from '../../../test/kept-sums';
import { refreshKept } from './recount';

let shop: TestShop;
eachFresh((fresh) => {
  shop = fresh;
});

/** As a file is that knows nothing of what is kept. */
function forgetAll(): void {
  for (const statement of [
    sql`update parts set state = 'to-cut', broken = 0`,
    sql`update pieces set cuts = 0`,
    sql`delete from item_evidence`,
    sql`delete from vinyl_evidence`,
    sql`delete from piece_minutes`,
    sql`delete from cut_stretches`,
  ])
    shop.db.run(statement);
  shop.db.$client.pragma('user_version = 0');
}

it('what is kept comes back from the log, and is left alone from then on', () => {
  const kept = readKeptSums(shop.db);
  expect(kept['items']!.length).toBeGreaterThan(3);
  forgetAll();
  expect(readKeptSums(shop.db)).not.toEqual(kept);
  refreshKept(shop);
  expect(readKeptSums(shop.db)).toEqual(kept);
  shop.db.run(sql`update pieces set cuts = 77`);
  refreshKept(shop);
  expect(readKeptSums(shop.db)['pieces']).toContainEqual(expect.objectContaining({ cuts: 77 }));
});
