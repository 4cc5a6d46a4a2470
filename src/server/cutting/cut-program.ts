// A sheet, or a test figure on it, in the cutter's language.

import { writeHpgl, type CutLayer } from '../../core/artwork/index';
import { makeTestFigure, type CutSetting } from '../../core/cutting/index';
import type { SheetPlan } from '../heavy/cut-thread';

const toOptions = ({ forceGrams, speedMmPerS }: CutSetting) => ({ forceGrams, speedMmPerSecond: speedMmPerS });

/** `shiftMm`: it begins so much further along, beside what was cut before it. */
export const makeProgram = ({ layer }: SheetPlan, setting: CutSetting, shiftMm: number): string =>
  writeHpgl(shift(layer, shiftMm), toOptions(setting));

/** The figure alone, with its corner at `spot` of the sheet. */
export function makeTestProgram(
  { layer, tests }: SheetPlan,
  spot: { readonly x: number; readonly y: number },
  setting: CutSetting,
): string {
  const { pen: _, ...plain } = layer;
  const heightMm = layer.heightMm + tests.shiftMm;
  return writeHpgl({ ...plain, name: 'Test cut', heightMm, paths: makeTestFigure(spot) }, toOptions(setting));
}

/** Points keep their place from the end of the strip; what is new of it lies before them. */
function shift(layer: CutLayer, byMm: number): CutLayer {
  if (byMm === 0) return layer;
  const move = (paths: CutLayer['paths']): CutLayer['paths'] =>
    paths.map((path) => ({ ...path, points: path.points.map(({ x, y }) => ({ x, y: y + byMm })) }));
  return {
    ...layer,
    heightMm: layer.heightMm + byMm,
    paths: move(layer.paths),
    ...(layer.pen ? { pen: move(layer.pen) } : {}),
  };
}
