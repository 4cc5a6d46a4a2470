// Artworks, and the files they came from.

import { sql } from 'drizzle-orm';
import { blob, index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type {
  ArtworkMeasurement,
  ArtworkPicture,
  KeptChecks,
  LeftOut,
  LetteringFit,
  Licence,
  PrepStep,
} from '../../core/artwork';
import { archivedAtMs, id, version } from '../columns';
import { storedJson, type Upgrade } from '../stored-json';

/** Measurements before edition 5 do not know which of their bits are cavities; they are measured anew at the start. */
const addCavityAreas: Upgrade = (measurement) => ({
  ...measurement,
  layers: (measurement['layers'] as readonly object[]).map((layer) => ({ cavityAreasMm2: [], ...layer })),
});

export const artworks = sqliteTable(
  'artworks',
  {
    id: id(),
    name: text('name').notNull(),
    fileName: text('file_name').notNull(),
    /** At the width it was kept at; always written and read whole. */
    measurement: storedJson<ArtworkMeasurement>('measurement', [addCavityAreas]).notNull(),
    /** What makes it ready to cut, done anew from the original each time. */
    steps: storedJson<readonly PrepStep[]>('steps').notNull().default([]),
    layerVinylIds: storedJson<readonly (number | null)[]>('layer_vinyl_ids').notNull().default([]),
    licence: text('licence').$type<Licence>().notNull().default('unknown'),
    layerNames: storedJson<readonly string[]>('layer_names').notNull(),
    picture: storedJson<ArtworkPicture>('picture').notNull(),
    leftOut: storedJson<readonly LeftOut[]>('left_out').notNull(),
    gradients: integer('gradients').notNull(),
    /** What was said of it when it was measured; null where that was not asked for. */
    checks: storedJson<KeptChecks>('checks'),
    sizeStated: integer('size_stated', { mode: 'boolean' }).notNull(),
    originalBytes: integer('original_bytes').notNull(),
    /** A customer's own text as it was set: found by what it says, and not on the list of drawings. */
    lettered: integer('lettered', { mode: 'boolean' }).notNull().default(false),
    createdAtMs: integer('created_at_ms').notNull(),
    archivedAtMs: archivedAtMs(),
    version: version(),
  },
  (table) => [index('artworks_by_name').on(table.name)],
);

/** The file as it came, apart from the rest so that lists never read it. */
export const artworkOriginals = sqliteTable('artwork_originals', {
  artworkId: integer('artwork_id')
    .primaryKey()
    .references(() => artworks.id, { onDelete: 'cascade' }),
  original: blob('original', { mode: 'buffer' }).notNull(),
});

/** Texts that were set, by what they say and how, so that each is measured once. */
export const letterings = sqliteTable(
  'letterings',
  {
    key: text('key').primaryKey(),
    artworkId: integer('artwork_id')
      .notNull()
      .references(() => artworks.id),
    fit: storedJson<LetteringFit>('fit').notNull(),
    setAtMs: integer('set_at_ms').notNull().default(0),
    /** An item, an order or a proof rests on it; one that was only tried is let go after a while. */
    used: integer('used', { mode: 'boolean' }).notNull().default(false),
  },
  (table) => [
    index('letterings_tried')
      .on(table.setAtMs)
      .where(sql`${table.used} = 0`),
  ],
);
