// The purse week by week in each of the scenarios.

import { CartesianGrid, Line, LineChart, ReferenceLine, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts';
import type { BreakEven, Scenario } from '../../core/planning';
import { formatMoney } from '../../core/units';
import { useSettings } from '../shared/settings';
import { COLOURS } from '../../theme/tokens';

const STROKES: Readonly<Record<Scenario['name'], { readonly stroke: string; readonly strokeDasharray?: string }>> = {
  slow: { stroke: COLOURS.madder, strokeDasharray: '4 3' },
  expected: { stroke: COLOURS.slate },
  good: { stroke: COLOURS.fern, strokeDasharray: '9 3' },
};

export default function CashChart({
  outcomes,
}: {
  outcomes: readonly { readonly scenario: Scenario; readonly outcome: BreakEven }[];
}) {
  const settings = useSettings();
  const money = (value: unknown) => formatMoney(Math.round(Number(value)), settings);
  const weeks = outcomes[0]?.outcome.cash.length ?? 0;
  const points = Array.from({ length: weeks }, (_, week) => ({
    week,
    ...Object.fromEntries(outcomes.map(({ scenario, outcome }) => [scenario.name, outcome.cash[week]])),
  }));
  return (
    <figure
      role="img"
      aria-label={`The purse week by week: ${outcomes.map(({ scenario, outcome }) => `${scenario.name}, after ${weeks - 1} weeks ${money(outcome.cash.at(-1))}`).join('; ')}`}
      className="flat chart"
    >
      <ResponsiveContainer width="100%" height="100%">
        <LineChart data={points} margin={{ top: 6, right: 10, bottom: 0, left: 0 }}>
          <CartesianGrid stroke="var(--mui-palette-divider)" vertical={false} />
          <XAxis
            dataKey="week"
            type="number"
            domain={['dataMin', 'dataMax']}
            tickCount={7}
            fontSize={12}
            stroke="var(--mui-palette-text-secondary)"
          />
          <YAxis width={66} fontSize={12} tickFormatter={money} stroke="var(--mui-palette-text-secondary)" />
          <Tooltip
            labelFormatter={(week) => `after ${String(week)} weeks`}
            formatter={(value, name) => [money(value), String(name)]}
          />
          <ReferenceLine y={0} stroke="var(--mui-palette-text-primary)" />
          {outcomes.map(({ scenario }) => (
            <Line
              key={scenario.name}
              dataKey={scenario.name}
              {...STROKES[scenario.name]}
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
