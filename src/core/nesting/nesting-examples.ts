// Examples that several tests share.

import type { Polyline } from '../geometry';
import { checkLayout, nest, type NestLayout, type NestOptions, type NestPiece, type NestStock } from './index';

export const box = (width: number, length: number): Polyline => [
  { x: 0, y: 0 },
  { x: width, y: 0 },
  { x: width, y: length },
  { x: 0, y: length },
];

export const TRIANGLE: Polyline = [
  { x: 0, y: 0 },
  { x: 50, y: 0 },
  { x: 0, y: 40 },
];

export const piece = (id: string, ring: Polyline, copies = 1, turns: NestPiece['turns'] = 'free'): NestPiece => ({
  id,
  rings: [ring],
  copies,
  turns,
});

export const roll = (widthMm = 300, lengthMm = 5000): NestStock => ({ kind: 'roll', id: 'roll', widthMm, lengthMm });

export const OPTIONS: NestOptions = {
  gapMm: 6,
  margins: { sideMm: 10, endMm: 5 },
  inside: 'bays',
  seed: 0.3,
  rounds: 40,
};

export async function lay(
  pieces: readonly NestPiece[],
  stock: readonly NestStock[],
  part: Partial<NestOptions> = {},
): Promise<NestLayout> {
  const result = await nest(pieces, stock, { ...OPTIONS, ...part });
  if (!result.ok) throw new Error(result.problem.kind);
  return result.value;
}

export const faultsOf = (
  pieces: readonly NestPiece[],
  stock: readonly NestStock[],
  layout: NestLayout,
  part: Partial<NestOptions> = {},
) => checkLayout(pieces, stock, layout, { ...OPTIONS, ...part });
