// A laid-out sheet as it leaves: the cutter's file, and what its loading card says.

import { writeDxf, writeHpgl, writeSvg } from '../../core/artwork';
import { type Polyline } from '../../core/geometry';
import { getKindFacts, type ShopFigures } from '../../core/materials';
import { stockOf, type DrawnMarks, type Placement, type SheetUse } from '../../core/nesting';
import {
  choiceOf,
  drawLoadMarks,
  listPlaced,
  makeSheetLayer,
  partIdOf,
  placementsOn,
  tagOf,
  TAG_LETTERS,
  toLoadFacts,
} from '../../core/orders';
import { rectangle, spoiledSpotRing } from '../../core/stock';
import type { LoadCard, WaitingPart } from '../../views/cut-sheets';
import type { VinylView } from '../../views/shelf';
import type { CutFormat } from '../../workers/artwork-client';
import { outlineInWorker } from '../../workers/source-client';
import { loadTypeface } from '../artwork/typeface-files';
import { toLaidLoad, type Laid } from './cut-load';

type ByPart = ReadonlyMap<number, WaitingPart>;
const partOf = (laid: Pick<Laid, 'job'>, byPart: ByPart, placement: Placement): WaitingPart | undefined =>
  byPart.get(partIdOf(laid.job, placement) ?? 0);

export function drawSheetMarks(laid: Laid, use: SheetUse): DrawnMarks {
  const kind = stockOf(laid.stock, laid.layout, use.sheet);
  const widthMm =
    kind === null ? 0 : kind.kind === 'offcut' ? Math.max(...kind.shape.map((point) => point.x)) : kind.widthMm;
  return drawLoadMarks(toLaidLoad(laid), use, { setup: laid.setup, widthMm });
}

/** One file for one sheet; its tags' letters are set on the way. */
export async function writeSheet(
  laid: Laid,
  use: SheetUse,
  vinyl: Pick<VinylView, 'name' | 'colourHex'>,
  byPart: ByPart,
  format: CutFormat,
): Promise<Blob> {
  const load = toLaidLoad(laid);
  const tags = laid.setup.marks.tags
    ? await outlineInWorker({
        texts: placementsOn(load, use.sheet).map((placement) => tagOf(partOf(laid, byPart, placement))),
        fontKey: TAG_LETTERS.fontKey,
        loadFont: () => loadTypeface(TAG_LETTERS.fontKey),
        capHeightMm: TAG_LETTERS.capHeightMm,
      })
    : [];
  const layer = makeSheetLayer(load, use, {
    name: `${vinyl.name}, sheet ${use.sheet + 1}`,
    shapes: laid.shapes,
    marks: laid.setup.marks,
    drawn: drawSheetMarks(laid, use),
    tags,
    facts: toLoadFacts(load, use, { setup: laid.setup, figures: null, kind: vinyl.name }),
  });
  return new Blob([
    format === 'svg'
      ? writeSvg(layer, { colour: vinyl.colourHex })
      : format === 'dxf'
        ? writeDxf(layer)
        : writeHpgl(layer),
  ]);
}

/** All sheets of the load as they are printed. Outlines are thinned: a card is looked at, not cut from. */
export function toLoadCard(
  laid: Laid,
  vinyl: VinylView,
  byPart: ByPart,
  figures: ShopFigures,
  nameLot: (stockId: string) => string,
): LoadCard {
  const load = toLaidLoad(laid);
  const { label: kind } = getKindFacts(vinyl.kind);
  return {
    vinylName: vinyl.name,
    colourHex: vinyl.colourHex,
    sheets: laid.layout.sheets.map((use) => {
      const choice = choiceOf(load, use.stockId);
      const lengthMm = choice?.form === 'roll' || !choice?.lengthMm ? use.usedLengthMm : choice.lengthMm;
      return {
        lotName: nameLot(use.stockId),
        density: use.density,
        lengthMm,
        shape: [...(choice?.shape ?? rectangle(choice?.widthMm ?? 1, lengthMm))],
        spoiledSpots: (choice?.spoiledSpots ?? []).map((spot) => [...spoiledSpotRing(spot)]),
        facts: toLoadFacts(load, use, { setup: laid.setup, figures, kind, thicknessUm: vinyl.details.thicknessUm }),
        pieces: listPlaced(load, use.sheet, laid.shapes).map(({ placement, outline }) => {
          const part = partOf(laid, byPart, placement);
          const name = laid.job.cut.find((piece) => piece.id === placement.pieceId)?.name ?? '';
          return {
            outline: thin(outline),
            tag: tagOf(part),
            what: part ? `${part.layerName} of ${part.itemName}` : name,
            orderTitle: part?.orderTitle ?? '',
            dueDay: part?.dueDay ?? null,
          };
        }),
      };
    }),
  };
}

const CARD_POINTS = 160;
const thin = (ring: Polyline): Polyline => {
  const every = Math.ceil(ring.length / CARD_POINTS);
  return ring
    .filter((_, at) => at % every === 0)
    .map(({ x, y }) => ({ x: Math.round(x * 10) / 10, y: Math.round(y * 10) / 10 }));
};
