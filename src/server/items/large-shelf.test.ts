// Of a shelf that is too large to be sent, an item's page has what it uses, the first to choose from, and what is nearest
// to a drawing.

import { beforeEach, describe, expect, it } from 'vitest';
import { eachFresh, type TestShop } from '../../../test/demo-shop';
import { priceAllItems } from '../../../test/price-all';
import { chooseVinyls, listVinylIds } from '../../core/costing';
import { findArtwork, updateArtwork } from '../../data/artwork-store';
import { insertVinyl, loadBlanks, loadVinyls } from '../../data/shelf-store';
import { loadCompare, loadItemEditor, loadItemMaterials } from './load-items';

let shop: TestShop;
eachFresh((fresh) => {
  shop = fresh;
});

const itemNamed = (name: string) => priceAllItems(shop).find(({ item }) => item.name === name)!.item;

/** Named so that they stand before those of the demo. */
function addVinyls(count: number): void {
  const { id: _id, version: _version, archived: _archived, ...model } = loadVinyls(shop.db)[0]!;
  for (let index = 0; index < count; index++)
    insertVinyl(shop.db, { ...model, name: `Alder ${index}`, colourHex: `#${(0x100000 + index * 4099).toString(16)}` });
}

/** The apron's drawing, with no vinyl chosen for any layer. */
function forgetVinyls(): number {
  const { artworkId } = itemNamed('Bakery apron').placements[0]!;
  const { id, version, ...artwork } = findArtwork(shop.db, artworkId)!;
  updateArtwork(shop.db, id, { ...artwork, layerVinylIds: artwork.layerVinylIds.map(() => null) }, version);
  return id;
}

describe('with sixty vinyls more', () => {
  beforeEach(() => addVinyls(60));

  it('an item has the first forty and its own, with prices of its own only', () => {
    const item = itemNamed('Bakery apron');
    const { shelf, more, priced, artworks, artworkNames } = loadItemEditor(shop, item.id, null);
    const ids = shelf.vinyls.map((vinyl) => vinyl.id);
    expect(more).toEqual({ artworks: false, vinyls: true });
    expect(ids).toEqual(expect.arrayContaining([...listVinylIds(item)]));
    expect(ids.length).toBeLessThanOrEqual(40 + listVinylIds(item).length);
    expect([...priced.vinylIds].sort()).toEqual([...new Set(listVinylIds(item))].sort());
    expect(artworks.map((artwork) => artwork.id)).toEqual([item.placements[0]!.artworkId]);
    expect(artworkNames.length).toBe(7);
  });

  it('a drawing comes with the vinyls nearest to its colours, of the whole shelf', () => {
    const artworkId = forgetVinyls();
    const [blank] = loadBlanks(shop.db);
    const { artworks, vinyls } = loadItemMaterials(shop, {
      artworkIds: [artworkId],
      vinylIds: [],
      blankIds: [blank!.id],
    });
    const nearest = chooseVinyls(findArtwork(shop.db, artworkId)!, loadVinyls(shop.db), blank);
    expect(artworks[0]!.layerVinylIds).toEqual(nearest);
    expect(vinyls.map((vinyl) => vinyl.id)).toEqual(expect.arrayContaining([...nearest]));
  });

  it('a comparison knows what the log says of each vinyl it has', () => {
    const item = itemNamed('Bakery apron');
    const { vinyls, evidence, moreVinyls } = loadCompare(shop, item.id);
    expect(moreVinyls).toBe(true);
    const own = evidence.filter(({ vinylId }) => listVinylIds(item).includes(vinylId));
    expect(own.length).toBeGreaterThan(0);
    expect(evidence.every(({ vinylId }) => vinyls.some(({ id }) => id === vinylId))).toBe(true);
  });
});

it('a small shelf is sent whole, and the page chooses by the blank', () => {
  const artworkId = forgetVinyls();
  const { artworks, shelf, more } = loadItemEditor(shop, null, artworkId);
  expect(more.vinyls).toBe(false);
  expect(shelf.vinyls).toHaveLength(loadVinyls(shop.db).length);
  expect(artworks[0]!.layerVinylIds.every((id) => id === null)).toBe(true);
});
