// A picture as a file of its own, for lists that show many: the same as on the page, in the colours of the drawing.

import type { ArtworkPicture } from './picture';

/** Round the picture, in its own units; wider where lines are cut beside the design. */
const MARGIN = 8;
const MARGIN_OF_EXTRAS = 0.14;
/** What it is on is seen all round it. */
const MARGIN_OF_GROUND = 0.12;
const THIN = 'vector-effect="non-scaling-stroke"';
const EXTRA_STYLE = `fill="none" stroke="#8a8178" stroke-width="1.4" stroke-dasharray="4 3" ${THIN}`;
/** White on white is seen too. */
const EDGE_STYLE = `stroke="#2b2620" stroke-opacity="0.4" ${THIN}`;

/** `colours` of the vinyls, by layer; `ground` of what it is on; both #rrggbb. Left out: as the drawing, on nothing. */
export type PictureDress = { readonly colours?: readonly string[]; readonly ground?: string };

/** SVG, all of it our own polygons. */
export function printPicture(
  { width, height, layers }: ArtworkPicture,
  { colours = [], ground }: PictureDress = {},
): string {
  const edge = ground ? MARGIN + Math.round(Math.min(width, height) * MARGIN_OF_GROUND) : MARGIN;
  const margin = layers.some((layer) => layer.extras) ? Math.round(width * MARGIN_OF_EXTRAS) : edge;
  const view = `${-margin} ${-margin} ${width + 2 * margin} ${height + 2 * margin}`;
  const drawn = layers.map(
    ({ path, colour, extras }, at) =>
      `<path d="${path}" fill="${colours[at] ?? colour}" fill-rule="evenodd" ${EDGE_STYLE}/>${extras ? `<path d="${extras}" ${EXTRA_STYLE}/>` : ''}`,
  );
  const on = ground
    ? `<rect x="${-margin}" y="${-margin}" width="${width + 2 * margin}" height="${height + 2 * margin}" fill="${ground}"/>`
    : '';
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="${view}">${on}${drawn.join('')}</svg>`;
}
