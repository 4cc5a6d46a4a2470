// Printed paper: a PDF with the shop's fonts, in millimetres, its pages as large as the shop's paper.

import { PAPER_COLOURS } from '../../theme/tokens';
import { ShopPaper } from './shop-paper';

/** Points a millimetre, by definition (72 an inch). */
export const POINTS_PER_MM = 72 / 25.4;
export const PAPER_MARGIN_MM = 14;
/** The same in points. */
export const MARGIN = PAPER_MARGIN_MM * POINTS_PER_MM;
export const { ink: INK, soft: SOFT, rule: RULE } = PAPER_COLOURS;

export type Paper = PDFKit.PDFDocument;
type PaperSize = 'A4' | 'LETTER';

/** The bytes of a document that `draw` fills. Letter paper where the shop's locale uses it. */
export async function printPaper(
  title: string,
  locale: string,
  draw: (paper: Paper) => void,
): Promise<Uint8Array<ArrayBuffer>> {
  const paper = new ShopPaper({
    size: paperSizeFor(locale),
    margin: PAPER_MARGIN_MM * POINTS_PER_MM,
    autoFirstPage: false,
    info: { Title: title },
  }).registerFaces();
  const chunks: Uint8Array[] = [];
  const done = new Promise<Uint8Array<ArrayBuffer>>((resolve, reject) => {
    paper.on('data', (chunk: Uint8Array) => chunks.push(chunk));
    paper.on('end', () => resolve(new Uint8Array(Buffer.concat(chunks))));
    paper.on('error', reject);
  });
  draw(paper);
  paper.end();
  return done;
}

/** Countries that print on letter paper. */
const paperSizeFor = (locale: string): PaperSize => (/-(US|CA|MX|PH)$/i.test(locale) ? 'LETTER' : 'A4');

/** A new page where what follows, so many points high, would not fit on this one. */
export function startBlock(paper: Paper, height: number): void {
  if (paper.y + height <= paper.page.height - MARGIN) return;
  paper.addPage();
  paper.y = MARGIN;
}

export const pdfResponse = (bytes: Uint8Array<ArrayBuffer>, fileName: string): Response =>
  new Response(bytes, {
    headers: {
      'Content-Type': 'application/pdf',
      'Content-Disposition': `inline; filename*=UTF-8''${encodeURIComponent(fileName)}`,
      'Cache-Control': 'no-store',
    },
  });
