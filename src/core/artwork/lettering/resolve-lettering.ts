// A text that was set, as the polygons it is measured from: what `prepareLayers` makes of its file, without its way
// round. Its outlines are straight, closed and united, so that there is nothing to flatten, fill or unite.

import { boundPoints, outlineRegion, type Contour, type Polyline } from '../../geometry';
import type { Artwork, ArtworkLayer } from '../artwork';
import { countSegments, type FlatLayer } from '../flat-layers';
import { assembleArtwork, readOwnWidth, resolveLayer, type ResolvedArtwork } from '../resolve-artwork';

/** Null where its file would be read otherwise: too small to be cut at its size, or with two layers of one colour. */
export function resolveLettering(settled: Artwork): ResolvedArtwork | null {
  const drawn = settled.layers.map(drawLayer);
  const box = boundPoints(drawn.flatMap(({ lines }) => lines));
  const widthMm = box && readOwnWidth(box);
  if (!box || widthMm === null) return null;
  if (new Set(drawn.map(({ colour }) => colour)).size < drawn.length) return null;
  const scale = widthMm / box.width;
  return assembleArtwork(
    drawn.map((layer) => resolveLayer(toFlatLayer(layer, scale))),
    { segments: countSegments(settled), strokesApart: 0 },
  );
}

type DrawnLayer = { readonly colour: string; readonly lines: readonly Polyline[] };

const drawLayer = ({ colour, shapes }: ArtworkLayer): DrawnLayer => ({
  colour,
  lines: shapes.flatMap(({ contours }) => contours.map(readPoints)),
});

const readPoints = ({ start, segments }: Contour): Polyline => [start, ...segments.map(({ to }) => to)];

function toFlatLayer({ colour, lines }: DrawnLayer, scale: number): FlatLayer {
  const sized = lines.map((line) => line.map(({ x, y }) => ({ x: x * scale, y: y * scale })));
  return {
    key: colour,
    colour,
    extras: [],
    loose: false,
    role: 'worn',
    shapes: [
      {
        lines: sized.map((points) => ({ points, open: false })),
        rule: 'evenodd',
        region: outlineRegion(sized),
      },
    ],
  };
}
