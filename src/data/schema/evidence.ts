// What the log says of items and vinyls, kept as it happens so that no page counts years of work. What is kept is what
// a recount would give: see keep-evidence.ts.

import { index, integer, primaryKey, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { DesignClass } from '../../core/artwork';
import type { ShopFigureKey } from '../../core/materials';
import type { Station } from '../../core/orders';
import { storedJson } from '../stored-json';
import { items } from './items';
import { pieces } from './orders';
import { vinyls } from './shelf';
import { workSessions } from './work-sessions';

/** Of an item: pieces of which something was cut, and parts that were spoiled. */
export const itemEvidence = sqliteTable('item_evidence', {
  itemId: integer('item_id')
    .primaryKey()
    .references(() => items.id, { onDelete: 'cascade' }),
  made: integer('made').notNull(),
  spoiled: integer('spoiled').notNull(),
});

/** Of a vinyl: parts that were cut from it, and how many of those were spoiled. */
export const vinylEvidence = sqliteTable('vinyl_evidence', {
  vinylId: integer('vinyl_id')
    .primaryKey()
    .references(() => vinyls.id, { onDelete: 'cascade' }),
  made: integer('made').notNull(),
  spoiled: integer('spoiled').notNull(),
});

/** Of a lot of a vinyl, by how fine the work was: parts cut from it, and how many its film failed. */
export const lotEvidence = sqliteTable(
  'lot_evidence',
  {
    vinylId: integer('vinyl_id')
      .notNull()
      .references(() => vinyls.id, { onDelete: 'cascade' }),
    /** 0 where the book had no lot of it. */
    lotId: integer('lot_id').notNull(),
    design: text('design').$type<DesignClass>().notNull(),
    tries: integer('tries').notNull(),
    failures: integer('failures').notNull(),
    /** Of the last step that counted. */
    lastAtMs: integer('last_at_ms').notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.vinylId, table.lotId, table.design] }),
    index('lot_evidence_latest').on(table.lastAtMs),
  ],
);

/** Of a vinyl, by how wide the thinnest stroke or gap was: parts cut from it, and how many its film failed. */
export const widthTries = sqliteTable(
  'width_tries',
  {
    vinylId: integer('vinyl_id')
      .notNull()
      .references(() => vinyls.id, { onDelete: 'cascade' }),
    /** In tenths of a millimetre; 60 is six millimetres and more. */
    tenthsMm: integer('tenths_mm').notNull(),
    tries: integer('tries').notNull(),
    failures: integer('failures').notNull(),
  },
  (table) => [primaryKey({ columns: [table.vinylId, table.tenthsMm] })],
);

/** How long a piece took at a station, once all its parts went through it with the clock running. */
export const pieceMinutes = sqliteTable(
  'piece_minutes',
  {
    pieceId: integer('piece_id')
      .notNull()
      .references(() => pieces.id, { onDelete: 'cascade' }),
    station: text('station').$type<Station>().notNull(),
    itemId: integer('item_id')
      .notNull()
      .references(() => items.id, { onDelete: 'cascade' }),
    seconds: real('seconds').notNull(),
    /** When the last of it was done. */
    atMs: integer('at_ms').notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.pieceId, table.station] }),
    index('piece_minutes_by_item').on(table.itemId, table.station, table.atMs),
  ],
);

/** A stretch of weeding that was done in one go, by what it is calculated from, whatever the shop's figures are. */
export const weedStretches = sqliteTable(
  'weed_stretches',
  {
    sessionId: integer('session_id')
      .primaryKey()
      .references(() => workSessions.id, { onDelete: 'cascade' }),
    /** Null where it was of several: then their factors are in the amounts. */
    vinylId: integer('vinyl_id').references(() => vinyls.id, { onDelete: 'cascade' }),
    atMs: integer('at_ms').notNull(),
    seconds: real('seconds').notNull(),
    amounts: storedJson<readonly number[]>('amounts').notNull(),
  },
  (table) => [index('weed_stretches_latest').on(table.atMs), index('weed_stretches_by_vinyl').on(table.vinylId)],
);

/** A stretch of pressing that was done in one go: what hands did in it, and how long the press was closed. */
export const pressStretches = sqliteTable(
  'press_stretches',
  {
    sessionId: integer('session_id')
      .primaryKey()
      .references(() => workSessions.id, { onDelete: 'cascade' }),
    atMs: integer('at_ms').notNull(),
    seconds: real('seconds').notNull(),
    fixedSeconds: real('fixed_seconds').notNull(),
    amounts: storedJson<readonly number[]>('amounts').notNull(),
  },
  (table) => [index('press_stretches_latest').on(table.atMs)],
);

/** Coefficients that were taken from the log into the shop's figures, and what they were before. */
export const learnedTimes = sqliteTable('learned_times', {
  station: text('station').$type<Station>().primaryKey(),
  takenAtMs: integer('taken_at_ms').notNull(),
  logs: integer('logs').notNull(),
  figures: storedJson<readonly TakenFigure[]>('figures').notNull(),
  vinyls: storedJson<readonly TakenFactor[]>('vinyls').notNull(),
  /** What each takes against what is calculated; null where that was not told apart. */
  people: storedJson<readonly TakenPace[]>('people'),
});
export type TakenFigure = { readonly key: ShopFigureKey; readonly was: number; readonly now: number };
export type TakenPace = { readonly personId: number; readonly now: number };
export type TakenFactor = { readonly vinylId: number; readonly was: number; readonly now: number };

/** What an item was of one stretch at the cutter: what it is estimated by, whatever the shop's figures are. */
export const cutStretches = sqliteTable(
  'cut_stretches',
  {
    sessionId: integer('session_id')
      .notNull()
      .references(() => workSessions.id, { onDelete: 'cascade' }),
    itemId: integer('item_id')
      .notNull()
      .references(() => items.id, { onDelete: 'cascade' }),
    atMs: integer('at_ms').notNull(),
    /** Of the whole stretch. */
    seconds: real('seconds').notNull(),
    /** Whole or not: a piece of which one part of two was cut is a half. */
    pieces: real('pieces').notNull(),
    loads: integer('loads').notNull(),
    setupSeconds: real('setup_seconds').notNull(),
    /** Of the machine, layer by layer. */
    machineSeconds: storedJson<readonly number[]>('machine_seconds').notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.sessionId, table.itemId] }),
    index('cut_stretches_by_item').on(table.itemId, table.atMs),
  ],
);
