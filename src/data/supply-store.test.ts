// What supplies had worn when they were replaced is kept, and is what a recount of all lines gives.

import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { asc, eq, sql } from 'drizzle-orm';
import { beforeEach, expect, it } from 'vitest';
import type { WearLineKind } from '../core/stock';
import { openDatabase, type Database } from './database';
import { supplyWear } from './schema';
import { addWear, insertSupply, loadLives } from './supply-store';

const MIGRATIONS = join(import.meta.dirname, 'migrations');
let db: Database;
let mat: number;
let atMs: number;

beforeEach(() => {
  db = openDatabase(':memory:', MIGRATIONS);
  mat = addSupply('Mat');
  atMs = 0;
});

const addSupply = (name: string): number =>
  insertSupply(db, {
    name,
    kind: 'mat',
    supplier: 'Marlow',
    widthMm: null,
    tack: 'medium',
    angleDegrees: null,
    life: 60,
    note: '',
  });

function book(supplyId: number, kind: WearLineKind, amount = 0): void {
  addWear(db, { supplyId, atMs: (atMs += 1), kind, amount, sessionId: null });
}

/** As a reader of the whole book counts: from one that was fitted to the next. */
function recount(supplyId: number): readonly number[] {
  const lines = db.select().from(supplyWear).where(eq(supplyWear.supplyId, supplyId)).orderBy(asc(supplyWear.id)).all();
  const starts = lines.flatMap((line, at) => (line.kind === 'fitted' ? [at] : []));
  return starts.slice(1).map((end, at) =>
    lines
      .slice(starts[at]! + 1, end)
      .map(({ kind, amount }) => ({ worn: amount, 'given-back': -amount })[kind as string] ?? 0)
      .reduce((sum, amount) => sum + amount, 0),
  );
}

it('is what was worn since it was fitted, less what was given back, cleaned or not', () => {
  book(mat, 'worn', 500);
  book(mat, 'fitted');
  expect(loadLives(db, mat)).toEqual([]);
  book(mat, 'worn', 50);
  book(mat, 'given-back', 10);
  book(mat, 'cleaned', 20);
  book(mat, 'fitted');
  expect(loadLives(db, mat)).toEqual([40]);
  book(mat, 'worn', 60);
  book(mat, 'fitted');
  book(mat, 'fitted');
  book(mat, 'worn', 7);
  expect(loadLives(db, mat)).toEqual([40, 60, 0]);
});

it('is of one supply alone, and what an older file is given by its migration is the same', () => {
  const other = addSupply('Another mat');
  const kinds: readonly WearLineKind[] = ['worn', 'worn', 'fitted', 'given-back', 'worn', 'cleaned', 'worn'];
  for (let at = 0; at < 400; at++) book(at % 3 === 0 ? mat : other, kinds[(at * 5 + (at >> 3)) % 7]!, (at * 7) % 11);
  const kept = [mat, other].map((id) => loadLives(db, id));
  expect(kept).toEqual([recount(mat), recount(other)]);
  expect(kept.map((lives) => lives.length > 10)).toEqual([true, true]);
  db.run(sql`update supply_wear set worn_before = null`);
  const written = readFileSync(join(MIGRATIONS, '0042_worn_before.sql'), 'utf8').split('--> statement-breakpoint');
  db.$client.exec(written.at(-1)!);
  expect([mat, other].map((id) => loadLives(db, id))).toEqual(kept);
});
