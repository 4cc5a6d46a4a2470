// A light drawing of an artwork for screens: our own polygons, never the file, on a grid of whole numbers.

import {
  boundPoints,
  composeMatrices,
  flattenEvenly,
  IDENTITY,
  scaling,
  transformContour,
  translation,
  type Contour,
  type Polyline,
} from '../geometry';
import type { Artwork } from './artwork';
import { countSegments, SEGMENT_LIMIT } from './flat-layers';
import { boundPainted } from './painted-box';
import type { ResolvedArtwork, ResolvedLayer } from './resolve-artwork';

type PictureLayer = {
  readonly colour: string;
  /** SVG path data, fill rule evenodd. */
  readonly path: string;
  /** Cavities alone: what is weeded out from inside. */
  readonly cavities?: string;
  /** How many cavities each piece has, and where it lies; pieces without any are not listed. */
  readonly groups?: readonly { readonly x: number; readonly y: number; readonly cavities: number }[];
  /** Lines cut beside the design. */
  readonly extras?: string;
};
/** In a view of `width` × `height` units, from the top left of the artwork. */
export type ArtworkPicture = {
  readonly width: number;
  readonly height: number;
  readonly layers: readonly PictureLayer[];
};

const PICTURE_WIDTH = 4000;
/** Points nearer than this to the last one kept are not drawn; at 1000 px a quarter of a pixel. */
const LEAST_STEP = 1;

export function drawPicture(artwork: ResolvedArtwork): ArtworkPicture {
  const scale = PICTURE_WIDTH / Math.max(artwork.widthMm, artwork.heightMm);
  return {
    width: Math.round(artwork.widthMm * scale),
    height: Math.round(artwork.heightMm * scale),
    layers: artwork.layers.map((layer) => drawLayer(layer, scale)),
  };
}

/** How far a line of a first look may lie from its curve, in units of the picture; at 1000 px an eighth of a pixel. */
const ROUGH_STRAY = 0.5;

/**
 * The fills of an artwork as they are drawn, without any step: a first look, long before all is united and measured.
 * Null where it has none, or more than can be measured.
 */
export function drawRough(artwork: Artwork): ArtworkPicture | null {
  const box = countSegments(artwork) > SEGMENT_LIMIT ? null : boundPainted(artwork, IDENTITY);
  if (!box) return null;
  const scale = PICTURE_WIDTH / Math.max(box.width, box.height);
  const matrix = composeMatrices(scaling(scale), translation(-box.x, -box.y));
  const draw = (contour: Contour) => drawRing(flattenEvenly(transformContour(contour, matrix), ROUGH_STRAY), 1);
  const layers = artwork.layers.map(({ colour, shapes }) => ({
    colour,
    path: shapes.flatMap(({ contours }) => contours.map(draw)).join(''),
  }));
  return { width: Math.round(box.width * scale), height: Math.round(box.height * scale), layers };
}

/** Groups shown at most: more numbers than this on one picture can't be read. */
const MOST_GROUPS = 400;

function drawLayer(layer: ResolvedLayer, scale: number): PictureLayer {
  const draw = (rings: readonly Polyline[]) => rings.map((ring) => drawRing(ring, scale)).join('');
  const drawn = layer.pieces.map(({ outer, cavities }) => ({
    outer: drawRing(outer, scale),
    cavities: draw(cavities),
  }));
  const groups = layer.pieces
    .filter((piece) => piece.cavities.length > 0)
    .slice(0, MOST_GROUPS)
    .map((piece) => {
      const box = boundPoints([piece.outer])!;
      return {
        x: Math.round((box.x + box.width / 2) * scale),
        y: Math.round((box.y + box.height / 2) * scale),
        cavities: piece.cavities.length,
      };
    });
  return {
    colour: layer.colour,
    path: drawn.map(({ outer, cavities }) => outer + cavities).join(''),
    ...(groups.length > 0 ? { groups, cavities: drawn.map(({ cavities }) => cavities).join('') } : {}),
    ...(layer.extras.length > 0 ? { extras: draw(layer.extras) } : {}),
  };
}

function drawRing(ring: Polyline, scale: number): string {
  let x = Math.round((ring[0]?.x ?? 0) * scale);
  let y = Math.round((ring[0]?.y ?? 0) * scale);
  let path = `M${x} ${y}`;
  for (let at = 1; at < ring.length; at++) {
    const nextX = Math.round(ring[at]!.x * scale);
    const nextY = Math.round(ring[at]!.y * scale);
    if (Math.abs(nextX - x) + Math.abs(nextY - y) <= LEAST_STEP) continue;
    path += `l${nextX - x} ${nextY - y}`;
    x = nextX;
    y = nextY;
  }
  return `${path}z`;
}
