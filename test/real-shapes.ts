// Real outlines for measuring the nesting: filled icons of an open package, and words set in open typefaces.

import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { randomLcg } from 'd3-random';
import { readSvg, resolveArtwork, type Artwork } from '../src/core/artwork';
import { letter, openFont } from '../src/core/artwork/lettering/letter';
import { TYPEFACES } from '../src/core/artwork/lettering/typefaces';
import type { Polyline } from '../src/core/geometry';
import { outlineTogether, type NestPiece } from '../src/core/nesting';

const ICONS = join('node_modules', 'heroicons', '24', 'solid');
const WORDS = ['OAR', 'FERN', 'LAKE', 'HERON', 'MILL', 'TIN', 'BEE', 'LOAF', 'KNOT', 'GALE'];

function outlineOf(artwork: Artwork, widthMm: number): Polyline {
  const resolved = resolveArtwork(artwork, { widthMm });
  if (!resolved.ok) throw new Error('not resolved');
  return outlineTogether(
    resolved.value.layers.flatMap((layer) => layer.pieces.flatMap((piece) => [piece.outer, ...piece.cavities])),
  );
}

/** So many pieces, icons and words by turns, 30 to 110 mm wide, to be turned freely. */
export function mixRealShapes(count: number, seed: number): readonly NestPiece[] {
  const random = randomLcg(seed);
  const icons = readdirSync(ICONS).filter((name) => name.endsWith('.svg'));
  const fonts = new Map(
    TYPEFACES.map((face) => [
      face.key,
      openFont(
        readFileSync(
          join('node_modules/@fontsource', face.key, 'files', `${face.key}-latin-${face.weight}-normal.woff2`),
        ),
      ),
    ]),
  );
  const draw = (at: number): Artwork => {
    if (at % 3 === 2) {
      const set = letter(
        WORDS[Math.floor(random() * WORDS.length)]!,
        fonts.get(TYPEFACES[Math.floor(random() * TYPEFACES.length)]!.key)!,
        { capHeightMm: 20 },
      );
      if (set.ok) return set.value;
    }
    const read = readSvg(readFileSync(join(ICONS, icons[Math.floor(random() * icons.length)]!), 'utf8'));
    if (!read.ok) throw new Error('not read');
    return read.value;
  };
  return Array.from({ length: count }, (_, at): NestPiece => ({
    id: `s${at}`,
    rings: [outlineOf(draw(at), 30 + 80 * random())],
    copies: 1,
    turns: 'free',
  }));
}
