// Loads on the cutter: of each sheet what it was cut from, with which setting, and how far it is. They stay as the log.

import { sql } from 'drizzle-orm';
import { check, index, integer, primaryKey, real, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import type { CutSetting, CutterFault, PresetUse, TestCut, TestReason } from '../../core/cutting';
import { id } from '../columns';
import { storedJson } from '../stored-json';
import { vinyls } from './shelf';
import { lots } from './stock';
import { supplies } from './supplies';
import { workSessions } from './work-sessions';

/** Not loaded yet; loaded, its width read; on its way through the cutter; cut; given up before its end. */
export type SheetCutState = 'waiting' | 'loaded' | 'sent' | 'cut' | 'stopped';

export const sheetCuts = sqliteTable(
  'sheet_cuts',
  {
    id: id(),
    sessionId: integer('session_id')
      .notNull()
      .references(() => workSessions.id, { onDelete: 'cascade' }),
    /** The saved cut sheet, as it was then; it is gone once it is booked. */
    savedSheetId: integer('saved_sheet_id').notNull(),
    savedVersion: integer('saved_version').notNull(),
    /** Of its sheets, as they are numbered there. */
    sheet: integer('sheet').notNull(),
    lotId: integer('lot_id')
      .notNull()
      .references(() => lots.id),
    vinylId: integer('vinyl_id')
      .notNull()
      .references(() => vinyls.id),
    state: text('state').$type<SheetCutState>().notNull(),
    setting: storedJson<CutSetting>('setting').notNull(),
    testReasons: storedJson<readonly TestReason[]>('test_reasons').notNull(),
    tests: storedJson<readonly TestCut[]>('tests').notNull(),
    /** When a test cut came out clean; null where none did. */
    cleanAtMs: integer('clean_at_ms'),
    /** What the book said before the machine read it. */
    expectedWidthMm: real('expected_width_mm'),
    readWidthMm: real('read_width_mm'),
    /** The load begins so much further along its roll, for the test figures before it. */
    shiftMm: real('shift_mm').notNull().default(0),
    bladeId: integer('blade_id').references(() => supplies.id),
    bladeMetres: real('blade_metres').notNull().default(0),
    /** The job at the machine, and how far it was when it was last looked at. */
    jobId: text('job_id'),
    lines: integer('lines').notNull().default(0),
    linesDone: integer('lines_done').notNull().default(0),
    machineSeconds: real('machine_seconds').notNull().default(0),
    fault: text('fault').$type<CutterFault>(),
    /** The work that booked it; null until then. */
    bookedSessionId: integer('booked_session_id').references(() => workSessions.id, { onDelete: 'set null' }),
    sentAtMs: integer('sent_at_ms'),
    endedAtMs: integer('ended_at_ms'),
  },
  (table) => [
    uniqueIndex('sheet_cuts_once').on(table.sessionId, table.sheet),
    index('sheet_cuts_by_saved').on(table.savedSheetId),
    index('sheet_cuts_clean_by_lot')
      .on(table.lotId)
      .where(sql`${table.cleanAtMs} is not null`),
    index('sheet_cuts_clean_by_vinyl')
      .on(table.vinylId, table.cleanAtMs)
      .where(sql`${table.cleanAtMs} is not null`),
    index('sheet_cuts_booked')
      .on(table.bookedSessionId)
      .where(sql`${table.bookedSessionId} is not null`),
    check('sheet_cuts_lines', sql`${table.linesDone} between 0 and ${table.lines}`),
  ],
);

/** Work at the cutter without a saved load: with which setting each of its vinyls is cut. */
export const handCuts = sqliteTable(
  'hand_cuts',
  {
    sessionId: integer('session_id')
      .notNull()
      .references(() => workSessions.id, { onDelete: 'cascade' }),
    vinylId: integer('vinyl_id')
      .notNull()
      .references(() => vinyls.id),
    setting: storedJson<CutSetting>('setting').notNull(),
  },
  (table) => [primaryKey({ columns: [table.sessionId, table.vinylId] })],
);

/** Settings that are kept under a name, by vinyl and what they are good for. */
export const cutPresets = sqliteTable(
  'cut_presets',
  {
    id: id(),
    vinylId: integer('vinyl_id')
      .notNull()
      .references(() => vinyls.id),
    name: text('name').notNull(),
    use: text('use').$type<PresetUse>().notNull(),
    setting: storedJson<CutSetting>('setting').notNull(),
    /** What the blade had cut when it was kept. */
    bladeMetres: real('blade_metres').notNull(),
    savedAtMs: integer('saved_at_ms').notNull(),
  },
  (table) => [uniqueIndex('cut_presets_by_vinyl').on(table.vinylId, table.name)],
);

/** What simulated machines remember: they go on while the server is down. */
export const machines = sqliteTable('machines', {
  name: text('name').primaryKey(),
  memory: storedJson<unknown>('memory').notNull(),
});
