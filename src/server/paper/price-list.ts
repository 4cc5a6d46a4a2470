// The price list as a table for a spreadsheet, and on paper.

import { writeCsv } from '../../core/buying';
import { formatMoney, printMajor, type FormatSettings } from '../../core/units';
import type { PriceListView } from '../../views/price-list';
import { printPaper } from './paper';
import { drawHeading, drawTable } from './paper-table';

/** All items, whatever page is looked at. */
type WholePriceList = Pick<PriceListView, 'channels' | 'rows'>;

export function writePriceListCsv(list: WholePriceList, currency: string): string {
  const money = (value: number | undefined) => (value === undefined ? '' : printMajor(value, currency));
  return writeCsv(
    [
      'item',
      'blank',
      'size',
      'made at once',
      `cost ${currency}`,
      `price ${currency}`,
      ...list.channels.map((channel) => `${channel.name} ${currency}`),
    ],
    list.rows.map((row) => [
      row.name,
      row.blankName,
      row.sizeName,
      row.quantity,
      money(row.cost?.value),
      money(row.price),
      ...row.asks.map((ask) => money(ask?.value)),
    ]),
  );
}

/** For customers: what is asked where, and nothing of what it costs. */
export function printPriceList(
  list: WholePriceList,
  shopName: string,
  nowMs: number,
  settings: FormatSettings,
): Promise<Uint8Array<ArrayBuffer>> {
  return printPaper('Price list', settings.locale, (paper) => {
    paper.addPage();
    drawHeading(
      paper,
      'Price list',
      `${shopName}, ${new Intl.DateTimeFormat(settings.locale, { dateStyle: 'long', timeZone: settings.timeZone }).format(nowMs)}`,
    );
    const share = 0.6 / Math.max(1, list.channels.length);
    drawTable(
      paper,
      [{ share: 0.4 }, ...list.channels.map(() => ({ share, right: true }))],
      [
        { cells: ['', ...list.channels.map((channel) => channel.name)], strong: true },
        ...list.rows.map((row) => ({
          cells: [
            `${row.name}, ${row.sizeName}`,
            ...row.asks.map((ask) => (ask ? formatMoney(ask.value, settings) : '')),
          ],
        })),
      ],
    );
  });
}
