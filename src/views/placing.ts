// Where artworks lie on a blank, with what is needed to measure it. Types only.

import type { ArtworkPicture } from '../core/artwork';
import type { Placing, PlacingBlank } from '../core/placing';

export type ArtworkOnBlank = {
  /** Among the item's placements and, after them, its options'. */
  readonly index: number;
  /** What the customer may have, where it is one of the options; null where it is always there. */
  readonly optionLabel: string | null;
  readonly artworkName: string;
  readonly place: string;
  readonly placing: Placing | null;
  /** Width of the whole artwork, mm, and of sizes that have another. */
  readonly widthMm: number;
  readonly widths: Readonly<Record<string, number>>;
  /** Height as a share of its width. */
  readonly aspect: number;
  /** A customer's own text: as wide as it is set. */
  readonly isText: boolean;
  readonly picture: ArtworkPicture;
  /** Of the vinyls it is cut from, by layer. */
  readonly colours: readonly string[];
  readonly layers: readonly { readonly name: string; readonly mirrored: boolean }[];
  /** What the narrowest of its vinyls holds, mm; null where none is known. */
  readonly vinylWidthMm: number | null;
};

export type PlacingView = {
  readonly itemId: number;
  readonly itemName: string;
  readonly version: number;
  /** The one that is usually made. */
  readonly sizeName: string;
  /** #rrggbb of the blank. */
  readonly blankColour: string;
  readonly blank: PlacingBlank & { readonly id: number };
  /** Null where nothing is pressed flat. */
  readonly platenWidthMm: number | null;
  readonly artworks: readonly ArtworkOnBlank[];
};
