// What may be entered of a plan to begin.

import * as yup from 'yup';
import { KIT_CLASSES, KIT_NEEDS, type KitNeed } from '../planning';
import { money, numberBetween, oneOf, rowId, shortText, wholeBetween } from './rules';

/** 0 for a plan that was never kept. */
export const planVersion = yup.object({ version: yup.number().required().integer().min(0) });
const need = oneOf<KitNeed>('Needed', KIT_NEEDS);
export const planInput = yup.object({
  options: yup
    .array(
      yup.object({
        name: shortText('Name', 80),
        price: money('Price'),
        used: yup.boolean().required(),
        grade: yup
          .number()
          .oneOf([...KIT_CLASSES], 'Class: 1, 2 or 3.')
          .required(),
        widthMm: numberBetween('Cuts so wide', 20, 5000, 'In mm; empty where it is not known.')
          .nullable()
          .default(null),
        covers: yup.array(need).required().min(1, 'It brings: at least one thing.'),
      }),
    )
    .required()
    .max(60, 'Options: at most 60.'),
  needs: yup.array(need).required().min(1, 'Needed: at least one thing.'),
  cap: money('Budget'),
  reserve: money('To be left'),
  chosen: yup
    .array(wholeBetween('Chosen', 0, 59, 'By its place in the list.'))
    .nullable()
    .defined(),
  hoursPerWeek: numberBetween('Hours a week', 0.5, 100, 'That you have for it.'),
  mix: yup
    .array(
      yup.object({
        itemId: rowId('Item'),
        perWeek: numberBetween('Sold a week', 0, 1000, 'On average; a piece every other week is 0.5.'),
      }),
    )
    .required()
    .max(200, 'Items: at most 200.'),
});
