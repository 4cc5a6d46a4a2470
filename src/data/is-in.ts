// "One of these" as SQL asks for it: a list of any length is one value of the statement.

import { sql, type AnyColumn, type SQL } from 'drizzle-orm';

export const isIn = (column: AnyColumn, values: readonly (number | string)[]): SQL =>
  sql`${column} in (select value from json_each(${JSON.stringify(values)}))`;
