// An order to a supplier: on paper, and as a mail with its list attached.

import { formatMoney, type FormatSettings } from '../../core/units';
import type { PurchaseView } from '../../views/purchases';
import { writeMail } from '../mail/outbox';
import { printPaper } from './paper';
import { drawHeading, drawTable } from './paper-table';

export function printPurchase(
  purchase: PurchaseView,
  shopName: string,
  settings: FormatSettings,
): Promise<Uint8Array<ArrayBuffer>> {
  return printPaper(`Order ${purchase.id} to ${purchase.supplier.name}`, settings.locale, (paper) => {
    paper.addPage();
    drawHeading(
      paper,
      `Order ${purchase.id}`,
      `${shopName} to ${purchase.supplier.name}, ${new Intl.DateTimeFormat(settings.locale, { dateStyle: 'long', timeZone: settings.timeZone }).format(purchase.placedAtMs)}`,
    );
    const price = (amount: number) => formatMoney(amount, settings);
    drawTable(
      paper,
      [{ share: 0.2 }, { share: 0.5 }, { share: 0.1, right: true }, { share: 0.2, right: true }],
      [
        { cells: ['Article', 'Name', 'Packs', 'Price'], strong: true },
        ...purchase.lines.map((line) => ({
          cells: [line.code, line.offerName, String(line.packs), price(line.goods)],
        })),
        { cells: ['', 'Shipping', '', price(purchase.shipping)] },
        { cells: ['', 'Total', '', price(purchase.total)], strong: true },
      ],
    );
  });
}

/** The mail as a file, to be looked at and sent from wherever the seller sends mail. */
export function writePurchaseMail(
  purchase: PurchaseView,
  csv: string,
  shopName: string,
): Promise<Uint8Array<ArrayBuffer>> {
  const lines = purchase.lines.map((line) => `${line.packs} × ${line.code}  ${line.offerName}`).join('\n');
  return writeMail({
    from: { name: shopName, address: 'shop@localhost' },
    to: { name: purchase.supplier.name, address: purchase.supplier.email || 'supplier@localhost' },
    subject: `Order ${purchase.id}`,
    text: `Good day,\n\nplease send us:\n\n${lines}\n\nThank you,\n${shopName}\n`,
    attachments: [
      { filename: `order-${purchase.id}.csv`, content: `\uFEFF${csv}`, contentType: 'text/csv; charset=utf-8' },
    ],
  });
}
