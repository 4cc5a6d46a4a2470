// Statements that are built once for each open file: putting one together takes longer than running it.

import { getTableName, sql, type InferInsertModel } from 'drizzle-orm';
import type { SQLiteTable } from 'drizzle-orm/sqlite-core';
import type { Database } from './database';

const statements = new WeakMap<Database, Map<string, unknown>>();

/** What `build` gave for this file under this name before, else now. The name stands for one statement only. */
export function prepareOnce<Statement>(db: Database, name: string, build: () => Statement): Statement {
  let own = statements.get(db);
  if (!own) statements.set(db, (own = new Map()));
  if (!own.has(name)) own.set(name, build());
  return own.get(name) as Statement;
}

/** Adds a row. The id it got, where the table has ids. */
export const insertRow = <Table extends SQLiteTable>(
  db: Database,
  table: Table,
  row: InferInsertModel<Table>,
): number => insertRows(db, table, [row])[0]!;

/** Adds the rows in their order. The ids they got, where the table has ids. */
export const insertRows = <Table extends SQLiteTable>(
  db: Database,
  table: Table,
  rows: readonly InferInsertModel<Table>[],
): readonly number[] =>
  rows.map((row) => {
    const columns = listGiven(row);
    const insert = prepareOnce(db, `insert into ${getTableName(table)} (${columns.join()})`, () =>
      buildInsert(db, table, columns).prepare(),
    );
    return Number(insert.run(row).lastInsertRowid);
  });

/** Adds the row where none is there that it would stand against. */
export function insertWhereNone<Table extends SQLiteTable>(
  db: Database,
  table: Table,
  row: InferInsertModel<Table>,
): void {
  const columns = listGiven(row);
  prepareOnce(db, `insert where none into ${getTableName(table)} (${columns.join()})`, () =>
    buildInsert(db, table, columns).onConflictDoNothing().prepare(),
  ).run(row);
}

const listGiven = (row: object): readonly string[] =>
  Object.entries(row).flatMap(([column, value]) => (value === undefined ? [] : [column]));

function buildInsert(db: Database, table: SQLiteTable, columns: readonly string[]) {
  const values = Object.fromEntries(columns.map((column) => [column, sql.placeholder(column)]));
  return db.insert(table).values(values as never);
}
