// Examples that several tests share, besides those of core.

import { NO_MARKS, type NestLayout } from '../../core/nesting';
import { type LotChoice, keyOfSource, toStock } from '../../core/orders';
import { figures, shape } from '../../core/orders/cut-examples';
import type { WaitingPart } from '../../views/cut-sheets';
import { sourceOf, type Laid, type Setup } from './cut-load';

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

export const parts = [part(1), part(2, { dueDay: '2026-11-28' }), part(3, { widthMm: 60 })];

export const shapes = new Map(parts.map((one) => [keyOfSource(sourceOf(one)), shape]));

export const setup: Setup = { gapMm: 6, hold: 'suited', marks: NO_MARKS, inside: 'bays' };

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
