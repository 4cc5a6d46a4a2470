// Prepares a drawing in the worker whenever its steps or materials change; the last good result stays on screen.

import { useEffect, useState } from 'react';
import type { LayerMaterials, PrepStep } from '../../core/artwork';
import type { PreparedFile } from '../../views/views';
import { describeArtworkProblem } from '../../wording/problems';
import { prepareInWorker } from '../../workers/artwork-client';

export type Preparing = { readonly prepared: PreparedFile | null; readonly problem: string | null; readonly busy: boolean };
const SETTLE_MS = 120;

/** `text` null: nothing to prepare yet. `steps` null: one of them can't be used as typed. */
export function usePrepared(text: string | null, steps: readonly PrepStep[] | null, materials: LayerMaterials): Preparing {
  const [state, setState] = useState<Preparing>({ prepared: null, problem: null, busy: false });
  // Compared by what they say: a new list of the same steps asks for nothing new.
  const wish = JSON.stringify([steps, materials]);
  useEffect(() => {
    if (text === null) return undefined;
    const [wantedSteps, wantedMaterials] = JSON.parse(wish) as [PrepStep[] | null, LayerMaterials];
    if (!wantedSteps) return undefined;
    const stop = new AbortController();
    const timer = setTimeout(() => {
      setState((before) => ({ ...before, busy: true }));
      prepareInWorker(text, wantedSteps, wantedMaterials, stop.signal).then(
        (result) => setState((before) => (result.ok ? { prepared: result.value, problem: null, busy: false } : { prepared: result.problem.kind === 'width-out-of-range' ? before.prepared : null, problem: describeArtworkProblem(result.problem), busy: false })),
        (error: unknown) => {
          if (!(error instanceof DOMException && error.name === 'AbortError')) throw error;
        },
      );
    }, SETTLE_MS);
    return () => {
      clearTimeout(timer);
      stop.abort();
    };
  }, [text, wish]);
  return state;
}
