// Trials in words: what a ladder has found, and what to do next.

import type { DesignClass } from '../core/artwork';
import type { BeliefSource, FineResult, LadderRemedy, LadderVerdict, TriedWidth, TrustVerdict } from '../core/trials';
import type { FigureChoice } from '../core/cutting';
import { formatLength, formatShare, type FormatSettings } from '../core/units';
import type { LadderView, TrustRow } from '../views/trials';

/** How fine a design is, as it is told beside a vinyl. */
export const DESIGN_WORDS: Readonly<Record<DesignClass, string>> = {
  bold: 'bold: 3 mm or more',
  medium: '1.5 to 3 mm',
  fine: 'fine: under 1.5 mm',
};

/** The rule behind a verdict. */
export const TRUST_WORDS: Readonly<Record<TrustVerdict, string>> = {
  sell: 'to sell',
  'own use': 'for own use',
  'short-lived': 'stencils, short-lived things',
  no: 'for nothing',
  'not enough known': 'not enough known',
};

/** What was cut at one width, and what of it failed. */
export const describeWidth = ({ widthMm, tries, failures }: TriedWidth, settings: FormatSettings): string =>
  `${formatLength(widthMm, settings)}: ${failures} of ${tries} failed`;

/** Why a vinyl is not bought again without a word; null where nothing bad is known of it. */
export function describeDistrust({ classes }: Pick<TrustRow, 'classes'>): string | null {
  const bad = classes.filter(({ asBought }) => asBought === 'no' || asBought === 'short-lived');
  if (bad.length === 0) return null;
  const told = bad.map(({ design, tries, failures, asBought }) =>
    asBought === 'no'
      ? `${failures} of ${tries} failed (${DESIGN_WORDS[design]})`
      : `it did not last (${DESIGN_WORDS[design]})`,
  );
  return `By your own counts not to be trusted: ${told.join('; ')}.`;
}

const REMEDY_WORDS: Readonly<Record<LadderRemedy, string>> = {
  'second-pass': 'cut each line twice',
  'new-blade': 'fit a new blade, or one of 60° for thick vinyl',
  'lower-blade': 'let the blade stand out less, and see that the strip is level',
  slower: 'cut slower, on a mat that holds',
  'other-vinyl': 'take another vinyl for this work',
};
const listRemedies = (remedies: readonly LadderRemedy[]): string =>
  remedies.map((remedy) => REMEDY_WORDS[remedy]).join('; or ');

/** The verdict of a ladder, in a line. */
export function describeVerdict(verdict: LadderVerdict): string {
  switch (verdict.kind) {
    case 'going-on':
      return 'Not known yet';
    case 'found':
      return `${verdict.forceGrams} g is clean, with room to both sides`;
    case 'tight':
      return `${verdict.forceGrams} g is clean, but tight: a little more or less is not`;
    case 'unsure':
      return verdict.forceGrams === null
        ? 'Nothing came out clean so far'
        : `${verdict.forceGrams} g came out clean; how much room it has is not sure`;
    case 'none':
      return 'No force cuts it clean: it hangs at corners until the backing is marked';
    case 'range-ends':
      return verdict.end === 'most' ? 'The cutter’s most force is not enough' : 'The cutter’s least force is too much';
    default:
      return verdict satisfies never;
  }
}

type LadderNow = Pick<LadderView, 'verdict' | 'nextGrams' | 'setting' | 'fine' | 'cleanSetting' | 'slower' | 'cutNow'>;

/** What to do next, in a sentence. */
export function adviseNext(
  { verdict, nextGrams, setting, fine, cleanSetting, slower, cutNow }: LadderNow,
  settings: FormatSettings,
): string {
  if (cutNow !== null) return `Cut at ${setting.forceGrams} g. Weed it, and say how it came out.`;
  if (verdict.kind === 'none' || verdict.kind === 'range-ends') return `Try this: ${listRemedies(verdict.remedies)}.`;
  if (verdict.kind === 'going-on')
    return nextGrams === null
      ? 'Every force that tells something was tried.'
      : `Cut the figure at ${setting.forceGrams} g.`;
  if (cleanSetting && fine === null) return 'Now one fine design: a vinyl can pass the figure and fail the lace.';
  if (fine === 'clean') return 'The fine design is clean as well: keep the setting under a name.';
  if (fine !== null)
    return slower
      ? `${FINE_WORDS[fine].advice} Try ${slower.speedMmPerS} mm/s, or keep it for bold work only.`
      : `${FINE_WORDS[fine].advice} Keep it for bold work only.`;
  return `Nobody knows well yet: room is likely to ${formatShare('room' in verdict ? verdict.room : 0, settings)}. Go on, or try another speed.`;
}

export const FINE_WORDS: Readonly<Record<FineResult, { readonly name: string; readonly advice: string }>> = {
  clean: { name: 'clean', advice: '' },
  hangs: { name: 'diamonds hang', advice: 'Fine corners are not through.' },
  tears: { name: 'threads tear', advice: 'Threads this thin tear when they are weeded.' },
  lifts: { name: 'lifts while it is cut', advice: 'It comes off its backing while it is cut.' },
};

export const START_WORDS: Readonly<Record<BeliefSource, string>> = {
  own: 'the last setting of this vinyl that was clean, moved on by what the blade has worn since',
  like: 'what was clean on other vinyls of its kind',
  ordinary: 'what is ordinary for its kind: nothing like it was cut yet',
};

export const FIGURE_WORDS: Readonly<Record<FigureChoice, string>> = {
  square: 'square, triangle and circle',
  star: 'star of twelve points',
  bars: 'bars from 0.5 to 4 mm',
  net: 'net of small diamonds',
  own: 'a drawing of yours',
};
