// In a thread: texts in, each as a drawing with its measurement, or why it can't be set.

import { readFileSync } from 'node:fs';
import {
  keyOfLettering,
  makePieceMemory,
  prepareText,
  TYPEFACES,
  type FitProblem,
  type Lettering,
  type LetteringFit,
} from '../../core/artwork';
import { fitLettering } from '../../core/artwork/lettering/fit-lettering';
import { openFont, settleLettering, writeLettering, type LetterFont } from '../../core/artwork/lettering/letter';
import { assert, fail, succeed, type Result } from '../../core/units';
import type { MeasuredFile } from '../../views/artwork';
import { heavyJob } from './heavy-job';
import { findTypefaceFiles } from '../lettering/typeface-file';

export type TextWish = { readonly text: string; readonly lettering: Lettering; readonly smaller: boolean };
export type MeasuredText = {
  readonly key: string;
  readonly svg: string;
  readonly fit: LetteringFit;
  readonly measured: MeasuredFile;
};
export type LetteredText = Result<MeasuredText, FitProblem>;

/** What was measured of the letters so far: a list of names is made of a few of them. */
const letters = makePieceMemory();
/** A text is a few strokes of much the same width. */
const FINE_LOOKS = 300;
const fonts = new Map<string, readonly LetterFont[]>();

/** Its files, one an alphabet, those for English first. */
function getFonts(key: string): readonly LetterFont[] {
  const known = fonts.get(key);
  if (known) return known;
  const typeface = TYPEFACES.find((one) => one.key === key);
  assert(typeface !== undefined, 'a typeface that comes with Chiral', key);
  const own = findTypefaceFiles(typeface).map((file) => openFont(readFileSync(file)));
  fonts.set(key, own);
  return own;
}

export function letterText({ text, lettering, smaller }: TextWish): LetteredText {
  const fitted = fitLettering(text, getFonts(lettering.typeface), lettering, smaller);
  if (!fitted.ok) return fitted;
  const { fit } = fitted.value;
  const artwork = settleLettering(fitted.value.artwork);
  const { svg } = writeLettering(artwork, text.replace(/\s+/g, ' '));
  // Measured as its file would be read. Squeezed or shrunk, its letters are like those of no other text.
  const isPlain = fit.squeezed === 1 && fit.capHeightMm === lettering.capHeightMm;
  const prepared = prepareText(artwork, { memory: isPlain ? letters : null, fineLooks: FINE_LOOKS });
  // Letters that were united are sound outlines: what can't be measured of them has nothing in it.
  if (!prepared.ok) return fail({ kind: 'no-text' });
  return succeed({ key: keyOfLettering(text, lettering, smaller), svg, fit, measured: prepared.value.facts });
}

export default heavyJob((wishes: readonly TextWish[]): readonly LetteredText[] => wishes.map(letterText));
