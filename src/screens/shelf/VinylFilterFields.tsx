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
      <FilterSelect
        label="Kind"
        any="any"
        value={filter.kind}
        onChange={(kind) => set({ kind })}
        options={VINYL_KIND_NAMES.map((kind) => [kind, getKindFacts(kind).label])}
      />
      <FilterSelect
        label="Safe on"
        any="anything"
        value={filter.fabric}
        onChange={(fabric) => set({ fabric })}
        options={FABRIC_NAMES.map((fabric) => [fabric, FABRICS[fabric].label])}
      />
      <FilterSelect
        label="Good enough for"
        any="any use"
        value={filter.grade}
        onChange={(grade) => set({ grade })}
        options={GRADES.filter((grade) => grade !== 'no').map((grade) => [grade, grade])}
      />
      <FormControlLabel
        control={<Checkbox size="small" checked={filter.inStock} onChange={(_, inStock) => set({ inStock })} />}
        label="in stock"
      />
    </div>
  );
}

type FilterSelectProps<T extends string> = {
  readonly label: string;
  /** Said where nothing is chosen. */
  readonly any: string;
  readonly value: T | '';
  readonly onChange: (value: T | '') => void;
  readonly options: readonly (readonly [value: T, label: string])[];
};

function FilterSelect<T extends string>({ label, any, value, onChange, options }: FilterSelectProps<T>) {
  return (
    <TextField
      select
      size="small"
      label={label}
      value={value}
      onChange={(event) => onChange(event.target.value as T | '')}
      slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
    >
      <MenuItem value="">{any}</MenuItem>
      {options.map(([option, name]) => (
        <MenuItem key={option} value={option}>
          {name}
        </MenuItem>
      ))}
    </TextField>
  );
}
