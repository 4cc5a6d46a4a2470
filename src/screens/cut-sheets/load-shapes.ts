// Outlines of layers, each read once from its drawing.

import type { CutSource } from '../../core/orders';
import type { CutSheetsView } from '../../views/cut-sheets';
import type { CutShape } from '../../core/nesting';
import { shapeInWorker } from '../../workers/nest-client';
import { fetchFile } from '../shared/api';
import { keyOfSource } from '../../core/orders';

/** Adds to `cache` what is not in it yet. What can't be read stays out. */
export async function loadShapes(
  artworks: CutSheetsView['artworks'],
  sources: readonly CutSource[],
  cache: Map<string, CutShape>,
): Promise<ReadonlyMap<string, CutShape>> {
  for (const source of sources) {
    const key = keyOfSource(source),
      artwork = artworks.find((candidate) => candidate.id === source.artworkId);
    if (cache.has(key) || !artwork) continue;
    const bytes = await (await fetchFile(`/api/artwork/${artwork.id}/original`)).arrayBuffer();
    const shape = await shapeInWorker(bytes, {
      steps: artwork.steps,
      savedWidthMm: artwork.widthMm,
      widthMm: source.widthMm,
      layerIndex: source.layerIndex,
      mirrored: source.mirrored,
      bits: source.bits,
    });
    if (shape) cache.set(key, shape);
  }
  return cache;
}
