// Measures a drawing in the worker whenever it or its width changes; the last good measurement stays on screen.

import { useEffect, useState } from 'react';
import { WIDTH_RANGE_MM } from '../../core/artwork';
import type { MeasuredFile } from '../../views/views';
import { describeArtworkProblem } from '../../wording/problems';
import { measureInWorker } from '../../workers/artwork-client';

export type Measuring = { readonly measured: MeasuredFile | null; readonly problem: string | null; readonly busy: boolean };

/** `text` null: nothing to measure yet. `widthMm` null: none that can be used. */
export function useMeasured(text: string | null, widthMm: number | null, start: MeasuredFile | null): Measuring {
  const [state, setState] = useState<Measuring>({ measured: start, problem: null, busy: false });
  useEffect(() => {
    if (text === null) return undefined;
    if (widthMm === null || widthMm < WIDTH_RANGE_MM.least || widthMm > WIDTH_RANGE_MM.most) {
      setState((before) => ({ ...before, busy: false, problem: describeArtworkProblem({ kind: 'width-out-of-range', leastMm: WIDTH_RANGE_MM.least, mostMm: WIDTH_RANGE_MM.most }) }));
      return undefined;
    }
    const stop = new AbortController();
    const timer = setTimeout(() => {
      setState((before) => ({ ...before, busy: true }));
      measureInWorker(text, widthMm, stop.signal).then(
        (result) => setState((before) => (result.ok ? { measured: result.value, problem: null, busy: false } : { measured: result.problem.kind === 'width-out-of-range' ? before.measured : null, problem: describeArtworkProblem(result.problem), busy: false })),
        (error: unknown) => {
          if (!(error instanceof DOMException && error.name === 'AbortError')) throw error;
        },
      );
    }, 120);
    return () => {
      clearTimeout(timer);
      stop.abort();
    };
  }, [text, widthMm]);
  return state;
}
