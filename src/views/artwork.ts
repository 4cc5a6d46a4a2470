// Artworks: a drawing as it was measured and prepared. Types only.

import type { ArtworkChecks, ArtworkMeasurement, ArtworkPicture, LeftOut, Licence, PrepStep } from '../core/artwork';
import type { ListPage, ListQuery } from './list';

export type ArtworkView = {
  readonly id: number;
  readonly name: string;
  readonly fileName: string;
  /** Size of the file as it came, bytes. */
  readonly originalBytes: number;
  /** Of the prepared drawing, at the width it was saved at. */
  readonly measurement: ArtworkMeasurement;
  /** One a layer of the measurement, in its order; words of the shop, or its colour. */
  readonly layerNames: readonly string[];
  /** The vinyl each layer is meant for; null where none was chosen. */
  readonly layerVinylIds: readonly (number | null)[];
  /** What was done to the original, in its order; the original itself is never changed. */
  readonly steps: readonly PrepStep[];
  readonly licence: Licence;
  /** The outlines as drawn on screens, mm. */
  readonly picture: ArtworkPicture;
  /** What the drawing held and no knife can follow, by kind. */
  readonly leftOut: readonly LeftOut[];
  /** How many gradients were taken as one colour. */
  readonly gradients: number;
  /** Whether the file said how large it is; else a size was assumed. */
  readonly sizeStated: boolean;
  /** Epoch ms. */
  readonly createdAtMs: number;
  readonly archived: boolean;
  /** Rises by one with every save; a save of an older one is refused. */
  readonly version: number;
};

export type CheckedArtworkView = ArtworkView & {
  /** What is said of it in its vinyls as they are now; null where that is not known without measuring it. */
  readonly checks: ArtworkChecks | null;
};

type ArtworkCard = {
  readonly id: number;
  readonly name: string;
  readonly widthMm: number;
  readonly heightMm: number;
  /** #rrggbb of the drawing; null where a layer has none. */
  readonly layers: readonly { readonly name: string; readonly colour: string | null }[];
  readonly pictureHref: string;
  /** Items on the list that it is part of. */
  readonly usedBy: number;
};

export type ArtworkListView = {
  readonly artworks: readonly ArtworkCard[];
  readonly query: ListQuery<'name'>;
  readonly at: ListPage;
};

/** What measuring a file gives. */
export type MeasuredFile = Pick<ArtworkView, 'measurement' | 'picture' | 'leftOut' | 'gradients' | 'sizeStated'>;

/** What the page itself calculates of a drawing with its steps and materials, besides its measurement. */
export type PreparedFile = MeasuredFile & ArtworkChecks;
