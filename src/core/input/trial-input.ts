// What may be entered of a trial.

import * as yup from 'yup';
import { WIDTH_RANGE_MM } from '../artwork';
import {
  FIGURE_CHOICES,
  FIGURE_RANGE,
  PRESET_USES,
  TEST_RESULTS,
  type FigureChoice,
  type PresetUse,
  type TestResult,
} from '../cutting';
import { FABRIC_NAMES, type Fabric } from '../materials';
import { LOOK_KINDS, type LookKind } from '../pressing';
import { LOOK_REASONS, type LookReason } from '../scheduling';
import {
  BACKINGS,
  CANDIDATES,
  ENOUGH,
  FINE_RESULTS,
  LIFTS,
  RESIDUES,
  SIDE_AXES,
  SIDE_CLOCKS,
  STICKS,
  type Backing,
  type FineResult,
  type Lift,
  type Residue,
  type SideAxis,
  type SideClock,
  type Stick,
} from '../trials';
import { cutSetting } from './cutting-input';
import { detailWidth } from './material-inputs';
import { calendarDay, numberBetween, oneOf, optionalText, rowId, shortText, wholeBetween } from './rules';

const enough = numberBetween('How sure', 0.5, 0.99, 'A share below 1: 0.8 for four in five.');

export const ladderInput = yup.object({
  vinylId: rowId('Vinyl'),
  lotId: rowId('Lot').nullable().default(null),
  figure: oneOf<FigureChoice>('Figure', FIGURE_CHOICES).default('square'),
  /** The drawing that is the figure, where it is one's own. */
  artworkId: rowId('Drawing').nullable().default(null),
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

/** What a vinyl holds from now on; null: what its kind ordinarily holds. */
export const floorInput = yup.object({
  strokeMm: detailWidth('Thinnest stroke'),
  gapMm: detailWidth('Narrowest gap'),
});

export const ladderKeepInput = yup.object({
  name: shortText('Name', 60),
  use: oneOf<PresetUse>('For', PRESET_USES),
});

const candidate = yup.object({
  vinylId: rowId('Vinyl'),
  lotId: rowId('Lot').nullable().default(null),
  label: optionalText('What differs', 60),
});

export const sideInput = yup
  .object({
    name: shortText('Name', 80),
    axis: oneOf<SideAxis>('What differs', SIDE_AXES),
    artworkId: rowId('Drawing'),
    widthMm: numberBetween('Width', WIDTH_RANGE_MM.least, WIDTH_RANGE_MM.most, 'In mm.'),
    pieces: wholeBetween('Pieces', 1, 500, 'So many are made with each.'),
    fabric: oneOf<Fabric>('On', FABRIC_NAMES),
    candidates: yup
      .array(candidate.required())
      .required()
      .min(CANDIDATES.least, 'Two at least stand side by side.')
      .max(CANDIDATES.most, 'Six at most: more are hard to keep apart at the bench.'),
  })
  .test('apart', 'Two of them are the same: nothing would tell them apart.', ({ axis, candidates }) => {
    const keys = candidates.map(({ vinylId, lotId, label }) =>
      axis === 'vinyl' ? `${vinylId} ${lotId}` : (label ?? '').trim().toLowerCase(),
    );
    return new Set(keys).size === keys.length;
  })
  .test(
    'named',
    'Write what each of them is.',
    ({ axis, candidates }) => axis === 'vinyl' || candidates.every(({ label }) => (label ?? '').trim() !== ''),
  );

const seconds = (label: string) => numberBetween(label, 0, 86_400, 'A day at most.').nullable().default(null);

export const sideSheetInput = yup.object({
  cutSeconds: seconds('Cutting'),
  weedSeconds: seconds('Weeding'),
  lost: wholeBetween('Lost', 0, 500, 'Not more than were made.'),
  backing: oneOf<Backing>('Backing', BACKINGS).nullable().optional().default(null),
  lift: oneOf<Lift>('Off the tape', LIFTS).nullable().optional().default(null),
  stick: oneOf<Stick>('Sticks', STICKS).nullable().optional().default(null),
  residue: oneOf<Residue>('On the mat', RESIDUES).nullable().optional().default(null),
  note: optionalText('Note', 500),
});

export const sideClockInput = yup.object({ clock: oneOf<SideClock>('Clock', SIDE_CLOCKS).nullable().default(null) });

/** Of an order or of a candidate, on these days. */
export const laterInput = yup.object({
  orderId: rowId('Order').nullable().default(null),
  candidateId: rowId('Candidate').nullable().default(null),
  looks: yup
    .array(
      yup
        .object({
          reason: oneOf<LookReason>('Why', LOOK_REASONS),
          washes: wholeBetween('Washes', 0, 1000, 'So often it is washed by then.'),
          dueDay: calendarDay('On'),
        })
        .required(),
    )
    .required()
    .min(1, 'Choose when to look.')
    .max(12, 'Twelve looks at most.'),
});

export const seenInput = yup.object({
  kind: oneOf<LookKind>('What was seen', LOOK_KINDS),
  note: optionalText('Note', 300),
});
