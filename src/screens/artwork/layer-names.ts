// How a layer is called on screen: the name it was given, else its colour's, with what a step made of it.

import type { LayerMaterials } from '../../core/artwork';
import { getLayerMaterial, type ShopFigures } from '../../core/materials';
import type { VinylView } from '../../views/shelf';
import { getDisplayColourName } from '../../wording/colours';

export function makeNameOf(names: Readonly<Record<string, string>>): (key: string) => string {
  return (key) => {
    const own = names[key];
    if (own !== undefined) return own;
    const colour = key.slice(0, 7);
    return key === colour
      ? getDisplayColourName(colour)
      : `${names[colour] ?? getDisplayColourName(colour)}${key.slice(7)}`;
  };
}

/** What the chosen vinyls allow, by layer. */
export function toMaterials(
  vinylIds: Readonly<Record<string, number | null>>,
  vinyls: readonly VinylView[],
  figures: ShopFigures,
): LayerMaterials {
  return {
    byLayer: Object.fromEntries(
      Object.entries(vinylIds).flatMap(([key, id]) => {
        const vinyl = vinyls.find((candidate) => candidate.id === id);
        return vinyl ? [[key, getLayerMaterial(vinyl, figures)]] : [];
      }),
    ),
  };
}
