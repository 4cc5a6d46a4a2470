// The head of a paper for a customer: whose it is, what it is, for whom, of which day.

import { formatInstant, type FormatSettings } from '../../../core/units';
import type { StoredCustomer } from '../../../data/customer-store';
import type { StoredShop } from '../../../data/shop-store';
import { INK, MARGIN, RULE, SOFT, startBlock, type Paper } from '../paper';

/** Space between the blocks of a paper. */
const GAP = 14;

type Letterhead = {
  readonly shop: Pick<StoredShop, 'name' | 'address' | 'contact' | 'taxNote'>;
  readonly customer: Pick<StoredCustomer, 'name' | 'address'>;
  readonly heading: string;
  readonly atMs: number;
  readonly settings: FormatSettings;
};

/** Where it ends the paper goes on; the shop at the left, what it is at the right, the customer below. */
export function drawLetterhead(paper: Paper, { shop, customer, heading, atMs, settings }: Letterhead): void {
  const half = (paper.page.width - 2 * MARGIN) / 2;
  paper.font('strong').fontSize(15).fillColor(INK).text(shop.name, MARGIN, MARGIN, { width: half });
  const below = [shop.address, shop.contact].filter((text) => text !== '').join('\n');
  if (below) paper.font('text').fontSize(9.5).fillColor(SOFT).text(below, { width: half });
  const left = paper.y;
  paper
    .font('strong')
    .fontSize(15)
    .fillColor(INK)
    .text(heading, MARGIN + half, MARGIN, { width: half, align: 'right' });
  paper.font('text').fontSize(9.5).fillColor(SOFT).text(formatInstant(atMs, settings), { width: half, align: 'right' });
  paper
    .font('text')
    .fontSize(11)
    .fillColor(INK)
    .text(
      [customer.name, customer.address].filter((text) => text !== '').join('\n'),
      MARGIN,
      Math.max(left, paper.y) + GAP,
    );
}

/** A paragraph, on a new page where this one has no room. */
export function drawParagraph(paper: Paper, text: string, { soft = false, strong = false } = {}): void {
  const width = paper.page.width - 2 * MARGIN;
  paper.font(strong ? 'strong' : 'text').fontSize(10.5);
  startBlock(paper, paper.heightOfString(text, { width }) + GAP);
  paper.fillColor(soft ? SOFT : INK).text(text, MARGIN, paper.y + GAP / 2, { width });
}

/** At the foot of the last page: what the tax office wants said. */
export function drawTaxNote(paper: Paper, { taxNote }: Pick<StoredShop, 'taxNote'>): void {
  if (taxNote === '') return;
  startBlock(paper, 2 * GAP);
  const y = paper.y + GAP;
  paper
    .moveTo(MARGIN, y)
    .lineTo(paper.page.width - MARGIN, y)
    .lineWidth(0.5)
    .strokeColor(RULE)
    .stroke();
  paper.y = y;
  drawParagraph(paper, taxNote, { soft: true });
}
