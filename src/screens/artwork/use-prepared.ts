// Prepares a drawing in the worker whenever its steps or materials change; the last good result stays on screen.

import { useState } from 'react';
import type { ArtworkPicture, LayerMaterials, PrepStep } from '../../core/artwork';
import type { PreparedFile } from '../../views/views';
import { describeArtworkProblem } from '../../wording/problems';
import { prepareInWorker } from '../../workers/artwork-client';
import { useLatest, type Asking } from '../shared/use-latest';

export type Preparing = {
  readonly prepared: PreparedFile | null;
  /** Of a drawing that is still being measured. */
  readonly early: ArtworkPicture | null;
  readonly problem: string | null;
  readonly asking: Asking;
};
const SETTLE_MS = 120;
const NOTHING = { prepared: null, early: null, problem: null };

/** `text` null: nothing to prepare yet. `steps` null: one of them can't be used as typed. */
export function usePrepared(text: string | null, steps: readonly PrepStep[] | null, materials: LayerMaterials): Preparing {
  const [state, setState] = useState<Omit<Preparing, 'asking'>>(NOTHING);
  // Compared by what they say: a new list of the same steps asks for nothing new.
  const asking = useLatest(text === null || !steps ? null : JSON.stringify([text, steps, materials]), SETTLE_MS,
    (signal) => prepareInWorker(text!, steps!, materials, (early) => !signal.aborted && setState((before) => ({ ...before, early })), signal),
    (result) => setState((before) => (result.ok ? { prepared: result.value, early: null, problem: null } : { prepared: result.problem.kind === 'width-out-of-range' ? before.prepared : null, early: null, problem: describeArtworkProblem(result.problem) })));
  return { ...state, asking };
}
