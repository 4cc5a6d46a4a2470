// Text as outlines: shaped and kerned by the font, tracked, set on lines or on an arc, and united into one outline
// without overlaps, so that a joined script is cut round as one word.

import { create, type Font, type GlyphPosition } from 'fontkit';
import {
  boundPoints,
  boundRegion,
  composeMatrices,
  getRings,
  offsetRegion,
  rotation,
  scaling,
  snapLine,
  subtractRegions,
  translation,
  uniteBoxes,
  uniteRegions,
  type Box,
  type Contour,
  type Matrix,
  type Point,
  type Polyline,
  type Region,
} from '../../geometry';
import { assert, fail, succeed, type Result } from '../../units';
import type { Artwork, ArtworkLayer } from '../artwork';
import { outlineGlyph, type SetGlyph } from './glyph-outline';

export type LetterFont = Font;
export type LetterOptions = {
  /** Height of the capitals, mm. */
  readonly capHeightMm: number;
  /** Extra space between letters, share of the em. */
  readonly tracking?: number;
  /** From baseline to baseline, in cap heights. */
  readonly lineSpacing?: number;
  readonly align?: 'left' | 'centre' | 'right';
  /**
   * Radius of the baseline, mm; the text runs round the outside of the circle, or where negative along its inside,
   * below.
   */
  readonly arcRadiusMm?: number;
  readonly letterCase?: 'as-typed' | 'upper' | 'lower';
  readonly colour?: string;
  /** A pair: the letters in `colour`, and inside them a smaller copy, inset by so many mm, in `fillColour`. */
  readonly insetMm?: number;
  readonly fillColour?: string;
  /** Of a pair: the letters are hollow beneath the smaller copy, but for so many mm along its edge. */
  readonly overlapMm?: number;
};
export type LetterProblem =
  | { readonly kind: 'no-text' }
  | { readonly kind: 'no-glyphs'; readonly characters: string }
  | { readonly kind: 'inset-too-large'; readonly insetMm: number };

/** A font from the bytes of a .ttf, .otf, .woff or .woff2 file. @throws Error from the font library when it is none. */
export function openFont(bytes: Uint8Array): LetterFont {
  const font = create(bytes as Buffer);
  assert('layout' in font, 'one font, not a collection', font.type);
  return font;
}

const LONGEST_TEXT = 400;

/** A text with each letter where it stands, not yet one outline, mm. */
export type LaidText = { readonly letters: readonly Region[]; readonly widthMm: number; readonly heightMm: number };

/**
 * An artwork of one layer (two for a pair), in mm at real size. `fonts`: the files of one typeface, of the same units;
 * the first sets the size. Problems: nothing to set, letters the font lacks, an
 * inset that leaves nothing.
 */
export function letter(
  text: string,
  fonts: LetterFont | readonly LetterFont[],
  options: LetterOptions,
): Result<Artwork, LetterProblem> {
  const laid = layText(text, fonts, options);
  return laid.ok ? uniteText(laid.value, options) : laid;
}

/** How large a text comes out, without the work of uniting its letters. Problems: as `letter`, but for the inset. */
export function layText(
  text: string,
  fonts: LetterFont | readonly LetterFont[],
  options: LetterOptions,
): Result<LaidText, LetterProblem> {
  const faces: readonly LetterFont[] = Array.isArray(fonts) ? (fonts as readonly LetterFont[]) : [fonts as LetterFont];
  const typed = text.slice(0, LONGEST_TEXT).normalize('NFC');
  const cased =
    options.letterCase === 'upper' ? typed.toUpperCase() : options.letterCase === 'lower' ? typed.toLowerCase() : typed;
  if (cased.trim() === '') return fail({ kind: 'no-text' });
  const missing = [
    ...new Set([...cased].filter((character) => !/\s/.test(character) && !findFace(faces, character))),
  ].join('');
  if (missing !== '') return fail({ kind: 'no-glyphs', characters: missing });
  const letters = setLines(cased.split('\n'), faces, options).map(outlineGlyph);
  const box = uniteBoxes(letters.flatMap((region) => boundRegion(region) ?? []));
  return box ? succeed({ letters, widthMm: box.width, heightMm: box.height }) : fail({ kind: 'no-text' });
}

/** Problem: an inset that leaves nothing. */
export function uniteText({ letters }: LaidText, options: LetterOptions): Result<Artwork, LetterProblem> {
  const layers = layOnTop(uniteRegions(letters), options);
  return layers.ok ? succeed({ layers: layers.value, strokes: [], leftOut: [], gradients: 0, size: 'stated' }) : layers;
}

/** The letters, and where they are a pair the inner ones on them. */
function layOnTop(region: Region, options: LetterOptions): Result<readonly ArtworkLayer[], LetterProblem> {
  const { insetMm, overlapMm, colour = '#231f2b', fillColour = '#c98a12' } = options;
  if (!insetMm) return succeed([toLayer(region, colour)]);
  const inner = offsetRegion(region, -insetMm, 'round');
  if (inner.rings.length === 0) return fail({ kind: 'inset-too-large', insetMm });
  const outer = overlapMm === undefined ? region : subtractRegions(region, offsetRegion(inner, -overlapMm, 'round'));
  return succeed([toLayer(outer, colour), toLayer(inner, fillColour)]);
}

function toLayer(region: Region, colour: string): ArtworkLayer {
  return { colour, shapes: [{ contours: getRings(region).map(closeLine), rule: 'evenodd', clips: [] }] };
}

const closeLine = ([start, ...others]: Polyline): Contour => ({
  start: start!,
  closed: true,
  segments: others.map((to) => ({ kind: 'line', to })),
});

/** Every glyph where it stands, in mm, y downwards. */
function setLines(lines: readonly string[], faces: readonly LetterFont[], options: LetterOptions): readonly SetGlyph[] {
  const font = faces[0]!;
  const scale = options.capHeightMm / (font.capHeight || font.ascent * 0.7);
  const tracking = (options.tracking ?? 0) * font.unitsPerEm;
  const features: Record<string, boolean> = options.tracking ? { liga: false, clig: false } : {};
  const runs = lines.map((line) => {
    const set = splitByFace(line, faces).map(({ text, face }) => ({ face, run: face.layout(text, features) }));
    const positions = set.flatMap(({ run }) => run.positions);
    return {
      glyphs: set.flatMap(({ face, run }) => run.glyphs.map((glyph) => ({ face, glyph }))),
      positions,
      width: positions.reduce((sum, position) => sum + position.xAdvance + tracking, 0) - tracking,
    };
  });
  const widest = Math.max(...runs.map((run) => run.width));
  const share = { left: 0, centre: 0.5, right: 1 }[options.align ?? 'centre'];
  return runs.flatMap(({ glyphs, positions, width }, line) => {
    let x = (widest - width) * share;
    const down = line * (options.lineSpacing ?? 1.6) * options.capHeightMm;
    return glyphs.map(({ face, glyph }, index) => {
      const position = positions[index]!;
      const matrix = options.arcRadiusMm
        ? placeOnArc({ x, position, widest, scale, radiusMm: options.arcRadiusMm, down })
        : composeMatrices(
            translation((x + position.xOffset) * scale, down - position.yOffset * scale),
            scaling(scale, -scale),
          );
      x += position.xAdvance + tracking;
      return { face, glyph, matrix };
    });
  });
}

/** The first face that has the letter. */
const findFace = (faces: readonly LetterFont[], letterOf: string): LetterFont | undefined =>
  faces.find((face) => face.hasGlyphForCodePoint(letterOf.codePointAt(0)!));

/** The files of one typeface hold an alphabet each: runs of letters that the same file has. */
function splitByFace(
  line: string,
  faces: readonly LetterFont[],
): readonly { readonly text: string; readonly face: LetterFont }[] {
  const runs: { text: string; face: LetterFont }[] = [];
  for (const sign of line) {
    const last = runs.at(-1);
    const face = findFace(faces, sign) ?? last?.face ?? faces[0]!;
    if (last?.face === face) last.text += sign;
    else runs.push({ text: sign, face });
  }
  return runs;
}

/** Each glyph stands upright on the circle at the middle of its advance. */
function placeOnArc(input: {
  x: number;
  position: GlyphPosition;
  widest: number;
  scale: number;
  radiusMm: number;
  down: number;
}): Matrix {
  const { x, position, widest, scale, radiusMm, down } = input;
  const outside = radiusMm > 0;
  const radius = Math.abs(radiusMm) + (outside ? -down : down);
  const half = position.xAdvance / 2;
  const angle = (((x + half - widest / 2) * scale) / Math.abs(radiusMm)) * (180 / Math.PI);
  const glyph = composeMatrices(
    translation((position.xOffset - half) * scale, -position.yOffset * scale),
    scaling(scale, -scale),
  );
  return outside
    ? composeMatrices(rotation(angle), composeMatrices(translation(0, -radius), glyph))
    : composeMatrices(rotation(-angle), composeMatrices(translation(0, radius), glyph));
}

/** As it is kept in its file: moved to its own corner, to the thousandth of a millimetre. */
export function settleLettering(artwork: Artwork): Artwork {
  const corner = boundLettering(artwork);
  const move = ({ x, y }: Point): Point => ({ x: x - corner.x, y: y - corner.y });
  const settle = ({ start, segments }: Contour): Polyline =>
    snapLine([move(start), ...segments.map(({ to }) => move(to))], PER_MM);
  return {
    ...artwork,
    layers: artwork.layers.map((layer) => ({
      ...layer,
      shapes: layer.shapes.map((shape) => ({
        ...shape,
        contours: shape.contours
          .map(settle)
          .filter((line) => line.length > 0)
          .map(closeLine),
      })),
    })),
  };
}

const PER_MM = 1000;

/** The box round all letters, mm: their outlines are straight from point to point. */
const boundLettering = ({ layers }: Artwork): Box =>
  boundPoints(
    layers.flatMap(({ shapes }) =>
      shapes.flatMap(({ contours }) => contours.map(({ start, segments }) => [start, ...segments.map(({ to }) => to)])),
    ),
  )!;

/** A settled lettering as an SVG file of plain paths, to be kept like any drawing. Its units are thousandths of a mm. */
export function writeLettering(
  artwork: Artwork,
  title: string,
): { readonly svg: string; readonly widthMm: number; readonly heightMm: number } {
  const { width, height } = boundLettering(artwork);
  const paths = artwork.layers.map(
    ({ colour, shapes }) =>
      `<path fill="${colour}" fill-rule="evenodd" d="${shapes.flatMap(({ contours }) => contours.map(writeContour)).join('')}"/>`,
  );
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${width}mm" height="${height}mm" viewBox="0 0 ${toUnits(width)} ${toUnits(height)}">\n<title>${title.replace(/[&<>\u0000-\u001f]/g, ' ')}</title>\n${paths.join('\n')}\n</svg>\n`;
  return { svg, widthMm: width, heightMm: height };
}

const toUnits = (mm: number): number => Math.round(mm * PER_MM);

/** From its first point step by step, in whole units: half as long as with each point by itself. */
function writeContour({ start, segments }: Contour): string {
  let x = toUnits(start.x),
    y = toUnits(start.y);
  let path = `M${x} ${y}l`;
  for (const { to } of segments) {
    const toX = toUnits(to.x),
      toY = toUnits(to.y);
    path += `${toX - x} ${toY - y} `;
    x = toX;
    y = toY;
  }
  return `${path}z`;
}
