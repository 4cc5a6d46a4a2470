// An order to a supplier: on paper, and as a mail with its list attached.

import { createTransport } from 'nodemailer';
import { formatMoney, type FormatSettings } from '../../core/units';
import type { PurchaseView } from '../../views/views';
import { INK, PAPER_MARGIN_MM, plainText, POINTS_PER_MM, printPaper, RULE, SOFT } from './paper';

export function printPurchase(purchase: PurchaseView, shopName: string, settings: FormatSettings): Promise<Uint8Array<ArrayBuffer>> {
  return printPaper(`Order ${purchase.id} to ${purchase.supplier.name}`, settings.locale, (paper) => {
    paper.addPage();
    const left = PAPER_MARGIN_MM * POINTS_PER_MM, width = paper.page.width - 2 * left, foot = paper.page.height - left;
    const columns = [{ x: 0, w: 0.2 }, { x: 0.2, w: 0.5 }, { x: 0.7, w: 0.1 }, { x: 0.8, w: 0.2 }].map((column) => ({ x: left + column.x * width, width: column.w * width - 8 }));
    paper.font('strong').fontSize(20).fillColor(INK).text(plainText(`Order ${purchase.id}`), left, left);
    paper.font('text').fontSize(11).fillColor(SOFT).text(plainText(`${shopName} to ${purchase.supplier.name}, ${new Intl.DateTimeFormat(settings.locale, { dateStyle: 'long', timeZone: settings.timeZone }).format(purchase.placedAtMs)}`));
    let y = paper.y + 14;
    const row = (cells: readonly string[], font: 'text' | 'strong') => {
      const height = Math.max(...cells.map((cell, index) => paper.font(font).fontSize(10.5).heightOfString(cell || ' ', { width: columns[index]!.width })));
      if (y + height > foot) {
        paper.addPage();
        y = left;
      }
      cells.forEach((cell, index) => paper.font(font).fillColor(INK).text(cell, columns[index]!.x, y, { width: columns[index]!.width, align: index > 1 ? 'right' : 'left' }));
      y += height + 5;
      paper.moveTo(left, y).lineTo(left + width, y).lineWidth(0.5).strokeColor(RULE).stroke();
      y += 5;
    };
    const price = (amount: number) => plainText(formatMoney(amount, settings));
    row(['Article', 'Name', 'Packs', 'Price'], 'strong');
    for (const line of purchase.lines) row([plainText(line.code), plainText(line.offerName), String(line.packs), price(line.goods)], 'text');
    row(['', 'Shipping', '', price(purchase.shipping)], 'text');
    row(['', 'Together', '', price(purchase.total)], 'strong');
  });
}

/** The mail as a file, to be looked at and sent from wherever the seller sends mail. */
export async function writePurchaseMail(purchase: PurchaseView, csv: string, shopName: string): Promise<Uint8Array<ArrayBuffer>> {
  const lines = purchase.lines.map((line) => `${line.packs} × ${line.code}  ${line.offerName}`).join('\n');
  const { message } = await createTransport({ streamTransport: true, buffer: true, newline: 'windows' }).sendMail({
    from: { name: shopName, address: 'shop@localhost' }, to: { name: purchase.supplier.name, address: purchase.supplier.email || 'supplier@localhost' }, subject: `Order ${purchase.id}`,
    text: `Good day,\n\nplease send us:\n\n${lines}\n\nThank you,\n${shopName}\n`, attachments: [{ filename: `order-${purchase.id}.csv`, content: `\uFEFF${csv}`, contentType: 'text/csv; charset=utf-8' }],
  });
  return new Uint8Array(message as Buffer);
}
