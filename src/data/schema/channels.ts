// Where pieces are sold.

import { sql } from 'drizzle-orm';
import { sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import type { ChannelFees, ChannelKind } from '../../core/pricing';
import { archivedAtMs, id, version } from '../columns';
import { storedJson, type Upgrade } from '../stored-json';

/** What selling takes beside fees was not asked for before. */
const addSelling: Upgrade = (fees) => ({
  dayHours: 0,
  piecesPerSale: 1,
  saleSeconds: null,
  returnShare: null,
  feesOnDelivery: false,
  ...fees,
});

/** Where pieces are sold, and what that takes of the price. */
export const channels = sqliteTable(
  'channels',
  {
    id: id(),
    name: text('name').notNull(),
    kind: text('kind').$type<ChannelKind>().notNull(),
    /** Its fees; always written and read whole. */
    fees: storedJson<ChannelFees>('fees', [addSelling]).notNull(),
    archivedAtMs: archivedAtMs(),
    version: version(),
  },
  (table) => [
    uniqueIndex('channels_once')
      .on(table.name)
      .where(sql`${table.archivedAtMs} is null`),
  ],
);
