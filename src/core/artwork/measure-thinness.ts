// How thin a layer gets, how near its edges come to each other, and how much of it is fine.

import { Calliper, callipersOf, ShapeMemory, type Piece, type Shift, type ThinPlace } from '../geometry';
import type { LayerMeasurement } from './measurement';

export type LayerThinness = Pick<LayerMeasurement, 'thinnestStroke' | 'thinnestGap'> & {
  /** Of each of `FINE_WIDTHS_MM`: the outline that belongs to strokes under it, mm. */
  readonly fineLengthsMm: readonly number[];
};
/** What was measured of pieces, for copies of them in other drawings. */
export type PieceMemory = ShapeMemory<LayerThinness>;
/** `memory`: of pieces that many such drawings are made of. `fineLooks`: in how many places fine strokes are looked for. */
export type ThinnessOptions = { readonly memory?: PieceMemory | null; readonly fineLooks?: number };

/**
 * Widths at which fine strokes are added up, mm, at the size that is measured; wide enough apart to hold when it is
 * scaled.
 */
export const FINE_WIDTHS_MM = [0.3, 0.45, 0.6, 0.8, 1, 1.3, 1.7, 2.2, 3, 4, 6, 9];
/** A piece by itself is looked at in so many places; a letter is one of about ten in a text. */
const LOOKS_A_PIECE = 300;
const MOST_POINTS_KEPT = 200_000;

export const makePieceMemory = (): PieceMemory => new ShapeMemory(MOST_POINTS_KEPT);

export function measureThinness(pieces: readonly Piece[], { memory, fineLooks }: ThinnessOptions = {}): LayerThinness {
  if (memory) return measureByPiece(pieces, memory);
  const calliper = callipersOf(pieces);
  return {
    thinnestStroke: calliper.measureStrokes().thinnest,
    thinnestGap: calliper.measureGaps().thinnest,
    fineLengthsMm: calliper.measureFineLengths(FINE_WIDTHS_MM, fineLooks),
  };
}

/**
 * Piece by piece: of pieces that are known only what lies between them is measured. A gap within a piece that
 * another piece lies in is wider than the gaps that are left beside that one.
 */
function measureByPiece(pieces: readonly Piece[], memory: PieceMemory): LayerThinness {
  const each = pieces.map((piece) => {
    const { value, shift } = memory.recall([piece.outer, ...piece.cavities], () => measurePiece(piece));
    return { stroke: shiftPlace(value.thinnestStroke, shift), gap: shiftPlace(value.thinnestGap, shift), value };
  });
  const within = findThinnest(each.map(({ gap }) => gap));
  const between = pieces.length > 1 ? new Calliper(pieces).measureGapBetween(within?.widthMm ?? Infinity) : null;
  return {
    thinnestStroke: findThinnest(each.map(({ stroke }) => stroke)),
    thinnestGap: between ?? within,
    fineLengthsMm: FINE_WIDTHS_MM.map((_, at) => each.reduce((sum, { value }) => sum + value.fineLengthsMm[at]!, 0)),
  };
}

function measurePiece(piece: Piece): LayerThinness {
  const calliper = new Calliper([piece]);
  return {
    thinnestStroke: calliper.measureStrokes().thinnest,
    thinnestGap: calliper.measureGaps().thinnest,
    fineLengthsMm: calliper.measureFineLengths(FINE_WIDTHS_MM, LOOKS_A_PIECE),
  };
}

const shiftPlace = (place: ThinPlace | null, { dx, dy }: Shift): ThinPlace | null =>
  place && { ...place, x: place.x + dx, y: place.y + dy };

const findThinnest = (places: readonly (ThinPlace | null)[]): ThinPlace | null =>
  places.reduce((least, place) => (place && (!least || place.widthMm < least.widthMm) ? place : least), null);
