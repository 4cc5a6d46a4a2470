// The press card: every recipe of the shop and every setting that was kept, on a sheet to hang beside the machines.

import { FABRICS } from '../../core/materials';
import { formatDay, formatInstant, type FormatSettings } from '../../core/units';
import type { RecipesView } from '../../views/recipes';
import { describeSetting } from '../../wording/cutting';
import { describeLooks, describeMaker, describeOwn, isOffMaker, USE_WORDS } from '../../wording/recipes';
import { MARGIN, printPaper, type Paper } from './paper';
import { drawHeading, drawTable } from './paper-table';

export type PressCardFacts = Pick<RecipesView, 'rows' | 'presets' | 'today'> & { readonly shopName: string };

export function printPressCard(
  { shopName, rows, presets, today }: PressCardFacts,
  settings: FormatSettings,
): Promise<Uint8Array<ArrayBuffer>> {
  return printPaper('Press card', settings.locale, (paper) => {
    paper.addPage();
    drawHeading(paper, 'Press card', `${shopName}, ${formatDay(today, settings)}`);
    if (rows.length === 0) paper.moveDown().text('No recipe of your own is recorded yet.', MARGIN);
    else drawRecipes(paper, rows, settings);
    if (presets.length > 0) drawPresets(paper, presets, settings);
  });
}

function drawRecipes(paper: Paper, rows: RecipesView['rows'], settings: FormatSettings): void {
  drawTable(
    paper,
    [{ share: 0.22 }, { share: 0.14 }, { share: 0.22 }, { share: 0.22 }, { share: 0.2 }],
    [
      { cells: ['Vinyl', 'On', 'As you press it', 'Its maker', 'Seen since'], strong: true },
      ...rows.map(({ vinylName, fabric, own, maker, sum }) => ({
        cells: [
          vinylName,
          FABRICS[fabric].label,
          own
            ? `${describeOwn(own, settings)}${isOffMaker(own, maker) ? ' (not as its maker says)' : ''}. ${own.source}, ${formatDay(own.day, settings)}`
            : 'as its maker says',
          maker ? describeMaker(maker, settings) : '',
          describeLooks(sum),
        ],
      })),
    ],
  );
}

function drawPresets(paper: Paper, presets: RecipesView['presets'], settings: FormatSettings): void {
  drawTable(
    paper,
    [{ share: 0.3 }, { share: 0.24 }, { share: 0.26 }, { share: 0.2 }],
    [
      { cells: ['Cutter: vinyl', 'Kept as', 'Setting', 'Kept on'], strong: true },
      ...presets.map(({ vinylName, name, use, setting, savedAtMs }) => ({
        cells: [
          vinylName,
          `${name}, for ${USE_WORDS[use]}`,
          describeSetting(setting),
          formatInstant(savedAtMs, settings),
        ],
      })),
    ],
  );
}
