// Which vinyl to trust: how often its film failed, by lot and by how fine the work was, with what is not sure of it.

import { useQuery } from '@tanstack/react-query';
import { formatShare } from '../../core/units';
import type { TrustRow } from '../../views/trials';
import { nameLot } from '../../wording/stock';
import { DESIGN_WORDS, TRUST_WORDS } from '../../wording/trials';
import { callApi } from '../shared/api';
import { FailedToCome } from './FailedToCome';
import { useSettings } from '../shared/settings';
import { Swatch } from '../shared/Swatch';
import { Why } from '../shared/Why';

export default function TrustTable() {
  const { data, error, refetch } = useQuery({
    queryKey: ['trust'],
    queryFn: ({ signal }) => callApi<readonly TrustRow[]>('GET', '/api/trials/trust', undefined, signal),
  });
  return (
    <section className="sheet above-3" aria-label="Which vinyl to trust">
      <h2 className="flat">Which vinyl to trust</h2>
      <p className="soft flat below-2">
        What the bench told: parts cut, and those that their film failed. The verdict is of the lot that is cut from
        next: never “to sell” from three cuts, nor for a lot that nobody cut.
      </p>
      {error && <FailedToCome error={error} onAgain={() => void refetch()} />}
      {data?.length === 0 && <p className="flat">Nothing was cut from a lot on the book yet.</p>}
      {data && data.length > 0 && (
        <div className="scrolls" tabIndex={0} role="region" aria-label="Vinyls by their counts">
          <table className="plain">
            <thead>
              <tr>
                <th scope="col">Vinyl</th>
                <th scope="col">Strokes and gaps</th>
                <th scope="col">Failed</th>
                <th scope="col">Likely fails</th>
                <th scope="col">By these counts</th>
                <th scope="col">Your grade</th>
              </tr>
            </thead>
            <tbody>
              {data.map((row) => (
                <TrustLines key={row.vinylId} row={row} />
              ))}
            </tbody>
          </table>
        </div>
      )}
    </section>
  );
}

function TrustLines({ row }: { readonly row: TrustRow }) {
  const settings = useSettings();
  return row.classes.map(({ design, tries, failures, rate, verdict, lots, next, spread }, at) => (
    <tr key={design}>
      {at === 0 && (
        <th scope="row" rowSpan={row.classes.length}>
          <Swatch colour={row.colourHex} />
          {row.vinylName}
          {row.untried.length > 0 && (
            <div className="soft">
              Not tried yet: {row.untried.slice(0, 3).map(nameLot).join(', ')}.{' '}
              <a href={`/trials?vinyl=${row.vinylId}`}>Find its setting</a>
            </div>
          )}
        </th>
      )}
      <td className="one-line">{DESIGN_WORDS[design]}</td>
      <td className="one-line">
        {failures} of {tries}
        {lots.length > 1 && (
          <details>
            <summary>{lots.length} lots</summary>
            <ul className="bare flat pad-0">
              {lots.map((one) => (
                <li key={one.lot?.id ?? 0}>
                  {one.lot ? nameLot(one.lot) : 'no lot on the book'}: {one.failures} of {one.tries},{' '}
                  <Why figure={one.rate} />
                </li>
              ))}
              <li className="soft">
                a lot nobody cut: <Why figure={next} />; lots lie {formatShare(spread, settings)} apart
              </li>
            </ul>
          </details>
        )}
      </td>
      <td>
        <RateBar low={rate.low ?? 0} value={rate.value} high={rate.high ?? 1} />
        <Why figure={rate} />{' '}
        <small className="soft">
          {formatShare(rate.low ?? 0, settings, 0)} to {formatShare(rate.high ?? 1, settings, 0)}
        </small>
      </td>
      <td>
        <span className={verdict === 'sell' ? 'tag good' : verdict === 'no' ? 'tag bad' : 'tag'}>
          {TRUST_WORDS[verdict]}
        </span>
      </td>
      <td>
        {at === 0 && row.grade}
        {at === 0 && row.gradeNote && <small className="soft block">{row.gradeNote}</small>}
      </td>
    </tr>
  ));
}

const BAR = { width: 120, height: 14 } as const;
/** Rates past this end at the edge: nobody keeps a vinyl that fails so often. */
const FULL = 0.5;

function RateBar({ low, value, high }: { readonly low: number; readonly value: number; readonly high: number }) {
  const x = (share: number) => 2 + (Math.min(FULL, share) / FULL) * (BAR.width - 4);
  const middle = BAR.height / 2;
  return (
    <svg viewBox={`0 0 ${BAR.width} ${BAR.height}`} className="rate-bar" aria-hidden>
      <line className="axis" x1={x(0)} x2={x(FULL)} y1={middle} y2={middle} />
      <line className="range" x1={x(low)} x2={x(high)} y1={middle} y2={middle} />
      <circle cx={x(value)} cy={middle} r={4} />
    </svg>
  );
}
