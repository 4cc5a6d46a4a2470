// In a thread: a file and its steps in, its measurement and picture out, or the lines that are cut of it.

import {
  checkPrepared,
  listCutLines,
  prepareFile,
  type CutPath,
  type KeptChecks,
  type LayerMaterial,
  type MeasureProblem,
  type Prepared,
  type PrepStep,
  type ReadProblem,
} from '../../core/artwork';
import { succeed, type Result } from '../../core/units';
import type { CheckedFile } from '../../data/artwork-store';
import { heavyJob } from './heavy-job';

export type MeasureTask = {
  readonly text: string;
  readonly steps: readonly PrepStep[] | null;
  readonly widthMm: number | null;
  /** What the vinyls allow, by the order of the layers; null or left out where none is chosen. */
  readonly materials?: readonly (LayerMaterial | null)[];
};
export type LinesTask = MeasureTask & { readonly wants: 'lines' };
type Answer<Value> = Result<Value, ReadProblem | MeasureProblem>;

/** Of more points than this a drawing is checked by its own page: with that it would take a third longer to save. */
const LIGHT_POINTS = 50_000;

export default heavyJob((task: MeasureTask | LinesTask): Answer<CheckedFile> | Answer<readonly CutPath[]> => {
  const prepared = prepareFile(task.text, task.steps, task.widthMm);
  if (!prepared.ok) return prepared;
  const { facts, resolved } = prepared.value;
  return 'wants' in task
    ? succeed(listCutLines(resolved))
    : succeed({ ...facts, checks: isLight(resolved) ? check(prepared.value, task.materials ?? []) : null });
});

const isLight = ({ layers }: Prepared['resolved']): boolean =>
  layers.reduce((sum, { region }) => region.rings.reduce((all, ring) => all + ring.length, sum), 0) <= LIGHT_POINTS;

function check(prepared: Prepared, materials: readonly (LayerMaterial | null)[]): KeptChecks {
  const { layers } = prepared.facts.measurement;
  const of = layers.map((_, index) => materials[index] ?? null);
  const byLayer = Object.fromEntries(layers.flatMap(({ key }, index) => (of[index] ? [[key, of[index]]] : [])));
  return { ...checkPrepared(prepared, { byLayer }), of };
}
