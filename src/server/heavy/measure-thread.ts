// In a thread: a file and its steps in, its measurement and picture out, or the lines that are cut of it.

import {
  listCutLines,
  prepareFile,
  type CutPath,
  type MeasureProblem,
  type PrepStep,
  type ReadProblem,
} from '../../core/artwork';
import { succeed, type Result } from '../../core/units';
import type { MeasuredFile } from '../../views/artwork';
import { heavyJob } from './heavy-job';

export type MeasureTask = {
  readonly text: string;
  readonly steps: readonly PrepStep[] | null;
  readonly widthMm: number | null;
};
export type LinesTask = MeasureTask & { readonly wants: 'lines' };
type Answer<Value> = Result<Value, ReadProblem | MeasureProblem>;

export default heavyJob((task: MeasureTask | LinesTask): Answer<MeasuredFile> | Answer<readonly CutPath[]> => {
  const prepared = prepareFile(task.text, task.steps, task.widthMm);
  if (!prepared.ok) return prepared;
  const { facts, resolved } = prepared.value;
  return 'wants' in task ? succeed(listCutLines(resolved)) : succeed(facts);
});
