// How large the drawing is: by width, by height, or to fit a print area.

import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { SizeBy, SizeWish } from './desk-state';
import { WidthField } from './WidthField';

export function SizeFields({
  size,
  measured,
  onChange,
}: {
  size: SizeWish;
  measured: { widthMm: number; heightMm: number } | null;
  onChange: (size: SizeWish) => void;
}) {
  const round = (lengthMm: number | undefined) => (lengthMm === undefined ? null : Math.round(lengthMm * 10) / 10);
  const choose = (by: SizeBy) =>
    onChange({
      by,
      widthMm: by === 'height' ? null : (size.widthMm ?? round(measured?.widthMm)),
      heightMm: by === 'width' ? null : (size.heightMm ?? round(measured?.heightMm)),
    });
  return (
    <div style={{ gridTemplateColumns: size.by === 'fit' ? '1.2fr 1fr 1fr' : '1.2fr 2fr' }} className="grid gap-4">
      <TextField select label="Size by" value={size.by} onChange={(event) => choose(event.target.value as SizeBy)}>
        <MenuItem value="width">width</MenuItem>
        <MenuItem value="height">height</MenuItem>
        <MenuItem value="fit">print area</MenuItem>
      </TextField>
      {size.by !== 'height' && (
        <WidthField widthMm={size.widthMm} onChange={(widthMm) => onChange({ ...size, widthMm })} />
      )}
      {size.by !== 'width' && (
        <WidthField label="Height" widthMm={size.heightMm} onChange={(heightMm) => onChange({ ...size, heightMm })} />
      )}
    </div>
  );
}
