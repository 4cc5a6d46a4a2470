// Artworks: a drawing as it was measured and prepared. Types only.

import type {
  ArtworkMeasurement,
  ArtworkPicture,
  DotGroup,
  Finding,
  LeftOut,
  Licence,
  PrepStep,
} from '../core/artwork';

export type ArtworkView = {
  readonly id: number;
  readonly name: string;
  readonly fileName: string;
  readonly originalBytes: number;
  readonly measurement: ArtworkMeasurement;
  readonly layerNames: readonly string[];
  readonly layerVinylIds: readonly (number | null)[];
  readonly steps: readonly PrepStep[];
  readonly licence: Licence;
  readonly picture: ArtworkPicture;
  readonly leftOut: readonly LeftOut[];
  readonly gradients: number;
  readonly sizeStated: boolean;
  readonly createdAtMs: number;
  readonly archived: boolean;
  readonly version: number;
};

export type ArtworkListView = { readonly artworks: readonly (ArtworkView & { readonly usedBy: number })[] };

export type MeasuredFile = Pick<ArtworkView, 'measurement' | 'picture' | 'leftOut' | 'gradients' | 'sizeStated'>;

/** What the page itself reckons of a drawing with its steps and materials, besides its measurement. */
export type PreparedFile = MeasuredFile & {
  readonly findings: readonly Finding[];
  readonly dots: Readonly<Record<string, readonly Pick<DotGroup, 'diameterMm' | 'count'>[]>>;
};
