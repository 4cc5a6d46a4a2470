// Trials: ladders that look for the setting of a vinyl, cut by cut.

import { sql } from 'drizzle-orm';
import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { CutSetting, TestFigure, TestResult } from '../../core/cutting';
import type { BeliefSource, FineResult } from '../../core/trials';
import { id } from '../columns';
import { storedJson } from '../stored-json';
import { cutPresets } from './cutting';
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
    figure: text('figure').$type<TestFigure>().notNull(),
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
