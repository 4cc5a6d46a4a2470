// What is left of a sheet once the load is cut: how much of it is saved, and in what shape.

import FormControlLabel from '@mui/material/FormControlLabel';
import Radio from '@mui/material/Radio';
import RadioGroup from '@mui/material/RadioGroup';
import type { Leftover } from '../../core/nesting';
import type { LeftoverChoice } from '../../core/orders';
import { describeLeftover } from '../../wording/nesting';
import { useSettings } from './settings';

export function SheetLeftovers({
  leftovers,
  chosen,
  onChoose,
}: {
  leftovers: readonly Leftover[];
  chosen: LeftoverChoice;
  onChoose: (kind: LeftoverChoice) => void;
}) {
  const settings = useSettings();
  if (leftovers.length === 0) return <p className="soft flat">Nothing worth saving is left of it.</p>;
  return (
    <RadioGroup
      row
      value={chosen}
      onChange={(_, kind) => onChoose(kind as LeftoverChoice)}
      aria-label="What is saved of what is left"
    >
      <span className="soft label">Save of what is left</span>
      {leftovers.map((leftover) => (
        <FormControlLabel
          key={leftover.kind}
          value={leftover.kind}
          control={<Radio size="small" />}
          label={describeLeftover(leftover, settings)}
        />
      ))}
      <FormControlLabel value="nothing" control={<Radio size="small" />} label="nothing" />
    </RadioGroup>
  );
}
