// One scale of prices with the costs and goals as marks. Drag the price along it, or use the arrow keys.

import { scaleLinear } from 'd3-scale';
import { useRef, useState, useEffect } from 'react';
import { formatMoney, type Figure } from '../../core/units';
import { useSettings } from './settings';
import type { ScaleLinear } from 'd3-scale';

export type RuleMark = {
  readonly label: string;
  readonly figure: Figure;
  readonly tone: 'soft' | 'bad' | 'good' | 'info';
};
type RuleProps = {
  readonly price: number;
  readonly floor: number | null;
  readonly marks: readonly RuleMark[];
  readonly onChange: (price: number) => void;
};

const TONES = {
  soft: 'var(--mui-palette-text-secondary)',
  bad: 'var(--mui-palette-error-main)',
  good: 'var(--mui-palette-success-main)',
  info: 'var(--mui-palette-info-main)',
} as const;
const ROWS = 8,
  ROW = 15;
const AXIS = ROWS * ROW + 14,
  HEIGHT = AXIS + 58;

export function PriceRule({ price, floor, marks, onChange }: RuleProps) {
  const settings = useSettings();
  const box = useRef<HTMLDivElement>(null);
  const [width, setWidth] = useState(1000);
  const [reach, setReach] = useState(() => reachFor(price, marks));
  useEffect(() => {
    const observer = new ResizeObserver(([entry]) => entry && setWidth(Math.max(280, entry.contentRect.width)));
    if (box.current) observer.observe(box.current);
    return () => observer.disconnect();
  }, []);
  const least = reachFor(price, marks);
  // While a price is dragged the scale stays; it follows when the price leaves it or the costs change.
  useEffect(() => setReach((now) => (least > now || least < now * 0.6 ? least : now)), [least]);
  const scale = scaleLinear()
    .domain([0, reach])
    .range([0, width - 2]);
  const clamp = (value: number) => Math.max(0, Math.min(100_000_000, Math.round(value)));
  const step = reach > 20_000 ? 100 : reach > 4000 ? 10 : 5;
  const dragTo = (clientX: number) => {
    const left = box.current?.getBoundingClientRect().left ?? 0;
    onChange(clamp(Math.round(scale.invert(clientX - left) / step) * step));
  };
  const at = scale(price);
  return (
    <div
      className="rule"
      ref={box}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        dragTo(event.clientX);
      }}
      onPointerMove={(event) => event.buttons === 1 && dragTo(event.clientX)}
    >
      <RuleDrawing floor={floor} scale={scale} width={width} marks={marks} at={at} price={price} />
      <div
        role="slider"
        tabIndex={0}
        aria-label="Price"
        aria-valuemin={0}
        aria-valuemax={reach}
        aria-valuenow={price}
        aria-valuetext={formatMoney(price, settings)}
        style={{ left: at - 12, top: AXIS - 22 }}
        onKeyDown={(event) => {
          const moves: Record<string, number> = {
            ArrowRight: 10,
            ArrowUp: 10,
            ArrowLeft: -10,
            ArrowDown: -10,
            PageUp: 100,
            PageDown: -100,
          };
          const move = event.key === 'Home' && floor !== null ? floor - price : moves[event.key];
          if (move === undefined) return;
          event.preventDefault();
          onChange(clamp(price + (event.shiftKey && Math.abs(move) === 10 ? Math.sign(move) : move)));
        }}
        className="rule-handle"
      />
    </div>
  );
}

const reachFor = (price: number, marks: readonly RuleMark[]): number =>
  Math.max(price, ...marks.map((mark) => mark.figure.value), 100) * 1.15;

type Placed = {
  readonly mark: RuleMark;
  readonly x: number;
  readonly row: number;
  readonly flip: boolean;
  readonly from: number;
  readonly to: number;
};

/** Marks from left to right, each in the row where its words and its line cross the fewest others. */
function placeMarks(marks: readonly RuleMark[], scale: (value: number) => number, width: number): readonly Placed[] {
  const placed: Placed[] = [];
  for (const mark of [...marks].sort((a, b) => a.figure.value - b.figure.value)) {
    const x = scale(mark.figure.value);
    const length = (mark.label.length + 8) * 7 + 10;
    const flip = x + length > width;
    const ways = Array.from({ length: ROWS }, (_, row): Placed => ({
      mark,
      x,
      row,
      flip,
      from: flip ? x - length : x,
      to: flip ? x : x + length,
    }));
    const costs = ways.map((way) => placed.reduce((cost, other) => cost + countCrossings(way, other), 0));
    placed.push(ways[costs.indexOf(Math.min(...costs))]!);
  }
  return placed;
}

/**
 * Words over words are worst; a line runs from its row down to the axis and may pass through the words of lower rows.
 */
function countCrossings(a: Placed, b: Placed): number {
  const words = a.row === b.row && a.from < b.to && b.from < a.to ? 100 : 0;
  const through = (line: Placed, text: Placed) =>
    line.row < text.row && line.x > text.from && line.x < text.to ? 1 : 0;
  return words + through(a, b) + through(b, a);
}

type RuleDrawingProps = {
  readonly floor: number | null;
  readonly scale: ScaleLinear<number, number, never>;
  readonly width: number;
  readonly marks: readonly RuleMark[];
  readonly at: number;
  readonly price: number;
};

function RuleDrawing({ floor, scale, width, marks, at, price }: RuleDrawingProps) {
  const settings = useSettings();
  return (
    <svg height={HEIGHT} aria-hidden>
      {floor !== null && (
        <>
          <rect x={0} y={AXIS - 9} width={Math.max(0, scale(floor))} height={9} fill={TONES.bad} opacity={0.2} />
          <rect
            x={scale(floor)}
            y={AXIS - 9}
            width={Math.max(0, width - scale(floor))}
            height={9}
            fill={TONES.good}
            opacity={0.2}
          />
        </>
      )}
      <line x1={0} x2={width} y1={AXIS} y2={AXIS} stroke="currentColor" strokeWidth={1.5} />
      {scale.ticks(Math.max(3, width / 90)).map((tick) => (
        <g key={tick} transform={`translate(${scale(tick)} ${AXIS})`}>
          <line y2={7} stroke="currentColor" />
          <text y={21} textAnchor={tick === 0 ? 'start' : 'middle'} className="figures" style={{ fill: TONES.soft }}>
            {formatMoney(tick, settings).replace(/[.,]00$/, '')}
          </text>
        </g>
      ))}
      {placeMarks(marks, scale, width).map(({ mark, x, row, flip }) => (
        <g key={mark.label} transform={`translate(${x} 0)`}>
          <line y1={row * ROW + 3} y2={AXIS} stroke={TONES[mark.tone]} strokeWidth={1.5} />
          <text
            x={flip ? -5 : 5}
            y={row * ROW + 12}
            textAnchor={flip ? 'end' : 'start'}
            style={{ fill: TONES[mark.tone] }}
          >
            {mark.label} <tspan className="figures">{formatMoney(mark.figure.value, settings)}</tspan>
          </text>
        </g>
      ))}
      <g className="rule-thumb" transform={`translate(${at} 0)`}>
        <line y1={AXIS - 20} y2={AXIS + 16} stroke="currentColor" strokeWidth={3} />
        <path d={`M-9 ${AXIS + 26}L0 ${AXIS + 12}L9 ${AXIS + 26}z`} fill="currentColor" />
        <rect
          x={Math.max(-at, Math.min(width - at - 72, -36))}
          y={AXIS + 26}
          width={72}
          height={25}
          fill="currentColor"
        />
        <text
          x={Math.max(-at, Math.min(width - at - 72, -36)) + 36}
          y={AXIS + 43}
          textAnchor="middle"
          className="figures rule-price"
        >
          {formatMoney(price, settings)}
        </text>
      </g>
    </svg>
  );
}
