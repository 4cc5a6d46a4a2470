// What measuring an artwork gives.

import type { LayerRole } from './artwork';
import type { ThinPlace, Box } from '../geometry';
import type { Chirality } from './chirality';
import type { DetailClass } from './detail-floors';

/** Raised when the same drawing is measured otherwise, or otherwise spoken of (`check-prepared.ts`): it is done anew. */
export const MEASUREMENT_EDITION = 10;
/** From this one on the same is known of a drawing and it looks alike: older ones are done anew before the shop opens. */
export const OLDEST_EDITION_SHOWN = 6;

export type LayerMeasurement = {
  /** Names the layer in steps. */
  readonly key: string;
  /** The fill, #rrggbb without its alpha; `currentColor` is black. Layers of other colours do not cut into it. */
  readonly colour: string;
  /** Items are made of the layers that are worn, which come first. */
  readonly role: LayerRole;
  /** Area that stays on the blank: the union of the layer's shapes, holes out. */
  readonly netMm2: number;
  /** Every line the knife follows, as drawn: shapes that overlap or lie doubled count each. */
  readonly cutLengthMm: number;
  /** The same after the layer's shapes are united: outer rings and cavities. */
  readonly outlineLengthMm: number;
  /** Outer rings only: what is weeded round from outside. */
  readonly outerLengthMm: number;
  /** Contours as drawn: the knife is lifted once for each. */
  readonly contours: number;
  /** Pieces that touch in one point are two. */
  readonly pieces: number;
  readonly cavities: number;
  readonly sharpCorners: number;
  /** Contours whose ends lie apart, which a fill closes and a knife would not. */
  readonly openPaths: number;
  readonly zeroLengthPaths: number;
  /** Contours that lie on an earlier one, within 0.2 mm all along. */
  readonly doubledContours: number;
  /**
   * The thinnest stroke and gap with their places, mm from the top left of the artwork; null where no two sides face
   * each other.
   */
  readonly thinnestStroke: ThinPlace | null;
  readonly thinnestGap: ThinPlace | null;
  /** How much of the outline belongs to strokes thinner than each width, mm; widths rising, lengths never falling. */
  readonly fineLengths: readonly { readonly underMm: number; readonly lengthMm: number }[];
  /** Outer box in mm, from the top left corner of the whole artwork. */
  readonly box: Box;
  /** Area of each piece and each cavity, smallest first, mm²: how many are tiny depends on the size it is cut at. */
  readonly bitAreasMm2: readonly number[];
  /** Of the cavities alone, smallest first, mm²: they are picked out one by one, the smaller the slower. */
  readonly cavityAreasMm2: readonly number[];
};

export type ColourOverlap = {
  readonly lower: string;
  readonly upper: string;
  readonly areaMm2: number;
  /** Round all of it. */
  readonly perimeterMm: number;
};

export type ArtworkMeasurement = {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly layers: readonly LayerMeasurement[];
  readonly segments: number;
  /** Strokes that are not outlines yet: they are in no layer. */
  readonly strokesApart: number;
  /** Where a later layer lies over an earlier one. */
  readonly overlaps: readonly ColourOverlap[];
  readonly chirality: Chirality;
  /**
   * The width from which each class of material holds every detail, mm; null where nothing limits it. The same at any
   * size.
   */
  readonly safeWidthsMm: Readonly<Record<DetailClass, number | null>>;
  /** Which way of measuring it was: figures of another edition are measured anew. */
  readonly edition: number;
};
