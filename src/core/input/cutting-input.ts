// What may be said of a sheet at the cutter.

import * as yup from 'yup';
import { BLADE_ANGLES, SETTING_RANGE, TEST_RESULTS, type BladeAngle, type TestResult } from '../cutting';
import { numberBetween, oneOf, rowId, wholeBetween } from './rules';

const { forceGrams, speedMmPerS, passes } = SETTING_RANGE;
export const cutSetting = yup.object({
  forceGrams: numberBetween('Force', forceGrams.least, forceGrams.most, 'In grams.').required(),
  speedMmPerS: numberBetween('Speed', speedMmPerS.least, speedMmPerS.most, 'In mm a second.').required(),
  passes: wholeBetween('Passes', passes.least, passes.most, 'How often each line is cut.').required(),
  bladeDegrees: yup
    .number<BladeAngle>()
    .oneOf([...BLADE_ANGLES], `Blade: ${BLADE_ANGLES.join('°, ')}°.`)
    .required('Blade: say its angle.'),
});

/** With which setting a vinyl is cut without a saved load. */
export const handSettingInput = yup.object({ vinylId: rowId('Vinyl'), setting: cutSetting.required() });

export const cutStepInput = yup.object({
  sheet: wholeBetween('Sheet', 0, 1000, 'Counted from 0.').required(),
  /** Read off by hand; null where the machine senses it. */
  widthMm: numberBetween('Width', 10, 5000, 'In mm.').nullable().default(null),
  setting: cutSetting.nullable().default(null),
  result: oneOf<TestResult>('Result', TEST_RESULTS).nullable().optional().default(null),
  untested: yup.boolean().default(false),
});

const choice = oneOf<'none' | 'simulated'>('Machine', ['none', 'simulated']).optional().default(undefined);
const trickOf = <T extends string>(tricks: readonly T[]) => oneOf<T>('Trick', tricks).optional().default(undefined);

export const cutterInput = yup.object({
  choice,
  trick: trickOf(['pace-1', 'pace-60', 'unplug', 'plug-in', 'jam']),
});

export const pressInput = yup.object({
  choice,
  trick: trickOf(['blind', 'see']),
  /** °C. */
  heatTo: numberBetween('Heat', 30, 230, 'In °C.').optional().default(undefined),
  act: trickOf(['close', 'open', 'off']),
});
