// A cut layer as DXF of release 12: closed POLYLINEs in mm, y upwards, which the oldest readers take. The packages
// there are write later releases only, and this part of the format is a list of numbered lines (AutoCAD R12 DXF
// reference).

import type { CutLayer } from './cut-sheet';

const number = (value: number): string => (Math.round(value * 10_000) / 10_000).toFixed(4);
/** Release 12 knows plain letters, digits and few signs in names. */
const plain = (text: string): string =>
  text
    .normalize('NFD')
    .replace(/[^\x20-\x7e]/g, '')
    .slice(0, 200);
const layerName = (text: string): string =>
  plain(text)
    .toUpperCase()
    .replace(/[^A-Z0-9$_-]+/g, '_')
    .slice(0, 31) || 'CUT';

function writeHeader(layer: CutLayer): (string | number)[] {
  return [
    0,
    'SECTION',
    2,
    'HEADER',
    9,
    '$ACADVER',
    1,
    'AC1009',
    // Later than release 12, which passes over what it does not know: a unit is a millimetre.
    9,
    '$INSUNITS',
    70,
    4,
    9,
    '$EXTMIN',
    10,
    '0.0',
    20,
    '0.0',
    9,
    '$EXTMAX',
    10,
    number(layer.widthMm),
    20,
    number(layer.heightMm),
    0,
    'ENDSEC',
  ];
}

export function writeDxf(layer: CutLayer): string {
  const cut = layerName(layer.name);
  const lines = writeHeader(layer);
  lines.push(0, 'SECTION', 2, 'TABLES', 0, 'TABLE', 2, 'LAYER', 70, layer.pen ? 3 : 2);
  for (const name of [cut, 'NOTE', ...(layer.pen ? ['PEN'] : [])])
    lines.push(0, 'LAYER', 2, name, 70, 0, 62, 7, 6, 'CONTINUOUS');
  lines.push(0, 'ENDTAB', 0, 'ENDSEC', 0, 'SECTION', 2, 'ENTITIES');
  const draw = (name: string, paths: CutLayer['paths']) => {
    for (const { points, open } of paths) {
      lines.push(0, 'POLYLINE', 8, name, 66, 1, 10, '0.0', 20, '0.0', 30, '0.0', 70, open ? 0 : 1);
      for (const point of points)
        lines.push(0, 'VERTEX', 8, name, 10, number(point.x), 20, number(layer.heightMm - point.y), 30, '0.0');
      lines.push(0, 'SEQEND', 8, name);
    }
  };
  draw('PEN', layer.pen ?? []);
  draw(cut, layer.paths);
  lines.push(0, 'TEXT', 8, 'NOTE', 10, '0.0', 20, '-6.0', 30, '0.0', 40, '4.0', 1, plain(layer.note));
  lines.push(0, 'ENDSEC', 0, 'EOF');
  return `${lines.join('\r\n')}\r\n`;
}
