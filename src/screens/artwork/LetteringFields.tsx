// What is written, in which typeface, how large and on which line.

import type { Form } from './lettering-form';
import { type Typeface, TYPEFACES } from '../../core/artwork';
import TextField from '@mui/material/TextField';
import { MOST_NAMES } from './NameList';
import FormControlLabel from '@mui/material/FormControlLabel';
import Checkbox from '@mui/material/Checkbox';
import MenuItem from '@mui/material/MenuItem';
import { InsetField } from './InsetField';
import { LetteringMeasures } from './LetteringMeasures';

type LetteringFieldsProps = {
  readonly form: Form;
  readonly set: (part: Partial<Form>) => void;
  readonly face: Typeface;
};

export function LetteringFields({ form, set, face }: LetteringFieldsProps) {
  return (
    <section className="sheet cols" aria-label="What it says">
      <TextField
        label="Words"
        value={form.text}
        onChange={(event) => set({ text: event.target.value })}
        multiline
        minRows={2}
        maxRows={form.list ? 12 : 6}
        autoFocus
        slotProps={{ htmlInput: { maxLength: form.list ? 12_000 : 400 } }}
        helperText={form.list ? `Each line is a piece of its own; ${MOST_NAMES} at most.` : 'A new line starts below.'}
      />
      <FormControlLabel
        control={<Checkbox checked={form.list} onChange={(_, list) => set({ list })} />}
        label="A list of names: each line a drawing of its own"
      />
      <TextField
        select
        label="Typeface"
        value={form.typeface}
        onChange={(event) => set({ typeface: event.target.value })}
        helperText={`${face.kind}; ${face.licence}`}
      >
        {TYPEFACES.map((option) => (
          <MenuItem key={option.key} value={option.key}>
            {option.name}&ensp;<span className="soft">{option.kind}</span>
          </MenuItem>
        ))}
      </TextField>
      <LetteringMeasures form={form} set={set} />
      <FormControlLabel
        control={<Checkbox checked={form.pair} onChange={(_, pair) => set({ pair })} />}
        label="A second colour inside, smaller all round"
      />
      {form.pair && <InsetField insetMm={form.insetMm} onChange={(insetMm) => set({ insetMm })} />}
    </section>
  );
}
