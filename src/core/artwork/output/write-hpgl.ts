// A cut layer in the plotter language most cutters take: 40 steps a mm, y upwards, knife up and down, each contour cut
// from where the knife comes down round to there again and a little further, so that no corner hangs.

import { distance, type Polyline } from '../../geometry';
import type { CutLayer } from './cut-sheet';

/** By definition of the language (HP-GL: a plotter unit is 0.025 mm). */
export const STEPS_PER_MM = 40;
export type HpglOptions = {
  readonly forceGrams?: number;
  readonly speedMmPerSecond?: number;
  readonly overcutMm?: number;
};

/**
 * Force and speed stand at the beginning where they are given: FS in grams, VS in cm a second. A pen is the second
 * tool.
 */
export function writeHpgl(
  layer: CutLayer,
  { forceGrams, speedMmPerSecond, overcutMm = 0.5 }: HpglOptions = {},
): string {
  const at = (point: { readonly x: number; readonly y: number }) =>
    `${Math.round(point.x * STEPS_PER_MM)},${Math.round((layer.heightMm - point.y) * STEPS_PER_MM)}`;
  const lines = ['IN;PA;'];
  if (layer.pen?.length) {
    lines.push('SP2;');
    for (const { points, open } of layer.pen)
      lines.push(
        `PU${at(points[0]!)};`,
        `PD${(open ? points.slice(1) : [...points.slice(1), points[0]!]).map(at).join(',')};`,
      );
    lines.push('PU;');
  }
  lines[lines.length - 1] += 'SP1;';
  if (forceGrams !== undefined) lines.push(`FS${Math.round(forceGrams)};`);
  if (speedMmPerSecond !== undefined) lines.push(`VS${Math.max(1, Math.round(speedMmPerSecond / 10))};`);
  for (const { points, open } of layer.paths) {
    const round = open ? points : [...points, points[0]!, ...startOf(points, overcutMm)];
    lines.push(`PU${at(points[0]!)};`, `PD${round.slice(1).map(at).join(',')};`);
  }
  lines.push('PU0,0;SP0;', '');
  return lines.join('\n');
}

/** The first `lengthMm` of a closed line after its first point. */
function startOf(points: Polyline, lengthMm: number): Polyline {
  const start: { x: number; y: number }[] = [];
  let left = lengthMm;
  for (let index = 1; index <= points.length && left > 0; index++) {
    const from = points[index - 1]!,
      to = points[index % points.length]!;
    const span = distance(from, to);
    const share = span === 0 ? 1 : Math.min(1, left / span);
    start.push({ x: from.x + (to.x - from.x) * share, y: from.y + (to.y - from.y) * share });
    left -= span;
  }
  return start;
}
