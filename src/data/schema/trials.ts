// Trials: ladders that look for the setting of a vinyl, cut by cut; candidates side by side; and later looks.

import { sql } from 'drizzle-orm';
import { check, index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { CutPath, DesignClass } from '../../core/artwork';
import type { CutSetting, FigureChoice, TestResult } from '../../core/cutting';
import type { Fabric } from '../../core/materials';
import type { LookReason } from '../../core/scheduling';
import type { BeliefSource, FineResult, SideAxis, SideClock, SideSheet } from '../../core/trials';
import { id } from '../columns';
import { storedJson } from '../stored-json';
import { artworks } from './artworks';
import { cutPresets } from './cutting';
import { orders } from './orders';
import { pressLooks } from './press-looks';
import { vinyls } from './shelf';
import { lots } from './stock';
import { supplies } from './supplies';

/** A cut that was judged. */
export type LadderCut = { readonly setting: CutSetting; readonly result: TestResult; readonly atMs: number };

export const ladders = sqliteTable(
  'ladders',
  {
    id: id(),
    vinylId: integer('vinyl_id')
      .notNull()
      .references(() => vinyls.id),
    /** Null where the book has no lot of it. */
    lotId: integer('lot_id').references(() => lots.id),
    figure: text('figure').$type<FigureChoice>().notNull(),
    sideMm: real('side_mm').notNull(),
    /** How sure of room the setting is to be. */
    enough: real('enough').notNull(),
    /** Where the search began: the middle of the window, grams, and how unsure that was. */
    startGrams: real('start_grams').notNull(),
    startStray: real('start_stray').notNull(),
    startFrom: text('start_from').$type<BeliefSource>().notNull(),
    /** Speed, passes and blade it is looked for at; its force is the next one. */
    setting: storedJson<CutSetting>('setting').notNull(),
    cuts: storedJson<readonly LadderCut[]>('cuts').notNull(),
    /** How the fine design came out; null before it was cut. */
    fine: text('fine').$type<FineResult>(),
    /** The last setting that came out clean, and when; null where none did. */
    cleanSetting: storedJson<CutSetting>('clean_setting'),
    cleanAtMs: integer('clean_at_ms'),
    bladeId: integer('blade_id').references(() => supplies.id),
    bladeMetres: real('blade_metres').notNull(),
    /** Figures that were cut, judged or not, and what of a roll they took, mm. */
    placed: integer('placed').notNull().default(0),
    rollMm: real('roll_mm').notNull().default(0),
    /** The job at the machine; null where nothing was sent since the last answer. */
    jobId: text('job_id'),
    /** A simulated machine goes on by itself. */
    byItself: integer('by_itself', { mode: 'boolean' }).notNull().default(false),
    presetId: integer('preset_id').references(() => cutPresets.id, { onDelete: 'set null' }),
    startedAtMs: integer('started_at_ms').notNull(),
    closedAtMs: integer('closed_at_ms'),
  },
  (table) => [
    index('ladders_open')
      .on(table.startedAtMs)
      .where(sql`${table.closedAtMs} is null`),
    index('ladders_by_vinyl').on(table.vinylId, table.cleanAtMs),
    index('ladders_by_lot').on(table.lotId),
    index('ladders_latest').on(table.startedAtMs),
  ],
);

/** The drawing that a ladder cuts instead of a figure that comes with Chiral, as it was when the ladder began. */
export const ownFigures = sqliteTable('own_figures', {
  ladderId: integer('ladder_id')
    .primaryKey()
    .references(() => ladders.id, { onDelete: 'cascade' }),
  name: text('name').notNull(),
  /** Within a square of side 1. */
  lines: storedJson<readonly CutPath[]>('lines').notNull(),
});

/** The same drawing made with several vinyls, tapes or tools. */
export const sideTrials = sqliteTable(
  'side_trials',
  {
    id: id(),
    name: text('name').notNull(),
    axis: text('axis').$type<SideAxis>().notNull(),
    artworkId: integer('artwork_id')
      .notNull()
      .references(() => artworks.id),
    widthMm: real('width_mm').notNull(),
    /** How fine the drawing is at that width. */
    design: text('design').$type<DesignClass>().notNull(),
    /** Its thinnest stroke or gap at that width, mm; null where nothing of it is thin. */
    finestMm: real('finest_mm'),
    /** Of the drawing, with each candidate. */
    pieces: integer('pieces').notNull(),
    fabric: text('fabric').$type<Fabric>().notNull(),
    startedAtMs: integer('started_at_ms').notNull(),
    closedAtMs: integer('closed_at_ms'),
  },
  (table) => [
    index('side_trials_latest').on(table.startedAtMs),
    index('side_trials_by_artwork').on(table.artworkId),
    check('side_trials_pieces', sql`${table.pieces} >= 1`),
  ],
);

export const sideCandidates = sqliteTable(
  'side_candidates',
  {
    id: id(),
    trialId: integer('trial_id')
      .notNull()
      .references(() => sideTrials.id, { onDelete: 'cascade' }),
    vinylId: integer('vinyl_id')
      .notNull()
      .references(() => vinyls.id),
    /** Null where the book has no lot of it. */
    lotId: integer('lot_id').references(() => lots.id),
    /** The tape, mat, tool, blank or blade; empty where vinyls are compared. */
    label: text('label').notNull().default(''),
    /** The best setting that is known of it; null where none is. */
    setting: storedJson<CutSetting>('setting'),
    sheet: storedJson<SideSheet>('sheet').notNull(),
    /** What is being timed, and since when; null where nothing is. */
    clock: text('clock').$type<SideClock>(),
    clockAtMs: integer('clock_at_ms'),
    /** Null until its sheet is closed: from then on it counts. */
    filledAtMs: integer('filled_at_ms'),
  },
  (table) => [
    index('side_candidates_by_trial').on(table.trialId),
    index('side_candidates_by_vinyl').on(table.vinylId),
    index('side_candidates_by_lot').on(table.lotId),
  ],
);

/** Pressed pieces that are looked at again, and when. What was seen of them stands among the press looks. */
export const laterLooks = sqliteTable(
  'later_looks',
  {
    id: id(),
    vinylId: integer('vinyl_id')
      .notNull()
      .references(() => vinyls.id),
    fabric: text('fabric').$type<Fabric>().notNull(),
    /** What is looked at, in words. */
    what: text('what').notNull(),
    pieces: integer('pieces').notNull(),
    reason: text('reason').$type<LookReason>().notNull(),
    washes: integer('washes').notNull(),
    /** ISO day. */
    dueDay: text('due_day').notNull(),
    /** One of the two it is of. */
    orderId: integer('order_id').references(() => orders.id, { onDelete: 'cascade' }),
    candidateId: integer('candidate_id').references(() => sideCandidates.id, { onDelete: 'cascade' }),
    /** What was seen; null until somebody looked. */
    lookId: integer('look_id').references(() => pressLooks.id, { onDelete: 'set null' }),
  },
  (table) => [
    index('later_looks_due')
      .on(table.dueDay)
      .where(sql`${table.lookId} is null`),
    index('later_looks_by_order').on(table.orderId),
    index('later_looks_by_candidate').on(table.candidateId),
    index('later_looks_by_look').on(table.lookId),
    index('later_looks_by_vinyl').on(table.vinylId),
  ],
);
