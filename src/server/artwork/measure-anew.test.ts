import { eq, sql } from 'drizzle-orm';
import { beforeAll, beforeEach, describe, expect, it, vi } from 'vitest';
import { copyDemoShop, seedDemoShop, type TestShop } from '../../../test/demo-shop';
import { MEASUREMENT_EDITION, OLDEST_EDITION_SHOWN } from '../../core/artwork/index';
import { findArtwork, isAnyMeasuredBefore, replaceMeasured, type StoredArtwork } from '../../data/artwork-store';
import { artworks } from '../../data/schema';
import { log } from '../errors';
import { measureAnew, measureAnewBehind } from './measure-anew';
import { saveArtwork } from './save-artwork';

const DRAWING =
  '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 100 80"><path d="M0 0H60V40H0z"/><circle cx="80" cy="60" r="10"/></svg>';

let seeded: Buffer;
let shop: TestShop;
let known: StoredArtwork;

beforeAll(async () => {
  seeded = await seedDemoShop();
}, 60_000);
beforeEach(async () => {
  shop = copyDemoShop(seeded);
  const { id } = await saveArtwork(shop, {
    bytes: Buffer.from(DRAWING),
    fileName: 'flag.svg',
    name: 'Flag',
    steps: [{ kind: 'size', widthMm: 180, on: true }],
    layerNames: [],
    layerVinylIds: [],
    licence: 'own',
  });
  known = findArtwork(shop.db, id)!;
});

/** As if an earlier program had measured it, and otherwise. */
function ageTo(edition: number, part: object = {}): void {
  const layers = known.measurement.layers.map((layer) => ({ ...layer, netMm2: 1 }));
  shop.db
    .update(artworks)
    .set({ measurement: { ...known.measurement, layers, edition }, ...part })
    .where(eq(artworks.id, known.id))
    .run();
}
const areaNow = () => findArtwork(shop.db, known.id)!.measurement.layers[0]!.netMm2;

describe('what an earlier program measured', () => {
  it('is measured anew, and is the same version of the drawing', async () => {
    ageTo(MEASUREMENT_EDITION - 1);
    expect(isAnyMeasuredBefore(shop.db, MEASUREMENT_EDITION)).toBe(true);
    await measureAnew(shop);
    expect(findArtwork(shop.db, known.id)).toEqual(known);
    expect(isAnyMeasuredBefore(shop.db, MEASUREMENT_EDITION)).toBe(false);
  });

  it('is measured at the width it had, where no step says its size', async () => {
    const { edition: _edition, chirality: _chirality, ...old } = known.measurement;
    shop.db
      .update(artworks)
      .set({ measurement: { ...old, widthMm: 80 } as never, steps: [] })
      .where(eq(artworks.id, known.id))
      .run();
    await measureAnew(shop);
    const fresh = findArtwork(shop.db, known.id)!;
    expect(fresh.measurement.widthMm).toBeCloseTo(80, 2);
    expect(fresh.measurement.chirality.score).toBeGreaterThan(0);
    expect(fresh.version).toBe(1);
  });

  it('waits until the shop is open, unless it could not be shown', async () => {
    ageTo(OLDEST_EDITION_SHOWN);
    await measureAnew(shop, OLDEST_EDITION_SHOWN);
    expect(areaNow()).toBe(1);
    ageTo(OLDEST_EDITION_SHOWN - 1);
    await measureAnew(shop, OLDEST_EDITION_SHOWN);
    expect(areaNow()).toBeCloseTo(known.measurement.layers[0]!.netMm2, 9);
  });

  it('is measured behind the open shop, which waits for none of it', async () => {
    ageTo(MEASUREMENT_EDITION - 1);
    measureAnewBehind(() => shop);
    expect(areaNow()).toBe(1);
    await vi.waitFor(() => expect(findArtwork(shop.db, known.id)).toEqual(known), { timeout: 20_000 });
  });

  it('leaves a shop closed that could not be opened', async () => {
    const said = vi.spyOn(log, 'error').mockImplementation(() => undefined);
    measureAnewBehind(() => {
      throw new Error('no folder');
    });
    await vi.waitFor(() => expect(said).toHaveBeenCalledWith(expect.any(Error), expect.any(String)));
    said.mockRestore();
  });

  it('does not go over what was changed while it was measured', () => {
    ageTo(MEASUREMENT_EDITION - 1, { version: sql`${artworks.version} + 1` });
    replaceMeasured(shop.db, known, { ...known, checks: null });
    expect(areaNow()).toBe(1);
  });

  it('stays, where the original can no longer be read, and the others are measured all the same', async () => {
    shop.db.run(
      sql`update artwork_originals set original = ${Buffer.from('no drawing')} where artwork_id < ${known.id}`,
    );
    shop.db.run(
      sql`update artworks set measurement = json_set(measurement, '$.value.edition', ${MEASUREMENT_EDITION - 1})`,
    );
    const before = findArtwork(shop.db, 1)!;
    await measureAnew(shop);
    expect(findArtwork(shop.db, 1)).toEqual(before);
    expect(findArtwork(shop.db, known.id)).toEqual(known);
  });
});
