// An offcut to scale, with what is to be cut from it where it would lie.

import type { LotView } from '../../views/views';

type Placed = { readonly x: number; readonly y: number; readonly widthMm: number; readonly heightMm: number };

export function OffcutShapeView({ lot, colourHex, placed, size = 84 }: { lot: LotView; colourHex: string; placed?: Placed; size?: number }) {
  const width = lot.widthMm ?? 1, height = lot.lengthMm ?? 1;
  const scale = size / Math.max(width, height);
  const points = (lot.shape ?? []).map((point) => `${point.x},${point.y}`).join(' ');
  return (
    <svg width={Math.max(10, width * scale)} height={Math.max(10, height * scale)} viewBox={`-2 -2 ${width + 4} ${height + 4}`} role="img" aria-label={`Offcut ${lot.code}, to scale`}>
      <polygon points={points} fill={colourHex} stroke="var(--mui-palette-text-primary)" strokeWidth={1} vectorEffect="non-scaling-stroke" />
      {placed && <rect x={placed.x} y={placed.y} width={placed.widthMm} height={placed.heightMm} fill="none" stroke="#fffcf5" strokeWidth={4} vectorEffect="non-scaling-stroke" />}
      {placed && <rect x={placed.x} y={placed.y} width={placed.widthMm} height={placed.heightMm} fill="none" stroke="#a5343c" strokeWidth={1.6} strokeDasharray="4 3" vectorEffect="non-scaling-stroke" />}
    </svg>
  );
}
