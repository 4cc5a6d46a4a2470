// How a picture is traced: into how many colours, how smooth, and what counts as dirt.

import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { describeTraceProblem } from '../../wording/problems';
import { traceInWorker } from '../../workers/source-client';
import { useLatest, type Asking } from '../shared/use-latest';
import type { TraceOptions } from '../../core/artwork/tracing/trace-image';
import { plural } from '../../wording/plural';

export const TRACE_START: TraceOptions = { colours: 2, specklePixels: 12, smoothing: 0.5, withoutGround: true };
const SMOOTHINGS = [
  [0, 'every edge'],
  [0.25, 'little'],
  [0.5, 'some'],
  [0.8, 'much'],
  [1, 'very soft'],
] as const;
const SPECKLES = [0, 4, 12, 40, 120, 400];

export function TracePanel({
  options,
  onChange,
}: {
  options: TraceOptions;
  onChange: (options: TraceOptions) => void;
}) {
  const set = (part: Partial<TraceOptions>) => onChange({ ...options, ...part });
  return (
    <section className="sheet" aria-label="Tracing">
      <div className="fields middle">
        <TextField
          select
          label="Traced to"
          value={options.colours}
          onChange={(event) => set({ colours: Number(event.target.value) })}
        >
          {[1, 2, 3, 4, 5, 6, 7, 8].map((count) => (
            <MenuItem key={count} value={count}>
              {plural(count, 'colour')}
            </MenuItem>
          ))}
        </TextField>
        <TextField
          select
          label="Smoothing"
          value={options.smoothing}
          onChange={(event) => set({ smoothing: Number(event.target.value) })}
        >
          {SMOOTHINGS.map(([value, name]) => (
            <MenuItem key={value} value={value}>
              {name}
            </MenuItem>
          ))}
        </TextField>
        <TextField
          select
          label="Dirt is smaller than"
          value={options.specklePixels}
          onChange={(event) => set({ specklePixels: Number(event.target.value) })}
        >
          {SPECKLES.map((pixels) => (
            <MenuItem key={pixels} value={pixels}>
              {pixels === 0 ? 'nothing is dirt' : `${pixels} pixels`}
            </MenuItem>
          ))}
        </TextField>
        <FormControlLabel
          control={<Checkbox checked={options.withoutGround} onChange={(_, withoutGround) => set({ withoutGround })} />}
          label="Leave out the ground"
        />
      </div>
    </section>
  );
}

/** Traces in the worker whenever the picture or its options change. */
export function useTraced(
  picture: Blob | null,
  pictureNumber: number,
  options: TraceOptions,
  onTraced: (svg: string, first: boolean) => void,
): { readonly problem: string | null; readonly asking: Asking } {
  const [state, setState] = useState<{ problem: string | null; of: Blob | null }>({ problem: null, of: null });
  const asking = useLatest(
    picture ? JSON.stringify([pictureNumber, options]) : null,
    100,
    (signal) => traceInWorker(picture!, options, signal),
    (traced) => {
      setState({
        problem: traced.ok ? null : describeTraceProblem(traced.problem),
        of: traced.ok ? picture : state.of,
      });
      if (traced.ok) onTraced(traced.value, state.of !== picture);
    },
  );
  return { problem: state.problem, asking };
}
