// The loading card of a cut sheet: what it looks like, how to load it, and which pieces lie on it in the order they are
// cut; a page for each sheet.

import { formatDay, formatLength, formatShare, type FormatSettings } from '../../core/units';
import type { LoadCard } from '../../views/cut-sheets';
import { describeLoading } from '../../wording/nesting';
import { INK, PAPER_MARGIN_MM, POINTS_PER_MM, printPaper, RULE, SOFT, type Paper } from './paper';
import { plural } from '../../wording/plural';

const DRAWING_MM = 92;
const LINE = 13;

export function printLoadCard(card: LoadCard, settings: FormatSettings): Promise<Uint8Array<ArrayBuffer>> {
  return printPaper(`${card.vinylName}: loading card`, settings.locale, (paper) =>
    card.sheets.forEach((sheet, at) => drawPage(paper, card, sheet, at, settings)),
  );
}

function drawPage(
  paper: Paper,
  { vinylName, colourHex, sheets }: LoadCard,
  sheet: LoadCard['sheets'][number],
  at: number,
  settings: FormatSettings,
): void {
  paper.addPage();
  const margin = PAPER_MARGIN_MM * POINTS_PER_MM,
    width = paper.page.width - 2 * margin,
    bottom = paper.page.height - margin;
  paper
    .font('strong')
    .fontSize(17)
    .fillColor(INK)
    .text(`${vinylName}${sheets.length > 1 ? `, sheet ${at + 1} of ${sheets.length}` : ''}`, margin, margin, {
      width,
      lineBreak: false,
      ellipsis: true,
    });
  paper
    .font('text')
    .fontSize(10.5)
    .fillColor(SOFT)
    .text(
      `${sheet.lotName}. ${plural(sheet.pieces.length, 'part')} on ${formatLength(sheet.facts.usedLengthMm, settings)}, ${formatShare(sheet.density, settings, 0)} of it used.`,
      { width },
    );
  const top = paper.y + 8;
  drawSheet(paper, sheet, colourHex, { left: margin, top, width, height: DRAWING_MM * POINTS_PER_MM });
  let y = top + DRAWING_MM * POINTS_PER_MM + 12;
  for (const { label, text } of describeLoading(sheet.facts, settings)) {
    paper.font('text').fontSize(10.5).fillColor(SOFT).text(label, margin, y, { width: 60, lineBreak: false });
    paper.fillColor(INK).text(text, margin + 64, y, { width: width - 64 });
    y = Math.max(y + LINE + 2, paper.y + 2);
  }
  y += 6;
  paper
    .moveTo(margin, y)
    .lineTo(margin + width, y)
    .lineWidth(0.5)
    .stroke(RULE);
  y += 6;
  for (const [index, piece] of sheet.pieces.entries()) {
    // What does not go on this page goes on the next.
    if (y + LINE > bottom) {
      paper.addPage();
      y = margin;
    }
    const cell = (text: string, left: number, wide: number) =>
      paper.text(text, margin + left, y, { width: wide, height: LINE, lineBreak: false, ellipsis: true });
    paper.font('strong').fontSize(9.5).fillColor(INK);
    cell(String(index + 1), 0, 22);
    paper.font('text');
    cell(piece.tag, 24, 50);
    cell(piece.what, 78, 190);
    cell(piece.orderTitle, 272, width - 272 - 84);
    paper.fillColor(SOFT);
    if (piece.dueDay) cell(`due ${formatDay(piece.dueDay, settings)}`, width - 80, 80);
    y += LINE;
  }
}

/** The length runs to the right, as on the screen; numbers say the order of cutting. */
function drawSheet(
  paper: Paper,
  sheet: LoadCard['sheets'][number],
  colour: string,
  box: { readonly left: number; readonly top: number; readonly width: number; readonly height: number },
): void {
  const wide = Math.max(...sheet.shape.map((point) => point.x)),
    long = Math.max(sheet.lengthMm, ...sheet.shape.map((point) => point.y));
  const scale = Math.min(box.width / long, box.height / wide);
  const toPage = ({ x, y }: { readonly x: number; readonly y: number }) =>
    [box.left + y * scale, box.top + (wide - x) * scale] as const;
  const draw = (ring: readonly { readonly x: number; readonly y: number }[]) => {
    ring.forEach((point, at) => (at === 0 ? paper.moveTo(...toPage(point)) : paper.lineTo(...toPage(point))));
    return paper.closePath();
  };
  paper.lineWidth(0.7);
  draw(sheet.shape).stroke(SOFT);
  for (const spot of sheet.spoiledSpots) {
    draw(spot).stroke(INK);
    paper
      .moveTo(...toPage(spot[0]!))
      .lineTo(...toPage(spot[2]!))
      .moveTo(...toPage(spot[1]!))
      .lineTo(...toPage(spot[3]!))
      .stroke(INK);
  }
  paper.lineWidth(0.4);
  for (const [index, piece] of sheet.pieces.entries()) {
    if (piece.outline.length < 3) continue;
    paper.fillOpacity(0.35);
    draw(piece.outline).fillAndStroke(colour, INK);
    paper.fillOpacity(1);
    const xs = piece.outline.map((point) => point.x),
      ys = piece.outline.map((point) => point.y);
    const [x, y] = toPage({ x: (Math.min(...xs) + Math.max(...xs)) / 2, y: (Math.min(...ys) + Math.max(...ys)) / 2 });
    paper
      .font('strong')
      .fontSize(8)
      .fillColor(INK)
      .text(String(index + 1), x - 10, y - 4, { width: 20, align: 'center', lineBreak: false });
  }
  if (sheet.facts.isRoll)
    paper
      .lineWidth(1)
      .dash(4, { space: 3 })
      .moveTo(...toPage({ x: 0, y: sheet.facts.usedLengthMm }))
      .lineTo(...toPage({ x: wide, y: sheet.facts.usedLengthMm }))
      .stroke(INK)
      .undash();
}
