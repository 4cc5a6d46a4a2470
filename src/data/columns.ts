// Columns that many tables have.

import { integer } from 'drizzle-orm/sqlite-core';
import type { Minor } from '../core/units';

export const id = () => integer('id').primaryKey({ autoIncrement: true });
export const version = () => integer('version').notNull().default(1);
export const archivedAtMs = () => integer('archived_at_ms');
export const money = (name: string) => integer(name).$type<Minor>();
