// What may be entered of how an item is pressed.

import * as yup from 'yup';
import {
  COVER_SCHOOLS,
  LAYER_SCHOOLS,
  OWN_HEAT_RANGE,
  PEEL_SCHOOLS,
  PLAIN_RECIPE,
  PRESS_TOOLS,
  type CoverSchool,
  type LayerSchool,
  type PeelSchool,
  type PressTool,
} from '../pressing';
import { numberBetween, oneOf } from './rules';

const { leastC, mostC, leastSeconds, mostSeconds } = OWN_HEAT_RANGE;

export const recipeInput = yup
  .object({
    cover: oneOf<CoverSchool>('Cover', COVER_SCHOOLS).default(PLAIN_RECIPE.cover),
    layers: oneOf<LayerSchool>('Layers', LAYER_SCHOOLS).default(PLAIN_RECIPE.layers),
    peel: oneOf<PeelSchool>('Peel', PEEL_SCHOOLS).default(PLAIN_RECIPE.peel),
    tool: oneOf<PressTool>('Pressed with', PRESS_TOOLS).default(PLAIN_RECIPE.tool),
    ownHeat: yup
      .object({
        temperatureC: numberBetween('Own heat', leastC, mostC, 'In °C.').required('Own heat: say how hot.'),
        seconds: numberBetween('Own dwell', leastSeconds, mostSeconds, 'In seconds.').required(
          'Own dwell: say how long.',
        ),
      })
      .nullable()
      .default(null),
  })
  .default(() => ({ ...PLAIN_RECIPE }));
