// What lies in the parcel, piece by piece, to be ticked off: no prices.

import { formatDay, type FormatSettings } from '../../../core/units';
import { nameItems } from '../../../data/item-store';
import { getShop, type ShopContext } from '../../context';
import { openInThread, type ShopInThread } from '../../heavy/shop-in-thread';
import type { ReadOrder } from '../../orders/read-orders';
import { requireOrder } from '../../orders/save-order';
import { plural } from '../../../wording/plural';
import { MARGIN, printPaper } from '../paper';
import { drawTable } from '../paper-table';
import { drawLetterhead, drawParagraph } from './letterhead';

export type PieceOnPaper = {
  readonly number: number;
  readonly itemName: string;
  readonly sizeName: string;
  readonly colourName: string;
  /** What it says, in one line. */
  readonly words: string;
  readonly note: string;
};

/** Every piece that is wanted, by its number in the order. */
export function listPieces(shop: ShopContext, { order, parts }: ReadOrder): readonly PieceOnPaper[] {
  const names = nameItems(
    shop.db,
    order.lines.map((line) => line.itemId),
  );
  const lines = new Map(order.lines.map((line) => [line.id, line]));
  const pieces = new Map(parts.map((part) => [part.pieceNumber, part.lineId]));
  return [...pieces]
    .sort(([a], [b]) => a - b)
    .map(([number, lineId]) => {
      const line = lines.get(lineId)!;
      return {
        number,
        itemName: names.get(line.itemId) ?? 'item',
        sizeName: line.sizeName,
        colourName: line.colourName,
        words: line.texts.map(({ text }) => text).join(' '),
        note: line.note,
      };
    });
}

export function printPackingSlip(
  at: ShopInThread,
  { id, settings }: { readonly id: number; readonly settings: FormatSettings },
): Promise<Uint8Array<ArrayBuffer>> {
  const shop = openInThread(at);
  const entry = requireOrder(shop, id);
  const { order } = entry;
  const pieces = listPieces(shop, entry);
  const heading = `Packing slip ${order.id}`;
  return printPaper(`${heading}, ${order.title}`, settings.locale, (paper) => {
    paper.addPage();
    drawLetterhead(paper, {
      shop: getShop(shop),
      customer: order.customer,
      heading,
      atMs: shop.now(),
      settings,
    });
    drawParagraph(paper, order.title, { strong: true });
    drawTable(
      paper,
      [{ share: 0.08, right: true }, { share: 0.3 }, { share: 0.26 }, { share: 0.28 }, { share: 0.08 }],
      [
        { cells: ['No.', 'Item', 'Size and colour', 'On it', 'in it'], strong: true },
        ...pieces.map(({ number, itemName, sizeName, colourName, words, note }) => ({
          cells: [
            String(number),
            itemName,
            `${sizeName}, ${colourName}`,
            [words, note].filter(Boolean).join('; '),
            '___',
          ],
        })),
      ],
    );
    paper.x = MARGIN;
    drawParagraph(
      paper,
      `${plural(pieces.length, 'piece')}, ${order.terms.goes === 'sent' ? 'sent' : 'to be collected'}; promised for ${formatDay(order.dueDay, settings)}.`,
    );
  });
}
