// The width a drawing is measured at, in the chosen units; null while what stands there is no number.

import InputAdornment from '@mui/material/InputAdornment';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { WIDTH_RANGE_MM } from '../../core/artwork';
import { formatLength, MM_PER_INCH, parseNumber } from '../../core/units';
import { useSettings } from '../shared/settings';

export function WidthField({
  widthMm,
  onChange,
  label = 'Width',
  optional = false,
}: {
  widthMm: number | null;
  onChange: (widthMm: number | null) => void;
  label?: string;
  /** May be left empty. */ optional?: boolean;
}) {
  const settings = useSettings();
  const per = settings.system === 'metric' ? 1 : MM_PER_INCH;
  const [typed, setTyped] = useState<string | null>(null);
  const bad =
    widthMm === null ? !optional || Boolean(typed) : widthMm < WIDTH_RANGE_MM.least || widthMm > WIDTH_RANGE_MM.most;
  return (
    <TextField
      label={label}
      value={typed ?? (widthMm === null ? '' : String(Number((widthMm / per).toFixed(2))))}
      error={bad}
      helperText={
        bad
          ? `From ${formatLength(WIDTH_RANGE_MM.least, settings)} to ${formatLength(WIDTH_RANGE_MM.most, settings)}: from a small bead to the widest roll.`
          : undefined
      }
      slotProps={{
        htmlInput: { inputMode: 'decimal', className: 'figures' },
        input: {
          endAdornment: <InputAdornment position="end">{settings.system === 'metric' ? 'mm' : 'in'}</InputAdornment>,
        },
      }}
      onChange={(event) => {
        setTyped(event.target.value);
        const number = parseNumber(event.target.value);
        onChange(number === null ? null : number * per);
      }}
      onBlur={() => widthMm !== null && setTyped(null)}
    />
  );
}
