// What may be entered of a trial.

import * as yup from 'yup';
import {
  FIGURE_RANGE,
  PRESET_USES,
  TEST_FIGURES,
  TEST_RESULTS,
  type PresetUse,
  type TestFigure,
  type TestResult,
} from '../cutting';
import { ENOUGH, FINE_RESULTS, type FineResult } from '../trials';
import { cutSetting } from './cutting-input';
import { numberBetween, oneOf, rowId, shortText } from './rules';

const enough = numberBetween('How sure', 0.5, 0.99, 'A share below 1: 0.8 for four in five.');

export const ladderInput = yup.object({
  vinylId: rowId('Vinyl'),
  lotId: rowId('Lot').nullable().default(null),
  figure: oneOf<TestFigure>('Figure', TEST_FIGURES).default('square'),
  sideMm: numberBetween('Side of the figure', FIGURE_RANGE.leastMm, FIGURE_RANGE.mostMm, 'In mm.').default(
    FIGURE_RANGE.leastMm,
  ),
  enough: enough.default(ENOUGH),
});

export const ladderStepInput = yup.object({
  setting: cutSetting.nullable().default(null),
  result: oneOf<TestResult>('Result', TEST_RESULTS).nullable().optional().default(null),
  fine: oneOf<FineResult>('The fine design', FINE_RESULTS).nullable().optional().default(null),
  enough: enough.nullable().default(null),
  on: yup.boolean().default(false),
});

export const ladderKeepInput = yup.object({
  name: shortText('Name', 60),
  use: oneOf<PresetUse>('For', PRESET_USES),
});
