// Measures an uploaded file in a thread under a limit of work and memory, so that no drawing can stop the shop.

import {
  decodeText,
  FILE_LIMIT_BYTES,
  type CutPath,
  type LayerMaterial,
  type MeasureProblem,
  type PrepStep,
  type ReadProblem,
} from '../../core/artwork/index';
import type { Result } from '../../core/units/index';
import type { CheckedFile, StoredArtwork } from '../../data/artwork-store';
import { ShopError } from '../errors';
import { heavyWork } from '../heavy/heavy-work';
import type { LinesTask, MeasureTask } from '../heavy/measure-thread';

const TIME_LIMIT_MS = 20_000;
const tooMuch = () => new ShopError('busy', { reason: 'drawing-too-slow' });

/** The steps of an artwork, or a width in mm for a drawing that has none yet; null for the one that it states. */
export type MeasureWish = { readonly steps: readonly PrepStep[] } | { readonly widthMm: number | null };

/**
 * The measurement of an SVG file after its steps, and what is said of it in the materials of its layers, in their order.
 * @throws ShopError 'unreadable' in words, or 'busy' when it takes too
 * long.
 */
export async function measureFile(
  bytes: Uint8Array,
  wish: MeasureWish,
  materials: readonly (LayerMaterial | null)[] = [],
): Promise<CheckedFile> {
  if (bytes.length > FILE_LIMIT_BYTES)
    throw new ShopError('too-large', {
      reason: 'drawing-refused',
      problem: { kind: 'file-too-large', bytes: bytes.length, limitBytes: FILE_LIMIT_BYTES },
    });
  return inThread<CheckedFile>({ text: decodeText(bytes), steps: null, widthMm: 0, ...wish, materials });
}

/**
 * The lines that are cut of a saved drawing, in mm as it was saved; of several layers those of the one with most.
 * @throws ShopError as `measureFile` does
 */
export const readLines = (
  bytes: Uint8Array,
  { steps, measurement }: Pick<StoredArtwork, 'steps' | 'measurement'>,
): Promise<readonly CutPath[]> =>
  inThread<readonly CutPath[]>({
    text: decodeText(bytes),
    steps: steps.length > 0 ? steps : null,
    widthMm: measurement.widthMm,
    wants: 'lines',
  });

async function inThread<Value>(task: MeasureTask | LinesTask): Promise<Value> {
  const result = await heavyWork.run<Result<Value, ReadProblem | MeasureProblem>>({
    kind: 'measure',
    task,
    limitMs: TIME_LIMIT_MS,
    tooMuch,
  });
  if (!result.ok) throw new ShopError('unreadable', { reason: 'drawing-refused', problem: result.problem }, 'file');
  return result.value;
}
