// What a good piece costs in each vinyl, over your hour, the size, the number made and what goes wrong.

import { CartesianGrid, Line, LineChart, ReferenceLine, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts';
import { getCandidateName, type Candidate } from '../../core/costing/compare-vinyls';
import type { CompareAxis, Curve } from '../../core/planning';
import { formatLength, formatMoney, formatNumber, formatShare } from '../../core/units';
import { useSettings, type Settings } from '../shared/settings';
import { CHART_COLOURS } from '../../theme/tokens';

const TITLES: Readonly<Record<CompareAxis, string>> = {
  wage: 'over your hour',
  width: 'over the width',
  quantity: 'over the number made at once',
  failure: 'over what goes wrong with the cheapest',
};
const DASHES = [undefined, '7 4', '2 3', '9 3 2 3'] as const;
const dash = (index: number) => (DASHES[index] ? { strokeDasharray: DASHES[index] } : {});

function formatAt(axis: CompareAxis, at: number, settings: Settings): string {
  return {
    wage: () => formatMoney(Math.round(at), settings),
    width: () => formatLength(at, settings, 0),
    quantity: () => formatNumber(Math.round(at), settings.locale, 0),
    failure: () => formatShare(at, settings, 0),
  }[axis]();
}

export default function FlipCharts({
  curves,
  candidates,
}: {
  curves: readonly Curve[];
  candidates: readonly Candidate[];
}) {
  return (
    <div className="flip-charts">
      {curves.map((curve) => (
        <FlipChart key={curve.axis} curve={curve} candidates={candidates} />
      ))}
      <Legend candidates={candidates} />
    </div>
  );
}

type FlipChartProps = { readonly curve: Curve; readonly candidates: readonly Candidate[] };

function FlipChart({ curve: { axis, points, now }, candidates }: FlipChartProps) {
  const settings = useSettings();
  const money = (value: unknown) => formatMoney(Math.round(Number(value)), settings);
  const first = points[0]!;
  const last = points[points.length - 1]!;
  const nameAt = (index: number) => {
    const candidate = candidates[index];
    return candidate ? getCandidateName(candidate) : '';
  };
  return (
    <figure
      role="img"
      aria-label={`What a good piece costs ${TITLES[axis]}: ${candidates.map((candidate, index) => `${getCandidateName(candidate)} from ${money(first[`v${index}`])} to ${money(last[`v${index}`])}`).join('; ')}`}
    >
      <figcaption className="soft">{TITLES[axis]}</figcaption>
      <ResponsiveContainer width="100%" height={136}>
        <LineChart data={[...points]} margin={{ top: 4, right: 8, bottom: 0, left: 0 }}>
          <CartesianGrid stroke="var(--mui-palette-divider)" vertical={false} />
          <XAxis
            dataKey="at"
            type="number"
            domain={['dataMin', 'dataMax']}
            tickFormatter={(at: number) => formatAt(axis, at, settings)}
            tickCount={4}
            fontSize={11}
            stroke="var(--mui-palette-text-secondary)"
          />
          <YAxis
            width={46}
            fontSize={11}
            domain={['auto', 'auto']}
            tickFormatter={money}
            stroke="var(--mui-palette-text-secondary)"
          />
          <Tooltip
            labelFormatter={(at) => formatAt(axis, Number(at), settings)}
            formatter={(value, name) => [money(value), nameAt(Number(String(name).slice(1)))]}
          />
          <ReferenceLine x={now} stroke="var(--mui-palette-text-primary)" strokeDasharray="4 4" />
          {candidates.map((_, index) => (
            <Line
              key={index}
              dataKey={`v${index}`}
              stroke={CHART_COLOURS[index]!}
              {...dash(index)}
              strokeWidth={2}
              dot={false}
              isAnimationActive={false}
            />
          ))}
        </LineChart>
      </ResponsiveContainer>
    </figure>
  );
}

type LegendProps = {
  readonly candidates: readonly Candidate[];
};

function Legend({ candidates }: LegendProps) {
  return (
    <p className="soft legend">
      {candidates.map((candidate, index) => (
        <span key={index}>
          <svg width="26" height="8" aria-hidden="true">
            <line x1="0" x2="26" y1="4" y2="4" stroke={CHART_COLOURS[index]!} strokeWidth="2.5" {...dash(index)} />
          </svg>{' '}
          {getCandidateName(candidate)}
        </span>
      ))}
    </p>
  );
}
