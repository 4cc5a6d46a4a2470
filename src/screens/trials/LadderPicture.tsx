// The ladder drawn: force from left to right, how likely it cuts clean there, and what came out of each cut.

import { SETTING_RANGE, type TestResult } from '../../core/cutting';
import type { LadderView } from '../../views/trials';
import { TEST_RESULT_WORDS } from '../../wording/cutting';

const WIDTH = 640;
const HEIGHT = 196;
const FLOOR = 128;
const TOP = 14;
const SIDE = 24;

/** A shape for each result, so that colour is not needed: below for too little, above for too much. */
const SIGNS: Readonly<Record<TestResult, string>> = { shallow: '▼', hangs: '▽', clean: '●', marks: '△', through: '▲' };

export function LadderPicture({ ladder }: { readonly ladder: LadderView }) {
  const { curve, window, setting, cuts, verdict } = ladder;
  const shown = cuts.filter(
    (cut) => cut.setting.speedMmPerS === setting.speedMmPerS && cut.setting.passes === setting.passes,
  );
  const forces = [
    ...curve.map(({ grams }) => grams),
    ...shown.map((cut) => cut.setting.forceGrams),
    setting.forceGrams,
  ];
  const least = Math.max(0, Math.min(...forces) - SETTING_RANGE.forceGrams.step);
  const most = Math.max(...forces) + SETTING_RANGE.forceGrams.step;
  const x = (grams: number) => SIDE + ((grams - least) / (most - least)) * (WIDTH - 2 * SIDE);
  const y = (share: number) => FLOOR - share * (FLOOR - TOP);
  const line = curve.map(({ grams, clean }) => `${x(grams).toFixed(1)} ${y(clean).toFixed(1)}`).join('L');
  const first = curve[0];
  const last = curve.at(-1);
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="ladder-picture"
      role="img"
      aria-label="How likely each force cuts clean"
    >
      {first && last && (
        <path className="likely" d={`M${x(first.grams)} ${FLOOR}L${line}L${x(last.grams)} ${FLOOR}Z`} />
      )}
      <line className="axis" x1={SIDE} x2={WIDTH - SIDE} y1={FLOOR} y2={FLOOR} />
      {cuts.length > 0 && (
        <>
          <Edge label="clean from" range={window.from} x={x} row={0} />
          <Edge label="marks from" range={window.to} x={x} row={1} />
        </>
      )}
      {listTicks(least, most).map((grams) => (
        <g key={grams}>
          <line className="axis" x1={x(grams)} x2={x(grams)} y1={FLOOR} y2={FLOOR + 4} />
          <text className="tick" x={x(grams)} y={FLOOR + 16}>
            {grams} g
          </text>
        </g>
      ))}
      {shown.map(({ setting: tried, result }, at) => (
        <text key={at} className={`cut ${result}`} x={x(tried.forceGrams)} y={FLOOR - 6}>
          <title>
            {tried.forceGrams} g: {TEST_RESULT_WORDS[result].name}
          </title>
          {SIGNS[result]}
        </text>
      ))}
      {verdict.kind === 'going-on' && (
        <line className="next" x1={x(setting.forceGrams)} x2={x(setting.forceGrams)} y1={TOP} y2={FLOOR} />
      )}
    </svg>
  );
}

type EdgeProps = {
  readonly label: string;
  readonly range: { readonly low: number; readonly middle: number; readonly high: number };
  readonly x: (grams: number) => number;
  readonly row: number;
};

const LATE = 0.72;
/** Where the window begins or ends: the middle, and between what nine in ten lie. */
function Edge({ label, range, x, row }: EdgeProps) {
  const top = FLOOR + 30 + row * 19;
  // Its words stand on the side where there is room.
  const isLate = x(range.high) > WIDTH * LATE;
  return (
    <g className="edge">
      <line x1={x(range.low)} x2={x(range.high)} y1={top} y2={top} />
      <circle cx={x(range.middle)} cy={top} r={3.5} />
      <text x={isLate ? x(range.low) - 6 : x(range.high) + 6} y={top + 4} textAnchor={isLate ? 'end' : 'start'}>
        {label} {Math.round(range.middle)} g
      </text>
    </g>
  );
}

const MOST_TICKS = 9;
function listTicks(least: number, most: number): readonly number[] {
  const step = [5, 10, 20, 50, 100, 200].find((one) => (most - least) / one <= MOST_TICKS) ?? 200;
  const ticks: number[] = [];
  for (let grams = Math.ceil(least / step) * step; grams <= most; grams += step) ticks.push(grams);
  return ticks;
}
