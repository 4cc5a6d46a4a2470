// What a list of preparation steps may hold.

import * as yup from 'yup';
import { LAYER_ROLES, STEP_KINDS, WIDTH_RANGE_MM, type PrepStep, type StepAction } from '../artwork';
import { numberBetween } from './rules';

const layerKey = yup.string().required('Layer: choose one.').max(200, 'Layer: its name is too long.');
const lengthMm = (label: string, least: number, most: number) => numberBetween(label, least, most, 'In mm.');
const size = () =>
  numberBetween('Size', WIDTH_RANGE_MM.least, WIDTH_RANGE_MM.most, 'In mm: from a small bead to the widest roll.');

const FIELDS: { readonly [Kind in StepAction['kind']]: Readonly<Record<string, yup.Schema>> } = {
  size: {
    widthMm: size().optional().default(undefined).notRequired(),
    heightMm: size().optional().default(undefined).notRequired(),
    fit: yup.boolean().optional(),
  },
  rotate: { degrees: numberBetween('Turn', -360, 360, 'In degrees.') },
  'outline-strokes': {},
  merge: { layer: layerKey, into: layerKey },
  'leave-out': { layer: layerKey },
  'open-paths': {
    how: yup.mixed().oneOf(['close', 'leave-out', 'stroke'], 'Open paths: close, leave-out or stroke.').required(),
    widthMm: lengthMm('Width of the line', 0.1, 100),
  },
  'remove-doubled': { withinMm: lengthMm('Doubled within', 0.01, 5) },
  'remove-specks': { underMm2: numberBetween('Specks under', 0.01, 10_000, 'In mm².') },
  unite: {},
  offset: { layer: layerKey, byMm: lengthMm('Offset', -200, 200), copy: yup.boolean().required() },
  'knock-out': { lower: layerKey, upper: layerKey, overlapMm: lengthMm('Overlap', 0, 10) },
  negative: { layer: layerKey, marginMm: lengthMm('Margin', 0, 200) },
  registration: { sizeMm: lengthMm('Size of the marks', 1, 50), gapMm: lengthMm('Distance of the marks', 0, 200) },
  'weed-boxes': { layer: layerKey, marginMm: lengthMm('Margin', 0, 100), joinMm: lengthMm('Together within', 0, 200) },
  loose: { layer: layerKey },
  role: {
    layer: layerKey,
    role: yup
      .mixed()
      .oneOf([...LAYER_ROLES], 'Role: worn, stencil, product or guide.')
      .required(),
  },
  split: { layer: layerKey, mostMm: lengthMm('Widest load', 10, 3000), overlapMm: lengthMm('Overlap', 0, 10) },
  'stone-template': {
    layer: layerKey,
    diameterMm: lengthMm('Diameter', 0.5, 50),
    playMm: lengthMm('Play', 0, 5),
    marginMm: lengthMm('Margin', 0, 200),
  },
};

const MOST_STEPS = 60;

export const prepSteps = yup
  .array(
    yup.lazy((value: unknown) => {
      const kind = (value as { kind?: string } | null)?.kind;
      const fields = kind && Object.hasOwn(FIELDS, kind) ? FIELDS[kind as StepAction['kind']] : {};
      return yup.object({
        ...fields,
        kind: yup
          .mixed()
          .oneOf([...STEP_KINDS], 'Step: it is not known here.')
          .required('Step: it is not known here.'),
        on: yup.boolean().required(),
      });
    }),
  )
  .required()
  .max(MOST_STEPS, `Steps: at most ${MOST_STEPS}.`) as unknown as yup.Schema<readonly PrepStep[]>;
