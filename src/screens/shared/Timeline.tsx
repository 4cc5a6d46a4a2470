// The day on three tracks, cutter, hands and press, with now as the seam. Solid is logged, dashed is planned.

import { TRACKS, type TimelineBlock, type Track } from '../../core/scheduling';
import { formatTimeOfDay } from '../../core/units';
import { useSettings } from './settings';
import { layScale, type Scale } from './scale';

const TRACK_NAMES: Readonly<Record<Track, string>> = { cutter: 'Cutter', hands: 'Hands', press: 'Press' };
const LEFT = 74,
  ROW = 34,
  TOP = 24,
  WIDTH = 1040;

export function Timeline({
  blocks,
  startMs,
  endMs,
  nowMs,
}: {
  blocks: readonly TimelineBlock[];
  startMs: number;
  endMs: number;
  nowMs: number;
}) {
  const settings = useSettings();
  const scale = layScale([startMs, endMs], [LEFT, WIDTH - 12], { holds: true });
  const hours = Array.from(
    { length: Math.round((endMs - startMs) / 3_600_000) + 1 },
    (_, index) => startMs + index * 3_600_000,
  );
  const shown = blocks.filter((block) => block.endMs > startMs && block.startMs < endMs);
  const planned = shown.filter((block) => block.planned);
  const words = `The day: ${shown.length - planned.length} stretches logged, ${planned.length} planned. ${planned
    .slice(0, 6)
    .map((block) => `${block.station} ${block.label} at ${formatTimeOfDay(block.startMs, settings)}`)
    .join('; ')}`;
  return (
    <svg className="timeline" viewBox={`0 0 ${WIDTH} ${TOP + TRACKS.length * ROW + 18}`} role="img" aria-label={words}>
      {hours.map((hour) => (
        <g key={hour}>
          <line
            x1={scale.at(hour)}
            x2={scale.at(hour)}
            y1={TOP - 6}
            y2={TOP + TRACKS.length * ROW}
            stroke="var(--mui-palette-divider)"
          />
          <text x={scale.at(hour)} y={13} textAnchor="middle" className="figures soft-fill">
            {formatTimeOfDay(hour, settings)
              .replace(/:00$/, '')
              .replace(/^0(?=\d)/, '')}
          </text>
        </g>
      ))}
      {TRACKS.map((track, row) => (
        <TrackRow key={track} track={track} row={row} shown={shown} scale={scale} />
      ))}
      {nowMs >= startMs && nowMs <= endMs && <NowLine scale={scale} nowMs={nowMs} />}
    </svg>
  );
}

type NowLineProps = {
  readonly scale: Scale;
  readonly nowMs: number;
};

function NowLine({ scale, nowMs }: NowLineProps) {
  const settings = useSettings();
  return (
    <g>
      <line
        x1={scale.at(nowMs)}
        x2={scale.at(nowMs)}
        y1={TOP - 8}
        y2={TOP + TRACKS.length * ROW + 2}
        stroke="var(--mui-palette-secondary-main)"
        strokeWidth={2}
        strokeDasharray="5 4"
      />
      <text
        x={Math.min(scale.at(nowMs), WIDTH - 40)}
        y={TOP + TRACKS.length * ROW + 15}
        textAnchor="middle"
        className="accent-fill"
      >
        now {formatTimeOfDay(nowMs, settings)}
      </text>
    </g>
  );
}

type TrackRowProps = {
  readonly track: Track;
  readonly row: number;
  readonly shown: TimelineBlock[];
  readonly scale: Scale;
};

function TrackRow({ track, row, shown, scale }: TrackRowProps) {
  const settings = useSettings();
  return (
    <g>
      <text x={4} y={TOP + row * ROW + 21} className="strong">
        {TRACK_NAMES[track]}
      </text>
      {shown
        .filter((block) => block.track === track)
        .map((block) => {
          const x = scale.at(block.startMs),
            width = Math.max(2, scale.at(block.endMs) - x - 1),
            y = TOP + row * ROW + 4;
          const room = Math.floor((width - 8) / 6.6);
          const text = `${block.station === 'check' ? 'check ' : block.station === 'weed' ? 'weed ' : ''}${block.label}`;
          return (
            <g key={block.key}>
              <title>{`${text}, ${formatTimeOfDay(block.startMs, settings)} to ${formatTimeOfDay(block.endMs, settings)}${block.planned ? ', planned' : ''}`}</title>
              <rect
                x={x}
                y={y}
                width={width}
                height={ROW - 10}
                fill={`var(--tint-${block.station})`}
                fillOpacity={block.planned ? 0.1 : 0.85}
                stroke={`var(--tint-${block.station})`}
                strokeDasharray={block.planned ? '3 3' : undefined}
              />
              {room >= 4 && (
                <text x={x + 5} y={y + 17} className={block.planned ? '' : 'on-block'}>
                  {text.length > room ? `${text.slice(0, room - 1)}…` : text}
                </text>
              )}
            </g>
          );
        })}
    </g>
  );
}
