// In a thread: pieces and stock in, a layout out.

import { nest, type NestOptions, type NestPiece, type NestStock } from '../../core/nesting';
import { heavyJob } from './heavy-job';

export type NestTask = {
  readonly pieces: readonly NestPiece[];
  readonly stock: readonly NestStock[];
  readonly options: Omit<NestOptions, 'now' | 'pause'>;
};

export default heavyJob(({ pieces, stock, options }: NestTask) =>
  nest(pieces, stock, { ...options, now: () => performance.now() }),
);
