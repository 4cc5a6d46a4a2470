// Papers are drawn in a thread: a price list of hundreds of items takes seconds.

import { ShopError } from '../errors';
import { heavyWork } from './heavy-work';
import type { Papers, PaperTask } from './paper-thread';

const LIMIT_MS = 30_000;

/** The PDF that `print` makes. */
export const printInThread = <Name extends keyof Papers>(
  print: Name,
  ...of: Parameters<Papers[Name]>
): Promise<Uint8Array<ArrayBuffer>> =>
  heavyWork.run({
    kind: 'paper',
    task: { print, of } as PaperTask,
    limitMs: LIMIT_MS,
    tooMuch: () => new ShopError('busy', { reason: 'paper-too-slow' }),
  });
