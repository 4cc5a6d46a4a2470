// An offcut to scale, with its spoiled spots, and with what is to be cut from it where it would lie.

import type { SpoiledSpot } from '../../core/stock';
import type { LotView } from '../../views/stock';
import { COLOURS } from '../../theme/tokens';
import type { Box } from '../../core/geometry';

type Placed = { readonly x: number; readonly y: number; readonly widthMm: number; readonly heightMm: number };
type Props = {
  readonly lot: LotView;
  readonly colourHex: string;
  readonly placed?: Placed;
  readonly size?: number;
  /** Instead of the lot's own, while they are marked. */
  readonly spots?: readonly SpoiledSpot[];
  /** Told where it is clicked, mm from its top left. */
  readonly onPick?: (at: { readonly x: number; readonly y: number }) => void;
};

export function OffcutShapeView({ lot, colourHex, placed, size = 84, spots = lot.spoiledSpots, onPick }: Props) {
  const width = lot.widthMm ?? 1,
    height = lot.lengthMm ?? 1;
  const scale = size / Math.max(width, height);
  const points = (lot.shape ?? []).map((point) => `${point.x},${point.y}`).join(' ');
  return (
    <svg
      width={Math.max(10, width * scale)}
      height={Math.max(10, height * scale)}
      viewBox={`-2 -2 ${width + 4} ${height + 4}`}
      role="img"
      aria-label={`Offcut ${lot.code}, to scale`}
      {...(onPick ? { style: { cursor: 'crosshair' } } : {})}
      onClick={(event) => {
        const box = event.currentTarget.getBoundingClientRect();
        onPick?.({
          x: ((event.clientX - box.left) / box.width) * (width + 4) - 2,
          y: ((event.clientY - box.top) / box.height) * (height + 4) - 2,
        });
      }}
    >
      <polygon
        points={points}
        fill={colourHex}
        stroke="var(--mui-palette-text-primary)"
        strokeWidth={1}
        vectorEffect="non-scaling-stroke"
      />
      {spots.map((spot, at) => (
        <SpoiledSpot key={at} spot={spot} />
      ))}
      {placed && (
        <rect
          x={placed.x}
          y={placed.y}
          width={placed.widthMm}
          height={placed.heightMm}
          fill="none"
          stroke={COLOURS.sheet}
          strokeWidth={4}
          vectorEffect="non-scaling-stroke"
        />
      )}
      {placed && (
        <rect
          x={placed.x}
          y={placed.y}
          width={placed.widthMm}
          height={placed.heightMm}
          fill="none"
          stroke={COLOURS.madder}
          strokeWidth={1.6}
          strokeDasharray="4 3"
          vectorEffect="non-scaling-stroke"
        />
      )}
    </svg>
  );
}

type SpoiledSpotProps = {
  readonly spot: Box;
};

function SpoiledSpot({ spot }: SpoiledSpotProps) {
  return (
    <g>
      <title>spoiled</title>
      <rect
        {...spot}
        fill={COLOURS.sheet}
        stroke={COLOURS.madder}
        strokeWidth={1.4}
        vectorEffect="non-scaling-stroke"
      />
      <path
        d={`M${spot.x} ${spot.y}l${spot.width} ${spot.height}M${spot.x + spot.width} ${spot.y}l${-spot.width} ${spot.height}`}
        stroke={COLOURS.madder}
        strokeWidth={1}
        vectorEffect="non-scaling-stroke"
      />
    </g>
  );
}
