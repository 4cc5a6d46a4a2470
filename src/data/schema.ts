// The tables. Things that people edit have a version; facts that happen (events, work) are only ever added.

import { sql } from 'drizzle-orm';
import { blob, check, index, integer, primaryKey, real, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import type { ArtworkMeasurement, ArtworkPicture, LeftOut, Licence, PrepStep } from '../core/artwork';
import type { AreaBasis, ItemDetails, Made, AcceptedCost } from '../core/costing';
import type {
  Fabric,
  Heating,
  Peel,
  Pressure,
  PrintArea,
  ShopFigures,
  VinylDetails,
  VinylKind,
} from '../core/materials';
import type { StartPlan } from '../core/planning';
import type { ChannelFees, ChannelKind } from '../core/pricing';
import type { CutSheet, LineQuote, PartEventKind, QuoteFacts, SpoilageCause, Station } from '../core/orders';
import type { Minor } from '../core/units';
import { archivedAtMs, id, money, version } from './columns';

export * from './schema-stock';

/** One row: the shop whose book this file is. */
export const shop = sqliteTable(
  'shop',
  {
    id: integer('id').primaryKey(),
    name: text('name').notNull(),
    currency: text('currency').notNull(),
    locale: text('locale').notNull(),
    timeZone: text('time_zone').notNull(),
    /** True for the demo: nothing in it is real. */
    simulated: integer('simulated', { mode: 'boolean' }).notNull(),
    /** Only what differs from or was confirmed over the defaults; figures added later take theirs. */
    figures: text('figures', { mode: 'json' }).$type<Partial<ShopFigures>>().notNull(),
    version: version(),
  },
  (table) => [check('one_shop', sql`${table.id} = 1`)],
);

export const vinyls = sqliteTable(
  'vinyls',
  {
    id: id(),
    name: text('name').notNull(),
    kind: text('kind').$type<VinylKind>().notNull(),
    supplier: text('supplier').notNull(),
    colourName: text('colour_name').notNull(),
    colourHex: text('colour_hex').notNull(),
    rollWidthMm: real('roll_width_mm').notNull(),
    rollLengthMm: real('roll_length_mm').notNull(),
    rollPrice: money('roll_price').notNull(),
    weedingFactor: real('weeding_factor').notNull(),
    /** All five or none: adhesive vinyl is not pressed. */
    pressLowC: real('press_low_c'),
    pressHighC: real('press_high_c'),
    pressSeconds: real('press_seconds'),
    pressPressure: text('press_pressure').$type<Pressure>(),
    pressPeel: text('press_peel').$type<Peel>(),
    /** What differs from the ordinary of its kind; always written and read whole. */
    details: text('details', { mode: 'json' }).$type<Partial<VinylDetails>>().notNull().default({}),
    archivedAtMs: archivedAtMs(),
    version: version(),
  },
  (table) => [
    index('vinyls_by_name').on(table.name),
    check('vinyls_roll', sql`${table.rollWidthMm} > 0 and ${table.rollLengthMm} > 0 and ${table.rollPrice} >= 0`),
    check(
      'vinyls_press_whole',
      sql`(${table.pressLowC} is null) = (${table.pressHighC} is null) and (${table.pressLowC} is null) = (${table.pressSeconds} is null) and (${table.pressLowC} is null) = (${table.pressPressure} is null) and (${table.pressLowC} is null) = (${table.pressPeel} is null)`,
    ),
  ],
);

export const blanks = sqliteTable(
  'blanks',
  {
    id: id(),
    name: text('name').notNull(),
    supplier: text('supplier').notNull(),
    fabric: text('fabric').$type<Fabric>().notNull(),
    heating: text('heating').$type<Heating>().notNull(),
    areas: text('areas', { mode: 'json' }).$type<readonly PrintArea[]>().notNull().default([]),
    archivedAtMs: archivedAtMs(),
    version: version(),
  },
  (table) => [index('blanks_by_name').on(table.name)],
);

export const blankSizes = sqliteTable(
  'blank_sizes',
  {
    blankId: integer('blank_id')
      .notNull()
      .references(() => blanks.id, { onDelete: 'cascade' }),
    position: integer('position').notNull(),
    name: text('name').notNull(),
    price: money('price').notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.blankId, table.position] }),
    uniqueIndex('blank_sizes_once').on(table.blankId, table.name),
    check('blank_sizes_price', sql`${table.price} >= 0`),
  ],
);

export const blankColours = sqliteTable(
  'blank_colours',
  {
    blankId: integer('blank_id')
      .notNull()
      .references(() => blanks.id, { onDelete: 'cascade' }),
    position: integer('position').notNull(),
    name: text('name').notNull(),
    hex: text('hex').notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.blankId, table.position] }),
    uniqueIndex('blank_colours_once').on(table.blankId, table.name),
  ],
);

export const artworks = sqliteTable(
  'artworks',
  {
    id: id(),
    name: text('name').notNull(),
    fileName: text('file_name').notNull(),
    /** At the width it was kept at; always written and read whole. */
    measurement: text('measurement', { mode: 'json' }).$type<ArtworkMeasurement>().notNull(),
    /** What makes it ready to cut, done anew from the original each time. */
    steps: text('steps', { mode: 'json' }).$type<readonly PrepStep[]>().notNull().default([]),
    layerVinylIds: text('layer_vinyl_ids', { mode: 'json' }).$type<readonly (number | null)[]>().notNull().default([]),
    licence: text('licence').$type<Licence>().notNull().default('unknown'),
    layerNames: text('layer_names', { mode: 'json' }).$type<readonly string[]>().notNull(),
    picture: text('picture', { mode: 'json' }).$type<ArtworkPicture>().notNull(),
    leftOut: text('left_out', { mode: 'json' }).$type<readonly LeftOut[]>().notNull(),
    gradients: integer('gradients').notNull(),
    sizeStated: integer('size_stated', { mode: 'boolean' }).notNull(),
    originalBytes: integer('original_bytes').notNull(),
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
    /** Options, variants, what else goes into it; always written and read whole. Only what differs from a plain item. */
    details: text('details', { mode: 'json' }).$type<Partial<ItemDetails>>().notNull().default({}),
    /** What one cost when it was last looked at and agreed to; null where it could not be told. */
    acceptedCost: text('accepted_cost', { mode: 'json' }).$type<AcceptedCost>(),
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
    widths: text('widths', { mode: 'json' }).$type<Readonly<Record<string, number>>>().notNull(),
    seenThrough: integer('seen_through', { mode: 'boolean' }).notNull(),
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

/** Where pieces are sold, and what that takes of the price. */
export const channels = sqliteTable(
  'channels',
  {
    id: id(),
    name: text('name').notNull(),
    kind: text('kind').$type<ChannelKind>().notNull(),
    /** Its fees; always written and read whole. */
    fees: text('fees', { mode: 'json' }).$type<ChannelFees>().notNull(),
    archivedAtMs: archivedAtMs(),
    version: version(),
  },
  (table) => [
    uniqueIndex('channels_once')
      .on(table.name)
      .where(sql`${table.archivedAtMs} is null`),
  ],
);

/** What was offered to whom; never changed, whatever prices and wages do after. */
export const quotes = sqliteTable(
  'quotes',
  {
    id: id(),
    customerName: text('customer_name').notNull(),
    itemId: integer('item_id')
      .notNull()
      .references(() => items.id),
    atMs: integer('at_ms').notNull(),
    facts: text('facts', { mode: 'json' }).$type<QuoteFacts>().notNull(),
    archivedAtMs: archivedAtMs(),
  },
  (table) => [index('quotes_by_time').on(table.atMs)],
);

/** One row: what it takes to begin, and what is hoped to be sold. */
export const startPlan = sqliteTable(
  'start_plan',
  {
    id: integer('id').primaryKey(),
    /** Always written and read whole. */
    plan: text('plan', { mode: 'json' }).$type<StartPlan>().notNull(),
    version: version(),
  },
  (table) => [check('one_start_plan', sql`${table.id} = 1`)],
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
    primaryKey({ columns: [table.artworkId, table.layerIndex, table.widthMm, table.usableMm, table.turnable] }),
    check('layer_packings_share', sql`${table.share} > 0 and ${table.share} <= 1`),
  ],
);

/** Loads that are laid out and not cut yet: each change is kept, so that a closed window loses none. */
export const cutSheets = sqliteTable(
  'cut_sheets',
  {
    id: id(),
    vinylId: integer('vinyl_id')
      .notNull()
      .references(() => vinyls.id),
    /** Always written and read whole. */
    sheet: text('sheet', { mode: 'json' }).$type<CutSheet>().notNull(),
    savedAtMs: integer('kept_at_ms').notNull(),
    version: version(),
  },
  (table) => [index('cut_sheets_by_vinyl').on(table.vinylId)],
);

export const customers = sqliteTable(
  'customers',
  {
    id: id(),
    name: text('name').notNull(),
    contact: text('contact').notNull(),
  },
  (table) => [uniqueIndex('customers_once').on(table.name)],
);

export const orders = sqliteTable(
  'orders',
  {
    id: id(),
    customerId: integer('customer_id')
      .notNull()
      .references(() => customers.id),
    title: text('title').notNull(),
    /** YYYY-MM-DD, a day of the shop's own calendar. */
    dueDay: text('due_day').notNull(),
    agreed: money('agreed').notNull(),
    note: text('note').notNull(),
    placedAtMs: integer('placed_at_ms').notNull(),
    /** Follows from the order's events (handed over or cancelled); kept so that the open ones are found without reading all. */
    closedAtMs: integer('closed_at_ms'),
    version: version(),
  },
  (table) => [
    index('orders_open')
      .on(table.dueDay)
      .where(sql`${table.closedAtMs} is null`),
    index('orders_closed').on(table.closedAtMs),
    index('orders_by_customer').on(table.customerId),
    check('orders_agreed', sql`${table.agreed} >= 0`),
  ],
);

export const orderLines = sqliteTable(
  'order_lines',
  {
    id: id(),
    orderId: integer('order_id')
      .notNull()
      .references(() => orders.id, { onDelete: 'cascade' }),
    itemId: integer('item_id')
      .notNull()
      .references(() => items.id),
    quantity: integer('quantity').notNull(),
    sizeName: text('size_name').notNull(),
    colourName: text('colour_name').notNull(),
    /** How its pieces are made, as the item was when the order was taken; null in orders older than that was kept. */
    made: text('made', { mode: 'json' }).$type<Made>(),
    /** What one was calculated to cost when the order was taken; never changed after. */
    quote: text('quote', { mode: 'json' }).$type<LineQuote>().notNull(),
  },
  (table) => [
    index('order_lines_by_order').on(table.orderId),
    index('order_lines_by_item').on(table.itemId),
    check('order_lines_quantity', sql`${table.quantity} >= 1`),
  ],
);

/** One piece of a line. Numbered through the whole order. */
export const pieces = sqliteTable(
  'pieces',
  {
    id: id(),
    lineId: integer('line_id')
      .notNull()
      .references(() => orderLines.id, { onDelete: 'cascade' }),
    number: integer('number').notNull(),
  },
  (table) => [index('units_by_line').on(table.lineId)],
);

/** One layer of one piece. */
export const parts = sqliteTable(
  'parts',
  {
    id: id(),
    pieceId: integer('unit_id')
      .notNull()
      .references(() => pieces.id, { onDelete: 'cascade' }),
    layerIndex: integer('layer_index').notNull(),
    vinylId: integer('vinyl_id')
      .notNull()
      .references(() => vinyls.id),
  },
  (table) => [uniqueIndex('parts_once').on(table.pieceId, table.layerIndex), index('parts_by_vinyl').on(table.vinylId)],
);

export const orderEvents = sqliteTable(
  'order_events',
  {
    id: id(),
    orderId: integer('order_id')
      .notNull()
      .references(() => orders.id, { onDelete: 'cascade' }),
    kind: text('kind').$type<OrderEventKind>().notNull(),
    atMs: integer('at_ms').notNull(),
    detail: text('detail').notNull(),
  },
  (table) => [index('order_events_by_order').on(table.orderId)],
);

export type OrderEventKind = 'placed' | 'changed' | 'handed-over' | 'taken-back' | 'cancelled' | 'reopened';

export type SessionOutcome = 'done' | 'paused' | 'discarded';
/** A stretch of work at a station; running while it has no end. */
export const work = sqliteTable(
  'work',
  {
    id: id(),
    station: text('station').$type<Station>().notNull(),
    startedAtMs: integer('started_at_ms').notNull(),
    stoppedAtMs: integer('stopped_at_ms'),
    outcome: text('outcome').$type<SessionOutcome>(),
  },
  (table) => [
    uniqueIndex('work_running_once')
      .on(table.station)
      .where(sql`${table.stoppedAtMs} is null`),
    index('work_by_start').on(table.startedAtMs),
    check('work_ended_whole', sql`(${table.stoppedAtMs} is null) = (${table.outcome} is null)`),
  ],
);

export const workSessionParts = sqliteTable(
  'work_parts',
  {
    sessionId: integer('work_id')
      .notNull()
      .references(() => work.id, { onDelete: 'cascade' }),
    partId: integer('part_id')
      .notNull()
      .references(() => parts.id, { onDelete: 'cascade' }),
    /** What this part was calculated to take when the clock was started: the shares of the stretch go by it. */
    estimateSeconds: real('estimate_seconds').notNull(),
  },
  (table) => [primaryKey({ columns: [table.sessionId, table.partId] }), index('work_parts_by_part').on(table.partId)],
);

export const partEvents = sqliteTable(
  'part_events',
  {
    id: id(),
    partId: integer('part_id')
      .notNull()
      .references(() => parts.id, { onDelete: 'cascade' }),
    kind: text('kind').$type<Exclude<PartEventKind, 'to-cut'>>().notNull(),
    atMs: integer('at_ms').notNull(),
    sessionId: integer('work_id').references(() => work.id),
    /** For 'undone': the event taken back. */
    undoes: integer('undoes'),
    cause: text('cause').$type<SpoilageCause>(),
    blankLost: integer('blank_lost', { mode: 'boolean' }).notNull(),
    /** For 'cut': its share of the vinyl really cut off. */
    vinylCost: real('vinyl_cost'),
  },
  (table) => [
    index('part_events_by_part').on(table.partId),
    check('part_events_undo', sql`(${table.kind} = 'undone') = (${table.undoes} is not null)`),
  ],
);
