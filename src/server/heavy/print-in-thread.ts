// Papers are drawn in a thread: a price list of hundreds of items takes seconds.

import { ShopError } from '../errors';
import { heavyWork } from './heavy-work';
import type { Papers, PaperTask } from './paper-thread';

const LIMIT_MS = 30_000;

/** What `print` makes: a PDF, or a list as text. */
export const printInThread = <Name extends keyof Papers>(
  print: Name,
  ...of: Parameters<Papers[Name]>
): Promise<Awaited<ReturnType<Papers[Name]>>> =>
  heavyWork.run({
    kind: 'paper',
    task: { print, of } as PaperTask,
    limitMs: LIMIT_MS,
    tooMuch: () => new ShopError('busy', { reason: 'paper-too-slow' }),
  });
