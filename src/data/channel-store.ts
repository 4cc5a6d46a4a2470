// Channels: where pieces are sold.

import { and, asc, eq, isNull, sql } from 'drizzle-orm';
import type { Channel } from '../core/pricing';
import type { Database } from './database';
import { channels } from './schema';

export type ChannelFields = Omit<Channel, 'id'>;
export type StoredChannel = Channel & { readonly version: number };

const toRow = ({ name, kind, ...fees }: ChannelFields) => ({ name, kind, fees });
const toChannel = ({ fees, archivedAtMs: _, ...fields }: typeof channels.$inferSelect): StoredChannel => ({
  ...fees,
  ...fields,
});

/** In the order they were added. */
export const loadChannels = (db: Database): readonly StoredChannel[] =>
  db.select().from(channels).where(isNull(channels.archivedAtMs)).orderBy(asc(channels.id)).all().map(toChannel);
export const findChannelName = (db: Database, id: number): string | null =>
  db.select({ name: channels.name }).from(channels).where(eq(channels.id, id)).get()?.name ?? null;
export const isChannelNamed = (db: Database, name: string, exceptId: number): boolean =>
  db
    .select({ id: channels.id })
    .from(channels)
    .where(and(eq(channels.name, name), isNull(channels.archivedAtMs), sql`${channels.id} <> ${exceptId}`))
    .get() !== undefined;
export const insertChannel = (db: Database, fields: ChannelFields): number =>
  db.insert(channels).values(toRow(fields)).returning({ id: channels.id }).get().id;
/** False when it was changed since `version` was read. */
export const updateChannel = (db: Database, id: number, fields: ChannelFields, version: number): boolean =>
  db
    .update(channels)
    .set({ ...toRow(fields), version: sql`${channels.version} + 1` })
    .where(and(eq(channels.id, id), eq(channels.version, version)))
    .run().changes === 1;
export const setChannelArchived = (db: Database, id: number, atMs: number | null): boolean =>
  db.update(channels).set({ archivedAtMs: atMs }).where(eq(channels.id, id)).run().changes === 1;
