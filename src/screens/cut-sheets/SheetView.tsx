// One sheet to scale, with rulers: the parts as they are cut. One of them can be taken up, moved, turned and locked.

import { useRef } from 'react';
import type { Polyline } from '../../core/geometry';
import type { DrawnMarks, NestStock, Placement, Leftover, SheetUse } from '../../core/nesting';
import { formatLength } from '../../core/units';
import type { WaitingPart } from '../../views/cut-sheets';
import type { CutOutline } from '../../core/nesting';
import { useSettings } from '../shared/settings';
import { outlineOf, placementKey } from '../../core/orders';
import { type Laid } from './cut-load';
import { plural } from '../../wording/plural';
import { PlacedPart } from './PlacedPart';

type Props = {
  readonly use: SheetUse;
  readonly stock: NestStock;
  readonly placements: readonly Placement[];
  readonly laid: Laid;
  readonly marks: DrawnMarks;
  readonly byPart: ReadonlyMap<number, WaitingPart>;
  readonly colour: string;
  /** What is saved of it afterwards. */
  readonly leftover: Leftover | null;
  readonly nameOf: (placement: Placement) => string;
  readonly chosen: Placement | null;
  readonly locked: ReadonlySet<string>;
  readonly faulty: ReadonlySet<string>;
  readonly onChoose: (placement: Placement | null) => void;
  readonly onMove: (placement: Placement, dxMm: number, dyMm: number) => void;
};
/**
 * On a sheet that is drawn as wide as the page at this length; longer ones have larger letters, so that they are read
 * as well.
 */
const RULER_AT_MM = 420,
  RULER_MM = 14,
  TICK_MM = 50;

export function SheetView({
  use,
  stock,
  placements,
  laid,
  marks,
  byPart,
  colour,
  leftover,
  nameOf,
  chosen,
  locked,
  faulty,
  onChoose,
  onMove,
}: Props) {
  const settings = useSettings();
  const svg = useRef<SVGSVGElement>(null);
  const drag = useRef<{ readonly placement: Placement; x: number; y: number } | null>(null);
  const width = stock.kind === 'offcut' ? Math.max(...stock.shape.map((point) => point.x)) : stock.widthMm;
  const whole = stock.kind === 'offcut' ? Math.max(...stock.shape.map((point) => point.y)) : stock.lengthMm;
  const length = stock.kind === 'roll' ? Math.min(whole, use.usedLengthMm + 30) : whole;
  const k = Math.max(1, (length + RULER_MM) / RULER_AT_MM),
    ruler = RULER_MM * k,
    every = length > 1500 ? 4 : 2;
  // The length runs across the page: a roll is longer than wide.
  const toMm = (event: React.PointerEvent) => {
    const point = new DOMPoint(event.clientX, event.clientY).matrixTransform(svg.current!.getScreenCTM()!.inverse());
    return { x: width - point.y, y: point.x };
  };
  const line = (points: Polyline, closed: boolean) =>
    `M${points.map((point) => `${point.x.toFixed(2)} ${point.y.toFixed(2)}`).join('L')}${closed ? 'Z' : ''}`;
  const path = (shape: CutOutline) =>
    shape.paths
      .map(({ points }) => `M${points.map((point) => `${point.x.toFixed(2)} ${point.y.toFixed(2)}`).join('L')}Z`)
      .join('');
  return (
    <figure
      aria-label={`${plural(placements.length, 'part')} on ${formatLength(use.usedLengthMm, settings)}`}
      className="flat"
    >
      <svg
        ref={svg}
        viewBox={`${-1.6 * ruler} ${-ruler} ${length + 1.6 * ruler} ${width + ruler}`}
        onPointerDown={(event) => event.target === svg.current && onChoose(null)}
        onPointerMove={(event) => {
          if (!drag.current || event.buttons !== 1) return;
          const at = toMm(event);
          onMove(drag.current.placement, at.x - drag.current.x, at.y - drag.current.y);
          drag.current = { ...drag.current, ...at };
        }}
        onPointerUp={() => (drag.current = null)}
        className="full block sheet-drawing"
      >
        {Array.from({ length: Math.floor(length / TICK_MM) + 1 }, (_, at) => (
          <AlongTick key={`along ${at}`} at={at} k={k} every={every} />
        ))}
        {Array.from({ length: Math.floor(width / TICK_MM) + 1 }, (_, at) => (
          <AcrossTick key={`across ${at}`} at={at} k={k} width={width} every={every} />
        ))}
        {/* Stock coordinates, turned so that the length runs to the right. */}
        <g transform={`translate(0 ${width}) rotate(-90) scale(1 1)`}>
          {stock.kind === 'offcut' ? (
            <polygon
              points={stock.shape.map((point) => `${point.x},${point.y}`).join(' ')}
              fill="var(--cut-side)"
              stroke="var(--mui-palette-text-secondary)"
              strokeWidth={0.6 * k}
            />
          ) : (
            <rect
              width={width}
              height={length}
              fill="var(--cut-side)"
              stroke="var(--mui-palette-text-secondary)"
              strokeWidth={0.6 * k}
            />
          )}
          {stock.kind === 'offcut' &&
            stock.spoiledSpots.map((ring, at) => (
              <path
                key={`spot ${at}`}
                d={line(ring, true)}
                fill="var(--mui-palette-error-main)"
                fillOpacity={0.35}
                stroke="var(--mui-palette-error-main)"
                strokeWidth={0.6 * k}
              >
                <title>spoiled</title>
              </path>
            ))}
          {stock.kind === 'roll' && (
            <line
              x1={0}
              x2={width}
              y1={use.usedLengthMm}
              y2={use.usedLengthMm}
              stroke="var(--mui-palette-secondary-main)"
              strokeWidth={0.9}
              strokeDasharray="5 3"
            />
          )}
          {leftover?.pieces.map((ring, at) => (
            <path
              key={`leftover ${at}`}
              d={line(ring, true)}
              fill="var(--mui-palette-secondary-main)"
              fillOpacity={0.12}
              stroke="var(--mui-palette-secondary-main)"
              strokeWidth={0.8}
              strokeDasharray="5 3"
            />
          ))}
          {marks.weed.map((ring, at) => (
            <path
              key={`weed ${at}`}
              d={line(ring, true)}
              fill="none"
              stroke="var(--mui-palette-error-main)"
              strokeWidth={0.5}
            />
          ))}
          {marks.corners.map((points, at) => (
            <path
              key={`corner ${at}`}
              d={line(points, false)}
              fill="none"
              stroke="var(--mui-palette-text-primary)"
              strokeWidth={0.9}
            />
          ))}
          {marks.trim && (
            <path d={line(marks.trim, false)} fill="none" stroke="var(--mui-palette-error-main)" strokeWidth={1.2} />
          )}
          {placements.map((placement) => {
            const piece = laid.job.cut.find((one) => one.id === placement.pieceId),
              shape = piece && outlineOf(piece, laid.shapes),
              key = placementKey(placement),
              corner = laid.job.tagAt.get(placement.pieceId);
            if (!shape) return null;
            const isChosen = chosen !== null && placementKey(chosen) === key,
              isFaulty = faulty.has(key);
            return (
              <PlacedPart
                key={key}
                placement={placement}
                onChoose={onChoose}
                locked={locked}
                drag={drag}
                toMm={toMm}
                nameOf={nameOf}
                path={path}
                shape={shape}
                colour={colour}
                isFaulty={isFaulty}
                isChosen={isChosen}
                corner={corner}
                byPart={byPart}
                laid={laid}
              />
            );
          })}
        </g>
      </svg>
    </figure>
  );
}

type AlongTickProps = {
  readonly at: number;
  readonly k: number;
  readonly every: 4 | 2;
};

function AlongTick({ at, k, every }: AlongTickProps) {
  const settings = useSettings();
  return (
    <g>
      <line
        x1={at * TICK_MM}
        x2={at * TICK_MM}
        y1={-4 * k}
        y2={0}
        stroke="var(--mui-palette-text-secondary)"
        strokeWidth={0.6 * k}
      />
      {at % every === 0 && (
        <text x={at * TICK_MM} y={-6 * k} fontSize={7 * k} textAnchor="middle" fill="var(--mui-palette-text-secondary)">
          {settings.system === 'metric' ? at * TICK_MM : ((at * TICK_MM) / 25.4).toFixed(1)}
        </text>
      )}
    </g>
  );
}

type AcrossTickProps = {
  readonly at: number;
  readonly k: number;
  readonly width: number;
  readonly every: 4 | 2;
};

function AcrossTick({ at, k, width, every }: AcrossTickProps) {
  const settings = useSettings();
  return (
    <g>
      <line
        x1={-4 * k}
        x2={0}
        y1={width - at * TICK_MM}
        y2={width - at * TICK_MM}
        stroke="var(--mui-palette-text-secondary)"
        strokeWidth={0.6 * k}
      />
      {at % every === 0 && at > 0 && (
        <text
          x={-5 * k}
          y={width - at * TICK_MM + 2 * k}
          fontSize={7 * k}
          textAnchor="end"
          fill="var(--mui-palette-text-secondary)"
        >
          {settings.system === 'metric' ? at * TICK_MM : ((at * TICK_MM) / 25.4).toFixed(1)}
        </text>
      )}
    </g>
  );
}
