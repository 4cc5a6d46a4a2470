// What waits to be cut, at a shop with more vinyls than a day has loads.

import { eq } from 'drizzle-orm';
import { expect, it } from 'vitest';
import { eachFresh, type TestShop } from '../../../test/demo-shop';
import type { CutSheet } from '../../core/orders/index';
import { cutSheets, parts, vinyls } from '../../data/schema';
import { orderCoats } from './cut-load-examples';
import { loadCutSheets, readShown } from './load-cut-sheets';

let shop: TestShop;
eachFresh((fresh) => {
  shop = fresh;
});

/** Each part that waits is of a vinyl of its own from now on; their ids. */
function spreadOverVinyls(): readonly number[] {
  orderCoats(shop, 30);
  const { id: _id, ...like } = shop.db.select().from(vinyls).limit(1).get()!;
  const waiting = shop.db.select().from(parts).where(eq(parts.state, 'to-cut')).all();
  for (const { id } of waiting) {
    const vinyl = shop.db
      .insert(vinyls)
      .values({ ...like, name: `Vinyl of ${id}` })
      .returning({ id: vinyls.id })
      .get();
    shop.db.update(parts).set({ vinylId: vinyl.id }).where(eq(parts.id, id)).run();
  }
  return waiting.map(({ id }) => id);
}
const countParts = ({ groups }: ReturnType<typeof loadCutSheets>) =>
  groups.reduce((sum, group) => sum + group.parts.length, 0);

it('shows the vinyls that are due first, and says how much waits of others', () => {
  const ids = spreadOverVinyls();
  const all = loadCutSheets(shop);
  const first = loadCutSheets(shop, 'first');
  expect(all.groups).toHaveLength(ids.length);
  expect(all.later).toEqual({ vinyls: 0, parts: 0 });
  expect(first.groups).toEqual(all.groups.slice(0, first.groups.length));
  expect(first.groups).toHaveLength(20);
  expect(first.later).toEqual({ vinyls: ids.length - 20, parts: ids.length - 20 });
  expect(countParts(first) + first.later.parts).toBe(countParts(all));
  // Nothing is sent along for what is not shown.
  const shownIds = new Set(first.groups.flatMap((group) => group.parts.map(({ artworkId }) => artworkId)));
  expect(first.artworks.length).toBeLessThanOrEqual(all.artworks.length);
  expect([...shownIds].every((id) => first.artworks.some((artwork) => artwork.id === id))).toBe(true);
});

it('always shows a vinyl with a saved sheet, however late it is due', () => {
  spreadOverVinyls();
  const last = loadCutSheets(shop).groups.at(-1)!.vinyl.id;
  expect(loadCutSheets(shop, 'first').groups.some((group) => group.vinyl.id === last)).toBe(false);
  const sheet = { sheets: [], placements: [], pieces: [], lots: [] } as unknown as CutSheet;
  shop.db.insert(cutSheets).values({ vinylId: last, sheet, savedAtMs: shop.now() }).run();
  expect(loadCutSheets(shop, 'first').groups.at(-1)!.vinyl.id).toBe(last);
});

it('shows everything where little waits, and to whoever asks for all', () => {
  expect(loadCutSheets(shop, 'first')).toEqual(loadCutSheets(shop));
  expect(readShown(new URLSearchParams('shown=all'))).toBe('all');
  expect(readShown(new URLSearchParams())).toBe('first');
});
