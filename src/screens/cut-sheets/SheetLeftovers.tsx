// What is left of a sheet once the load is cut: how much of it is kept, and in what shape.

import FormControlLabel from '@mui/material/FormControlLabel';
import Radio from '@mui/material/Radio';
import RadioGroup from '@mui/material/RadioGroup';
import type { Rest } from '../../core/nesting';
import { describeRest } from '../../wording/nesting';
import { useSettings } from '../shared/settings';

export type RestChoice = Rest['kind'] | 'nothing';

export function SheetRest({
  rests,
  chosen,
  onChoose,
}: {
  rests: readonly Rest[];
  chosen: RestChoice;
  onChoose: (kind: RestChoice) => void;
}) {
  const settings = useSettings();
  if (rests.length === 0)
    return (
      <p className="soft" style={{ margin: 0 }}>
        Nothing worth keeping is left of it.
      </p>
    );
  return (
    <RadioGroup
      row
      value={chosen}
      onChange={(_, kind) => onChoose(kind as RestChoice)}
      aria-label="What is kept of what is left"
    >
      <span className="soft" style={{ alignSelf: 'center', marginRight: 12 }}>
        Keep of the rest
      </span>
      {rests.map((rest) => (
        <FormControlLabel
          key={rest.kind}
          value={rest.kind}
          control={<Radio size="small" />}
          label={describeRest(rest, settings)}
        />
      ))}
      <FormControlLabel value="nothing" control={<Radio size="small" />} label="nothing" />
    </RadioGroup>
  );
}
