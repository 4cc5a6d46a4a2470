// Runs in a thread of its own: pieces and stock in, a layout out.

import { parentPort } from 'node:worker_threads';
import { nest, type NestOptions, type NestPiece, type NestStock } from '../../core/nesting';

export type NestTask = {
  readonly pieces: readonly NestPiece[];
  readonly stock: readonly NestStock[];
  readonly options: Omit<NestOptions, 'now' | 'pause'>;
};

parentPort?.once('message', ({ pieces, stock, options }: NestTask) => {
  void nest(pieces, stock, { ...options, now: () => performance.now() }).then((result) =>
    parentPort?.postMessage(result),
  );
});
