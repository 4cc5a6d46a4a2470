// Which column of a list something stands in.

import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';

type Props = {
  readonly label: string;
  readonly columns: readonly string[];
  readonly value: number | null;
  readonly onChange: (column: number | null) => void;
};

export function ColumnChoice({ label, columns, value, onChange }: Props) {
  return (
    <TextField
      select
      size="small"
      label={label}
      value={value ?? ''}
      onChange={(event) => onChange(event.target.value === '' ? null : Number(event.target.value))}
      slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
    >
      <MenuItem value="">not in the list</MenuItem>
      {columns.map((name, at) => (
        <MenuItem key={at} value={at}>
          {name}
        </MenuItem>
      ))}
    </TextField>
  );
}
