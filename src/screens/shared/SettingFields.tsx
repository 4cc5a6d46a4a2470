// With what the knife goes over the vinyl: force, speed, passes, and the blade that is fitted.

import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { BLADE_ANGLES, SETTING_RANGE, type BladeAngle, type CutSetting } from '../../core/cutting';
import { NumberInput } from './NumberInput';

type Props = { readonly setting: CutSetting; readonly onSetting: (setting: CutSetting) => void };

export function SettingFields({ setting, onSetting }: Props) {
  const { forceGrams, speedMmPerS, passes, bladeDegrees } = setting;
  const field = (key: 'forceGrams' | 'speedMmPerS' | 'passes', label: string, unit: string, value: number) => (
    <NumberInput
      shown
      whole
      label={label}
      unit={unit}
      value={value}
      least={SETTING_RANGE[key].least}
      onChange={(number) => onSetting({ ...setting, [key]: Math.min(number, SETTING_RANGE[key].most) })}
    />
  );
  return (
    <div className="setting-fields above-3" role="group" aria-label="Setting">
      {field('forceGrams', 'Force', 'g', forceGrams)}
      {field('speedMmPerS', 'Speed', 'mm/s', speedMmPerS)}
      {field('passes', 'Passes', 'times', passes)}
      <TextField
        select
        size="small"
        label="Blade"
        value={bladeDegrees}
        onChange={(event) => onSetting({ ...setting, bladeDegrees: Number(event.target.value) as BladeAngle })}
      >
        {BLADE_ANGLES.map((degrees) => (
          <MenuItem key={degrees} value={degrees}>
            {degrees}°
          </MenuItem>
        ))}
      </TextField>
    </div>
  );
}
