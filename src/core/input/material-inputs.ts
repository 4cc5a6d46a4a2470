// What may be entered of how a vinyl is pressed and made, and where on a blank something can be put.

import * as yup from 'yup';
import {
  CARRIERS,
  COVERS,
  DATUMS,
  DIRECTIONS,
  FABRIC_NAMES,
  FINISHES,
  GRADES,
  OBSTACLE_KINDS,
  RECIPE_SOURCES,
  type OwnPress,
  PEELS,
  PRESSURES,
  type Fabric,
  type Peel,
  type Pressure,
  type PressSetting,
} from '../materials';
import { OWN_HEAT_RANGE } from '../pressing';
import { calendarDay, numberBetween, oneOf, optionalText, orNothing, shortText } from './rules';

export const pressInput = yup.object({
  lowC: numberBetween('Lowest temperature', 60, 260, 'Below it nothing sticks, above it films burn. In °C.'),
  highC: numberBetween('Highest temperature', 60, 260, 'In °C, from the maker’s sheet.').when('lowC', ([low], schema) =>
    schema.min(Number(low) || 60, 'Highest temperature: not below the lowest one.'),
  ),
  seconds: numberBetween('Seconds', 1, 120, 'Vinyl films need a few seconds, never minutes.'),
  pressure: oneOf<Pressure>('Pressure', PRESSURES),
  peel: oneOf<Peel>('Peel', PEELS),
});

export const ownPress = yup.object({
  temperatureC: numberBetween('Temperature', OWN_HEAT_RANGE.leastC, OWN_HEAT_RANGE.mostC, 'In °C.'),
  seconds: numberBetween('Seconds', OWN_HEAT_RANGE.leastSeconds, OWN_HEAT_RANGE.mostSeconds, 'Of the full press.'),
  pressure: oneOf<Pressure>('Pressure', PRESSURES),
  peel: oneOf<Peel>('Peel', PEELS),
  source: oneOf('Source', RECIPE_SOURCES),
  day: calendarDay('Since'),
  note: optionalText('Note', 300),
});

/** By fabric: only names of fabrics, each with what is asked of one. */
const byFabric = <T>(one: yup.AnySchema) =>
  yup.lazy((value: unknown) => {
    const names = Object.keys((value ?? {}) as object).filter((name): name is Fabric =>
      (FABRIC_NAMES as readonly string[]).includes(name),
    );
    return yup
      .object(Object.fromEntries(names.map((name) => [name, one])))
      .noUnknown('On a fabric: choose one that Chiral knows.')
      .default({}) as unknown as yup.Schema<Partial<Record<Fabric, T>>>;
  });

export const detailWidth = (label: string) =>
  orNothing(
    numberBetween(
      label,
      0.1,
      20,
      'In mm, as the maker or your own trial says; empty for what is ordinary of its kind.',
    ),
  );

export const vinylDetails = yup.object({
  thicknessUm: orNothing(numberBetween('Thickness', 20, 3000, 'In µm; heat transfer films have about 80 to 500.')),
  finish: oneOf('Finish', FINISHES),
  direction: oneOf('Direction', DIRECTIONS),
  carrier: oneOf('Carrier', CARRIERS),
  takesLayers: yup.boolean().required(),
  liesOnVinyl: yup.boolean().required(),
  strokeMm: detailWidth('Thinnest stroke'),
  gapMm: detailWidth('Narrowest gap'),
  cover: oneOf('Cover sheet', COVERS),
  pressOn: byFabric<PressSetting>(pressInput),
  ownPress: byFabric<OwnPress>(ownPress),
  warmToWeed: yup.boolean().default(false),
  washNote: optionalText('Washing', 300),
  grade: oneOf('Grade', GRADES),
  gradeNote: optionalText('Why that grade', 200),
  sheetText: optionalText('Maker’s sheet', 8000),
  sheetLink: optionalText('Link to the sheet', 400).matches(
    /^$|^https?:\/\/\S+$/i,
    'Link to the sheet: it begins with http:// or https://, and has no spaces.',
  ),
});

const lengthMm = (label: string, least: number, most: number) => numberBetween(label, least, most, 'In mm.');
const obstacle = yup.object({
  kind: oneOf('In the way', OBSTACLE_KINDS),
  xMm: lengthMm('From the left', -500, 3000),
  yMm: lengthMm('From the top', -500, 3000),
  widthMm: lengthMm('Width', 0.5, 3000),
  heightMm: lengthMm('Height', 0.5, 3000),
});
export const printArea = yup.object({
  name: shortText('Area', 40),
  sizeName: optionalText('Size', 30),
  datum: oneOf('Measured from', DATUMS),
  dropMm: lengthMm('Down from there', -500, 3000),
  widthMm: lengthMm('Area width', 5, 3000),
  heightMm: lengthMm('Area height', 5, 3000),
  obstacles: yup.array(obstacle).max(20, 'In the way: at most 20.').default([]),
  curve: yup
    .object({
      topMm: lengthMm('Diameter at the top', 10, 1000),
      bottomMm: lengthMm('Diameter at the bottom', 10, 1000),
      handleGapMm: lengthMm('Handle', 0, 500),
    })
    .nullable()
    .default(null),
});
