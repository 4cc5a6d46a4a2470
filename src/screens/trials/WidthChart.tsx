// The widths a vinyl was cut at, from fine to bold: how much of each, what of it failed, and where its floor lies.

import type { FloorRow } from '../../views/trials';
import { useSettings } from '../shared/settings';
import { formatLength } from '../../core/units';

const SIZE = { width: 260, height: 44, side: 13 } as const;
const ENDS_MM = { fine: 0.3, bold: 6 } as const;
const MARKS_MM = [0.5, 1, 2, 4] as const;
const DOTS_Y = 14;
const AXIS_Y = 30;
/** Of the dot of so many parts and more. */
const FULL = { parts: 60, radius: 11 } as const;

/** By the logarithm: half as fine is as far everywhere. */
function toX(mm: number): number {
  const share = Math.log(mm / ENDS_MM.fine) / Math.log(ENDS_MM.bold / ENDS_MM.fine);
  return SIZE.side + Math.min(1, Math.max(0, share)) * (SIZE.width - 2 * SIZE.side);
}

/** The area is the count. */
const toRadius = (parts: number): number => FULL.radius * Math.sqrt(Math.min(1, parts / FULL.parts));
const LEAST_RADIUS = 1.5;

export function WidthChart({ row: { tried, floor, now } }: { readonly row: FloorRow }) {
  const settings = useSettings();
  return (
    <svg viewBox={`0 0 ${SIZE.width} ${SIZE.height}`} className="width-chart" aria-hidden>
      <line className="axis" x1={toX(ENDS_MM.fine)} x2={toX(ENDS_MM.bold)} y1={AXIS_Y} y2={AXIS_Y} />
      {MARKS_MM.map((mm) => (
        <text key={mm} x={toX(mm)} y={SIZE.height - 1}>
          {formatLength(mm, settings)}
        </text>
      ))}
      {tried.map(({ widthMm, tries, failures }) => (
        <g key={widthMm}>
          <circle className="held" cx={toX(widthMm)} cy={DOTS_Y} r={Math.max(LEAST_RADIUS, toRadius(tries))} />
          {failures > 0 && (
            <circle className="failed" cx={toX(widthMm)} cy={DOTS_Y} r={Math.max(LEAST_RADIUS, toRadius(failures))} />
          )}
        </g>
      ))}
      <line className="range" x1={toX(floor.low!)} x2={toX(floor.high!)} y1={AXIS_Y} y2={AXIS_Y} />
      <circle className="floor" cx={toX(floor.value)} cy={AXIS_Y} r={4} />
      <line className="now" x1={toX(now.strokeMm)} x2={toX(now.strokeMm)} y1={AXIS_Y - 6} y2={AXIS_Y + 6} />
    </svg>
  );
}
