// What may be said of a sheet at the cutter.

import * as yup from 'yup';
import { BLADE_ANGLES, SETTING_RANGE, TEST_RESULTS, type BladeAngle, type TestResult } from '../cutting';
import { numberBetween, oneOf, wholeBetween } from './rules';

const { forceGrams, speedMmPerS, passes } = SETTING_RANGE;
const setting = yup.object({
  forceGrams: numberBetween('Force', forceGrams.least, forceGrams.most, 'In grams.').required(),
  speedMmPerS: numberBetween('Speed', speedMmPerS.least, speedMmPerS.most, 'In mm a second.').required(),
  passes: wholeBetween('Passes', passes.least, passes.most, 'How often each line is cut.').required(),
  bladeDegrees: yup
    .number<BladeAngle>()
    .oneOf([...BLADE_ANGLES], `Blade: ${BLADE_ANGLES.join('°, ')}°.`)
    .required('Blade: say its angle.'),
});

export const cutStepInput = yup.object({
  sheet: wholeBetween('Sheet', 0, 1000, 'Counted from 0.').required(),
  /** Read off by hand; null where the machine senses it. */
  widthMm: numberBetween('Width', 10, 5000, 'In mm.').nullable().default(null),
  setting: setting.nullable().default(null),
  result: oneOf<TestResult>('Result', TEST_RESULTS).nullable().optional().default(null),
  untested: yup.boolean().default(false),
});

export const cutterInput = yup.object({
  choice: oneOf<'none' | 'simulated'>('Cutter', ['none', 'simulated']).optional().default(undefined),
  trick: oneOf<'pace-1' | 'pace-60' | 'unplug' | 'plug-in' | 'jam'>('Trick', [
    'pace-1',
    'pace-60',
    'unplug',
    'plug-in',
    'jam',
  ])
    .optional()
    .default(undefined),
});
