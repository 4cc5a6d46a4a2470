// How a load is held, and what is drawn beside its pieces.

import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { Inside, Marks, WeedLines } from '../../core/nesting';
import type { Hold } from '../../core/orders';
import { NumberInput } from '../shared/NumberInput';
import type { Setup } from './cut-load';

const HOLDS: Readonly<Record<Hold, string>> = {
  suited: 'rolls free, else a mat',
  mat: 'on a mat',
  free: 'without a mat',
};
const INSIDE: Readonly<Record<Inside, string>> = {
  nothing: 'apart from one another',
  bays: 'into bays',
  holes: 'into bays and holes',
};
const WEED_LINES: Readonly<Record<WeedLines, string>> = {
  none: 'none',
  each: 'round each piece',
  all: 'a box round all',
};
const TOOLS: Readonly<Record<Marks['tool'], string>> = { pen: 'a pen', knife: 'the knife' };

export function LoadSetup({ setup, onChange }: { setup: Setup; onChange: (setup: Setup) => void }) {
  const { marks } = setup;
  const mark = (part: Partial<Marks>) => onChange({ ...setup, marks: { ...marks, ...part } });
  const choose = <T extends string>(
    label: string,
    value: T,
    words: Readonly<Record<T, string>>,
    onChoose: (value: T) => void,
  ) => (
    <TextField select size="small" label={label} value={value} onChange={(event) => onChoose(event.target.value as T)}>
      {(Object.keys(words) as T[]).map((key) => (
        <MenuItem key={key} value={key}>
          {words[key]}
        </MenuItem>
      ))}
    </TextField>
  );
  const tick = (label: string, key: 'corners' | 'trim' | 'tags') => (
    <FormControlLabel
      control={<Checkbox size="small" checked={marks[key]} onChange={(_, on) => mark({ [key]: on })} />}
      label={label}
    />
  );
  return (
    <>
      <div className="fields load-setup">
        <NumberInput
          shown
          label="Gap"
          unit="mm"
          value={setup.gapMm}
          onChange={(gapMm) => onChange({ ...setup, gapMm })}
        />
        {choose('Held', setup.hold, HOLDS, (hold) => onChange({ ...setup, hold }))}
        {choose('Pieces lie', setup.inside, INSIDE, (inside) => onChange({ ...setup, inside }))}
        {choose('Weed lines', marks.weed, WEED_LINES, (weed) => mark({ weed }))}
        {choose('Tags and corners by', marks.tool, TOOLS, (tool) => mark({ tool }))}
      </div>
      <div className="readings">
        {tick('Order and piece beside each', 'tags')}
        {tick('Corner marks, to load it again', 'corners')}
        {tick('Cut it off the roll', 'trim')}
      </div>
    </>
  );
}
