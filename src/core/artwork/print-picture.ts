// A picture as a file of its own, for lists that show many: the same as on the page, in the colours of the drawing.

import type { ArtworkPicture } from './picture';

/** Round the picture, in its own units; wider where lines are cut beside the design. */
const MARGIN = 8;
const MARGIN_OF_EXTRAS = 0.14;
const THIN = 'vector-effect="non-scaling-stroke"';
const EXTRA_STYLE = `fill="none" stroke="#8a8178" stroke-width="1.4" stroke-dasharray="4 3" ${THIN}`;
/** White on white is seen too. */
const EDGE_STYLE = `stroke="#2b2620" stroke-opacity="0.4" ${THIN}`;

/** SVG, all of it our own polygons. */
export function printPicture({ width, height, layers }: ArtworkPicture): string {
  const margin = layers.some((layer) => layer.extras) ? Math.round(width * MARGIN_OF_EXTRAS) : MARGIN;
  const view = `${-margin} ${-margin} ${width + 2 * margin} ${height + 2 * margin}`;
  const drawn = layers.map(
    ({ path, colour, extras }) =>
      `<path d="${path}" fill="${colour}" fill-rule="evenodd" ${EDGE_STYLE}/>${extras ? `<path d="${extras}" ${EXTRA_STYLE}/>` : ''}`,
  );
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="${view}">${drawn.join('')}</svg>`;
}
