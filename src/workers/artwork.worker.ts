// Reads a drawing once and measures it at any width, away from the page.

import { expose } from 'comlink';
import { drawPicture, measureResolved, readSvg, resolveArtwork, type Artwork, type MeasureProblem, type ReadProblem } from '../core/artwork';
import type { Result } from '../core/units';
import type { MeasuredFile } from '../views/views';

let last: { readonly text: string; readonly artwork: Artwork } | null = null;

const artworkWorker = {
  measure(text: string, widthMm: number): Result<MeasuredFile, ReadProblem | MeasureProblem> {
    if (last?.text !== text) {
      const read = readSvg(text);
      if (!read.ok) return read;
      last = { text, artwork: read.value };
    }
    const { artwork } = last;
    const resolved = resolveArtwork(artwork, { widthMm });
    if (!resolved.ok) return resolved;
    return { ok: true, value: { measurement: measureResolved(resolved.value), picture: drawPicture(resolved.value), leftOut: artwork.leftOut, gradients: artwork.gradients, sizeStated: artwork.size === 'stated' } };
  },
};

export type ArtworkWorker = typeof artworkWorker;
expose(artworkWorker);
