// A guide printed at full size over several pages, to be glued together: which part of it is on which page.

import type { Point } from '../geometry';

export type GuideSheet = { readonly widthMm: number; readonly heightMm: number; readonly marginMm: number };
/** What of the guide a page shows, mm from the guide's upper left corner. */
export type GuideTile = {
  /** Rows by letter, columns by number: A1, A2, B1. */
  readonly name: string;
  readonly row: number;
  readonly column: number;
  readonly xMm: number;
  readonly yMm: number;
  readonly widthMm: number;
  readonly heightMm: number;
};
export type Tiling = {
  /** The paper lies on its side. */
  readonly isLandscape: boolean;
  readonly columns: number;
  readonly rows: number;
  readonly tiles: readonly GuideTile[];
};

/** Neighbours show so much of the same, to lie over one another. */
export const TILE_OVERLAP_MM = 10;

/** As few pages as hold it, upright where both ways take as many. */
export function tileGuide(size: { readonly widthMm: number; readonly heightMm: number }, sheet: GuideSheet): Tiling {
  const upright = tileOneWay(size, sheet);
  const onItsSide = tileOneWay(size, { ...sheet, widthMm: sheet.heightMm, heightMm: sheet.widthMm });
  return onItsSide.tiles.length < upright.tiles.length
    ? { ...onItsSide, isLandscape: true }
    : { ...upright, isLandscape: false };
}

function tileOneWay(
  size: { readonly widthMm: number; readonly heightMm: number },
  { widthMm, heightMm, marginMm }: GuideSheet,
): Omit<Tiling, 'isLandscape'> {
  const across = divide(size.widthMm, widthMm - 2 * marginMm);
  const down = divide(size.heightMm, heightMm - 2 * marginMm);
  return {
    columns: across.length,
    rows: down.length,
    tiles: down.flatMap(([yMm, high], row) =>
      across.map(([xMm, wide], column): GuideTile => ({
        name: `${String.fromCharCode(FIRST_ROW + row)}${column + 1}`,
        row,
        column,
        xMm,
        yMm,
        widthMm: wide,
        heightMm: high,
      })),
    ),
  };
}
const FIRST_ROW = 'A'.charCodeAt(0);

/** Where each begins and how long it is; all but the last are full. */
function divide(lengthMm: number, roomMm: number): readonly (readonly [number, number])[] {
  const stepMm = roomMm - TILE_OVERLAP_MM;
  const count = Math.max(1, Math.ceil((lengthMm - TILE_OVERLAP_MM) / stepMm));
  return Array.from({ length: count }, (_, index) => {
    const from = index * stepMm;
    return [from, Math.min(roomMm, lengthMm - from)];
  });
}

/** From the ends of an edge that two pages share to the marks on it. */
const MARK_INSET_MM = 20;

/** Where crosses stand that two neighbours both show, to lie on one another; mm, as the guide’s own. */
export function listGlueMarks({ tiles }: Pick<Tiling, 'tiles'>): readonly Point[] {
  return tiles.flatMap((tile) => {
    const find = (row: number, column: number) => tiles.find((one) => one.row === row && one.column === column);
    const beside = find(tile.row, tile.column + 1);
    const below = find(tile.row + 1, tile.column);
    const half = TILE_OVERLAP_MM / 2;
    return [
      ...(beside ? spread(tile.yMm, tile.heightMm).map((y) => ({ x: beside.xMm + half, y })) : []),
      ...(below ? spread(tile.xMm, tile.widthMm).map((x) => ({ x, y: below.yMm + half })) : []),
    ];
  });
}

function spread(fromMm: number, lengthMm: number): readonly number[] {
  const inset = Math.min(MARK_INSET_MM, lengthMm / 4);
  return [fromMm + inset, fromMm + lengthMm - inset];
}
