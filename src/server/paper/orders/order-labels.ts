// Labels of an order: one with the address, one for every piece with its size and what it says.

import type { FormatSettings } from '../../../core/units';
import { getShop } from '../../context';
import { openInThread, type ShopInThread } from '../../heavy/shop-in-thread';
import { requireOrder } from '../../orders/save-order';
import { INK, MARGIN, POINTS_PER_MM, printPaper, RULE, SOFT, type Paper } from '../paper';
import { listPieces, type PieceOnPaper } from './packing-slip';

/** Three across, cut apart along the lines. */
const LABEL = { widthMm: 60, heightMm: 24, across: 3 } as const;
const ADDRESS = { widthMm: 120, heightMm: 48 } as const;
const INSET = 8;
const mm = (length: number): number => length * POINTS_PER_MM;

export function printOrderLabels(
  at: ShopInThread,
  { id, settings }: { readonly id: number; readonly settings: FormatSettings },
): Promise<Uint8Array<ArrayBuffer>> {
  const shop = openInThread(at);
  const entry = requireOrder(shop, id);
  const { customer, title } = entry.order;
  const own = getShop(shop);
  return printPaper(`Labels, ${title}`, settings.locale, (paper) => {
    paper.addPage();
    const to = [customer.name, customer.address].filter((text) => text !== '').join('\n');
    const from = [own.name, own.address]
      .filter((text) => text !== '')
      .join(', ')
      .replace(/\n/g, ', ');
    drawAddress(paper, to, from);
    let [column, y] = [0, MARGIN + mm(ADDRESS.heightMm) + mm(6)];
    for (const piece of listPieces(shop, entry)) {
      if (y + mm(LABEL.heightMm) > paper.page.height - MARGIN) {
        paper.addPage();
        [column, y] = [0, MARGIN];
      }
      drawPiece(paper, piece, MARGIN + column * mm(LABEL.widthMm), y);
      column += 1;
      if (column === LABEL.across) [column, y] = [0, y + mm(LABEL.heightMm)];
    }
  });
}

function drawAddress(paper: Paper, to: string, from: string): void {
  const width = mm(ADDRESS.widthMm);
  const height = mm(ADDRESS.heightMm);
  const inner = { width: width - 4 * INSET };
  paper.rect(MARGIN, MARGIN, width, height).lineWidth(0.4).strokeColor(RULE).stroke();
  paper
    .font('text')
    .fontSize(7.5)
    .fillColor(SOFT)
    .text(from, MARGIN + 2 * INSET, MARGIN + INSET, inner);
  paper
    .font('strong')
    .fontSize(14)
    .fillColor(INK)
    .text(to, MARGIN + 2 * INSET, MARGIN + 4 * INSET, { ...inner, height: height - 5 * INSET });
}

function drawPiece(paper: Paper, piece: PieceOnPaper, x: number, y: number): void {
  const { number, itemName, sizeName, colourName, words } = piece;
  const inner = { width: mm(LABEL.widthMm) - 2 * INSET, height: 12, ellipsis: true };
  paper.rect(x, y, mm(LABEL.widthMm), mm(LABEL.heightMm)).lineWidth(0.4).strokeColor(RULE).stroke();
  paper
    .font('strong')
    .fontSize(15)
    .fillColor(INK)
    .text(words ? `${sizeName}  ${words}` : sizeName, x + INSET, y + INSET, { ...inner, height: 18 });
  paper
    .font('text')
    .fontSize(8.5)
    .fillColor(SOFT)
    .text(`${number}. ${itemName}`, x + INSET, y + INSET + 24, inner)
    .text(colourName, x + INSET, y + INSET + 36, inner);
}
