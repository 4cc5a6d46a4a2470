// A small shop on a fresh database before each test: two vinyls, a blank, an artwork, an item, and orders to place.

import { join } from 'node:path';
import { beforeEach } from 'vitest';
import { PLAIN_DETAILS, type Made } from '../core/costing';
import { minor } from '../core/units';
import { PLAIN_BLANK, PLAIN_VINYL, STICKY_VINYL } from '../../test/worked-example';
import { insertArtwork } from './artwork-store';
import { openDatabase, type Database } from './database';
import { insertItem } from './item-store';
import { insertOrder } from './order-store';
import { insertBlank, insertVinyl } from './shelf-store';
import { insertCustomer } from './customer-store';
import { QUOTE, MEASURED } from './stores-examples';

export let db: Database;
export let ids: { vinyl: number; sticky: number; blank: number; artwork: number; item: number };
const made = (vinylIds: readonly number[]): Made => ({
  blankId: ids.blank,
  sizeName: 'one size',
  colourName: 'white',
  price: minor(2000),
  placements: [{ artworkId: ids.artwork, place: 'front', widthMm: 100, seenThrough: false, vinylIds }],
});
export const place = (dueDay: string, quantity = 2) =>
  insertOrder(db, {
    customerId: insertCustomer(db, { name: 'Ansel Thrush', contact: '', address: '', note: '' }),
    title: 'Towels',
    dueDay,
    agreed: minor(4000),
    note: '',
    placedAtMs: 1000,
    lines: [
      {
        itemId: ids.item,
        quantity,
        sizeName: 'one size',
        colourName: 'white',
        quote: QUOTE,
        made: made([ids.vinyl, ids.sticky]),
      },
      {
        itemId: ids.item,
        quantity: 1,
        sizeName: 'one size',
        colourName: 'white',
        quote: QUOTE,
        made: made([ids.vinyl]),
      },
    ],
  });

beforeEach(() => {
  db = openDatabase(':memory:', join(process.cwd(), 'src', 'data', 'migrations'));
  const vinyl = insertVinyl(db, { ...PLAIN_VINYL, supplier: 'Mill' });
  const sticky = insertVinyl(db, { ...STICKY_VINYL, supplier: '' });
  const blank = insertBlank(db, {
    ...PLAIN_BLANK,
    supplier: 'Mill',
    sizes: [
      { name: 'S', price: minor(100) },
      { name: 'one size', price: minor(400) },
    ],
  });
  const artwork = insertArtwork(db, {
    ...MEASURED,
    name: 'Plain',
    fileName: 'plän.svg',
    layerNames: ['a'],
    layerVinylIds: [null],
    steps: [{ kind: 'size', widthMm: 100, on: true }],
    licence: 'own',
    original: Buffer.from('<svg/>'),
    createdAtMs: 5,
  });
  const item = insertItem(db, {
    name: 'Towel',
    blankId: blank,
    sizeName: 'one size',
    colourName: 'white',
    areaBasis: 'used',
    quantity: 10,
    price: minor(2000),
    artworkPrice: minor(0),
    artworkRun: 1,
    details: PLAIN_DETAILS,
    placements: [
      {
        artworkId: artwork,
        place: 'front',
        widthMm: 100,
        widths: { S: 80 },
        seenThrough: false,
        vinylIds: [sticky, vinyl],
      },
      { artworkId: artwork, place: 'back', widthMm: 60, widths: {}, seenThrough: true, vinylIds: [vinyl] },
    ],
  });
  ids = { vinyl, sticky, blank, artwork, item };
});
