// A customer's text set into its place: as it is, in two lines, squeezed as far as its item allows, or refused with the
// size that would fit.

import { scaling, transformContour } from '../../geometry';
import { fail, succeed, type Result } from '../../units';
import type { Artwork } from '../artwork';
import { layText, uniteText, type LaidText, type LetterFont, type LetterOptions, type LetterProblem } from './letter';
import type { Lettering, LetteringFit } from './lettering';

/** `capHeightMm`: with which it would fit, squeezed as far as it may be. */
export type FitProblem =
  LetterProblem | { readonly kind: 'too-wide'; readonly widthMm: number; readonly capHeightMm: number };

/** The files of one typeface. */
type Fonts = LetterFont | readonly LetterFont[];

export type FittedText = { readonly artwork: Artwork; readonly fit: LetteringFit };

/**
 * The text as an artwork in mm, with how it came to fit. Problems: nothing to set, letters that the typeface lacks,
 * wider than it may be squeezed. With `smaller`, its capitals shrink until it fits.
 */
export function fitLettering(
  text: string,
  fonts: Fonts,
  lettering: Lettering,
  smaller = false,
): Result<FittedText, FitProblem> {
  const set = (typed: string, capHeightMm: number) => layText(typed, fonts, readOptions({ ...lettering, capHeightMm }));
  const finish = ({ laid, text: typed }: SetText, squeezed: number, capHeightMm: number) =>
    finishText(uniteText(laid, readOptions({ ...lettering, capHeightMm })), {
      widthMm: laid.widthMm * squeezed,
      heightMm: laid.heightMm,
      squeezed,
      capHeightMm,
      lines: typed.split('\n').length,
    });
  const whole = set(text, lettering.capHeightMm);
  if (!whole.ok) return whole;
  const broken = whole.value.widthMm > lettering.widestMm ? breakText(text, lettering, set) : null;
  const best = broken ?? { text, laid: whole.value };
  const squeezed = Math.min(1, lettering.widestMm / best.laid.widthMm);
  if (squeezed >= lettering.squeezeTo) return finish(best, squeezed, lettering.capHeightMm);
  // Letters shrink evenly, so the size that fits follows from how much too wide it is; a hair less for rounding.
  const capHeightMm = Math.floor(((lettering.capHeightMm * squeezed) / lettering.squeezeTo) * 10) / 10;
  if (!smaller) return fail({ kind: 'too-wide', widthMm: best.laid.widthMm, capHeightMm });
  const small = set(best.text, capHeightMm);
  if (!small.ok) return small;
  const left = Math.min(1, lettering.widestMm / small.value.widthMm);
  return finish({ text: best.text, laid: small.value }, left, capHeightMm);
}

type SetText = { readonly text: string; readonly laid: LaidText };

function readOptions(lettering: Lettering): LetterOptions {
  const { capHeightMm, tracking, letterCase, arcRadiusMm, insetMm, overlapMm } = lettering;
  return {
    capHeightMm,
    tracking,
    letterCase,
    ...(arcRadiusMm === null ? {} : { arcRadiusMm }),
    ...(insetMm === null ? {} : { insetMm }),
    ...(typeof overlapMm === 'number' ? { overlapMm } : {}),
  };
}

/** In two lines, where that is allowed and narrower: broken at the space that leaves the narrower longest line. */
function breakText(
  text: string,
  { mostLines, capHeightMm }: Lettering,
  set: (text: string, capHeightMm: number) => Result<LaidText, LetterProblem>,
): SetText | null {
  if (mostLines < 2 || text.includes('\n')) return null;
  const words = text.split(' ');
  const ways = words.slice(1).flatMap((_, at) => {
    const broken = `${words.slice(0, at + 1).join(' ')}\n${words.slice(at + 1).join(' ')}`;
    const answer = set(broken, capHeightMm);
    return answer.ok ? [{ text: broken, laid: answer.value }] : [];
  });
  return ways.sort((a, b) => a.laid.widthMm - b.laid.widthMm)[0] ?? null;
}

const finishText = (artwork: Result<Artwork, LetterProblem>, fit: LetteringFit): Result<FittedText, LetterProblem> =>
  artwork.ok
    ? succeed({ artwork: fit.squeezed === 1 ? artwork.value : squeeze(artwork.value, fit.squeezed), fit })
    : artwork;

const squeeze = (artwork: Artwork, share: number): Artwork => ({
  ...artwork,
  layers: artwork.layers.map((layer) => ({
    ...layer,
    shapes: layer.shapes.map((shape) => ({
      ...shape,
      contours: shape.contours.map((contour) => transformContour(contour, scaling(share, 1))),
    })),
  })),
});
