// Under the parts of a drawn sheet: its rulers, the stock with its spoiled spots, what is left of it, and the marks.

import type { Polyline } from '../../core/geometry';
import type { DrawnMarks, Leftover, NestStock } from '../../core/nesting';
import { useSettings } from '../shared/settings';

/** Of the part of the stock that is drawn, mm. */
export type SheetSize = {
  readonly width: number;
  readonly length: number;
  /** How much larger lines and letters are drawn than on a sheet of the page's width. */
  readonly k: number;
};

const TICK_MM = 50;
const LONG_SHEET_MM = 1500;

export const toPath = (points: Polyline, closed: boolean): string =>
  `M${points.map((point) => `${point.x.toFixed(2)} ${point.y.toFixed(2)}`).join('L')}${closed ? 'Z' : ''}`;

const listTicks = (mm: number) => Array.from({ length: Math.floor(mm / TICK_MM) + 1 }, (_, at) => at * TICK_MM);

export function Rulers({ width, length, k }: SheetSize) {
  /** Ticks from one number to the next. */
  const every = length > LONG_SHEET_MM ? 4 : 2;
  const isNumbered = (mm: number) => (mm / TICK_MM) % every === 0;
  return (
    <>
      {listTicks(length).map((mm) => (
        <g key={`along ${mm}`} transform={`translate(${mm} 0)`}>
          <line y1={-4 * k} y2={0} stroke="var(--mui-palette-text-secondary)" strokeWidth={0.6 * k} />
          {isNumbered(mm) && <RulerNumber mm={mm} y={-6 * k} k={k} anchor="middle" />}
        </g>
      ))}
      {listTicks(width).map((mm) => (
        <g key={`across ${mm}`} transform={`translate(0 ${width - mm})`}>
          <line x1={-4 * k} x2={0} stroke="var(--mui-palette-text-secondary)" strokeWidth={0.6 * k} />
          {isNumbered(mm) && mm > 0 && <RulerNumber mm={mm} x={-5 * k} y={2 * k} k={k} anchor="end" />}
        </g>
      ))}
    </>
  );
}

type NumberProps = {
  readonly mm: number;
  readonly x?: number;
  readonly y: number;
  readonly k: number;
  readonly anchor: 'middle' | 'end';
};

function RulerNumber({ mm, x = 0, y, k, anchor }: NumberProps) {
  const { system } = useSettings();
  return (
    <text x={x} y={y} fontSize={7 * k} textAnchor={anchor} fill="var(--mui-palette-text-secondary)">
      {system === 'metric' ? mm : (mm / 25.4).toFixed(1)}
    </text>
  );
}

type StockProps = {
  readonly stock: NestStock;
  readonly size: SheetSize;
  readonly usedLengthMm: number;
  readonly leftover: Leftover | null;
};

export function StockArea({ stock, size: { width, length, k }, usedLengthMm, leftover }: StockProps) {
  const paint = {
    fill: 'var(--cut-side)',
    stroke: 'var(--mui-palette-text-secondary)',
    strokeWidth: 0.6 * k,
  };
  return (
    <>
      {stock.kind === 'offcut' ? (
        <path d={toPath(stock.shape, true)} {...paint} />
      ) : (
        <rect width={width} height={length} {...paint} />
      )}
      {stock.kind === 'offcut' && stock.spoiledSpots.map((ring, at) => <SpoiledSpot key={at} ring={ring} k={k} />)}
      {stock.kind === 'roll' && (
        <line
          x2={width}
          y1={usedLengthMm}
          y2={usedLengthMm}
          stroke="var(--mui-palette-secondary-main)"
          strokeWidth={0.9}
          strokeDasharray="5 3"
        />
      )}
      {leftover?.pieces.map((ring, at) => (
        <path
          key={at}
          d={toPath(ring, true)}
          fill="var(--mui-palette-secondary-main)"
          fillOpacity={0.12}
          stroke="var(--mui-palette-secondary-main)"
          strokeWidth={0.8}
          strokeDasharray="5 3"
        />
      ))}
    </>
  );
}

function SpoiledSpot({ ring, k }: { readonly ring: Polyline; readonly k: number }) {
  return (
    <path
      d={toPath(ring, true)}
      fill="var(--mui-palette-error-main)"
      fillOpacity={0.35}
      stroke="var(--mui-palette-error-main)"
      strokeWidth={0.6 * k}
    >
      <title>spoiled</title>
    </path>
  );
}

export function MarkLines({ marks }: { readonly marks: DrawnMarks }) {
  const red = { fill: 'none', stroke: 'var(--mui-palette-error-main)' };
  return (
    <>
      {marks.weed.map((ring, at) => (
        <path key={`weed ${at}`} d={toPath(ring, true)} {...red} strokeWidth={0.5} />
      ))}
      {marks.corners.map((points, at) => (
        <path
          key={`corner ${at}`}
          d={toPath(points, false)}
          fill="none"
          stroke="var(--mui-palette-text-primary)"
          strokeWidth={0.9}
        />
      ))}
      {marks.trim && <path d={toPath(marks.trim, false)} {...red} strokeWidth={1.2} />}
    </>
  );
}
