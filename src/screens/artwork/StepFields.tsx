// The lengths and angles of one step, to be changed later.

import { useState } from 'react';
import InputAdornment from '@mui/material/InputAdornment';
import TextField from '@mui/material/TextField';
import type { StepAction } from '../../core/artwork';
import { MM_PER_INCH, parseNumber } from '../../core/units';
import { useSettings } from '../shared/settings';

const LABELS: Readonly<Record<string, string>> = {
  degrees: 'Turn by',
  widthMm: 'Width of the line',
  withinMm: 'Doubled within',
  underMm2: 'Smaller than',
  byMm: 'By',
  overlapMm: 'Overlap',
  marginMm: 'Margin',
  sizeMm: 'Size of a mark',
  gapMm: 'Distance from the design',
  joinMm: 'Together when nearer than',
  diameterMm: 'Diameter',
  playMm: 'Hole larger by',
};

export function StepFields({ step, onChange }: { step: StepAction; onChange: (step: StepAction) => void }) {
  const keys = Object.keys(step).filter((key) => key in LABELS);
  if (keys.length === 0) return <p className="soft step-note">Nothing to set.</p>;
  return (
    <div className="fields step-body">
      {keys.map((key) => (
        <StepNumber
          key={key}
          name={key}
          value={(step as unknown as Record<string, number>)[key]!}
          onChange={(value) => onChange({ ...step, [key]: value })}
        />
      ))}
    </div>
  );
}

function StepNumber({ name, value, onChange }: { name: string; value: number; onChange: (value: number) => void }) {
  const { system } = useSettings();
  const unit = name === 'degrees' ? '°' : name === 'underMm2' ? 'mm²' : system === 'metric' ? 'mm' : 'in';
  const per = unit === 'in' ? MM_PER_INCH : 1;
  const [typed, setTyped] = useState<string | null>(null);
  const bad = typed !== null && parseNumber(typed) === null;
  return (
    <TextField
      size="small"
      label={LABELS[name]}
      value={typed ?? String(Number((value / per).toFixed(3)))}
      error={bad}
      helperText={bad ? 'Write a number.' : undefined}
      slotProps={{
        htmlInput: { inputMode: 'decimal', className: 'figures' },
        input: { endAdornment: <InputAdornment position="end">{unit}</InputAdornment> },
      }}
      onChange={(event) => {
        setTyped(event.target.value);
        const number = parseNumber(event.target.value);
        if (number !== null) onChange(number * per);
      }}
      onBlur={() => !bad && setTyped(null)}
    />
  );
}
