// How good the estimates are: a sentence, the work that was done last as points, and what is guessed worst.

import { Fragment } from 'react';
import { useQuery } from '@tanstack/react-query';
import {
  CartesianGrid,
  Legend,
  ReferenceLine,
  ResponsiveContainer,
  Scatter,
  ScatterChart,
  Tooltip,
  XAxis,
  YAxis,
} from 'recharts';
import { STATIONS, type Station } from '../../core/orders';
import { formatInstant, formatNumber } from '../../core/units';
import type { GuessesView } from '../../views/trials';
import { STATION_NAMES } from '../../wording/stations';
import { describeGuesses, describeLeftOut, describeReason, nameGroup } from '../../wording/guesses';
import { callApi } from '../shared/api';
import { FailedToCome } from './FailedToCome';
import { useSettings } from '../shared/settings';
import { Why } from '../shared/Why';
import { COLOURS } from '../../theme/tokens';

export default function GuessesPanel() {
  const settings = useSettings();
  const { data, error, refetch } = useQuery({
    queryKey: ['guesses'],
    queryFn: ({ signal }) => callApi<GuessesView>('GET', '/api/trials/guesses', undefined, signal),
  });
  return (
    <section className="sheet above-3" aria-label="How good the guesses are">
      <h2 className="flat">How good the guesses are</h2>
      {error && <FailedToCome error={error} onAgain={() => void refetch()} />}
      {data && <p className="text-large flat below-2">{describeGuesses(data, settings)}</p>}
      {data?.all && (
        <div className="ladder-cols">
          <div>
            <GuessChart points={data.points} />
            <GuessReasons reasons={data.reasons} />
          </div>
          <GuessTable data={data} />
        </div>
      )}
      {data && data.leftOut.length > 0 && <p className="soft flat above-2">{describeLeftOut(data.leftOut)}</p>}
    </section>
  );
}

/** By shape and colour, so that colour alone is not needed. */
const MARKS: Readonly<
  Record<Station, { readonly fill: string; readonly shape: 'circle' | 'square' | 'triangle' | 'diamond' }>
> = {
  cut: { fill: COLOURS.slate, shape: 'square' },
  weed: { fill: COLOURS.madder, shape: 'triangle' },
  press: { fill: COLOURS.fern, shape: 'circle' },
  check: { fill: COLOURS.slate, shape: 'diamond' },
};
/** Ratios past these are drawn at the edge. */
const EDGES = { low: 0.25, high: 4 } as const;
const hold = (ratio: number): number => Math.min(EDGES.high, Math.max(EDGES.low, ratio));

function GuessChart({ points }: { readonly points: GuessesView['points'] }) {
  const settings = useSettings();
  const times = (value: unknown) => `×${formatNumber(Number(value), settings.locale, 2, 0)}`;
  const day = (value: unknown) => formatInstant(Number(value), settings);
  return (
    <figure role="img" aria-label={`Real against estimated, ${points.length} pieces of work`} className="flat chart">
      <ResponsiveContainer width="100%" height="100%">
        <ScatterChart margin={{ top: 6, right: 10, bottom: 0, left: 0 }}>
          <CartesianGrid stroke="var(--mui-palette-divider)" vertical={false} />
          <XAxis
            dataKey="atMs"
            type="number"
            domain={['dataMin', 'dataMax']}
            tickFormatter={day}
            tickCount={3}
            fontSize={12}
            stroke="var(--mui-palette-text-secondary)"
          />
          <YAxis
            dataKey="ratio"
            type="number"
            scale="log"
            domain={[EDGES.low, EDGES.high]}
            ticks={[EDGES.low, 0.5, 1, 2, EDGES.high]}
            tickFormatter={times}
            width={52}
            fontSize={12}
            stroke="var(--mui-palette-text-secondary)"
          />
          <Tooltip
            formatter={(value, name) => (name === 'ratio' ? [times(value), 'real ÷ estimated'] : [day(value), 'on'])}
          />
          <Legend wrapperStyle={{ fontSize: 12 }} />
          <ReferenceLine y={1} stroke="var(--mui-palette-text-primary)" />
          {STATIONS.map((station) => (
            <Scatter
              key={station}
              name={STATION_NAMES[station]}
              data={points
                .filter((point) => point.station === station)
                .map(({ atMs, ratio }) => ({ atMs, ratio: hold(ratio) }))}
              isAnimationActive={false}
              {...MARKS[station]}
            />
          ))}
        </ScatterChart>
      </ResponsiveContainer>
    </figure>
  );
}

function GuessReasons({ reasons }: Pick<GuessesView, 'reasons'>) {
  const settings = useSettings();
  if (reasons.length === 0) return null;
  return (
    <>
      <h3 className="above-2">Why</h3>
      <dl className="ladder-facts">
        {reasons.map((reason) => (
          <Fragment key={reason.station}>
            <dt>{STATION_NAMES[reason.station]}</dt>
            <dd>{describeReason(reason, settings)}</dd>
          </Fragment>
        ))}
      </dl>
    </>
  );
}

function GuessTable({ data }: { readonly data: GuessesView }) {
  return (
    <div className="scrolls" tabIndex={0} role="region" aria-label="Guesses, worst first">
      <table className="plain">
        <thead>
          <tr>
            <th scope="col">Worst first</th>
            <th scope="col">Off by</th>
            <th scope="col">Real ÷ estimated</th>
            <th scope="col">Work</th>
          </tr>
        </thead>
        <tbody>
          {data.groups.map(({ by, name, sum }) => (
            <tr key={`${by} ${name}`}>
              <th scope="row">{nameGroup(by, name)}</th>
              <td>
                <Why figure={sum.error} />
              </td>
              <td>
                <Why figure={sum.ratio} />
              </td>
              <td>{sum.count}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
