// The job ticket that goes with an order through the shop: what is made, piece by piece, how it is pressed, and a code
// that opens the order at the bench.

import { encode } from 'uqr';
import { formatDay, formatDuration, formatLength, formatTemperature, type FormatSettings } from '../../core/units';
import { groupRuns } from '../../core/orders';
import { planPressing, toPressInput } from '../../core/pressing';
import { findPicture } from '../../data/artwork-store';
import { getShop } from '../context';
import { openInThread, type ShopInThread } from '../heavy/shop-in-thread';
import { readMadeLines, type MadeLine } from '../items/materials';
import { requireOrder } from '../orders/save-order';
import type { ReadOrder } from '../orders/read-orders';
import { plural } from '../../wording/plural';
import { describePressStep } from '../../wording/press-steps';
import { describeHandedness } from '../../wording/stations';
import { decideHandedness } from '../../core/materials';
import { drawPictureOnPaper } from './draw-picture';
import { INK, MARGIN, POINTS_PER_MM, printPaper, SOFT, startBlock, type Paper } from './paper';
import { drawHeading, drawTable } from './paper-table';

const CODE_SIZE = 26 * POINTS_PER_MM;
const PICTURE_HEIGHT = 45 * POINTS_PER_MM;

export type TicketWish = { readonly id: number; readonly address: string; readonly settings: FormatSettings };

export function printTicket(at: ShopInThread, { id, address, settings }: TicketWish): Promise<Uint8Array<ArrayBuffer>> {
  const shop = openInThread(at);
  const entry = requireOrder(shop, id);
  const { order } = entry;
  const { lines } = readMadeLines(shop, [entry]);
  return printPaper(`${order.title}, job ticket`, settings.locale, (paper) => {
    paper.addPage();
    drawCode(paper, `${address}/orders/${id}`);
    drawHeading(
      paper,
      `${id}: ${order.title}`,
      `for ${order.customer.name}, due ${formatDay(order.dueDay, settings)}, ${plural(entry.parts.length, 'part')}`,
    );
    if (order.note) paper.font('text').fontSize(11).fillColor(INK).text(order.note, { width: 380 });
    // Names of one item are made alike: what holds for the first holds for all.
    for (const own of groupRuns(order.lines)) {
      const made = lines.get(own[0]!.id);
      if (!made) continue;
      drawDrawings(paper, made, settings, (artworkId) => findPicture(shop.db, artworkId)?.picture ?? null);
      drawLayers(paper, made, settings);
      drawPressing(paper, made, getShop(shop).figures, settings);
      drawPieces(paper, entry, own);
    }
  });
}

type Line = ReadOrder['order']['lines'][number];

/** Leads to the order, in the upper right corner. */
function drawCode(paper: Paper, address: string): void {
  const { size, data } = encode(address, { border: 1 });
  paper
    .save()
    .translate(paper.page.width - MARGIN - CODE_SIZE, MARGIN)
    .scale(CODE_SIZE / size);
  data.forEach((row, y) => row.forEach((isDark, x) => isDark && paper.rect(x, y, 1, 1)));
  paper.fill(INK).restore();
}

function drawDrawings(
  paper: Paper,
  { made, item, layers, blank }: MadeLine,
  settings: FormatSettings,
  pictureOf: (artworkId: number) => Parameters<typeof drawPictureOnPaper>[1] | null,
): void {
  startBlock(paper, PICTURE_HEIGHT + 60);
  paper
    .font('strong')
    .fontSize(14)
    .fillColor(INK)
    .text(item.name, MARGIN, paper.y + 14);
  const top = paper.y + 6;
  const share = (paper.page.width - 2 * MARGIN) / Math.max(1, made.placements.length);
  const ground = blank.colours.find(({ name }) => name === made.colourName)?.hex;
  made.placements.forEach((placement, at) => {
    const x = MARGIN + at * share;
    const picture = pictureOf(placement.artworkId);
    const colours = layers.filter((layer) => layer.placement === at).map(({ vinyl }) => vinyl.colourHex);
    const box = { x, y: top, width: share - 14, height: PICTURE_HEIGHT };
    if (picture) drawPictureOnPaper(paper, picture, box, { colours, ...(ground ? { ground } : {}) });
    const what = placement.lettering && placement.text !== undefined ? `${placement.lettering.label}: ` : '';
    paper
      .font('text')
      .fontSize(9.5)
      .fillColor(SOFT)
      .text(
        `${what}${placement.place}, ${formatLength(placement.widthMm, settings)} wide`,
        x,
        top + PICTURE_HEIGHT + 4,
        {
          width: share - 14,
        },
      );
  });
  paper.x = MARGIN;
  paper.y = top + PICTURE_HEIGHT + 28;
}

function drawLayers(paper: Paper, { layers }: MadeLine, settings: FormatSettings): void {
  drawTable(
    paper,
    [{ share: 0.36 }, { share: 0.3 }, { share: 0.34 }],
    [
      { cells: ['Layer', 'Vinyl', 'On the cutter'], strong: true },
      ...layers.map((layer) => ({
        cells: [
          layer.name,
          layer.vinyl.name,
          `${describeHandedness(decideHandedness(layer.vinyl, { seenThrough: layer.seenThrough }))}; ${formatLength(layer.measurement.box.width, settings)} × ${formatLength(layer.measurement.box.height, settings)}`,
        ],
      })),
    ],
  );
  paper.x = MARGIN;
}

function drawPressing(
  paper: Paper,
  { layers, blank, made }: MadeLine,
  figures: Parameters<typeof planPressing>[0]['shop'],
  settings: FormatSettings,
): void {
  const plan = planPressing(toPressInput({ layers, blank, ...made }, figures));
  if (!plan.ok || plan.value.temperatureC === null) return;
  const steps = plan.value.steps.map((step) => {
    const { what, facts } = describePressStep(step, settings);
    return `${what} (${facts.join(', ')})`;
  });
  const head = `Press at ${formatTemperature(plan.value.temperatureC, settings)}, ${formatDuration(plan.value.handsSeconds.value, settings)} of your hands a piece`;
  startBlock(paper, 80);
  paper
    .font('strong')
    .fontSize(11)
    .fillColor(INK)
    .text(head, MARGIN, paper.y + 12);
  paper
    .font('text')
    .fontSize(9.5)
    .text(steps.join('; '), { width: paper.page.width - 2 * MARGIN });
}

/** Piece by piece, with room for a tick at each station. */
function drawPieces(paper: Paper, { parts }: ReadOrder, lines: readonly Line[]): void {
  const labels = [...new Set(lines.flatMap(({ texts }) => texts.map(({ label }) => label)))];
  const numbers = new Map<number, number[]>();
  for (const { lineId, pieceNumber } of parts) {
    const own = numbers.get(lineId) ?? [];
    if (!own.includes(pieceNumber)) numbers.set(lineId, [...own, pieceNumber]);
  }
  const share = 0.5 / Math.max(1, labels.length);
  drawTable(
    paper,
    [
      { share: 0.08, right: true },
      ...labels.map(() => ({ share })),
      { share: labels.length > 0 ? 0.22 : 0.72 },
      { share: 0.2 },
    ],
    [
      { cells: ['No.', ...labels, 'Size', 'cut  weed  press  check'], strong: true },
      ...lines.flatMap((line) =>
        (numbers.get(line.id) ?? []).map((number) => ({
          cells: [
            String(number),
            ...labels.map((label) => line.texts.find((text) => text.label === label)?.text ?? ''),
            [line.sizeName, line.note].filter(Boolean).join(', '),
            '____  ____  ____  ____',
          ],
        })),
      ),
    ],
  );
  paper.x = MARGIN;
}
