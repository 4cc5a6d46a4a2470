// Keeps count of what a drawing holds that cannot be taken over, with the first few names of each kind.

import type { LeftOut, LeftOutKind } from './artwork';

const NAMES_KEPT = 3;

export class LeftOutTally {
  private readonly entries = new Map<LeftOutKind, { count: number; names: string[] }>();

  add(kind: LeftOutKind, name: string): void {
    const entry = this.entries.get(kind) ?? { count: 0, names: [] };
    entry.count++;
    if (entry.names.length < NAMES_KEPT && name !== '') entry.names.push(name.slice(0, 60));
    this.entries.set(kind, entry);
  }

  list(): readonly LeftOut[] {
    return [...this.entries].map(([kind, { count, names }]) => ({ kind, count, names }));
  }
}
