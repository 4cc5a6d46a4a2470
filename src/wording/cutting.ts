// The cutter in words: how vinyl is loaded, why it is tested, how a test came out, what went wrong.

import type { CutSetting, CutterFault, NextTry, TestReason, TestResult, WidthVerdict } from '../core/cutting';
import type { LoadFacts } from '../core/orders';
import { formatLength, type FormatSettings } from '../core/units';
import type { LoadSheetView, SheetCutView } from '../views/load';

export const TEST_REASON_WORDS: Readonly<Record<TestReason, string>> = {
  'new-setting': 'this setting is new for the vinyl',
  'new-lot': 'this lot was never cut',
  'other-blade': 'another blade is fitted since the last test',
  'worn-blade': 'the blade is worn',
};

/** What is seen at the figure. */
export const TEST_RESULT_WORDS: Readonly<Record<TestResult, { readonly name: string; readonly seen: string }>> = {
  shallow: { name: 'not through', seen: 'The square does not lift at all.' },
  hangs: { name: 'hangs at corners', seen: 'It lifts, and tears or hangs at the corners.' },
  clean: { name: 'clean', seen: 'It lifts by itself; the backing shows no line.' },
  marks: { name: 'marks the backing', seen: 'It lifts, and the knife’s line is seen in the backing.' },
  through: { name: 'cuts through', seen: 'The backing comes along, or falls apart.' },
};

const REMEDIES: Readonly<Record<Extract<NextTry, { kind: 'no-room' }>['remedy'], string>> = {
  'second-pass': 'More force does not help. Cut each line twice.',
  'new-blade': 'More force does not help. Fit a new blade, or one of 60° for thick vinyl.',
  'lower-blade': 'Less force does not help. Let the blade stand out less, and see that the strip is level.',
};

/** What to do after the tests so far; null before the first. */
export function describeNextTry(next: NextTry | null): string | null {
  switch (next?.kind) {
    case undefined:
      return null;
    case 'keep':
      return 'Clean: this setting is kept with the vinyl.';
    case 'try':
      return `Try ${next.setting.forceGrams} g next.`;
    case 'no-room':
      return REMEDIES[next.remedy];
  }
}

export const describeSetting = ({ forceGrams, speedMmPerS, passes, bladeDegrees }: CutSetting): string =>
  `${forceGrams} g, ${speedMmPerS} mm/s, ${passes === 1 ? 'once' : passes === 2 ? 'twice' : `${passes} times`}, blade ${bladeDegrees}°`;

/** Which way up it lies, and how to see that it does. */
export function describeSide({ mirrored }: LoadFacts): { readonly what: string; readonly proof: string } {
  if (mirrored === 'some')
    return { what: 'Some pieces are mirrored and some are not', proof: 'Cut them in two loads.' };
  return mirrored === 'all'
    ? { what: 'Carrier down, dull side up', proof: 'The shiny carrier lies on the machine. Letters are cut backwards.' }
    : { what: 'Face up', proof: 'The backing lies on the machine. Letters are cut as you read them.' };
}

/** How it is held, and what room it needs. */
export function describeHold(
  { facts, lot }: Pick<LoadSheetView, 'facts' | 'lot'>,
  settings: FormatSettings,
): readonly string[] {
  const length = (mm: number) => formatLength(mm, settings);
  if (facts.onMat) {
    const behindMm = lot.lengthMm ?? facts.usedLengthMm;
    return [
      'on a mat that holds; it begins at the corner drawn thick',
      behindMm > LONG_MAT_MM ? `room behind the machine: ${length(behindMm)}` : null,
    ].flatMap((words) => words ?? []);
  }
  return [
    'without a mat, a roller on each edge',
    `begins ${length(facts.leadMm)} after the last cut of this roll`,
    facts.usedLengthMm > LONG_MAT_MM ? `unrolled, so that ${length(facts.usedLengthMm)} run freely` : null,
  ].flatMap((words) => words ?? []);
}
/** Longer than this it meets the wall behind most tables. */
const LONG_MAT_MM = 450;

export function describeWidth(
  sheet: Pick<SheetCutView, 'verdict' | 'readWidthMm' | 'expectedWidthMm'>,
  neededMm: number,
  settings: FormatSettings,
): string | null {
  const { verdict, readWidthMm, expectedWidthMm } = sheet;
  if (verdict === null || readWidthMm === null) return null;
  const length = (mm: number) => formatLength(mm, settings);
  const words: Readonly<Record<WidthVerdict, string>> = {
    'as-expected': `${length(readWidthMm)}, as it should be.`,
    wider: `${length(readWidthMm)}, wider than the book said. Kept with the lot.`,
    'narrower-but-enough': `${length(readWidthMm)}, ${length((expectedWidthMm ?? 0) - readWidthMm)} narrower than the book said, and enough: the outermost cut needs ${length(neededMm)}. Kept with the lot.`,
    'too-narrow': `${length(readWidthMm)}: too narrow. The outermost cut needs ${length(neededMm)}.`,
  };
  return words[verdict];
}

/** What happened, and what to do. */
export const FAULT_WORDS: Readonly<Record<CutterFault, { readonly what: string; readonly todo: string }>> = {
  unplugged: {
    what: 'The cutter was gone in the middle of the cut',
    todo: 'See to plug and cable. Leave the vinyl as it lies: then it goes on where it stopped.',
  },
  jammed: {
    what: 'The vinyl is caught',
    todo: 'Lift the rollers, free it without shifting it, and go on. If it moved, give this one up.',
  },
  lifted: {
    what: 'The vinyl lifts off its backing',
    todo: 'Too fast for so thin a film. Press it down, set the speed to 100 mm/s or less, use a tacky mat, and go on.',
  },
  skewed: {
    what: 'It runs off its line',
    todo: 'A long run without a mat wanders. Give this one up, and lay it out in shorter loads or on a mat.',
  },
};
