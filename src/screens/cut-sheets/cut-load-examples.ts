// Examples that several tests share.

import { DEFAULT_SHOP_FIGURES } from '../../core/materials';
import { NO_MARKS, type NestLayout, type Placement, type CutShape } from '../../core/nesting';
import { type LotChoice, keyOfSource, toStock } from '../../core/orders';
import type { WaitingPart } from '../../views/cut-sheets';
import { sourceOf, type Laid, type Setup } from './cut-load';

export const figures = {
  ...DEFAULT_SHOP_FIGURES,
  cutterEdgeMm: 10,
  leadMm: 15,
  matWidthMm: 305,
  matLengthMm: 610,
  matEdgeMm: 3,
};

const part = (partId: number, more: Partial<WaitingPart> = {}): WaitingPart => ({
  partId,
  orderId: 1,
  orderTitle: 'Coats',
  pieceNumber: partId,
  itemName: 'Coat',
  dueDay: '2026-12-01',
  layerName: 'wheel',
  broken: false,
  artworkId: 5,
  layerIndex: 0,
  widthMm: 90,
  mirrored: true,
  cutSeconds: 30,
  ...more,
});

export const box = [
  { x: 0, y: 0 },
  { x: 40, y: 0 },
  { x: 40, y: 20 },
  { x: 0, y: 20 },
];

export const hole = box.map(({ x, y }) => ({ x: 10 + x / 2, y: 5 + y / 2 }));

export const dot = box.map(({ x, y }) => ({ x: x / 4 + 60, y: y / 2 }));

export const alone = (ring: typeof box) => ({ paths: [{ points: ring, inner: false }], outline: ring, holes: [] });

const shape: CutShape = {
  paths: [
    { points: box, inner: false },
    { points: dot, inner: false },
  ],
  outline: box,
  holes: [hole],
  islands: [alone(box), alone(dot)],
};

export const parts = [part(1), part(2, { dueDay: '2026-11-28' }), part(3, { widthMm: 60 })];

export const shapes = new Map(parts.map((one) => [keyOfSource(sourceOf(one)), shape]));

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

export const setup: Setup = { gapMm: 6, hold: 'suited', marks: NO_MARKS, inside: 'bays' };

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

export const use = (sheet: number, stockId: string) => ({
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

export const laidOut = (
  job: Laid['job'],
  layout: NestLayout,
  choices: readonly LotChoice[],
  own: Setup = setup,
): Laid => ({
  job,
  layout,
  shapes,
  choices,
  stock: choices.flatMap((choice) => toStock(choice, own.hold, figures) ?? []),
  options: { gapMm: 6, margins: { sideMm: 10, endMm: 15 }, inside: 'bays', seed: 0.3, rounds: 1 },
  setup: own,
  counting: false,
});
