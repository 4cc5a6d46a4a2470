// Labels for offcuts: the code to find it by, its size, and its shape to scale.

import { formatLength, type FormatSettings } from '../../core/units';
import type { FullStock } from '../../views/stock';
import { INK, PAPER_MARGIN_MM, POINTS_PER_MM, printPaper, RULE, SOFT } from './paper';
import { PAPER_COLOURS } from '../../theme/tokens';

/** Three labels across, cut apart along the lines. */
const LABEL = { widthMm: 60, heightMm: 32, across: 3 } as const;

export function printOffcutLabels(
  stock: Pick<FullStock, 'rows'>,
  settings: FormatSettings,
): Promise<Uint8Array<ArrayBuffer>> {
  return printPaper('Offcut labels', settings.locale, (paper) => {
    paper.addPage();
    const margin = PAPER_MARGIN_MM * POINTS_PER_MM,
      width = LABEL.widthMm * POINTS_PER_MM,
      height = LABEL.heightMm * POINTS_PER_MM;
    const down = Math.floor((paper.page.height - 2 * margin) / height);
    const offcuts = stock.rows.flatMap((row) =>
      row.lots.filter((lot) => lot.form === 'offcut').map((lot) => ({ lot, thing: row.thing })),
    );
    if (offcuts.length === 0) paper.font('text').fontSize(12).fillColor(INK).text('There are no offcuts now.');
    offcuts.forEach(({ lot, thing }, index) => {
      const place = index % (LABEL.across * down);
      if (index > 0 && place === 0) paper.addPage();
      const x = margin + (place % LABEL.across) * width,
        y = margin + Math.floor(place / LABEL.across) * height;
      paper.rect(x, y, width, height).lineWidth(0.4).strokeColor(RULE).stroke();
      paper
        .font('strong')
        .fontSize(26)
        .fillColor(INK)
        .text(lot.code ?? '', x + 8, y + 6, { lineBreak: false });
      paper
        .font('text')
        .fontSize(9)
        .fillColor(INK)
        .text(thing.name, x + 8, y + 40, { width: width - 66, height: 24, ellipsis: true });
      paper
        .fillColor(SOFT)
        .text(
          `${formatLength(lot.widthMm ?? 0, settings)} × ${formatLength(lot.lengthMm ?? 0, settings)}`,
          x + 8,
          y + height - 20,
          { lineBreak: false },
        );
      const scale = 44 / Math.max(lot.widthMm ?? 1, lot.lengthMm ?? 1);
      const points = (lot.shape ?? []).map((point): [number, number] => [
        x + width - 54 + point.x * scale,
        y + 12 + point.y * scale,
      ]);
      if (points.length >= 3)
        paper
          .polygon(...points)
          .lineWidth(0.8)
          .fillAndStroke(thing.colourHex, INK);
      for (const spot of lot.spoiledSpots)
        paper
          .rect(x + width - 54 + spot.x * scale, y + 12 + spot.y * scale, spot.width * scale, spot.height * scale)
          .lineWidth(0.4)
          .fillAndStroke(PAPER_COLOURS.white, INK);
    });
  });
}
