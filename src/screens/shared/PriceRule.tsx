// One scale of prices with the costs and goals as marks. Drag the price along it, or use the arrow keys.

import { ticks } from 'd3-array';
import { useRef, useState, useEffect } from 'react';
import { formatMoney, toPercent, type Figure } from '../../core/units';
import { placeMarks, type Placed } from './place-marks';
import { layScale, type Scale } from './scale';
import { useSettings, type Settings } from './settings';

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
const ROW = 15;
/** Room for so many rows of words at least: the axis does not move with every price. */
const LEAST_ROWS = 8;
const BELOW_AXIS = 58;
/** Half of what stands at a tick, px. */
const TICK_HALF = 30;
/** Of a letter and of a figure of the words, px, rather too wide than too narrow. */
const LETTER = 7.2;

/** About as wide as it is beside an item’s fields: drawn so by the server, and as wide as there is room. */
const UNMEASURED = 560;

/** What stands at a mark. */
const sayMark = ({ label, figure }: RuleMark, settings: Settings): string =>
  `${label} ${formatMoney(figure.value, settings)}`;

export function PriceRule({ price, floor, marks, onChange }: RuleProps) {
  const settings = useSettings();
  const box = useRef<HTMLDivElement>(null);
  const [measured, setMeasured] = useState<number | null>(null);
  const width = measured ?? UNMEASURED;
  const [reach, setReach] = useState(() => reachFor(price, marks));
  useEffect(() => {
    const observer = new ResizeObserver(([entry]) => entry && setMeasured(Math.max(280, entry.contentRect.width)));
    if (box.current) observer.observe(box.current);
    return () => observer.disconnect();
  }, []);
  const least = reachFor(price, marks);
  // While a price is dragged the scale stays; it follows when the price leaves it or the costs change.
  useEffect(() => setReach((now) => (least > now || least < now * 0.6 ? least : now)), [least]);
  const scale = layScale([0, reach], [0, width - 2]);
  const clamp = (value: number) => Math.max(0, Math.min(100_000_000, Math.round(value)));
  const step = reach > 20_000 ? 100 : reach > 4000 ? 10 : 5;
  const dragTo = (clientX: number) => {
    const left = box.current?.getBoundingClientRect().left ?? 0;
    onChange(clamp(Math.round(scale.valueAt(clientX - left) / step) * step));
  };
  const at = scale.at(price);
  const { placed, rows } = placeMarks(
    marks.map((mark) => ({ mark, x: scale.at(mark.figure.value), length: sayMark(mark, settings).length * LETTER })),
    width,
  );
  const axis = Math.max(LEAST_ROWS, rows) * ROW + 14;
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
      <RuleDrawing
        floor={floor}
        scale={scale}
        reach={reach}
        width={width}
        fits={measured === null}
        placed={placed}
        axis={axis}
        at={at}
        price={price}
      />
      <div
        role="slider"
        tabIndex={0}
        aria-label="Price"
        aria-valuemin={0}
        aria-valuemax={reach}
        aria-valuenow={price}
        aria-valuetext={formatMoney(price, settings)}
        style={{ left: `calc(${toPercent(at / width)}% - 12px)`, top: axis - 22 }}
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

type RuleDrawingProps = {
  readonly floor: number | null;
  readonly scale: Scale;
  /** The price at the end of the scale. */
  readonly reach: number;
  readonly width: number;
  /** Into the room there is, whatever its width. */
  readonly fits: boolean;
  readonly placed: readonly Placed<RuleMark>[];
  /** How far down the axis lies, px. */
  readonly axis: number;
  readonly at: number;
  readonly price: number;
};

function RuleDrawing({ floor, scale, reach, width, fits, placed, axis, at, price }: RuleDrawingProps) {
  const settings = useSettings();
  const height = axis + BELOW_AXIS;
  return (
    <svg
      height={height}
      viewBox={fits ? `0 0 ${width} ${height}` : undefined}
      preserveAspectRatio="xMinYMin"
      aria-hidden
    >
      {floor !== null && (
        <>
          <rect x={0} y={axis - 9} width={Math.max(0, scale.at(floor))} height={9} fill={TONES.bad} opacity={0.2} />
          <rect
            x={scale.at(floor)}
            y={axis - 9}
            width={Math.max(0, width - scale.at(floor))}
            height={9}
            fill={TONES.good}
            opacity={0.2}
          />
        </>
      )}
      <line x1={0} x2={width} y1={axis} y2={axis} stroke="currentColor" strokeWidth={1.5} />
      {ticks(0, reach, Math.max(3, width / 90)).map((tick) => (
        <g key={tick} transform={`translate(${scale.at(tick)} ${axis})`}>
          <line y2={7} stroke="currentColor" />
          <text
            y={21}
            textAnchor={tick === 0 ? 'start' : scale.at(tick) > width - TICK_HALF ? 'end' : 'middle'}
            className="figures"
            style={{ fill: TONES.soft }}
          >
            {formatMoney(tick, settings).replace(/[.,]00$/, '')}
          </text>
        </g>
      ))}
      {placed.map(({ mark, x, row }) => (
        <line key={mark.label} x1={x} x2={x} y1={row * ROW + 3} y2={axis} stroke={TONES[mark.tone]} strokeWidth={1.5} />
      ))}
      {placed.map(({ mark, row, from }) => (
        <text key={mark.label} x={from} y={row * ROW + 12} className="rule-words" style={{ fill: TONES[mark.tone] }}>
          {mark.label} <tspan className="figures">{formatMoney(mark.figure.value, settings)}</tspan>
        </text>
      ))}
      <g className="rule-thumb" transform={`translate(${at} 0)`}>
        <line y1={axis - 20} y2={axis + 16} stroke="currentColor" strokeWidth={3} />
        <path d={`M-9 ${axis + 26}L0 ${axis + 12}L9 ${axis + 26}z`} fill="currentColor" />
        <rect
          x={Math.max(-at, Math.min(width - at - 72, -36))}
          y={axis + 26}
          width={72}
          height={25}
          fill="currentColor"
        />
        <text
          x={Math.max(-at, Math.min(width - at - 72, -36)) + 36}
          y={axis + 43}
          textAnchor="middle"
          className="figures rule-price"
        >
          {formatMoney(price, settings)}
        </text>
      </g>
    </svg>
  );
}
