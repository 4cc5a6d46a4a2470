// Which vinyls the layers of a drawing are likely to be cut from.

import { colord, extend } from 'colord';
import labPlugin from 'colord/plugins/lab';
import { getWornLayers, type ArtworkMeasurement } from '../artwork';
import { getKindFacts, type Blank, type Vinyl } from '../materials';

extend([labPlugin]);

/**
 * For each worn layer the vinyl it was kept with, else the one of the nearest colour (CIEDE2000) that can go on the
 * blank: heat transfer where it takes heat, adhesive where it takes none. Of vinyls equally near, the plainest of the
 * first. At least one vinyl.
 */
export function chooseVinyls(
  artwork: { readonly measurement: ArtworkMeasurement; readonly layerVinylIds: readonly (number | null)[] },
  vinyls: readonly Pick<Vinyl, 'id' | 'kind' | 'colourHex'>[],
  blank: Pick<Blank, 'heating'> | undefined,
): readonly number[] {
  const family = blank?.heating === 'none' ? 'adhesive' : 'heat';
  const fitting = vinyls.filter(({ kind }) => getKindFacts(kind).family === family);
  const candidates = fitting.length > 0 ? fitting : vinyls;
  return getWornLayers(artwork.measurement).map((layer, index) => {
    const kept = artwork.layerVinylIds[index] ?? null;
    if (kept !== null && vinyls.some(({ id }) => id === kept)) return kept;
    const away = (vinyl: Pick<Vinyl, 'kind' | 'colourHex'>) =>
      colord(layer.colour).delta(vinyl.colourHex) + (isPlain(vinyl) ? 0 : NOT_PLAIN);
    return candidates.reduce((best, vinyl) => (away(vinyl) < away(best) ? vinyl : best)).id;
  });
}

/** A drawn colour says nothing of glitter: another finish is taken only where its colour is clearly nearer. */
const NOT_PLAIN = 0.1;
const isPlain = ({ kind }: Pick<Vinyl, 'kind'>): boolean =>
  kind === 'smooth' || kind === 'stretch' || kind === 'low-heat' || getKindFacts(kind).family === 'adhesive';
