// A cut layer as an SVG in mm. One path, holes by the even-odd rule; its note stands below the cut area as text.

import type { CutLayer } from './cut-sheet';

const NOTE_MM = 6;
const PEN_INK = '#1f6fbf';
const number = (value: number): string => String(Math.round(value * 10_000) / 10_000);
const escapeText = (text: string): string =>
  text
    .replace(/[&<>]/g, (sign) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;' })[sign]!)
    .replace(/[\u0000-\u0008\u000b\u000c\u000e-\u001f]/g, '');

/** `colour` fills the shapes, #rrggbb. Reopened, it measures as the layer does. */
export function writeSvg(layer: CutLayer, { colour = '#000000' }: { readonly colour?: string } = {}): string {
  const draw = (paths: CutLayer['paths']) =>
    paths
      .map(
        ({ points, open }) =>
          `M${points.map((point) => `${number(point.x)} ${number(point.y)}`).join('L')}${open ? '' : 'Z'}`,
      )
      .join('\n');
  const lines = (name: string, paths: CutLayer['paths'], ink: string) =>
    paths.length > 0 ? [`<path id="${name}" fill="none" stroke="${ink}" stroke-width="0.2" d="${draw(paths)}"/>`] : [];
  const width = number(layer.widthMm),
    height = number(layer.heightMm + NOTE_MM);
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}mm" height="${height}mm" viewBox="0 0 ${width} ${height}">`,
    `<title>${escapeText(layer.note)}</title>`,
    `<path fill="${colour}" fill-rule="evenodd" d="${draw(layer.paths.filter((path) => !path.open))}"/>`,
    ...lines(
      'knife-lines',
      layer.paths.filter((path) => path.open),
      colour,
    ),
    ...lines('pen', layer.pen ?? [], PEN_INK),
    `<text x="0" y="${number(layer.heightMm + NOTE_MM - 1)}" font-family="sans-serif" font-size="4" fill="#000000">${escapeText(layer.note)}</text>`,
    '</svg>',
    '',
  ].join('\n');
}
