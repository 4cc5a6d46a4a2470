// Texts measured letter by letter, from what is known of other texts, are what they are measured as drawings.

import { readFileSync, readdirSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { fitLettering } from './lettering/fit-lettering';
import { openFont, settleLettering, writeLettering } from './lettering/letter';
import { PLAIN_LETTERING } from './lettering/lettering';
import type { Artwork } from './artwork';
import { makePieceMemory, type ThinnessOptions } from './measure-thinness';
import { prepareFile, prepareText } from './prepare-file';

const TEXTS = ['HEDGEROW', 'WEDGE', 'ROWED', 'Quillfeather', 'Barrow 18', 'o.O', 'VAVA', 'feather', '8', 'Île'];
/** Upright, joined script, and with bridges. */
const TYPEFACES = ['oswald', 'pacifico', 'stardos-stencil'];
const LETTERING = { ...PLAIN_LETTERING, capHeightMm: 24, widestMm: 600, letterCase: 'as-typed' as const };

function openFonts(typeface: string) {
  const folder = `node_modules/@fontsource/${typeface}/files`;
  const file = readdirSync(folder).find((name) => /-latin-\d+-normal\.woff2$/.test(name))!;
  return [openFont(readFileSync(`${folder}/${file}`))];
}

/** As its file is measured by whoever opens it. */
function measureFile(artwork: Artwork) {
  const prepared = prepareFile(writeLettering(artwork, 'text').svg, [], null);
  if (!prepared.ok) throw new Error(prepared.problem.kind);
  return prepared.value.facts;
}

/** As it is measured when it is set. */
function measureText(artwork: Artwork, options: ThinnessOptions) {
  const prepared = prepareText(artwork, options);
  if (!prepared.ok) throw new Error(prepared.problem.kind);
  return prepared.value.facts;
}

/** To the nanometre: a number may come out of its file with another last digit. */
const rounded = (facts: object): string =>
  JSON.stringify(facts, (_, value: unknown) => (typeof value === 'number' ? value.toFixed(6) : value));

describe.each(TYPEFACES)('texts in %s', (typeface) => {
  const fonts = openFonts(typeface);
  const texts = TEXTS.map((text) => {
    const set = fitLettering(text, fonts, LETTERING);
    if (!set.ok) throw new Error(`${text}: ${set.problem.kind}`);
    const artwork = settleLettering(set.value.artwork);
    return { artwork, file: measureFile(artwork), whole: measureFile(artwork).measurement.layers[0]! };
  });

  it('have the thinnest strokes and gaps that the whole drawing has, in their place', () => {
    const memory = makePieceMemory();
    // Twice: the second time all letters are known.
    for (const { artwork, whole } of [...texts, ...texts]) {
      const known = measureText(artwork, { memory }).measurement.layers[0]!;
      for (const what of ['thinnestStroke', 'thinnestGap'] as const) {
        const [a, b] = [whole[what], known[what]];
        if (!a || !b) {
          expect(b).toEqual(a);
          continue;
        }
        expect(Math.abs(a.widthMm - b.widthMm)).toBeLessThan(0.004 * a.widthMm + 0.004);
        const { box } = known;
        expect(b.x > box.x && b.x < box.x + box.width && b.y > box.y && b.y < box.y + box.height).toBe(true);
      }
    }
  });

  it.each([
    ['letter by letter', 0.06, () => ({ memory: makePieceMemory() })],
    ['in fewer places', 0.03, () => ({ fineLooks: 300 })],
  ] as const)('are fine for as much of their outline, measured %s, and alike in all else', (_, share, makeOptions) => {
    const options = makeOptions();
    for (const { artwork, file, whole } of texts) {
      const text = measureText(artwork, options);
      const known = text.measurement.layers[0]!;
      for (const [at, { underMm, lengthMm }] of known.fineLengths.entries()) {
        expect(underMm).toBe(whole.fineLengths[at]!.underMm);
        expect(Math.abs(lengthMm - whole.fineLengths[at]!.lengthMm)).toBeLessThan(share * whole.outlineLengthMm);
      }
      const restOf = ({ thinnestStroke: _s, thinnestGap: _g, fineLengths: _f, ...others }: typeof whole) => others;
      expect(rounded(restOf(known))).toBe(rounded(restOf(whole)));
      expect({ ...text, measurement: null }).toEqual({ ...file, measurement: null });
    }
  });

  it.each([
    ['squeezed', 'Quillfeather', { widestMm: 90, squeezeTo: 0.3 }],
    ['a pair of letters', 'ROWED', { insetMm: 0.6 }],
    ['a pair that is hollow beneath', 'ROWED', { insetMm: 0.6, overlapMm: 0.4 }],
    ['too small to be cut as it is', '.', { capHeightMm: 5 }],
  ] as const)('are what their file is, %s', (_, text, part) => {
    const set = fitLettering(text, fonts, { ...LETTERING, ...part });
    if (!set.ok) throw new Error(set.problem.kind);
    const artwork = settleLettering(set.value.artwork);
    expect(rounded(measureText(artwork, {}))).toBe(rounded(measureFile(artwork)));
  });
});
