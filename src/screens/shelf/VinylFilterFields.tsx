// What the vinyls of the shelf are looked through by.

import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { FABRIC_NAMES, FABRICS, getKindFacts, GRADES, VINYL_KIND_NAMES, type VinylFilter } from '../../core/materials';

export function VinylFilterFields({
  filter,
  onChange,
}: {
  filter: VinylFilter;
  onChange: (filter: VinylFilter) => void;
}) {
  const set = (part: Partial<VinylFilter>) => onChange({ ...filter, ...part });
  return (
    <div className="fields pad-top-4 pad-right-5 pad-bottom-4 pad-left-5 middle vinyl-filter">
      <TextField
        size="small"
        label="Search name, colour or supplier"
        value={filter.words}
        onChange={(event) => set({ words: event.target.value })}
      />
      <TextField
        select
        size="small"
        label="Kind"
        value={filter.kind}
        onChange={(event) => set({ kind: event.target.value as VinylFilter['kind'] })}
        slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
      >
        <MenuItem value="">any</MenuItem>
        {VINYL_KIND_NAMES.map((kind) => (
          <MenuItem key={kind} value={kind}>
            {getKindFacts(kind).label}
          </MenuItem>
        ))}
      </TextField>
      <TextField
        select
        size="small"
        label="Safe on"
        value={filter.fabric}
        onChange={(event) => set({ fabric: event.target.value as VinylFilter['fabric'] })}
        slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
      >
        <MenuItem value="">anything</MenuItem>
        {FABRIC_NAMES.map((fabric) => (
          <MenuItem key={fabric} value={fabric}>
            {FABRICS[fabric].label}
          </MenuItem>
        ))}
      </TextField>
      <TextField
        select
        size="small"
        label="Good enough for"
        value={filter.grade}
        onChange={(event) => set({ grade: event.target.value as VinylFilter['grade'] })}
        slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
      >
        <MenuItem value="">any use</MenuItem>
        {GRADES.filter((grade) => grade !== 'no').map((grade) => (
          <MenuItem key={grade} value={grade}>
            {grade}
          </MenuItem>
        ))}
      </TextField>
      <FormControlLabel
        control={<Checkbox size="small" checked={filter.inStock} onChange={(_, inStock) => set({ inStock })} />}
        label="in stock"
      />
    </div>
  );
}
