// How fine each vinyl holds, by what was cut of it at which width; and to calculate with it from now on.

import Button from '@mui/material/Button';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { formatLength } from '../../core/units';
import type { FloorRow, KeptFloor } from '../../views/trials';
import { describeWidth } from '../../wording/trials';
import { callApi, wordsOf } from '../shared/api';
import { useSettings } from '../shared/settings';
import { Swatch } from '../shared/Swatch';
import { Why } from '../shared/Why';
import { FailedToCome } from './FailedToCome';
import { WidthChart } from './WidthChart';
import { enqueueSnackbar } from '../shared/snackbar';

export default function FloorTable() {
  const { data, error, refetch } = useQuery({
    queryKey: ['floors'],
    queryFn: ({ signal }) => callApi<readonly FloorRow[]>('GET', '/api/trials/floors', undefined, signal),
  });
  return (
    <section className="sheet above-3" aria-label="How fine each vinyl holds">
      <h2 className="flat">How fine each vinyl holds</h2>
      <p className="soft flat below-2">
        A circle is as large as what was cut at that width, red what its film failed. The vinyl holds down to where one
        in ten fails for being so fine: the dot, with how far it may lie to either side. The upright mark is what you
        calculate with: drawings, items and comparisons are checked against it.
      </p>
      {error && <FailedToCome error={error} onAgain={() => void refetch()} />}
      {data?.length === 0 && <p className="flat">Nothing finer than 4 mm was cut from a vinyl yet.</p>}
      {data && data.length > 0 && (
        <div className="scrolls" tabIndex={0} role="region" aria-label="Vinyls by how fine they hold">
          <table className="plain">
            <thead>
              <tr>
                <th scope="col">Vinyl</th>
                <th scope="col">Cut at which width</th>
                <th scope="col">Holds down to</th>
                <th scope="col">You calculate with</th>
              </tr>
            </thead>
            <tbody>
              {data.map((row) => (
                <FloorLine key={row.vinylId} row={row} />
              ))}
            </tbody>
          </table>
        </div>
      )}
    </section>
  );
}

function FloorLine({ row }: { readonly row: FloorRow }) {
  const settings = useSettings();
  const { vinylName, colourHex, tried, floor, now, kept } = row;
  return (
    <tr>
      <th scope="row">
        <Swatch colour={colourHex} />
        {vinylName}
      </th>
      <td>
        <WidthChart row={row} />
        <details>
          <summary>{tried.length === 1 ? 'one width' : `${tried.length} widths`}</summary>
          <ul className="bare flat pad-0">
            {tried.map((one) => (
              <li key={one.widthMm}>{describeWidth(one, settings)}</li>
            ))}
          </ul>
        </details>
      </td>
      <td>
        <Why figure={floor} />{' '}
        <small className="soft block">
          {formatLength(floor.low!, settings)} to {formatLength(floor.high!, settings)}
        </small>
      </td>
      <td>
        <span className="one-line">{formatLength(now.strokeMm, settings)}</span>{' '}
        <small className="soft">{kept.strokeMm === null ? 'as ordinary of its kind' : 'kept of this vinyl'}</small>
        <TakeFloor row={row} />
      </td>
    </tr>
  );
}

/** Kept of the vinyl, with a way back to what was there before. */
function TakeFloor({ row: { vinylId, vinylName, isKnown, kept, now, proposed } }: { readonly row: FloorRow }) {
  const settings = useSettings();
  const client = useQueryClient();
  const sent = useMutation({
    mutationFn: (floor: KeptFloor) => callApi('PUT', `/api/trials/floors/${vinylId}`, floor),
    onSuccess: () => void client.invalidateQueries(),
    onError: (error) => enqueueSnackbar(wordsOf(error), { variant: 'error' }),
  });
  if (!isKnown) return <small className="soft block">The log does not say yet.</small>;
  if (now.strokeMm === proposed.strokeMm) return null;
  const take = async () => {
    await sent.mutateAsync(proposed);
    enqueueSnackbar(`${vinylName}: checked against ${formatLength(proposed.strokeMm, settings)} from now on.`, {
      action: (
        <Button size="small" color="inherit" onClick={() => sent.mutate(kept)}>
          Undo
        </Button>
      ),
    });
  };
  return (
    <div className="above-1">
      <Button size="small" variant="outlined" disabled={sent.isPending} onClick={() => void take().catch(() => {})}>
        Calculate with {formatLength(proposed.strokeMm, settings)}
      </Button>
    </div>
  );
}
