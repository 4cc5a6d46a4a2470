// Prepares a drawing in the worker whenever its steps or materials change; the last good result stays on screen.

import { startTransition, useRef, useState } from 'react';
import type { LayerMaterials, PrepStep } from '../../core/artwork';
import type { PreparedFile } from '../../views/artwork';
import { describeArtworkProblem } from '../../wording/problems';
import { prepareInWorker } from '../../workers/artwork-client';
import { useLatest, type Asking } from '../shared/use-latest';

export type Preparing = {
  readonly prepared: PreparedFile | null;
  /** What was prepared is of the drawing asked for, not of one before it. */
  readonly current: boolean;
  readonly problem: string | null;
  readonly asking: Asking;
};
const SETTLE_MS = 120;
const NOTHING = { prepared: null, of: null, problem: null };
type Prepared = { readonly prepared: PreparedFile | null; readonly of: string | null; readonly problem: string | null };

/** `text` null: nothing to prepare yet. `steps` null: one of them can't be used as typed. */
export function usePrepared(
  text: string | null,
  steps: readonly PrepStep[] | null,
  materials: LayerMaterials,
): Preparing {
  const [state, setState] = useState<Prepared>(NOTHING);
  // Texts are long: they are told apart by a number.
  const seen = useRef<{ text: string | null; number: number }>({ text: null, number: 0 });
  if (seen.current.text !== text) seen.current = { text, number: seen.current.number + 1 };
  // Compared by what they say: a new list of the same steps asks for nothing new.
  const asking = useLatest(
    text === null || !steps ? null : JSON.stringify([seen.current.number, steps, materials]),
    SETTLE_MS,
    (signal) => prepareInWorker(text!, steps!, materials, signal).then((result) => ({ result, of: text })),
    // What is shown after a heavy drawing is much: the page may draw it in pieces.
    ({ result, of }) =>
      startTransition(() =>
        setState((before) =>
          result.ok
            ? { prepared: result.value, of, problem: null }
            : {
                prepared: result.problem.kind === 'width-out-of-range' ? before.prepared : null,
                of,
                problem: describeArtworkProblem(result.problem),
              },
        ),
      ),
  );
  return { prepared: state.prepared, problem: state.problem, current: state.of === text, asking };
}
