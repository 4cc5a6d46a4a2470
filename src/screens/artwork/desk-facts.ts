// What of the desk is saved with a drawing, and when it can be.

import type { PrepStep } from '../../core/artwork';
import { plural } from '../../wording/plural';
import type { Asking } from '../shared/use-latest';
import type { DeskState } from './desk-state';
import { makeNameOf } from './layer-names';

/** Names and vinyls in the order of the measured layers; a layer without a vinyl has null. */
export function toFacts(
  { name, licence, names, vinylIds }: DeskState,
  steps: readonly PrepStep[] | null,
  layers: readonly { readonly key: string }[],
) {
  const nameOf = makeNameOf(names);
  return {
    name,
    licence,
    steps,
    layerNames: layers.map(({ key }) => nameOf(key)),
    layerVinylIds: layers.map(({ key }) => vinylIds[key] ?? null),
  };
}

/** It has a name, its size can be used, and what is shown is measured to the end. */
export const isSavable = (state: DeskState, steps: readonly PrepStep[] | null, asking: Asking): boolean =>
  steps !== null && state.name.trim() !== '' && !asking.busy && !asking.stopped;

/** What there is to cut and to weed. */
export const describeLayers = (layers: readonly { cavities: number; pieces: number }[]): string => {
  const cavities = layers.reduce((sum, layer) => sum + layer.cavities, 0);
  return `${plural(layers.length, 'layer')}, ${plural(
    layers.reduce((sum, layer) => sum + layer.pieces, 0),
    'piece',
  )}, ${plural(cavities, 'cavity')} to weed`;
};
