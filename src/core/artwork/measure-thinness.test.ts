// Texts measured letter by letter, from what is known of other texts, are what they are measured as drawings.

import { readFileSync, readdirSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { fitLettering } from './lettering/fit-lettering';
import { openFont, writeLettering } from './lettering/letter';
import { PLAIN_LETTERING } from './lettering/lettering';
import { makePieceMemory, type PieceMemory } from './measure-thinness';
import { prepareFile } from './prepare-file';

const TEXTS = ['HEDGEROW', 'WEDGE', 'ROWED', 'Quillfeather', 'Barrow 18', 'o.O', 'VAVA', 'feather', '8', 'Île'];
/** Upright, joined script, and with bridges. */
const TYPEFACES = ['oswald', 'pacifico', 'stardos-stencil'];
const LETTERING = { ...PLAIN_LETTERING, capHeightMm: 24, widestMm: 600, letterCase: 'as-typed' as const };

function openFonts(typeface: string) {
  const folder = `node_modules/@fontsource/${typeface}/files`;
  const file = readdirSync(folder).find((name) => /-latin-\d+-normal\.woff2$/.test(name))!;
  return [openFont(readFileSync(`${folder}/${file}`))];
}

function measure(svg: string, memory: PieceMemory | null) {
  const prepared = prepareFile(svg, [], null, memory);
  if (!prepared.ok) throw new Error(prepared.problem.kind);
  return prepared.value.facts.measurement.layers[0]!;
}

describe.each(TYPEFACES)('texts in %s', (typeface) => {
  const fonts = openFonts(typeface);
  const svgs = TEXTS.map((text) => {
    const set = fitLettering(text, fonts, LETTERING);
    if (!set.ok) throw new Error(`${text}: ${set.problem.kind}`);
    return writeLettering(set.value.artwork, text).svg;
  });

  it('have the thinnest strokes and gaps that the whole drawing has, in their place', () => {
    const memory = makePieceMemory();
    // Twice: the second time all letters are known.
    for (const svg of [...svgs, ...svgs]) {
      const [whole, known] = [measure(svg, null), measure(svg, memory)];
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

  it('are fine for as much of their outline, and alike in all else', () => {
    const memory = makePieceMemory();
    for (const svg of svgs) {
      const [whole, known] = [measure(svg, null), measure(svg, memory)];
      for (const [at, { underMm, lengthMm }] of known.fineLengths.entries()) {
        expect(underMm).toBe(whole.fineLengths[at]!.underMm);
        expect(Math.abs(lengthMm - whole.fineLengths[at]!.lengthMm)).toBeLessThan(0.06 * whole.outlineLengthMm);
      }
      const rest = ({ thinnestStroke: _s, thinnestGap: _g, fineLengths: _f, ...others }: typeof whole) => others;
      expect(rest(known)).toEqual(rest(whole));
    }
  });
});
