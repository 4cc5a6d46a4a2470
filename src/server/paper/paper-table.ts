// A table on paper: rows that wrap, a rule under each, and a new page where one is full.

import { INK, PAPER_MARGIN_MM, POINTS_PER_MM, RULE, SOFT } from './paper';

type Paper = PDFKit.PDFDocument;
/** Share of the width, and whether its figures stand at the right. */
export type PaperColumn = { readonly share: number; readonly right?: boolean };

/** A heading with a line under it; what follows stands below. */
export function drawHeading(paper: Paper, heading: string, below: string): void {
  const left = PAPER_MARGIN_MM * POINTS_PER_MM;
  paper.font('strong').fontSize(20).fillColor(INK).text(heading, left, left);
  paper.font('text').fontSize(11).fillColor(SOFT).text(below);
}

/** Rows from where the paper stands; those of `strong` in the heavier face. The first row is repeated on each page. */
export function drawTable(
  paper: Paper,
  columns: readonly PaperColumn[],
  rows: readonly { readonly cells: readonly string[]; readonly strong?: boolean }[],
): void {
  const left = PAPER_MARGIN_MM * POINTS_PER_MM,
    width = paper.page.width - 2 * left,
    foot = paper.page.height - left;
  const places = columns.map((column, index) => ({
    x: left + columns.slice(0, index).reduce((sum, before) => sum + before.share, 0) * width,
    width: column.share * width - 8,
  }));
  let y = paper.y + 14;
  const draw = ({ cells, strong = false }: (typeof rows)[number]) => {
    const face = strong ? 'strong' : 'text';
    cells.forEach((cell, index) =>
      paper
        .font(face)
        .fontSize(10.5)
        .fillColor(INK)
        .text(cell, places[index]!.x, y, {
          width: places[index]!.width,
          align: columns[index]!.right ? 'right' : 'left',
        }),
    );
    y += heightOf(cells, face) + 5;
    paper
      .moveTo(left, y)
      .lineTo(left + width, y)
      .lineWidth(0.5)
      .strokeColor(RULE)
      .stroke();
    y += 5;
  };
  const heightOf = (cells: readonly string[], face: string) =>
    Math.max(
      ...cells.map((cell, index) =>
        paper
          .font(face)
          .fontSize(10.5)
          .heightOfString(cell || ' ', { width: places[index]!.width }),
      ),
    );
  rows.forEach((row, index) => {
    if (y + heightOf(row.cells, row.strong ? 'strong' : 'text') > foot) {
      paper.addPage();
      y = left;
      if (index > 0 && rows[0]) draw(rows[0]);
    }
    draw(row);
  });
}
