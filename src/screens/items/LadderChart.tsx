// The ladder drawn: cost and price over the number made at once, on a scale that gives each doubling the same room.

import { CartesianGrid, Line, LineChart, ReferenceLine, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts';
import { formatMoney } from '../../core/units';
import { useSettings } from '../shared/settings';
import { COLOURS } from '../../theme/tokens';

export function LadderChart({
  rungs,
  price,
}: {
  rungs: readonly { readonly quantity: number; readonly cost: number; readonly ask: number }[];
  price: number;
}) {
  const settings = useSettings();
  const money = (value: unknown) => formatMoney(Math.round(Number(value)), settings);
  return (
    <div
      role="img"
      aria-label={`What one costs and what to ask, by quantity: ${rungs.map((rung) => `${rung.quantity}: ${money(rung.cost)}, ${money(rung.ask)}`).join('; ')}`}
      className="pad-top-4 pad-right-3 pad-bottom-0 pad-left-0 chart"
    >
      <ResponsiveContainer width="100%" height="100%">
        <LineChart data={[...rungs]} margin={{ top: 6, right: 8, bottom: 0, left: 0 }}>
          <CartesianGrid stroke="var(--mui-palette-divider)" vertical={false} />
          <XAxis
            dataKey="quantity"
            type="number"
            scale="log"
            domain={['dataMin', 'dataMax']}
            ticks={rungs.map((rung) => rung.quantity)}
            fontSize={12}
            stroke="var(--mui-palette-text-secondary)"
          />
          <YAxis width={52} fontSize={12} tickFormatter={money} stroke="var(--mui-palette-text-secondary)" />
          <Tooltip
            labelFormatter={(quantity) => `${String(quantity)} at once`}
            formatter={(value, name) => [money(value), name === 'cost' ? 'one costs' : 'ask']}
          />
          <ReferenceLine y={price} stroke="var(--mui-palette-text-primary)" strokeDasharray="4 4" />
          <Line dataKey="ask" stroke={COLOURS.fern} strokeWidth={2} dot isAnimationActive={false} />
          <Line dataKey="cost" stroke={COLOURS.madder} strokeWidth={2} dot isAnimationActive={false} />
        </LineChart>
      </ResponsiveContainer>
    </div>
  );
}
