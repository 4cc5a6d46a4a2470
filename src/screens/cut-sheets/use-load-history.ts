// What a load was before each change by hand, to go back to.

import { useState } from 'react';
import type { Laid } from './cut-load';

/** Changes that come sooner after one another are undone together, ms. */
const ONE_CHANGE_MS = 600;
const MOST_PAST = 60;

export type Past = { readonly laid: Laid; readonly locked: ReadonlySet<string>; readonly atMs: number };

export function useLoadHistory() {
  const [past, setPast] = useState<readonly Past[]>([]);
  return {
    last: past.at(-1) ?? null,
    /** Before a change by hand; a drag is one change. */
    remember: (laid: Laid, locked: ReadonlySet<string>) =>
      setPast((before) => {
        const atMs = performance.now();
        const last = before.at(-1);
        return last && atMs - last.atMs < ONE_CHANGE_MS
          ? [...before.slice(0, -1), { ...last, atMs }]
          : [...before.slice(-MOST_PAST), { laid, locked, atMs }];
      }),
    stepBack: () => setPast((before) => before.slice(0, -1)),
    forget: () => setPast([]),
  };
}
