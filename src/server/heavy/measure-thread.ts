// In a thread: a file and its steps in, its measurement and picture out.

import { prepareFile, type MeasureProblem, type PrepStep, type ReadProblem } from '../../core/artwork';
import type { Result } from '../../core/units';
import type { MeasuredFile } from '../../views/artwork';
import { heavyJob } from './heavy-job';

export type MeasureTask = {
  readonly text: string;
  readonly steps: readonly PrepStep[] | null;
  readonly widthMm: number | null;
};

export default heavyJob(({ text, steps, widthMm }: MeasureTask): Result<MeasuredFile, ReadProblem | MeasureProblem> => {
  const prepared = prepareFile(text, steps, widthMm);
  return prepared.ok ? { ok: true, value: prepared.value.facts } : prepared;
});
