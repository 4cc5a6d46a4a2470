// A quote as words to paste, and on paper: what is asked, and nothing of what it costs.

import { formatDay, formatMoney, type FormatSettings } from '../../core/units';
import type { StoredQuote } from '../../data/quote-store';
import { printPaper } from './paper';
import { drawHeading, drawTable } from './paper-table';

/** What it is of: in which size and colour, with which options. */
const describeWhat = ({ blankName, sizeName, colourName, options = [] }: StoredQuote['facts']): string =>
  [blankName, sizeName, colourName, ...options.map((option) => `with ${option}`)].join(', ');

/** To be pasted into a message. */
export function writeQuoteText(
  { facts, customerName }: StoredQuote,
  shopName: string,
  settings: FormatSettings,
): string {
  return [
    `${customerName ? `Good day ${customerName},` : 'Good day,'}`,
    '',
    `${facts.quantity} × ${facts.itemName} (${describeWhat(facts)}): ${formatMoney(facts.each, settings)} each, ${formatMoney(facts.total, settings)} in total${settings.currency ? ` (${settings.currency})` : ''}.`,
    ...(facts.readyDay ? [`Ready on ${formatDay(facts.readyDay, settings)}, if you say yes today.`] : []),
    '',
    shopName,
    '',
  ].join('\n');
}

export function printQuote(
  { id, facts, customerName, atMs }: StoredQuote,
  shopName: string,
  settings: FormatSettings,
): Promise<Uint8Array<ArrayBuffer>> {
  return printPaper(`Quote ${id}`, settings.locale, (paper) => {
    paper.addPage();
    drawHeading(
      paper,
      `Quote ${id}`,
      `${shopName}${customerName ? ` for ${customerName}` : ''}, ${new Intl.DateTimeFormat(settings.locale, { dateStyle: 'long', timeZone: settings.timeZone }).format(atMs)}`,
    );
    drawTable(
      paper,
      [{ share: 0.52 }, { share: 0.12, right: true }, { share: 0.18, right: true }, { share: 0.18, right: true }],
      [
        { cells: ['', 'Pieces', 'Each', `${settings.currency}`], strong: true },
        {
          cells: [
            `${facts.itemName}: ${describeWhat(facts)}; ${facts.vinylNames.join(', ')}`,
            String(facts.quantity),
            formatMoney(facts.each, settings),
            formatMoney(facts.total, settings),
          ],
        },
        { cells: ['Total', '', '', formatMoney(facts.total, settings)], strong: true },
        ...(facts.readyDay
          ? [
              {
                cells: [
                  `Ready on ${formatDay(facts.readyDay, settings)}, if ordered on the day of this quote`,
                  '',
                  '',
                  '',
                ],
              },
            ]
          : []),
      ],
    );
  });
}
