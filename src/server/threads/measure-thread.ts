// Runs in a thread of its own: a file and its steps in, its measurement and picture out.

import { parentPort } from 'node:worker_threads';
import { prepareFile, type PrepStep } from '../../core/artwork';

parentPort?.once(
  'message',
  ({ text, steps, widthMm }: { text: string; steps: readonly PrepStep[] | null; widthMm: number | null }) => {
    const prepared = prepareFile(text, steps, widthMm);
    parentPort?.postMessage(prepared.ok ? { ok: true, value: prepared.value.facts } : prepared);
  },
);
