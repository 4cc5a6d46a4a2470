// Small shapes, lots and layouts that several tests of loads share.

import { DEFAULT_SHOP_FIGURES } from '../materials';
import { NO_MARKS, type CutShape, type NestLayout, type Placement } from '../nesting';
import type { CutSheet, CutSheetPiece, CutSource } from './cut-sheet';
import { keyOfSource } from './cut-job';
import type { LotChoice } from './load-stock';

export const figures = {
  ...DEFAULT_SHOP_FIGURES,
  cutterEdgeMm: 10,
  leadMm: 15,
  matWidthMm: 305,
  matLengthMm: 610,
  matEdgeMm: 3,
};

/** 40 × 20 mm. */
export const box = [
  { x: 0, y: 0 },
  { x: 40, y: 0 },
  { x: 40, y: 20 },
  { x: 0, y: 20 },
];

/** 20 × 10 mm, in the middle of the box. */
export const hole = box.map(({ x, y }) => ({ x: 10 + x / 2, y: 5 + y / 2 }));

/** 10 × 10 mm, beside the box. */
export const dot = box.map(({ x, y }) => ({ x: x / 4 + 60, y: y / 2 }));

export const alone = (ring: typeof box) => ({ paths: [{ points: ring, inner: false }], outline: ring, holes: [] });

/** The box with its hole, and the dot beside it: two loose islands. */
export const shape: CutShape = {
  paths: [
    { points: box, inner: false },
    { points: dot, inner: false },
  ],
  outline: box,
  holes: [hole],
  islands: [alone(box), alone(dot)],
};

export const source = (more: Partial<CutSource> = {}): CutSource => ({
  artworkId: 5,
  layerIndex: 0,
  widthMm: 90,
  mirrored: true,
  ...more,
});

export const shapes: ReadonlyMap<string, CutShape> = new Map([
  [keyOfSource(source()), shape],
  [keyOfSource(source({ widthMm: 60 })), shape],
]);

export const lot = (lotId: number, form: LotChoice['form'], more: Partial<LotChoice> = {}): LotChoice => ({
  lotId,
  form,
  widthMm: 300,
  lengthMm: form === 'roll' ? null : 400,
  left: form === 'roll' ? 5000 : 2,
  shape: null,
  spoiledSpots: [],
  code: null,
  ...more,
});

export const plain = { turnable: true, inside: 'bays' as const, marks: NO_MARKS, tagLetters: 4 };

export const at = (sheet: number, pieceId: string, copy: number, more: Partial<Placement> = {}): Placement => ({
  pieceId,
  copy,
  sheet,
  xMm: 10,
  yMm: 5,
  rotationDeg: 0,
  ...more,
});

export const usedOn = (sheet: number, stockId: string) => ({
  sheet,
  stockId,
  usedLengthMm: 100,
  usedMm2: 1,
  piecesMm2: 1,
  density: 1,
});

export const layoutOf = (placements: readonly Placement[], sheets: NestLayout['sheets']): NestLayout => ({
  placements,
  sheets,
  usedLengthMm: 100 * sheets.length,
  density: 1,
  left: [],
});

export const piece = (id: string, partIds: CutSheetPiece['partIds'], more: Partial<CutSheetPiece> = {}) => ({
  id,
  name: 'wheel',
  source: source(),
  island: null,
  partIds,
  ...more,
});

/** Two boxes on roll 1, side by side; parts 1 and 2. */
export const sheetOf = (more: Partial<CutSheet> = {}): CutSheet => ({
  gapMm: 6,
  hold: 'suited',
  marks: NO_MARKS,
  inside: 'bays',
  lots: [{ lotId: 1, form: 'roll', widthMm: 300, lengthMm: null }],
  pieces: [piece('a', [1, 2])],
  placements: [at(0, 'a', 0, { xMm: 20, yMm: 20 }), at(0, 'a', 1, { xMm: 80, yMm: 20 })],
  locked: [],
  sheets: [{ ...usedOn(0, '1'), lotId: 1 }],
  ...more,
});
