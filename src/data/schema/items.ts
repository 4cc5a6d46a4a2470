// Items: an artwork or several at places of a blank, and how close their layers lie.

import { sql } from 'drizzle-orm';
import { check, index, integer, primaryKey, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { Lettering } from '../../core/artwork';
import type { AreaBasis, ItemDetails, AcceptedCost } from '../../core/costing';
import type { Placing } from '../../core/placing';
import type { Minor } from '../../core/units';
import { archivedAtMs, id, money, version } from '../columns';
import { artworks } from './artworks';
import { vinyls, blanks } from './shelf';
import { storedJson } from '../stored-json';

export const items = sqliteTable(
  'items',
  {
    id: id(),
    name: text('name').notNull(),
    blankId: integer('blank_id')
      .notNull()
      .references(() => blanks.id),
    sizeName: text('size_name').notNull(),
    colourName: text('colour_name').notNull(),
    areaBasis: text('area_basis').$type<AreaBasis>().notNull(),
    quantity: integer('quantity').notNull(),
    price: money('price').notNull(),
    /** Paid for the drawing, and for how many pieces it is used. */
    artworkPrice: money('artwork_price')
      .notNull()
      .default(0 as Minor),
    artworkRun: integer('artwork_run').notNull().default(1),
    /**
     * Options, variants, what else goes into it; always written and read whole. Only what differs from a plain item.
     */
    details: storedJson<Partial<ItemDetails>>('details').notNull().default({}),
    /** What one cost when it was last looked at and agreed to; null where it could not be told. */
    acceptedCost: storedJson<AcceptedCost>('accepted_cost'),
    archivedAtMs: archivedAtMs(),
    version: version(),
  },
  (table) => [
    index('items_by_name').on(table.name),
    index('items_by_blank').on(table.blankId),
    check('items_sound', sql`${table.quantity} >= 1 and ${table.price} >= 0`),
  ],
);

/** An artwork at a place of an item's blank. */
export const itemPlacements = sqliteTable(
  'item_placements',
  {
    itemId: integer('item_id')
      .notNull()
      .references(() => items.id, { onDelete: 'cascade' }),
    position: integer('position').notNull(),
    artworkId: integer('artwork_id')
      .notNull()
      .references(() => artworks.id),
    place: text('place').notNull(),
    widthMm: real('width_mm').notNull(),
    /** Widths of sizes that take another. */
    widths: storedJson<Readonly<Record<string, number>>>('widths').notNull(),
    seenThrough: integer('seen_through', { mode: 'boolean' }).notNull(),
    /** How a customer's own text is set there; null where it is a drawing like any other. */
    lettering: storedJson<Lettering>('lettering'),
    /** Which usual place is meant, and measures of the seller’s own; null where its words tell. */
    placing: storedJson<Placing>('placing'),
  },
  (table) => [
    primaryKey({ columns: [table.itemId, table.position] }),
    index('item_placements_by_artwork').on(table.artworkId),
    check('item_placements_width', sql`${table.widthMm} > 0`),
  ],
);

export const itemVinyls = sqliteTable(
  'item_vinyls',
  {
    itemId: integer('item_id')
      .notNull()
      .references(() => items.id, { onDelete: 'cascade' }),
    position: integer('position').notNull(),
    layerIndex: integer('layer_index').notNull(),
    vinylId: integer('vinyl_id')
      .notNull()
      .references(() => vinyls.id),
  },
  (table) => [
    primaryKey({ columns: [table.itemId, table.position, table.layerIndex] }),
    index('item_vinyls_by_vinyl').on(table.vinylId),
  ],
);

/** How close the true shapes of a layer lie, for what its items cost; written anew when an item is kept. */
export const layerPackings = sqliteTable(
  'layer_packings',
  {
    artworkId: integer('artwork_id')
      .notNull()
      .references(() => artworks.id),
    artworkVersion: integer('artwork_version').notNull(),
    layerIndex: integer('layer_index').notNull(),
    widthMm: real('width_mm').notNull(),
    usableMm: real('usable_mm').notNull(),
    turnable: integer('turnable', { mode: 'boolean' }).notNull(),
    copies: integer('copies').notNull(),
    share: real('share').notNull(),
  },
  (table) => [
    primaryKey({
      columns: [table.artworkId, table.layerIndex, table.widthMm, table.usableMm, table.turnable, table.copies],
    }),
    check('layer_packings_share', sql`${table.share} > 0 and ${table.share} <= 1`),
  ],
);
