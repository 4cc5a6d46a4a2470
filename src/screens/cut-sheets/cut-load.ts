// From waiting parts and stock to what is laid out, and back to parts; no drawing and no talking to anybody here.

import type { ShopFigures } from '../../core/materials';
import {
  attachTag,
  findLeftovers,
  measureShares,
  placePoints,
  type Inside,
  type Marks,
  type NestLayout,
  type NestOptions,
  type NestPiece,
  type NestStock,
  type Placement,
  type Leftover,
  type StockMargins,
} from '../../core/nesting';
import { computeRingArea, intersectRegions, makeRegion, splitPieces, type Point } from '../../core/geometry';
import type { CutSheet, CutSheetPiece, CutSource, Hold } from '../../core/orders';
import { rectangle, spoiledSpotRing } from '../../core/stock';
import type { CutSheetsView, StockChoice, UsualPiece, WaitingPart } from '../../views/cut-sheets';
import type { CutOutline, CutShape } from '../../core/nesting';

export type Group = CutSheetsView['groups'][number];
export type SavedSheet = Group['saved'][number];
export type Setup = { readonly gapMm: number; readonly hold: Hold; readonly marks: Marks; readonly inside: Inside };
/** Pieces as they are saved, and as they are laid out: with their tags, where they have some. */
export type CutJob = {
  readonly cut: readonly CutSheetPiece[];
  readonly pieces: readonly NestPiece[];
  /** The corner of each piece's tag. */ readonly tagAt: ReadonlyMap<string, Point>;
};
export type Laid = {
  readonly layout: NestLayout;
  readonly job: CutJob;
  readonly shapes: ReadonlyMap<string, CutShape>;
  readonly stock: readonly NestStock[];
  readonly choices: readonly StockChoice[];
  readonly options: NestOptions;
  readonly setup: Setup;
  /** To see how many go on it: parts that nobody ordered. */ readonly counting: boolean;
};

/** Parts that are cut alike are copies of one piece. */
export const keyOfSource = ({ artworkId, layerIndex, widthMm, mirrored }: CutSource): string =>
  `${artworkId}/${layerIndex}/${widthMm}/${mirrored ? 'm' : 'n'}`;
export const sourceOf = ({ artworkId, layerIndex, widthMm, mirrored }: WaitingPart): CutSource => ({
  artworkId,
  layerIndex,
  widthMm,
  mirrored,
});
export const placementKey = ({ pieceId, copy }: Pick<Placement, 'pieceId' | 'copy'>): string => `${copy} ${pieceId}`;

const TAG_CAP_MM = 3.5,
  TAG_HEIGHT_MM = 4.5,
  TAG_LETTER_MM = 2.5;
export const TAG_LETTERS = { capHeightMm: TAG_CAP_MM, fontKey: 'archivo-narrow' };
/** Order and piece, as they stand on the order's page. */
export const tagOf = (part: WaitingPart | undefined): string =>
  part ? `${part.orderId}/${part.pieceNumber}` : 'spare';

/** The parts as pieces to cut, the first due first; `loose` by their source fall into islands. `suffix` tells them from others of their kind on the sheet. */
export function toCutPieces(
  parts: readonly WaitingPart[],
  shapes: ReadonlyMap<string, CutShape>,
  loose: ReadonlySet<string>,
  suffix = '',
): readonly CutSheetPiece[] {
  const byKey = new Map<string, WaitingPart[]>();
  for (const part of [...parts].sort((a, b) => a.dueDay.localeCompare(b.dueDay))) {
    const key = keyOfSource(sourceOf(part));
    byKey.set(key, [...(byKey.get(key) ?? []), part]);
  }
  return [...byKey].flatMap(([key, own]): CutSheetPiece[] => {
    const shape = shapes.get(key),
      first = own[0]!,
      partIds = own.map((part) => part.partId);
    const whole = { name: `${first.layerName} of ${first.itemName}`, source: sourceOf(first), partIds };
    if (!shape) return [];
    return loose.has(key) && shape.islands.length > 1
      ? shape.islands.map((_, island) => ({ ...whole, id: `${key}#${island}${suffix}`, island }))
      : [{ ...whole, id: `${key}${suffix}`, island: null }];
  });
}

export const toSpares = (usual: UsualPiece, copies: number, suffix: string): CutSheetPiece => ({
  id: `${keyOfSource(usual.source)}${suffix}`,
  name: usual.name,
  source: usual.source,
  island: null,
  partIds: Array<null>(copies).fill(null),
});

export function outlineOf(
  { source, island }: Pick<CutSheetPiece, 'source' | 'island'>,
  shapes: ReadonlyMap<string, CutShape>,
): CutOutline | null {
  const shape = shapes.get(keyOfSource(source));
  return (island === null ? shape : shape?.islands[island]) ?? null;
}

/** Pieces whose drawing can't be read are left out. */
export function makeJob(
  cut: readonly CutSheetPiece[],
  shapes: ReadonlyMap<string, CutShape>,
  {
    turnable,
    marks,
    inside,
    tagLetters,
  }: {
    readonly turnable: boolean;
    readonly marks: Pick<Marks, 'tags'>;
    readonly inside: Inside;
    /** Of the longest tag. */ readonly tagLetters: number;
  },
): CutJob {
  const known = cut.filter((piece) => outlineOf(piece, shapes));
  const tagAt = new Map<string, Point>();
  const pieces = known.map((piece): NestPiece => {
    const { outline, holes } = outlineOf(piece, shapes)!,
      open = inside === 'holes' ? holes : [];
    const tagged = marks.tags
      ? attachTag(outline, { widthMm: tagLetters * TAG_LETTER_MM + 1, heightMm: TAG_HEIGHT_MM })
      : null;
    if (tagged) tagAt.set(piece.id, tagged.at);
    return {
      id: piece.id,
      rings: [...(tagged?.rings ?? [outline]), ...open],
      copies: piece.partIds.length,
      turns: turnable ? 'free' : [0, 180],
    };
  });
  return { cut: known, pieces, tagAt };
}

export const partIdOf = (job: CutJob, { pieceId, copy }: Pick<Placement, 'pieceId' | 'copy'>): number | null =>
  job.cut.find((piece) => piece.id === pieceId)?.partIds[copy] ?? null;

type HoldFigures = Pick<ShopFigures, 'cutterEdgeMm' | 'leadMm' | 'matWidthMm' | 'matLengthMm' | 'matEdgeMm'>;
/** Rolls run free by the rollers; single pieces lie on a mat, unless said otherwise. */
export const isOnMat = (form: StockChoice['form'], hold: Hold): boolean =>
  hold === 'mat' || (hold === 'suited' && form !== 'roll');
export const marginsOf = (form: StockChoice['form'], hold: Hold, figures: HoldFigures): StockMargins =>
  isOnMat(form, hold)
    ? { sideMm: figures.matEdgeMm, endMm: figures.matEdgeMm }
    : { sideMm: figures.cutterEdgeMm, endMm: figures.leadMm };

/** What stands for one lot, as far as a mat holds it; null for what can't be cut from. */
export function toStock(choice: StockChoice, hold: Hold, figures: HoldFigures): NestStock | null {
  const { lotId, form, lengthMm, left } = choice,
    id = String(lotId),
    margins = marginsOf(form, hold, figures),
    onMat = isOnMat(form, hold);
  const widthMm = onMat ? Math.min(choice.widthMm, figures.matWidthMm) : choice.widthMm;
  const cap = (length: number) => (onMat ? Math.min(length, figures.matLengthMm) : length);
  switch (form) {
    case 'roll':
      return { kind: 'roll', id, widthMm, lengthMm: cap(left), margins };
    case 'sheet':
      return lengthMm
        ? { kind: 'sheet', id, widthMm, lengthMm: cap(lengthMm), count: Math.max(1, Math.round(left)), margins }
        : null;
    case 'offcut': {
      if (!lengthMm) return null;
      const whole = choice.shape ?? rectangle(choice.widthMm, lengthMm),
        spoiledSpots = choice.spoiledSpots.map(spoiledSpotRing);
      if (!onMat || (choice.widthMm <= figures.matWidthMm && lengthMm <= figures.matLengthMm))
        return { kind: 'offcut', id, shape: whole, spoiledSpots, margins };
      const [held] = splitPieces(
        intersectRegions(makeRegion([whole]), makeRegion([rectangle(figures.matWidthMm, figures.matLengthMm)])),
      );
      return held ? { kind: 'offcut', id, shape: held.outer, spoiledSpots, margins } : null;
    }
    case 'piece':
      return null;
    default:
      return form satisfies never;
  }
}

/** Offcuts first, the smallest of them before larger ones; then sheets, then rolls: so the shelf empties of what is small. */
export function orderStock(stock: readonly StockChoice[]): readonly StockChoice[] {
  const rank = { offcut: 0, sheet: 1, roll: 2, piece: 3 } as const;
  return [...stock].sort(
    (a, b) => rank[a.form] - rank[b.form] || a.widthMm * (a.lengthMm ?? a.left) - b.widthMm * (b.lengthMm ?? b.left),
  );
}

/** Outlines of what is laid out on a sheet, where they lie; holes that others may lie in are no outlines. */
export const placedOutlines = ({ job, layout }: Pick<Laid, 'job' | 'layout'>, sheet: number) =>
  layout.placements
    .filter((placement) => placement.sheet === sheet)
    .flatMap((placement) =>
      outermost(job.pieces.find((piece) => piece.id === placement.pieceId)).map((ring) => placePoints(ring, placement)),
    );

const outermost = (piece: NestPiece | undefined) =>
  [...(piece?.rings ?? [])].sort((a, b) => computeRingArea(b) - computeRingArea(a)).slice(0, 1);

export const choiceOf = ({ choices }: Pick<Laid, 'choices'>, stockId: string): StockChoice | undefined =>
  choices.find((choice) => String(choice.lotId) === stockId);

/** The ways to keep what is left of a sheet, of all of it and not only of what the mat held. */
export function listLeftovers(laid: Laid, sheet: number): readonly Leftover[] {
  const use = laid.layout.sheets.find((entry) => entry.sheet === sheet),
    choice = use && choiceOf(laid, use.stockId);
  if (!use || !choice || choice.form === 'roll' || !choice.lengthMm) return [];
  const whole: NestStock =
    choice.form === 'offcut'
      ? {
          kind: 'offcut',
          id: use.stockId,
          shape: choice.shape ?? rectangle(choice.widthMm, choice.lengthMm),
          spoiledSpots: choice.spoiledSpots.map(spoiledSpotRing),
        }
      : { kind: 'sheet', id: use.stockId, widthMm: choice.widthMm, lengthMm: choice.lengthMm, count: 1 };
  return findLeftovers(whole, placedOutlines(laid, sheet), laid.setup.gapMm, use.usedLengthMm);
}

/** What is told to the server once the load is cut. `leftoverOf`: what is saved of each sheet. */
export function toCutLoad(
  { layout, job, choices, setup }: Laid,
  sheetId: number | null,
  leftoverOf: (sheet: number) => Leftover | null,
) {
  const shares = measureShares(job.pieces, setup.gapMm);
  const lying = new Set(layout.placements.map(placementKey));
  // A part is cut once all its islands are: of one that lacks some the rest waits with it.
  const lacking = new Set(
    job.cut.flatMap((piece) =>
      piece.partIds.filter((_, copy) => !lying.has(placementKey({ pieceId: piece.id, copy }))),
    ),
  );
  // A part whose islands lie on two sheets is counted as cut with the first of them, and bears its share of both.
  const taken = new Set<number>();
  return {
    sheetId,
    sheets: layout.sheets.flatMap((use) => {
      const lot = choiceOf({ choices }, use.stockId);
      if (!lot) return [];
      const areas = new Map<number, number>(),
        islands = new Map<number, number>();
      let spareMm2 = 0;
      for (const placement of layout.placements) {
        if (placement.sheet !== use.sheet) continue;
        const partId = partIdOf(job, placement),
          areaMm2 = shares.get(placement.pieceId) ?? 0;
        if (partId === null || lacking.has(partId)) spareMm2 += areaMm2;
        else {
          const own = taken.has(partId) ? islands : areas;
          own.set(partId, (own.get(partId) ?? 0) + areaMm2);
        }
      }
      for (const partId of areas.keys()) taken.add(partId);
      return [
        {
          lotId: lot.lotId,
          usedLengthMm: use.usedLengthMm,
          leftovers: leftoverOf(use.sheet)?.pieces ?? [],
          spareMm2,
          parts: toShares(areas),
          islands: toShares(islands),
        },
      ];
    }),
  };
}

const toShares = (areas: ReadonlyMap<number, number>) => [...areas].map(([partId, areaMm2]) => ({ partId, areaMm2 }));

/** What is saved of a load while it is worked on. */
export function toCutSheet({ layout, job, choices, setup }: Laid, locked: ReadonlySet<string>): CutSheet {
  const lying = new Set(layout.placements.map((placement) => placement.pieceId));
  return {
    ...setup,
    lots: choices.map(({ lotId, form, widthMm, lengthMm, left }) => ({
      lotId,
      form,
      widthMm,
      lengthMm: lengthMm ?? (lotId === 0 ? left : null),
    })),
    pieces: job.cut.filter((piece) => lying.has(piece.id)),
    placements: layout.placements,
    locked: layout.placements.map(placementKey).filter((key) => locked.has(key)),
    sheets: layout.sheets.map((use) => ({ ...use, lotId: Number(use.stockId) })),
  };
}

/** Without parts that do not wait any more; copies are numbered anew. */
export function dropGone(sheet: CutSheet, waiting: ReadonlySet<number>): CutSheet {
  const numbers = new Map<string, number>();
  const pieces = sheet.pieces.flatMap((piece) => {
    const partIds = piece.partIds.filter((id, copy) => {
      if (id !== null && !waiting.has(id)) return false;
      numbers.set(
        placementKey({ pieceId: piece.id, copy }),
        [...numbers.keys()].filter((key) => key.endsWith(` ${piece.id}`)).length,
      );
      return true;
    });
    return partIds.length > 0 ? [{ ...piece, partIds }] : [];
  });
  const renumber = (pieceId: string, copy: number) => numbers.get(placementKey({ pieceId, copy }));
  return {
    ...sheet,
    pieces,
    placements: sheet.placements.flatMap((placement) => {
      const copy = renumber(placement.pieceId, placement.copy);
      return copy === undefined ? [] : [{ ...placement, copy }];
    }),
    locked: sheet.placements
      .filter((placement) => sheet.locked.includes(placementKey(placement)))
      .flatMap((placement) => {
        const copy = renumber(placement.pieceId, placement.copy);
        return copy === undefined ? [] : [placementKey({ ...placement, copy })];
      }),
  };
}

/** The lots of a saved sheet as they are now; one that is gone is still drawn, and refused when it is booked. */
export const choicesOf = (sheet: CutSheet, stock: readonly StockChoice[]): readonly StockChoice[] =>
  sheet.lots.map(
    (lot) =>
      stock.find((choice) => choice.lotId === lot.lotId) ?? {
        ...lot,
        lengthMm: lot.form === 'roll' ? null : lot.lengthMm,
        left: lot.form === 'roll' ? (lot.lengthMm ?? 0) : 1,
        shape: null,
        spoiledSpots: [],
        code: null,
      },
  );
