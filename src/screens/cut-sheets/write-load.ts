// A sheet as one file for the cutter: every part where it lies, already mirrored as its vinyl asks.

import { orderContours, writeDxf, writeHpgl, writeSvg, type CutLayer } from '../../core/artwork';
import { splitPieces, makeRegion } from '../../core/geometry';
import type { Placement } from '../../core/nesting';
import type { CutFormat } from '../../workers/artwork-client';
import type { CutShape } from '../../workers/nest-client';

export function writeLoad(placements: readonly Placement[], shapes: ReadonlyMap<string, CutShape>, sheet: { readonly name: string; readonly widthMm: number; readonly lengthMm: number; readonly mirrored: boolean; readonly colour: string }, format: CutFormat): Blob {
  const rings = placements.flatMap((placement) => {
    const angle = (placement.rotationDeg * Math.PI) / 180, cos = Math.cos(angle), sin = Math.sin(angle);
    return (shapes.get(placement.pieceId)?.paths ?? []).map(({ points }) => points.map(({ x, y }) => ({ x: x * cos - y * sin + placement.xMm, y: x * sin + y * cos + placement.yMm })));
  });
  const paths = orderContours(splitPieces(makeRegion(rings)));
  const layer: CutLayer = { name: sheet.name, mirrored: sheet.mirrored, widthMm: sheet.widthMm, heightMm: sheet.lengthMm, paths, note: `${sheet.name}, ${sheet.mirrored ? 'mirrored' : 'not mirrored'}` };
  return new Blob([format === 'svg' ? writeSvg(layer, { colour: sheet.colour }) : format === 'dxf' ? writeDxf(layer) : writeHpgl(layer, {})]);
}
