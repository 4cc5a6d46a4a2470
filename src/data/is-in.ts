// "One of these" as SQL asks for it: a list of any length is one value of the statement.

import { sql, type AnyColumn, type SQL } from 'drizzle-orm';

/** For a statement that is built once: which ones is told with `those` whenever it runs. */
export const isInThose = (column: AnyColumn): SQL =>
  sql`${column} in (select value from json_each(${sql.placeholder('those')}))`;
export const those = (values: readonly (number | string)[]): { readonly those: string } => ({
  those: JSON.stringify(values),
});

export const isIn = (column: AnyColumn, values: readonly (number | string)[]): SQL =>
  sql`${column} in (select value from json_each(${JSON.stringify(values)}))`;
