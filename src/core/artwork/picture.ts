// A light drawing of an artwork for screens: our own polygons, never the file, on a grid of whole numbers.

import type { Polyline } from '../geometry';
import type { ResolvedArtwork } from './resolve-artwork';

/** Each layer's `path` is SVG path data (fill rule evenodd) in a view of `width` × `height` units. */
export type ArtworkPicture = { readonly width: number; readonly height: number; readonly layers: readonly { readonly colour: string; readonly path: string }[] };

const PICTURE_WIDTH = 4000;
/** Points nearer than this to the last one kept are not drawn; at 1000 px a quarter of a pixel. */
const LEAST_STEP = 1;

export function drawPicture(artwork: ResolvedArtwork): ArtworkPicture {
  const scale = PICTURE_WIDTH / Math.max(artwork.widthMm, artwork.heightMm);
  return {
    width: Math.round(artwork.widthMm * scale),
    height: Math.round(artwork.heightMm * scale),
    layers: artwork.layers.map((layer) => ({
      colour: layer.colour,
      path: layer.pieces.flatMap((piece) => [piece.outer, ...piece.cavities]).map((ring) => drawRing(ring, scale)).join(''),
    })),
  };
}

function drawRing(ring: Polyline, scale: number): string {
  let x = Math.round((ring[0]?.x ?? 0) * scale);
  let y = Math.round((ring[0]?.y ?? 0) * scale);
  let path = `M${x} ${y}`;
  for (const point of ring.slice(1)) {
    const nextX = Math.round(point.x * scale);
    const nextY = Math.round(point.y * scale);
    if (Math.abs(nextX - x) + Math.abs(nextY - y) <= LEAST_STEP) continue;
    path += `l${nextX - x} ${nextY - y}`;
    x = nextX;
    y = nextY;
  }
  return `${path}z`;
}
