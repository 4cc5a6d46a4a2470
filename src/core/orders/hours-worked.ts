// The hours of a month at the bench, and how long a piece took.

import { figure, type Figure } from '../units';
import { STATIONS, type Station } from './part';
import { STATION_LABELS } from './quoted-and-real';

/** What was worked at a station: seconds between start and stop, in so many stretches. */
export type StationWork = { readonly station: Station; readonly seconds: number; readonly stretches: number };
export type HoursWorked = {
  readonly stations: Readonly<Record<Station, Figure>>;
  readonly all: Figure;
  /** Pieces that were checked. */
  readonly pieces: number;
  /** Time at the bench for each of them; null where there were none. */
  readonly each: Figure | null;
};

/** Of a month, or of several together. A station nobody worked at has no seconds. */
export function tellHours(works: readonly StationWork[], pieces: number): HoursWorked {
  const stations = Object.fromEntries(
    STATIONS.map((station) => [station, tellStation(station, works)]),
  ) as HoursWorked['stations'];
  const parts = STATIONS.map((station) => stations[station]);
  const seconds = parts.reduce((sum, { value }) => sum + value, 0);
  const all = figure('At the bench', seconds, 's', 'measured', { how: 'sum of the stations', parts });
  const counted = figure('Pieces checked', pieces, 'count', 'measured');
  const each =
    pieces > 0
      ? figure('A piece took', seconds / pieces, 's', 'measured', {
          how: 'time at the bench ÷ pieces checked in that time; what was begun and is not done is in it',
          parts: [all, counted],
        })
      : null;
  return { stations, all, pieces, each };
}

function tellStation(station: Station, works: readonly StationWork[]): Figure {
  const own = works.filter((work) => work.station === station);
  const sum = (pick: (work: StationWork) => number) => own.reduce((all, work) => all + pick(work), 0);
  const stretches = sum((work) => work.stretches);
  return figure(
    STATION_LABELS[station],
    sum((work) => work.seconds),
    's',
    'measured',
    {
      how: `${stretches} ${stretches === 1 ? 'stretch' : 'stretches'} of work, from start to stop`,
    },
  );
}
