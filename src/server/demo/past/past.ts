// What is at hand while the demo shop's past goes by.

import type { Chance } from '../../chance';
import type { Ids } from '../demo-ids';
import type { StockSeed } from '../seed-demo-stock';
import type { BenchClock } from './bench-clock';
import type { PastFile } from './past-file';

export const DAY_MS = 86_400_000;

export type Past = {
  readonly file: PastFile;
  readonly stock: StockSeed;
  readonly ids: Ids;
  readonly chance: Chance;
  readonly bench: BenchClock;
  /** Deliveries, changed prices and trials up to then happen first; then the shop's clock stands there. */
  readonly goTo: (ms: number) => void;
  /** Older lots, of which other things are true. */
  readonly olderLotIds: ReadonlySet<number>;
};
