// What the clock teaches of the minutes the shop calculates with: was, now, because of so many logs; taken or put back.

import Button from '@mui/material/Button';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { formatFigure, formatInstant } from '../../core/units';
import type { LearnedStation, LearnedView } from '../../views/trials';
import { describeHour, describeLearned, describeTested } from '../../wording/learning';
import { STATION_NAMES } from '../../wording/stations';
import { callApi, wordsOf } from '../shared/api';
import { useSettings } from '../shared/settings';
import { Swatch } from '../shared/Swatch';
import { Why } from '../shared/Why';
import { FailedToCome } from './FailedToCome';
import { enqueueSnackbar } from '../shared/snackbar';

export default function LearnPanel() {
  const { data, error, refetch } = useQuery({
    queryKey: ['learned'],
    queryFn: ({ signal }) => callApi<LearnedView>('GET', '/api/trials/learned', undefined, signal),
  });
  return (
    <section className="sheet above-3" aria-label="What the clock teaches">
      <h2 className="flat">What the clock teaches</h2>
      <p className="soft flat below-2">
        Your logged work against the minutes you calculate with. Clocks that were forgotten count for nothing; what the
        log says little of stays near what it was.
      </p>
      {error && <FailedToCome error={error} onAgain={() => void refetch()} />}
      {data?.stations.map((station) => (
        <StationLearned key={station.station} learned={station} leastLogs={data.leastLogs} />
      ))}
    </section>
  );
}

type Props = { readonly learned: LearnedStation; readonly leastLogs: number };

function StationLearned({ learned, leastLogs }: Props) {
  const settings = useSettings();
  const { station, figures, takenAtMs, tested, hour } = learned;
  return (
    <section className="below-3" aria-label={`${STATION_NAMES[station]}, learned`}>
      <h3 className="flat">{STATION_NAMES[station]}</h3>
      <p className="flat below-2">
        {describeLearned(learned, leastLogs)} {tested && describeTested(tested, settings)}{' '}
        {hour && describeHour(hour, settings)}
      </p>
      {figures.length > 0 && <LearnedTable learned={learned} />}
      <Take learned={learned} />
      {takenAtMs !== null && (
        <p className="soft flat above-1">Taken into your figures on {formatInstant(takenAtMs, settings)}.</p>
      )}
    </section>
  );
}

function LearnedTable({ learned: { figures, factors, bands, people } }: Pick<Props, 'learned'>) {
  const settings = useSettings();
  const rows = [
    ...[...figures, ...bands].map(({ key, was, now }) => ({ key, name: now.label, colourHex: null, was, now })),
    ...factors.map(({ vinylId, name, colourHex, was, now }) => ({
      key: `vinyl ${vinylId}`,
      name: `${name}, factor`,
      colourHex,
      was,
      now,
    })),
    ...people.map(({ personId, was, now }) => ({
      key: `person ${personId}`,
      name: now.label,
      colourHex: null,
      was,
      now,
    })),
  ];
  return (
    <div className="scrolls" tabIndex={0} role="region" aria-label="Learned figures">
      <table className="plain">
        <thead>
          <tr>
            <th scope="col">Figure</th>
            <th scope="col" className="num">
              yours now
            </th>
            <th scope="col" className="num">
              by the log
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ key, name, colourHex, was, now }) => (
            <tr key={key}>
              <th scope="row">
                {colourHex && <Swatch colour={colourHex} />}
                {name}
              </th>
              <td className="num">{formatFigure({ ...now, value: was }, settings)}</td>
              <td className="num">
                <Why figure={now} />
                {now.low !== undefined && (
                  <small className="soft">
                    {' '}
                    {formatFigure({ ...now, value: now.low }, settings)} to{' '}
                    {formatFigure({ ...now, value: now.high! }, settings)}
                  </small>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** One switch: calculated with what the log says, or with what was there before. */
function Take({ learned: { station, figures, takenAtMs } }: Pick<Props, 'learned'>) {
  const client = useQueryClient();
  const sent = useMutation({
    mutationFn: (method: 'POST' | 'DELETE') => callApi(method, `/api/trials/learned/${station}`),
    onSuccess: (_, method) => {
      enqueueSnackbar(method === 'POST' ? 'Costs are calculated with it from now on.' : 'As it was before.');
      void client.invalidateQueries();
    },
    onError: (error) => enqueueSnackbar(wordsOf(error), { variant: 'error' }),
  });
  return (
    <div className="actions above-2">
      {figures.length > 0 && (
        <Button size="small" variant="outlined" disabled={sent.isPending} onClick={() => sent.mutate('POST')}>
          {takenAtMs === null ? 'Calculate with it' : 'Take what is new'}
        </Button>
      )}
      {takenAtMs !== null && (
        <Button size="small" disabled={sent.isPending} onClick={() => sent.mutate('DELETE')}>
          Back to what it was before
        </Button>
      )}
    </div>
  );
}
