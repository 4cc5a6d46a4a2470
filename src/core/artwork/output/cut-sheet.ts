// A layer as it goes to the knife: mirrored where the material asks for it, its contours in cutting order, with the
// words that are written beside it.

import { boundPoints, type Piece, type Point, type Polyline } from '../../geometry';
import type { ResolvedArtwork, ResolvedLayer } from '../resolve-artwork';
import { orderContours, type CutPath } from './cut-order';

/**
 * The contours of the pieces alone, in cutting order: of several layers those of the one with most, the first of them
 * where they are even.
 */
export function listCutLines({ layers }: ResolvedArtwork): readonly CutPath[] {
  const lines = layers.map(({ pieces }) => orderContours(pieces));
  return lines.reduce<readonly CutPath[]>((most, own) => (own.length > most.length ? own : most), []);
}

export type CutOptions = { readonly name: string; readonly mirrored: boolean };
/** Coordinates in mm, y downwards, from the top left corner of the whole artwork with its marks and weed boxes. */
export type CutLayer = {
  readonly name: string;
  readonly mirrored: boolean;
  readonly widthMm: number;
  readonly heightMm: number;
  readonly paths: readonly CutPath[];
  readonly note: string;
  /** Drawn with a pen, before anything is cut. */
  readonly pen?: readonly CutPath[];
};

/** Width and height are those of the whole artwork on every layer, so that registration holds between them. */
export function makeCutLayer(artwork: ResolvedArtwork, layer: ResolvedLayer, { name, mirrored }: CutOptions): CutLayer {
  const box = boundPoints(
    artwork.layers.flatMap((entry) => [...entry.pieces.map((piece) => piece.outer), ...entry.extras]),
  ) ?? { x: 0, y: 0, width: 0, height: 0 };
  const place = (point: Point): Point => ({
    x: mirrored ? box.x + box.width - point.x : point.x - box.x,
    y: point.y - box.y,
  });
  const map = (line: Polyline): Polyline => line.map(place);
  const pieces = layer.pieces.map((piece): Piece => ({ outer: map(piece.outer), cavities: piece.cavities.map(map) }));
  return {
    name,
    mirrored,
    widthMm: box.width,
    heightMm: box.height,
    paths: orderContours(pieces, layer.extras.map(map)),
    note: `${name}, ${mirrored ? 'mirrored' : 'not mirrored'}`,
  };
}
