// What is laid out, on what, and what comes of it. Lengths in mm; x runs across the stock, y along it.

import type { Polyline } from '../geometry';

/** Outlines and holes; whatever lies inside an odd number of rings is the piece. Its own origin is (0, 0). */
export type NestPiece = {
  readonly id: string;
  readonly rings: readonly Polyline[];
  readonly copies: number;
  /** Degrees that it may be turned by, or freely. */
  readonly turns: 'free' | readonly number[];
};

export type NestStock = {
  /** Where other margins hold for it than for the rest of the stock: what lies on a mat is held everywhere. */
  readonly margins?: StockMargins;
} &
  /** Cut off square: as short as can be. `lengthMm` is all that there is of it. */
  (
    | { readonly kind: 'roll'; readonly id: string; readonly widthMm: number; readonly lengthMm: number }
    | {
        readonly kind: 'sheet';
        readonly id: string;
        readonly widthMm: number;
        readonly lengthMm: number;
        readonly count: number;
      }
    /** Any outline, with spots that are spoiled. */
    | {
        readonly kind: 'offcut';
        readonly id: string;
        readonly shape: Polyline;
        readonly spoiledSpots: readonly Polyline[];
      }
  );

/** What no machine reaches or grips: at each side, and at both ends. */
export type StockMargins = { readonly sideMm: number; readonly endMm: number };
/** What other pieces may lie in: nothing that a piece hugs, its bays, or its holes too. */
export type Inside = 'nothing' | 'bays' | 'holes';
export type NestOptions = {
  readonly gapMm: number;
  readonly margins: StockMargins;
  readonly inside: Inside;
  readonly seed: number;
  /** Rounds of improvement at most; 0 for the first layout alone. The same seed and rounds give the same layout. */
  readonly rounds: number;
  /** Pieces that stay where they are. */
  readonly locked?: readonly Placement[];
  /** A layout to go on from, instead of a first one. */
  readonly start?: readonly Placement[];
  /** For a limit of time: a clock and how long, ms. Then what comes out depends on the machine too. */
  readonly now?: () => number;
  readonly timeMs?: number;
  /** Lets others have their turn between rounds, and is where a stop is heard. */
  readonly pause?: () => Promise<void>;
};

/**
 * Rotated about the piece's own origin, then moved. `sheet` counts through the stock in the order given, each sheet of
 * a kind by itself.
 */
export type Placement = {
  readonly pieceId: string;
  readonly copy: number;
  readonly sheet: number;
  readonly xMm: number;
  readonly yMm: number;
  readonly rotationDeg: number;
};
export type SheetUse = {
  readonly sheet: number;
  readonly stockId: string;
  /** From the start of the stock to the end of what is cut, with the margin there. */
  readonly usedLengthMm: number;
  /** What of it is gone: the strip of a roll, a whole sheet or offcut. */
  readonly usedMm2: number;
  readonly piecesMm2: number;
  readonly density: number;
};
export type NestLayout = {
  readonly placements: readonly Placement[];
  readonly sheets: readonly SheetUse[];
  /** Of all sheets together. */
  readonly usedLengthMm: number;
  readonly density: number;
  /** Copies that no stock was left for. */
  readonly left: readonly { readonly pieceId: string; readonly copy: number }[];
};

export type NestProblem =
  | { readonly kind: 'no-area'; readonly pieceId: string }
  /** Fits on none of the stock; `shrinkTo` is the share of its size at which it would. */
  | {
      readonly kind: 'too-large';
      readonly pieceId: string;
      readonly acrossMm: number;
      readonly alongMm: number;
      readonly usableAcrossMm: number;
      readonly usableAlongMm: number;
      readonly shrinkTo: number;
    }
  | { readonly kind: 'no-stock' };
