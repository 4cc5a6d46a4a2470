// The lengths of lettering: its size, its tracking, its arc, its inset.

import { type Form, TRACKINGS } from './lettering-form';
import { WidthField } from './WidthField';
import TextField from '@mui/material/TextField';
import MenuItem from '@mui/material/MenuItem';

type LetteringMeasuresProps = {
  readonly form: Form;
  readonly set: (part: Partial<Form>) => void;
};

export function LetteringMeasures({ form, set }: LetteringMeasuresProps) {
  return (
    <div className="fields">
      <WidthField
        label="Height of capitals"
        widthMm={form.capHeightMm}
        onChange={(capHeightMm) => set({ capHeightMm })}
      />
      <TextField
        select
        label="Case"
        value={form.letterCase}
        onChange={(event) => set({ letterCase: event.target.value as Form['letterCase'] })}
      >
        <MenuItem value="as-typed">as typed</MenuItem>
        <MenuItem value="upper">capitals</MenuItem>
        <MenuItem value="lower">small letters</MenuItem>
      </TextField>
      <TextField
        select
        label="Spacing"
        value={form.tracking}
        onChange={(event) => set({ tracking: Number(event.target.value) })}
      >
        {TRACKINGS.map(([value, name]) => (
          <MenuItem key={value} value={value}>
            {name}
          </MenuItem>
        ))}
      </TextField>
      <TextField
        select
        label="Lines"
        value={form.align}
        onChange={(event) => set({ align: event.target.value as Form['align'] })}
      >
        <MenuItem value="left">from the left</MenuItem>
        <MenuItem value="centre">centred</MenuItem>
        <MenuItem value="right">to the right</MenuItem>
      </TextField>
      <TextField
        select
        label="Baseline"
        value={form.curve}
        onChange={(event) => set({ curve: event.target.value as Form['curve'] })}
      >
        <MenuItem value="straight">straight</MenuItem>
        <MenuItem value="up">on an arc, upwards</MenuItem>
        <MenuItem value="down">on an arc, downwards</MenuItem>
      </TextField>
      {form.list && (
        <WidthField label="No wider than" widthMm={form.widestMm} optional onChange={(widestMm) => set({ widestMm })} />
      )}
      {form.curve !== 'straight' && (
        <WidthField label="Radius of the arc" widthMm={form.radiusMm} onChange={(radiusMm) => set({ radiusMm })} />
      )}
    </div>
  );
}
