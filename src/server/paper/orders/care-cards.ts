// Care cards to go with the pieces: one for each kind of them, to be cut apart along the lines.

import { decideCare } from '../../../core/materials/care';
import { groupRuns } from '../../../core/orders';
import type { FormatSettings } from '../../../core/units';
import { getShop } from '../../context';
import { openInThread, type ShopInThread } from '../../heavy/shop-in-thread';
import { readMadeLines, type MadeLine } from '../../items/materials';
import { requireOrder } from '../../orders/save-order';
import { describeCare } from '../../../wording/care';
import { INK, MARGIN, POINTS_PER_MM, printPaper, RULE, SOFT, type Paper } from '../paper';

/** Two across. */
const CARD = { widthMm: 90, heightMm: 62, across: 2 } as const;
const INSET = 12;

export function printCareCards(
  at: ShopInThread,
  { id, settings }: { readonly id: number; readonly settings: FormatSettings },
): Promise<Uint8Array<ArrayBuffer>> {
  const shop = openInThread(at);
  const entry = requireOrder(shop, id);
  const { lines } = readMadeLines(shop, [entry]);
  const { name } = getShop(shop);
  const cards = groupRuns(entry.order.lines).flatMap((own) => {
    const made = lines.get(own[0]!.id);
    const pieces = own.reduce((sum, line) => sum + line.quantity, 0);
    return made ? Array.from({ length: pieces }, () => made) : [];
  });
  return printPaper(`Care cards, ${entry.order.title}`, settings.locale, (paper) => {
    const width = CARD.widthMm * POINTS_PER_MM;
    const height = CARD.heightMm * POINTS_PER_MM;
    paper.addPage();
    const perPage = CARD.across * Math.floor((paper.page.height - 2 * MARGIN) / height);
    cards.forEach((made, index) => {
      const place = index % perPage;
      if (index > 0 && place === 0) paper.addPage();
      const x = MARGIN + (place % CARD.across) * width;
      const y = MARGIN + Math.floor(place / CARD.across) * height;
      paper.rect(x, y, width, height).lineWidth(0.4).strokeColor(RULE).stroke();
      drawCard(paper, { made, shopName: name, x, y, width: width - 2 * INSET });
    });
  });
}

type Card = {
  readonly made: MadeLine;
  readonly shopName: string;
  readonly x: number;
  readonly y: number;
  readonly width: number;
};

function drawCard(paper: Paper, { made, shopName, x, y, width }: Card): void {
  const kinds = made.layers.map(({ vinyl }) => vinyl.kind);
  paper
    .font('strong')
    .fontSize(12)
    .fillColor(INK)
    .text(made.item.name, x + INSET, y + INSET, { width });
  paper.font('text').fontSize(9.5).fillColor(SOFT).text(`made by ${shopName}`, { width });
  paper.moveDown(0.5).fillColor(INK);
  for (const rule of describeCare(decideCare(made.blank, kinds))) paper.text(rule, { width });
}
