// The drawings that ladders cut instead of the figures that come with Chiral.

import { eq } from 'drizzle-orm';
import type { CutPath } from '../core/artwork';
import type { Database } from './database';
import { ownFigures } from './schema';

export type OwnFigure = { readonly name: string; readonly lines: readonly CutPath[] };

export const insertOwnFigure = (db: Database, ladderId: number, figure: OwnFigure): void =>
  void db
    .insert(ownFigures)
    .values({ ladderId, ...figure })
    .run();

/** Null where the ladder cuts a figure that comes with Chiral. */
export const findOwnLines = (db: Database, ladderId: number): readonly CutPath[] | null =>
  db.select({ lines: ownFigures.lines }).from(ownFigures).where(eq(ownFigures.ladderId, ladderId)).get()?.lines ?? null;

export const findOwnName = (db: Database, ladderId: number): string | null =>
  db.select({ name: ownFigures.name }).from(ownFigures).where(eq(ownFigures.ladderId, ladderId)).get()?.name ?? null;
