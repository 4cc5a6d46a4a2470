// What is agreed about an order, or asked for it, on paper: quote, confirmation, statement of what is owed.

import { computeAsk, groupRuns, sumPayments } from '../../../core/orders';
import { addDays } from '../../../core/scheduling';
import { dayOf, formatDay, formatInstant, formatMoney, formatShare, type FormatSettings } from '../../../core/units';
import { findPicture } from '../../../data/artwork-store';
import { nameItems } from '../../../data/item-store';
import { loadPayments } from '../../../data/payment-store';
import { getShop, type ShopContext } from '../../context';
import { openInThread, type ShopInThread } from '../../heavy/shop-in-thread';
import { readMadeLines, type MadeLine } from '../../items/materials';
import type { ReadOrder } from '../../orders/read-orders';
import { requireOrder } from '../../orders/save-order';
import { drawPictureOnPaper } from '../draw-picture';
import { MARGIN, POINTS_PER_MM, printPaper, startBlock, type Paper } from '../paper';
import { drawTable } from '../paper-table';
import { drawLetterhead, drawParagraph, drawTaxNote } from './letterhead';

export type OrderSheetWish = {
  readonly id: number;
  readonly kind: 'quote' | 'confirmation' | 'statement';
  readonly settings: FormatSettings;
};
type Order = ReadOrder['order'];
type Row = Parameters<typeof drawTable>[2][number];

const HEADINGS = { quote: 'Quote', confirmation: 'Order', statement: 'Statement' } as const;
/** A quote holds for so long: prices of material change. */
const QUOTE_DAYS = 14;
const PICTURE_HEIGHT = 62 * POINTS_PER_MM;

export function printOrderSheet(
  at: ShopInThread,
  { id, kind, settings }: OrderSheetWish,
): Promise<Uint8Array<ArrayBuffer>> {
  const shop = openInThread(at);
  const entry = requireOrder(shop, id);
  const { order } = entry;
  const own = getShop(shop);
  const heading = `${HEADINGS[kind]} ${order.id}`;
  return printPaper(`${heading}, ${order.title}`, settings.locale, (paper) => {
    paper.addPage();
    drawLetterhead(paper, { shop: own, customer: order.customer, heading, atMs: shop.now(), settings });
    drawParagraph(paper, order.title, { strong: true });
    if (kind === 'quote') drawDrawings(paper, shop, entry);
    drawLines(paper, shop, order, settings);
    if (kind === 'statement') drawPayments(paper, shop, order, settings);
    else for (const said of sayTerms(shop, order, kind, settings)) drawParagraph(paper, said);
    drawTaxNote(paper, own);
  });
}

/** One picture of each design in its colours, side by side. */
function drawDrawings(paper: Paper, shop: ShopContext, entry: ReadOrder): void {
  const { lines } = readMadeLines(shop, [entry]);
  const designs = groupRuns(entry.order.lines).flatMap(([first]) => lines.get(first!.id) ?? []);
  const shown = designs.flatMap((line) => listPictures(shop, line)).slice(0, MOST_PICTURES);
  if (shown.length === 0) return;
  startBlock(paper, PICTURE_HEIGHT + 20);
  const share = (paper.page.width - 2 * MARGIN) / shown.length;
  const top = paper.y + 10;
  // All to one scale, so that large is large.
  const scale = Math.min(
    ...shown.map(({ widthMm, picture }) =>
      Math.min((share - 24) / widthMm, (PICTURE_HEIGHT - 12) / ((widthMm * picture.height) / picture.width)),
    ),
  );
  shown.forEach(({ picture, widthMm, colours, ground }, at) =>
    drawPictureOnPaper(
      paper,
      picture,
      { x: MARGIN + at * share, y: top, width: share - 12, height: PICTURE_HEIGHT },
      { colours, pointsPerUnit: (scale * widthMm) / picture.width, ...(ground ? { ground } : {}) },
    ),
  );
  paper.x = MARGIN;
  paper.y = top + PICTURE_HEIGHT + 4;
}
const MOST_PICTURES = 4;

function listPictures(shop: ShopContext, { made, layers, blank }: MadeLine) {
  const ground = blank.colours.find(({ name }) => name === made.colourName)?.hex;
  return made.placements.flatMap(({ artworkId, widthMm }, at) => {
    const found = findPicture(shop.db, artworkId);
    const colours = layers.filter((layer) => layer.placement === at).map(({ vinyl }) => vinyl.colourHex);
    return found ? [{ picture: found.picture, widthMm, colours, ground }] : [];
  });
}

/** Names of one item are one row, told by name where they are few. */
function drawLines(paper: Paper, shop: ShopContext, order: Order, settings: FormatSettings): void {
  const money = (amount: number) => formatMoney(amount, settings);
  const names = nameItems(
    shop.db,
    order.lines.map((line) => line.itemId),
  );
  const rows = groupRuns(order.lines).map((own): Row => {
    const [first] = own;
    const pieces = own.reduce((sum, line) => sum + line.quantity, 0);
    const prices = new Set(own.map(({ each }) => each));
    const sum = own.reduce((all, { each, quantity }) => all + (each ?? 0) * quantity, 0);
    const isPriced = !prices.has(null);
    return {
      cells: [
        [names.get(first!.itemId) ?? 'item', ...describeLines(own)].join(', '),
        String(pieces),
        isPriced && prices.size === 1 ? money(first!.each!) : '',
        isPriced ? money(sum) : '',
      ],
    };
  });
  drawTable(paper, COLUMNS, [
    { cells: ['', 'Pieces', 'Each', settings.currency ?? ''], strong: true },
    ...rows,
    ...sayParts(order, settings),
    { cells: ['Total', '', '', money(order.agreed)], strong: true },
  ]);
  paper.x = MARGIN;
}

const COLUMNS = [
  { share: 0.56 },
  { share: 0.1, right: true },
  { share: 0.16, right: true },
  { share: 0.18, right: true },
];
const MOST_TOLD = 12;

function describeLines(lines: Order['lines']): readonly string[] {
  const [first] = lines;
  if (first!.texts.length === 0) return [first!.sizeName, first!.colourName];
  const said = lines.map(({ texts }) => texts.map(({ text }) => text).join(' '));
  const more = said.length - MOST_TOLD;
  return [first!.colourName, `${said.slice(0, MOST_TOLD).join(', ')}${more > 0 ? ` and ${more} more` : ''}`];
}

/** What is given off or asked on top, and what makes up the rest of another sum that was agreed. */
function sayParts({ lines, terms, agreed }: Order, settings: FormatSettings): readonly Row[] {
  if (lines.some(({ each }) => each === null)) return [];
  const money = (amount: number) => formatMoney(amount, settings);
  const asked = computeAsk(
    lines.map(({ quantity, each }) => ({ label: '', quantity, each: each! })),
    terms,
  );
  const share = { Discount: terms.discountShare, Rush: terms.rushShare } as Readonly<Record<string, number>>;
  const rows = asked.parts!.slice(1).map(({ label, value }): Row => {
    const percent = share[label];
    return { cells: [percent ? `${label}, ${formatShare(percent, settings)}` : label, '', '', money(value)] };
  });
  const rest = agreed - asked.value;
  return rest === 0 ? rows : [...rows, { cells: ['As agreed', '', '', money(rest)] }];
}

function sayTerms(
  shop: ShopContext,
  order: Order,
  kind: 'quote' | 'confirmation',
  settings: FormatSettings,
): readonly string[] {
  const goes = order.terms.goes === 'sent' ? 'sent' : 'ready to be collected';
  const { timeZone } = getShop(shop);
  const until = addDays(dayOf(shop.now(), timeZone), QUOTE_DAYS);
  const deposit =
    order.deposit > 0 ? [`We ask for ${formatMoney(order.deposit, settings)} before the work begins.`] : [];
  if (kind === 'quote')
    return [
      `This quote holds until ${formatDay(until, settings)}. Agreed by then, it can be ${goes} on ${formatDay(order.dueDay, settings)}.`,
      ...deposit,
    ];
  const paid = order.paid > 0 ? [`${formatMoney(order.paid, settings)} is paid; thank you.`] : deposit;
  return [`It will be ${goes} on ${formatDay(order.dueDay, settings)}.`, ...paid];
}

function drawPayments(paper: Paper, shop: ShopContext, order: Order, settings: FormatSettings): void {
  const payments = loadPayments(shop.db, order.id).map(({ takenBackAtMs, ...payment }) => ({
    ...payment,
    takenBack: takenBackAtMs !== null,
  }));
  const money = (amount: number) => formatMoney(amount, settings);
  const sums = sumPayments(order, payments);
  const counted = payments.filter(({ kind, takenBack }) => !takenBack && kind !== 'tip');
  drawTable(paper, COLUMNS, [
    ...counted.map(({ kind, amount, means, atMs }): Row => ({
      cells: [
        `${kind === 'refund' ? 'Given back' : 'Paid'}, ${means}, ${formatInstant(atMs, settings)}`,
        '',
        '',
        money(kind === 'refund' ? amount : -amount),
      ],
    })),
    { cells: ['Owed', '', '', money(Math.max(0, sums.owed.value))], strong: true },
  ]);
  paper.x = MARGIN;
  drawParagraph(paper, 'A statement of what is owed for this order; it is not an invoice.', { soft: true });
}
