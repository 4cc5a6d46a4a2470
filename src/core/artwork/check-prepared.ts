// What is said of a drawing before it is cut: what bars it or is too fine for its vinyls, and its round holes. The page
// and the server say the same.

import { inspectArtwork, type Finding, type LayerMaterial, type LayerMaterials } from './inspect-artwork';
import type { Prepared } from './prepare-file';
import { findDots, type DotGroup } from './prepare/dots';

export type ArtworkChecks = {
  readonly findings: readonly Finding[];
  /** Groups of like round holes by layer key; diameters in mm. */
  readonly dots: Readonly<Record<string, readonly Pick<DotGroup, 'diameterMm' | 'count'>[]>>;
};

/** With what the vinyls allowed then, in the order of the layers; null for a layer without one. */
export type KeptChecks = ArtworkChecks & { readonly of: readonly (LayerMaterial | null)[] };

export function checkPrepared({ resolved, facts }: Prepared, materials: LayerMaterials): ArtworkChecks {
  const dots = Object.fromEntries(
    resolved.layers.map((layer) => [
      layer.key,
      findDots(layer.pieces).map(({ diameterMm, count }) => ({ diameterMm, count })),
    ]),
  );
  return { findings: inspectArtwork(resolved, facts.measurement, materials), dots };
}
