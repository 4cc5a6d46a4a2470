// How far an inset lies inside the letters.

import TextField from '@mui/material/TextField';
import MenuItem from '@mui/material/MenuItem';

export function InsetField({
  insetMm,
  onChange,
}: {
  insetMm: number | null;
  onChange: (insetMm: number | null) => void;
}) {
  return (
    <TextField
      select
      label="Smaller by"
      value={insetMm ?? 1.5}
      onChange={(event) => onChange(Number(event.target.value))}
    >
      {[0.5, 0.8, 1, 1.5, 2, 3, 4].map((value) => (
        <MenuItem key={value} value={value}>
          {value} mm
        </MenuItem>
      ))}
    </TextField>
  );
}
