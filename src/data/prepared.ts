// Statements that are built once for each open file: putting one together takes longer than running it.

import { getTableName, is, Param, Placeholder, sql, type InferInsertModel } from 'drizzle-orm';
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
      buildRun(db, buildInsert(db, table, columns).toSQL()),
    );
    return insert(row);
  });

/** Runs the statement with a row's own values; what each has to go through on its way to the file is known before. */
function buildRun(db: Database, { sql: text, params }: { readonly sql: string; readonly params: readonly unknown[] }) {
  const statement = db.$client.prepare(text);
  const takes = params.map((param): ((row: Record<string, unknown>) => unknown) => {
    if (!is(param, Param) || !is(param.value, Placeholder)) return () => param;
    const { encoder, value } = param;
    const { name } = value;
    return (row) => encoder.mapToDriverValue(row[name]);
  });
  return (row: Record<string, unknown>) => Number(statement.run(takes.map((take) => take(row))).lastInsertRowid);
}

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

const listGiven = (row: Record<string, unknown>): readonly string[] =>
  Object.keys(row).filter((column) => row[column] !== undefined);

function buildInsert(db: Database, table: SQLiteTable, columns: readonly string[]) {
  const values = Object.fromEntries(columns.map((column) => [column, sql.placeholder(column)]));
  return db.insert(table).values(values as never);
}
