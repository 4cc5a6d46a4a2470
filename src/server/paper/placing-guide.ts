// A guide at full size, over several pages: the artwork's outlines with its middle line and the line it is measured
// from, to lay on the blank. And a layer bent for a tapered wall, as a file.

import { readCutLayer, writeSvg, type ArtworkPicture, type CutLayerWish } from '../../core/artwork';
import {
  bendLayer,
  listGlueMarks,
  listPlacingSteps,
  tileGuide,
  TILE_OVERLAP_MM,
  type Bend,
  type GuideTile,
  type PlacedArtwork,
} from '../../core/placing';
import type { Point } from '../../core/geometry';
import { formatLength, type FormatSettings } from '../../core/units';
import { describePlacingStep } from '../../wording/placing';
import { INK, PAPER_MARGIN_MM, POINTS_PER_MM, printPaper, SOFT, type Paper } from './paper';

export type GuideFacts = {
  readonly title: string;
  readonly picture: ArtworkPicture;
  readonly colours: readonly string[];
  readonly placed: PlacedArtwork;
};

/** Bent as it is cut; null where the drawing can't be read any more. */
export function writeBentLayer(drawing: string, wish: CutLayerWish, bend: Bend): string | null {
  const layer = readCutLayer(drawing, wish);
  return layer && writeSvg(bendLayer(layer, bend));
}

/** Round the artwork, so that its edges are on the paper. */
const EDGE_MM = 8;
/** More than this above the artwork, and the guide begins at the artwork instead of where it is measured from. */
const MOST_DROP_MM = 250;
const FOOT_MM = 9;
const RULER_MM = 100;

/** What is on the guide, mm from its upper left corner. */
type Guide = {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly art: { readonly x: number; readonly y: number; readonly width: number; readonly height: number };
  /** How far down the line it is measured from lies; null where that is left out. */
  readonly datumY: number | null;
};

export function printPlacingGuide(facts: GuideFacts, settings: FormatSettings): Promise<Uint8Array<ArrayBuffer>> {
  return printPaper(`${facts.title}: guide`, settings.locale, (paper) => {
    const guide = layOut(facts.placed);
    paper.addPage();
    const sheet = {
      widthMm: paper.page.width / POINTS_PER_MM,
      heightMm: paper.page.height / POINTS_PER_MM - FOOT_MM,
      marginMm: PAPER_MARGIN_MM,
    };
    drawCover(paper, facts, settings);
    const { tiles, isLandscape } = tileGuide(guide, sheet);
    const marks = listGlueMarks({ tiles });
    for (const tile of tiles) {
      paper.addPage({ layout: isLandscape ? 'landscape' : 'portrait' });
      drawTile(paper, { guide, facts, tile, of: tiles.length, marks });
    }
  });
}

function layOut({ box, drop }: PlacedArtwork): Guide {
  const withDatum = drop.value >= 0 && drop.value <= MOST_DROP_MM;
  const above = withDatum ? drop.value : EDGE_MM;
  return {
    widthMm: box.width + 2 * EDGE_MM,
    heightMm: above + box.height + EDGE_MM + (withDatum ? EDGE_MM : 0),
    art: { x: EDGE_MM, y: above + (withDatum ? EDGE_MM : 0), width: box.width, height: box.height },
    datumY: withDatum ? EDGE_MM : null,
  };
}

/** How it is glued together and laid on, and a ruler to see that it was printed at full size. */
function drawCover(paper: Paper, { title, placed }: GuideFacts, settings: FormatSettings): void {
  const left = PAPER_MARGIN_MM * POINTS_PER_MM;
  const width = paper.page.width - 2 * left;
  paper.font('strong').fontSize(16).fillColor(INK).text(title, left, left, { width });
  paper
    .font('text')
    .fontSize(10.5)
    .fillColor(SOFT)
    .text('A guide at full size. Print it at 100 %, not “fit to page”, and measure this line:', { width })
    .moveDown(0.8);
  drawRuler(paper, left, paper.y, settings);
  paper.y += 26;
  const steps = [
    `Glue the pages cross on cross: neighbours show ${formatLength(TILE_OVERLAP_MM, settings)} of the same.`,
    ...listPlacingSteps(placed).map((step) => describePlacingStep(step, settings)),
  ];
  paper.fillColor(INK).font('text').fontSize(11);
  steps.forEach((words, index) => {
    paper.text(`${index + 1}.  ${words}`, left, paper.y + 4, { width });
  });
}

function drawRuler(paper: Paper, x: number, y: number, settings: FormatSettings): void {
  const end = x + RULER_MM * POINTS_PER_MM;
  paper.lineWidth(0.8).moveTo(x, y).lineTo(end, y).stroke(INK);
  for (let mm = 0; mm <= RULER_MM; mm += 10) {
    const at = x + mm * POINTS_PER_MM;
    paper
      .moveTo(at, y)
      .lineTo(at, y + (mm % 50 === 0 ? 9 : 5))
      .stroke(INK);
  }
  paper
    .font('strong')
    .fontSize(9)
    .fillColor(INK)
    .text(formatLength(RULER_MM, settings), end + 6, y - 2, { lineBreak: false });
}

type TileOf = {
  readonly guide: Guide;
  readonly facts: GuideFacts;
  readonly tile: GuideTile;
  readonly of: number;
  readonly marks: readonly Point[];
};

function drawTile(paper: Paper, { guide, facts, tile, of, marks }: TileOf): void {
  const margin = PAPER_MARGIN_MM * POINTS_PER_MM;
  paper
    .save()
    .rect(margin, margin, tile.widthMm * POINTS_PER_MM, tile.heightMm * POINTS_PER_MM)
    .clip();
  paper.translate(margin, margin).scale(POINTS_PER_MM).translate(-tile.xMm, -tile.yMm);
  drawGuide(paper, guide, facts);
  drawMarks(paper, marks);
  paper.restore();
  const foot = paper.page.height - margin - FOOT_MM * 0.4 * POINTS_PER_MM;
  paper
    .font('strong')
    .fontSize(10)
    .fillColor(INK)
    .text(tile.name, margin, foot, { lineBreak: false, continued: true })
    .font('text')
    .fillColor(SOFT)
    .text(`   of ${of}, ${facts.title}`, { lineBreak: false });
}

/** In mm. */
function drawGuide(paper: Paper, { widthMm, heightMm, art, datumY }: Guide, { picture, placed }: GuideFacts): void {
  const middle = art.x + art.width / 2;
  paper.lineWidth(0.25).dash(3, { space: 2 }).moveTo(middle, 0).lineTo(middle, heightMm).stroke(INK).undash();
  if (datumY !== null) {
    paper.lineWidth(0.5).moveTo(0, datumY).lineTo(widthMm, datumY).stroke(INK);
    paper
      .font('text')
      .fontSize(3.4)
      .fillColor(INK)
      .text(placed.datum, 1, datumY + 0.8, { lineBreak: false });
  }
  paper.lineWidth(0.2).dash(1, { space: 1 }).rect(art.x, art.y, art.width, art.height).stroke(SOFT).undash();
  paper
    .save()
    .translate(art.x, art.y)
    .scale(art.width / picture.width);
  for (const layer of picture.layers)
    paper
      .lineWidth((0.3 * picture.width) / art.width)
      .path(layer.path)
      .stroke(INK);
  paper.restore();
}

/** Neighbours are laid cross on cross. In mm. */
function drawMarks(paper: Paper, marks: readonly Point[]): void {
  const arm = 3;
  paper.lineWidth(0.25);
  for (const { x, y } of marks)
    paper
      .moveTo(x - arm, y)
      .lineTo(x + arm, y)
      .moveTo(x, y - arm)
      .lineTo(x, y + arm)
      .stroke(INK);
}
