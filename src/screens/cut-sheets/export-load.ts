// A laid-out sheet as it leaves: the cutter's file, and what its loading card says.

import { writeDxf, writeHpgl, writeSvg } from '../../core/artwork';
import { boundPoints, type Polyline } from '../../core/geometry';
import { getKindFacts, type ShopFigures } from '../../core/materials';
import {
  drawMarks,
  makeLoadLayer,
  orderCutting,
  placePoints,
  stockOf,
  type DrawnMarks,
  type LoadPart,
  type Placement,
  type SheetUse,
} from '../../core/nesting';
import { rectangle, spoiledSpotRing } from '../../core/stock';
import type { LoadCard, WaitingPart } from '../../views/cut-sheets';
import type { VinylView } from '../../views/shelf';
import type { LoadFacts } from '../../core/orders';
import type { CutFormat } from '../../workers/artwork-client';
import { outlineInWorker } from '../../workers/source-client';
import { loadTypeface } from '../artwork/typeface-files';
import {
  choiceOf,
  isOnMat,
  marginsOf,
  outlineOf,
  partIdOf,
  placedOutlines,
  tagOf,
  TAG_LETTERS,
} from '../../core/orders';
import { type Laid } from './cut-load';

type ByPart = ReadonlyMap<number, WaitingPart>;
export const placementsOn = ({ layout }: Pick<Laid, 'layout'>, sheet: number): readonly Placement[] =>
  layout.placements.filter((placement) => placement.sheet === sheet);
const sourceOfPiece = ({ job }: Pick<Laid, 'job'>, placement: Placement) =>
  job.cut.find((piece) => piece.id === placement.pieceId)!;
const partOf = (laid: Pick<Laid, 'job'>, byPart: ByPart, placement: Placement): WaitingPart | undefined =>
  byPart.get(partIdOf(laid.job, placement) ?? 0);

export function drawSheetMarks(laid: Laid, use: SheetUse): DrawnMarks {
  const kind = stockOf(laid.stock, laid.layout, use.sheet);
  const widthMm =
    kind === null ? 0 : kind.kind === 'offcut' ? Math.max(...kind.shape.map((point) => point.x)) : kind.widthMm;
  return drawMarks(laid.setup.marks, placedOutlines(laid, use.sheet), laid.setup.gapMm, {
    widthMm,
    usedLengthMm: use.usedLengthMm,
    isRoll: kind?.kind === 'roll',
  });
}

/** One file for one sheet; its tags' letters are set on the way. */
export async function writeSheet(
  laid: Laid,
  use: SheetUse,
  vinyl: Pick<VinylView, 'name' | 'colourHex'>,
  byPart: ByPart,
  format: CutFormat,
): Promise<Blob> {
  const placements = placementsOn(laid, use.sheet);
  const tags = laid.setup.marks.tags
    ? await outlineInWorker({
        texts: placements.map((placement) => tagOf(partOf(laid, byPart, placement))),
        fontKey: TAG_LETTERS.fontKey,
        loadFont: () => loadTypeface(TAG_LETTERS.fontKey),
        capHeightMm: TAG_LETTERS.capHeightMm,
      })
    : [];
  const parts = placements.flatMap((placement, at): LoadPart[] => {
    const outline = outlineOf(sourceOfPiece(laid, placement), laid.shapes),
      corner = laid.job.tagAt.get(placement.pieceId);
    const letters = tags[at] ?? [],
      box = boundPoints(letters);
    return outline
      ? [
          {
            placement,
            ...outline,
            tag:
              corner && box
                ? letters.map((ring) =>
                    ring.map((point) => ({ x: point.x - box.x + corner.x, y: point.y - box.y + corner.y })),
                  )
                : [],
          },
        ]
      : [];
  });
  const facts = toLoadFacts(laid, use, null, vinyl.name);
  const layer = makeLoadLayer(parts, laid.setup.marks, drawSheetMarks(laid, use), {
    name: `${vinyl.name}, sheet ${use.sheet + 1}`,
    mirrored: facts.mirrored !== 'none',
    widthMm: facts.widthMm,
    lengthMm: use.usedLengthMm,
  });
  return new Blob([
    format === 'svg'
      ? writeSvg(layer, { colour: vinyl.colourHex })
      : format === 'dxf'
        ? writeDxf(layer)
        : writeHpgl(layer),
  ]);
}

export function toLoadFacts(
  laid: Laid,
  use: SheetUse,
  figures: ShopFigures | null,
  kind: string,
  thicknessUm: number | null = null,
): LoadFacts {
  const choice = choiceOf(laid, use.stockId),
    placements = placementsOn(laid, use.sheet);
  const mirrored = placements.map((placement) => sourceOfPiece(laid, placement).source.mirrored);
  const box = boundPoints(placedOutlines(laid, use.sheet)),
    form = choice?.form ?? 'roll';
  const margins = figures ? marginsOf(form, laid.setup.hold, figures) : { sideMm: 0, endMm: 0 };
  return {
    isRoll: form === 'roll',
    onMat: isOnMat(form, laid.setup.hold),
    mirrored: mirrored.every(Boolean) ? 'all' : mirrored.some(Boolean) ? 'some' : 'none',
    widthMm: choice?.widthMm ?? 0,
    leastWidthMm: box ? Math.ceil((box.x + box.width + margins.sideMm) * 10) / 10 : 0,
    usedLengthMm: use.usedLengthMm,
    leadMm: margins.endMm,
    thicknessUm,
    kind,
    pen: laid.setup.marks.tool === 'pen' && (laid.setup.marks.tags || laid.setup.marks.corners),
    trim: laid.setup.marks.trim,
  };
}

/** All sheets of the load as they are printed. Outlines are thinned: a card is looked at, not cut from. */
export function toLoadCard(
  laid: Laid,
  vinyl: VinylView,
  byPart: ByPart,
  figures: ShopFigures,
  nameLot: (stockId: string) => string,
): LoadCard {
  return {
    vinylName: vinyl.name,
    colourHex: vinyl.colourHex,
    sheets: laid.layout.sheets.map((use) => {
      const choice = choiceOf(laid, use.stockId),
        placements = placementsOn(laid, use.sheet),
        lengthMm = choice?.form === 'roll' || !choice?.lengthMm ? use.usedLengthMm : choice.lengthMm;
      const outlines = placements.map((placement) =>
        placePoints(outlineOf(sourceOfPiece(laid, placement), laid.shapes)?.outline ?? [], placement),
      );
      return {
        lotName: nameLot(use.stockId),
        density: use.density,
        lengthMm,
        shape: [...(choice?.shape ?? rectangle(choice?.widthMm ?? 1, lengthMm))],
        spoiledSpots: (choice?.spoiledSpots ?? []).map((spot) => [...spoiledSpotRing(spot)]),
        facts: toLoadFacts(laid, use, figures, getKindFacts(vinyl.kind).label, vinyl.details.thicknessUm),
        pieces: orderCutting(outlines).map((at) => {
          const part = partOf(laid, byPart, placements[at]!);
          return {
            outline: thin(outlines[at]!),
            tag: tagOf(part),
            what: part ? `${part.layerName} of ${part.itemName}` : sourceOfPiece(laid, placements[at]!).name,
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
