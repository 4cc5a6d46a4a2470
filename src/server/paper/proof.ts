// A proof on paper: a page for each design, then every piece with its texts, large enough to be read letter by letter.

import { groupDesigns, groupTextsByPlace, listSharedDrawings } from '../../core/orders';
import { formatInstant } from '../../core/units';
import { findPicture } from '../../data/artwork-store';
import { findProofByToken, type StoredProof } from '../../data/proof-store';
import { getShop, type ShopContext } from '../context';
import { notFound } from '../errors';
import { openInThread, type ShopInThread } from '../heavy/shop-in-thread';
import { requireStandingOrder } from '../orders/save-order';
import { plural } from '../../wording/plural';
import { drawPictureOnPaper, type PaperBox } from './draw-picture';
import { INK, MARGIN, POINTS_PER_MM, printPaper, RULE, SOFT, type Paper } from './paper';
import { drawHeading } from './paper-table';

type ProofLine = StoredProof['content']['lines'][number];
const PIECE_HEIGHT = 30 * POINTS_PER_MM;
const PICTURE_HEIGHT = 110 * POINTS_PER_MM;

export function printProof(at: ShopInThread, token: string, locale: string): Promise<Uint8Array<ArrayBuffer>> {
  const shop = openInThread(at);
  const proof = findProofByToken(shop.db, token);
  if (!proof) throw notFound('This proof');
  const { order } = requireStandingOrder(shop, proof.orderId);
  const { name, timeZone } = getShop(shop);
  const below = `Proof ${proof.number} for ${order.customer.name}, ${formatInstant(proof.atMs, { locale, timeZone })}, from ${name}`;
  return printPaper(`${order.title}, proof ${proof.number}`, locale, (paper) => {
    for (const lines of groupDesigns(proof.content)) {
      paper.addPage();
      drawHeading(paper, order.title, below);
      drawDesign(paper, shop, lines);
      if (lines.some(({ texts }) => texts.length > 0)) drawPieces(paper, shop, lines);
    }
  });
}

function drawDesign(paper: Paper, shop: ShopContext, lines: readonly ProofLine[]): void {
  const [first] = lines;
  const pieces = lines.reduce((sum, line) => sum + line.quantity, 0);
  const width = paper.page.width - 2 * MARGIN;
  paper
    .font('strong')
    .fontSize(14)
    .fillColor(INK)
    .text(`${first!.itemName}, ${first!.colourName}: ${plural(pieces, 'piece')}`, MARGIN, paper.y + 12);
  if (first!.texts.length === 0) {
    const sizes = lines.map(({ sizeName, quantity }) => `${quantity} × ${sizeName}`).join(', ');
    paper.font('text').fontSize(11).fillColor(SOFT).text(sizes);
  }
  let y = paper.y + 8;
  for (const { artworkId, place, widthMm, colours } of listSharedDrawings(first!)) {
    const found = findPicture(shop.db, artworkId);
    if (!found) continue;
    if (y + PICTURE_HEIGHT > paper.page.height - MARGIN) {
      paper.addPage();
      y = MARGIN;
    }
    // At real size where the page holds it.
    const pointsPerUnit = (widthMm / found.picture.width) * POINTS_PER_MM;
    y +=
      drawPictureOnPaper(
        paper,
        found.picture,
        { x: MARGIN, y, width, height: PICTURE_HEIGHT },
        { pointsPerUnit, colours, ground: first!.ground },
      ) + 6;
    paper
      .font('text')
      .fontSize(10)
      .fillColor(SOFT)
      .text(`${place}, ${Math.round(widthMm)} mm wide`, MARGIN, y);
    y = paper.y + 10;
  }
  paper.y = y;
}

function drawPieces(paper: Paper, shop: ShopContext, lines: readonly ProofLine[]): void {
  const width = paper.page.width - 2 * MARGIN;
  let y = paper.y;
  lines.forEach((line, at) => {
    const height = measurePiece(line);
    if (y + height > paper.page.height - MARGIN) {
      paper.addPage();
      y = MARGIN;
    }
    drawPiece(paper, shop, line, { number: at + 1, x: MARGIN, y, width, height });
    y += height;
    paper
      .moveTo(MARGIN, y - 4)
      .lineTo(MARGIN + width, y - 4)
      .lineWidth(0.5)
      .strokeColor(RULE)
      .stroke();
  });
}

/** Texts above one another need more room to be read. */
const measurePiece = (line: ProofLine): number =>
  PIECE_HEIGHT * Math.max(1, ...groupTextsByPlace(line).map((texts) => 1 + (texts.length - 1) * EACH_MORE));
const EACH_MORE = 0.8;

/** What is written at the left, as it will look at the right. */
function drawPiece(
  paper: Paper,
  shop: ShopContext,
  line: ProofLine,
  { number, x, y, width, height }: PaperBox & { readonly number: number },
): void {
  paper.font('text').fontSize(9.5).fillColor(SOFT).text(`${number}. size ${line.sizeName}`, x, y, { lineBreak: false });
  line.texts.forEach(({ text }, at) => {
    paper
      .font('strong')
      .fontSize(15)
      .fillColor(INK)
      .text(text, x, y + 14 + at * 20, { width: width * 0.42, lineBreak: false });
  });
  const places = groupTextsByPlace(line);
  const share = (width * 0.55) / Math.max(1, places.length);
  places.forEach((texts, at) => {
    const box = { x: x + width * 0.45 + at * share, y: y + 4, width: share - 12, height: height - 18 };
    drawTexts(paper, shop, { texts, ground: line.ground }, box);
  });
}

/** Texts of one place as they stand there: from the top, centred, to one scale. */
function drawTexts(
  paper: Paper,
  shop: ShopContext,
  { texts, ground }: { readonly texts: ProofLine['drawings']; readonly ground: string },
  box: PaperBox,
): void {
  const stacked = texts.flatMap(({ artworkId, widthMm, gapMm = 0, colours }) => {
    const picture = findPicture(shop.db, artworkId)?.picture;
    return picture ? [{ picture, colours, widthMm, gapMm, heightMm: (picture.height * widthMm) / picture.width }] : [];
  });
  if (stacked.length === 0) return;
  const widestMm = Math.max(...stacked.map(({ widthMm }) => widthMm));
  const heightMm = stacked.reduce((sum, text) => sum + text.gapMm + text.heightMm, 0);
  const perMm = Math.min((box.width - 2 * GROUND_EDGE) / widestMm, (box.height - 2 * GROUND_EDGE) / heightMm);
  const [width, height] = [widestMm * perMm + 2 * GROUND_EDGE, heightMm * perMm + 2 * GROUND_EDGE];
  paper.rect(box.x, box.y, width, height).fill(ground);
  let y = box.y + GROUND_EDGE;
  for (const text of stacked) {
    const own = { width: text.widthMm * perMm, height: text.heightMm * perMm };
    y += text.gapMm * perMm;
    drawPictureOnPaper(
      paper,
      text.picture,
      { x: box.x + (width - own.width) / 2, y, ...own },
      { colours: text.colours },
    );
    y += own.height;
  }
}
/** Of the blank's colour round the texts, points. */
const GROUND_EDGE = 6;
