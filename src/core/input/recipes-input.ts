// What may be entered of recipes: the shop's own way to press, and what was seen of it since.

import * as yup from 'yup';
import { PRESET_USES, type PresetUse } from '../cutting';
import { FABRIC_NAMES, type Fabric } from '../materials';
import { LOOK_KINDS } from '../pressing';
import { cutSetting } from './cutting-input';
import { ownPress } from './material-inputs';
import { calendarDay, oneOf, optionalText, rowId, shortText, wholeBetween } from './rules';

const fabric = oneOf<Fabric>('On', FABRIC_NAMES);

/** `own` null: pressed as its maker says again. */
export const recipeChange = yup.object({ vinylId: rowId('Vinyl'), fabric, own: ownPress.nullable().defined() });

export const lookInput = yup.object({
  vinylId: rowId('Vinyl'),
  fabric,
  kind: oneOf('What was seen', LOOK_KINDS),
  pieces: wholeBetween('Pieces', 1, 10_000, 'So many were looked at, and looked alike.'),
  washes: wholeBetween('Washes', 0, 1000, 'So often they had been washed by then; 0 where nobody knows.'),
  day: calendarDay('Seen on'),
  note: optionalText('Note', 300),
});

/** A setting of the cutter under a name. */
export const presetInput = yup.object({
  vinylId: rowId('Vinyl'),
  name: shortText('Name', 60),
  use: oneOf<PresetUse>('For', PRESET_USES),
  setting: cutSetting,
});
