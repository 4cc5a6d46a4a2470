// How the database answers what a view asks it.

import type { Database } from '../src/data/database';

export type Plan = { readonly query: string; readonly steps: readonly string[] };

/** The plans of all statements that `run` reads with, each once. */
export function listPlans({ $client: client }: Database, run: () => unknown): readonly Plan[] {
  const queries = new Set<string>();
  const prepare = client.prepare.bind(client);
  client.prepare = ((source: string) => {
    if (/^\s*(select|with)\b/i.test(source)) queries.add(source);
    return prepare(source);
  }) as typeof client.prepare;
  try {
    run();
  } finally {
    client.prepare = prepare;
  }
  return [...queries].map((query) => ({ query, steps: explain(query) }));

  function explain(query: string): readonly string[] {
    const values = Array<null>((query.match(/\?/g) ?? []).length).fill(null);
    const rows = prepare(`explain query plan ${query}`).all(...values) as { readonly detail: string }[];
    return rows.map((row) => row.detail);
  }
}
