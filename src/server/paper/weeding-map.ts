// The weeding map on paper: what stays, what comes out, and how many cavities each group has, a page for each layer.

import type { ArtworkMeasurement, ArtworkPicture, LayerMeasurement } from '../../core/artwork';
import { formatLength, type FormatSettings } from '../../core/units';
import { INK, PAPER_MARGIN_MM, POINTS_PER_MM, printPaper, SOFT, type Paper } from './paper';
import { PAPER_COLOURS } from '../../theme/tokens';
import { plural } from '../../wording/plural';

const { stays: STAYS, weeds: WEEDS } = PAPER_COLOURS;
const HEAD_MM = 24,
  FOOT_MM = 12;

export type MapLayer = { readonly key: string; readonly name: string; readonly mirrored: boolean };

/** `layers` says which are printed, under what name and on which side. */
export function printWeedingMap(
  name: string,
  drawn: { readonly picture: ArtworkPicture; readonly measurement: ArtworkMeasurement },
  layers: readonly MapLayer[],
  settings: FormatSettings,
): Promise<Uint8Array<ArrayBuffer>> {
  return printPaper(`${name}: weeding map`, settings.locale, (paper) => {
    for (const layer of layers) {
      const index = drawn.measurement.layers.findIndex((candidate) => candidate.key === layer.key);
      if (index !== -1) drawPage(paper, name, drawn, index, layer, settings);
    }
    if (paper.bufferedPageRange().count === 0)
      paper.addPage().font('text').fontSize(11).text('No layer of this drawing is cut.');
  });
}

function drawPage(
  paper: Paper,
  name: string,
  { picture, measurement }: { readonly picture: ArtworkPicture; readonly measurement: ArtworkMeasurement },
  index: number,
  layer: MapLayer,
  settings: FormatSettings,
): void {
  const drawn = picture.layers[index]!,
    measured = measurement.layers[index]!;
  // Each layer as large as the page: its own box, in the picture's units.
  const unit = picture.width / measurement.widthMm;
  const box = {
    x: measured.box.x * unit,
    y: measured.box.y * unit,
    width: measured.box.width * unit,
    height: measured.box.height * unit,
  };
  const boxLeft = layer.mirrored ? picture.width - box.x - box.width : box.x;
  const wide = box.width > box.height;
  paper.addPage({ layout: wide ? 'landscape' : 'portrait' });
  const margin = PAPER_MARGIN_MM * POINTS_PER_MM;
  const width = paper.page.width - 2 * margin,
    height = paper.page.height - 2 * margin - (HEAD_MM + FOOT_MM) * POINTS_PER_MM;
  writeHead(paper, `${name}: ${layer.name}`, width, describeMap(measured, layer, settings));
  const scale = Math.min(width / box.width, height / box.height);
  const left = margin + (width - box.width * scale) / 2 - boxLeft * scale,
    top = margin + HEAD_MM * POINTS_PER_MM + (height - box.height * scale) / 2 - box.y * scale;
  paper.save().translate(left, top).scale(scale);
  if (layer.mirrored) paper.translate(picture.width, 0).scale(-1, 1);
  paper.path(drawn.path).fill(STAYS, 'even-odd');
  if (drawn.cavities) paper.path(drawn.cavities).fill(WEEDS, 'even-odd');
  paper.restore();
  for (const group of drawn.groups ?? []) {
    const x = left + (layer.mirrored ? picture.width - group.x : group.x) * scale,
      y = top + group.y * scale;
    const text = String(group.cavities);
    paper.font('strong').fontSize(9);
    const half = paper.widthOfString(text) / 2 + 3;
    paper.roundedRect(x - half, y - 6.5, 2 * half, 13, 6).fillAndStroke(PAPER_COLOURS.white, INK);
    paper.fillColor(INK).text(text, x - half, y - 4.6, { width: 2 * half, align: 'center', lineBreak: false });
  }
  writeFoot(paper, margin);
}

function describeMap(measured: LayerMeasurement, layer: MapLayer, settings: FormatSettings): string {
  const size = `${formatLength(measured.box.width, settings)} × ${formatLength(measured.box.height, settings)}`;
  const way = layer.mirrored ? 'mirrored' : 'not mirrored';
  const counts = `${plural(measured.pieces, 'piece')}, ${plural(measured.cavities, 'cavity')} to weed out`;
  return `Weeding map, as cut, ${way}. ${size}, ${counts}.`;
}

function writeHead(paper: Paper, title: string, width: number, words: string): void {
  const margin = PAPER_MARGIN_MM * POINTS_PER_MM;
  paper
    .font('strong')
    .fontSize(17)
    .fillColor(INK)
    .text(title, margin, margin, { width, lineBreak: false, ellipsis: true });
  paper.font('text').fontSize(10.5).fillColor(SOFT).text(words, { width });
}

/** What the two colours mean. */
function writeFoot(paper: Paper, margin: number): void {
  const foot = paper.page.height - margin - 12;
  paper
    .lineWidth(0.5)
    .rect(margin, foot, 10, 10)
    .fill(STAYS)
    .rect(margin + 60, foot, 10, 10)
    .fill(WEEDS);
  paper
    .font('text')
    .fontSize(9.5)
    .fillColor(INK)
    .text('stays', margin + 14, foot, { lineBreak: false })
    .text('comes out; the numbers count the cavities of each piece', margin + 74, foot, { lineBreak: false });
}
