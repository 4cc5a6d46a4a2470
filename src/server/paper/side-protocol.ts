// The protocol of a trial side by side: what must be the same for all, and a sheet to fill in for each candidate.

import { FABRICS } from '../../core/materials';
import { BACKINGS, LIFTS, RESIDUES, STICKS } from '../../core/trials';
import { formatDay, formatLength, type FormatSettings } from '../../core/units';
import type { SideView } from '../../views/trials';
import { describeSetting } from '../../wording/cutting';
import { plural } from '../../wording/plural';
import { AXIS_WORDS } from '../../wording/side-by-side';
import { MARGIN, printPaper, startBlock, type Paper } from './paper';
import { drawHeading, drawTable } from './paper-table';

export function printSideProtocol(side: SideView, settings: FormatSettings): Promise<Uint8Array<ArrayBuffer>> {
  return printPaper(side.name, settings.locale, (paper) => {
    paper.addPage();
    const size = `${formatLength(side.widthMm, settings)} × ${formatLength(side.heightMm, settings)}`;
    drawHeading(paper, side.name, `${AXIS_WORDS[side.axis].several} side by side, ${formatDay(side.today, settings)}`);
    drawRules(paper, listRules(side, size));
    for (const candidate of side.candidates) drawSheet(paper, side, candidate);
  });
}

/** What must be alike, or the trial tells nothing. */
const listRules = ({ artworkName, pieces, fabric, axis }: SideView, size: string): readonly string[] => [
  `The same drawing in the same size with each: ${artworkName}, ${size}, ${plural(pieces, 'piece')}.`,
  'Each cut with its own best setting, after a test cut that came out clean. The same blade, unless blades are compared.',
  `On the same ground: ${FABRICS[fabric].label}, from one lot, washed or not in the same way.`,
  axis === 'tape' ? 'The same vinyl under each tape.' : 'The same tape, used as often, or a fresh piece for each.',
  'Weeded by the same person at the same table, in an order drawn by lot: the last one is weeded best.',
  'Pressed or laid down alike, and left alone for a day before the edges are looked at.',
];

function drawRules(paper: Paper, rules: readonly string[]): void {
  paper.moveDown(0.6).font('text').fontSize(10.5).fillColor('black');
  rules.forEach((rule, at) => paper.text(`${at + 1}. ${rule}`, MARGIN, undefined, { paragraphGap: 2 }));
}

const SHEET_POINTS = 225;
const LINE = '______________';
const choose = (words: readonly string[]): string => words.map((word) => `[ ] ${word}`).join('    ');

function drawSheet(paper: Paper, { pieces }: SideView, { name, setting }: SideView['candidates'][number]): void {
  startBlock(paper, SHEET_POINTS);
  paper.moveDown(1);
  drawTable(
    paper,
    [{ share: 0.3 }, { share: 0.7 }],
    [
      { cells: [name, setting ? describeSetting(setting) : 'Find its setting first'], strong: true },
      { cells: ['Cutting, weeding', `${LINE} min      ${LINE} min`] },
      { cells: [`Lost, of ${plural(pieces, 'piece')}`, LINE] },
      { cells: ['Backing', choose(BACKINGS)] },
      { cells: ['Off the tape', choose(LIFTS)] },
      { cells: ['Sticks', choose(STICKS)] },
      { cells: ['Left on the mat', choose(RESIDUES)] },
      { cells: ['Edges after a day', LINE] },
      { cells: ['Note', ''] },
    ],
  );
}
