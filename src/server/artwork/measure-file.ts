// Measures an uploaded file in a thread under a limit of work and memory, so that no drawing can stop the shop.

import {
  decodeText,
  FILE_LIMIT_BYTES,
  type MeasureProblem,
  type PrepStep,
  type ReadProblem,
} from '../../core/artwork/index';
import type { Result } from '../../core/units/index';
import type { MeasuredFile } from '../../views/artwork';
import { ShopError } from '../errors';
import { heavyWork } from '../heavy/heavy-work';
import type { MeasureTask } from '../heavy/measure-thread';

const TIME_LIMIT_MS = 20_000;
const tooMuch = () => new ShopError('busy', { reason: 'drawing-too-slow' });

/** The steps of an artwork, or a width in mm for a drawing that has none yet; null for the one that it states. */
export type MeasureWish = { readonly steps: readonly PrepStep[] } | { readonly widthMm: number | null };

/**
 * The measurement of an SVG file after its steps. @throws ShopError 'unreadable' in words, or 'busy' when it takes too
 * long.
 */
export async function measureFile(bytes: Uint8Array, wish: MeasureWish): Promise<MeasuredFile> {
  if (bytes.length > FILE_LIMIT_BYTES)
    throw new ShopError('too-large', {
      reason: 'drawing-refused',
      problem: { kind: 'file-too-large', bytes: bytes.length, limitBytes: FILE_LIMIT_BYTES },
    });
  const result = await heavyWork.run<Result<MeasuredFile, ReadProblem | MeasureProblem>>({
    kind: 'measure',
    task: { text: decodeText(bytes), steps: null, widthMm: 0, ...wish } satisfies MeasureTask,
    limitMs: TIME_LIMIT_MS,
    tooMuch,
  });
  if (!result.ok) throw new ShopError('unreadable', { reason: 'drawing-refused', problem: result.problem }, 'file');
  return result.value;
}
