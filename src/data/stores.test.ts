import { describe, expect, it } from 'vitest';
import { PLAIN_TERMS } from '../core/orders';
import { minor } from '../core/units';
import { PLAIN_BLANK, PLAIN_VINYL } from '../../test/worked-example';
import { findArtwork, findOriginal, loadArtworks, setArtworkArchived, updateArtwork } from './artwork-store';
import { countItemsByArtwork, findItem, insertItem, loadItems, setItemArchived, updateItem } from './item-store';
import { updateOrder } from './order-store';
import {
  findBlank,
  findVinyl,
  insertBlank,
  insertVinyl,
  loadBlanks,
  loadVinyls,
  setBlankArchived,
  updateBlank,
  updateVinyl,
} from './shelf-store';
import { MEASURED } from './stores-examples';
import { db, ids, place } from './small-shop-examples';

describe('what is kept comes back as it was', () => {
  it('vinyls and blanks, with sizes in their order', () => {
    expect(findVinyl(db, ids.vinyl)).toEqual({
      ...PLAIN_VINYL,
      id: ids.vinyl,
      supplier: 'Mill',
      version: 1,
      archived: false,
    });
    expect(findVinyl(db, ids.sticky)!.press).toBeNull();
    expect(findBlank(db, ids.blank)!.sizes.map((size) => size.name)).toEqual(['S', 'one size']);
    expect(findVinyl(db, 99)).toBeNull();
    expect(findBlank(db, 99)).toBeNull();
  });

  it('artworks and their files, apart', () => {
    expect(findArtwork(db, ids.artwork)).toMatchObject({
      ...MEASURED,
      name: 'Plain',
      originalBytes: 6,
      archived: false,
      version: 1,
    });
    expect(findOriginal(db, ids.artwork)).toEqual({ original: Buffer.from('<svg/>'), fileName: 'plän.svg' });
    expect(countItemsByArtwork(db, [ids.artwork]).get(ids.artwork)).toBe(1);
  });

  it('items, their placements and a vinyl for each layer in order', () => {
    const { placements } = findItem(db, ids.item)!;
    expect(placements.map(({ place: where, widths, vinylIds }) => [where, widths, vinylIds])).toEqual([
      ['front', { S: 80 }, [ids.sticky, ids.vinyl]],
      ['back', {}, [ids.vinyl]],
    ]);
  });
});

describe('a second window', () => {
  it('cannot overwrite what it has not seen', () => {
    const vinyl = findVinyl(db, ids.vinyl)!,
      blank = findBlank(db, ids.blank)!,
      item = findItem(db, ids.item)!;
    expect([updateVinyl(db, ids.vinyl, vinyl, 1), updateVinyl(db, ids.vinyl, vinyl, 1)]).toEqual([true, false]);
    expect([
      updateBlank(
        db,
        ids.blank,
        { ...blank, sizes: [{ name: 'L', price: minor(1), widthMm: 512, lengthMm: null }] },
        1,
      ),
      updateBlank(db, ids.blank, blank, 1),
    ]).toEqual([true, false]);
    expect(findBlank(db, ids.blank)!.sizes).toEqual([{ name: 'L', price: 1, widthMm: 512, lengthMm: null }]);
    const { id: _id, version: _version, archived: _archived, acceptedCost: _acceptedCost, ...fields } = item;
    expect([
      updateItem(db, ids.item, { ...fields, placements: [{ ...fields.placements[0]!, vinylIds: [ids.vinyl] }] }, 1),
      updateItem(db, ids.item, fields, 1),
    ]).toEqual([true, false]);
    expect(findItem(db, ids.item)!.placements.map((placement) => placement.vinylIds)).toEqual([[ids.vinyl]]);
    const artwork = {
      ...MEASURED,
      name: 'New name',
      layerNames: ['b'],
      layerVinylIds: [ids.vinyl],
      steps: [],
      licence: 'open',
    } as const;
    expect([updateArtwork(db, ids.artwork, artwork, 1), updateArtwork(db, ids.artwork, artwork, 1)]).toEqual([
      true,
      false,
    ]);
    const order = place('2027-01-01');
    expect([
      updateOrder(
        db,
        order,
        { title: 'x', dueDay: '2027-01-02', agreed: minor(1), terms: PLAIN_TERMS, deposit: minor(0), note: '' },
        1,
      ),
      updateOrder(
        db,
        order,
        { title: 'y', dueDay: '2027-01-02', agreed: minor(1), terms: PLAIN_TERMS, deposit: minor(0), note: '' },
        1,
      ),
    ]).toEqual([true, false]);
  });
});

it('what is taken off the list is still found by what uses it', () => {
  setBlankArchived(db, ids.blank, 9);
  setArtworkArchived(db, ids.artwork, 9);
  setItemArchived(db, ids.item, 9);
  expect([loadBlanks(db).length, loadArtworks(db).length, loadItems(db).length]).toEqual([0, 0, 0]);
  expect(loadBlanks(db, { archived: true })[0]!.archived).toBe(true);
  expect(findItem(db, ids.item)!.archived).toBe(true);
  expect(loadVinyls(db)).toHaveLength(2);
  expect(countItemsByArtwork(db, [ids.artwork]).size).toBe(0);
});
it('the file itself refuses what would not hold together', () => {
  expect(() => insertVinyl(db, { ...PLAIN_VINYL, supplier: '', rollWidthMm: 0 })).toThrow(/CHECK/);
  const { id: _id, version: _version, archived: _archived, ...item } = findItem(db, ids.item)!;
  expect(() => insertItem(db, { ...item, blankId: 99 })).toThrow(/FOREIGN KEY/);
  expect(() =>
    insertBlank(db, {
      ...PLAIN_BLANK,
      supplier: '',
      sizes: [
        { name: 'S', price: minor(1) },
        { name: 'S', price: minor(2) },
      ],
    }),
  ).toThrow(/UNIQUE/);
});
