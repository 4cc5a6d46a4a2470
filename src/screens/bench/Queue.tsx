// What waits at a station, and what is said where nothing does.

import { gatherBatches } from '../../core/scheduling';
import type { BenchPartView } from '../../views/bench';
import { useSettings } from '../shared/settings';
import { describeBatch } from '../../wording/batches';
import { formatDay, formatDuration } from '../../core/units';
import { type Station, STATIONS } from '../../core/orders';
import Button from '@mui/material/Button';
import { plural } from '../../wording/plural';
import { STATION_NAMES } from '../../wording/stations';

export function Queue({
  batches,
  later,
  chosen,
  locked,
  onChoose,
}: {
  batches: ReturnType<typeof gatherBatches<BenchPartView>>;
  /** Batches that come after those. */
  later: number;
  chosen: string | null;
  locked: boolean;
  onChoose: (key: string) => void;
}) {
  const settings = useSettings();
  return (
    <ul className="queue" aria-label="Batches">
      {batches.map((batch) => {
        const words = describeBatch(batch);
        return (
          <li key={batch.key}>
            <button
              type="button"
              aria-pressed={batch.key === chosen}
              disabled={locked && batch.key !== chosen}
              onClick={() => onChoose(batch.key)}
            >
              {words.what}
              <small>{words.detail}</small>
              <small>
                due {formatDay(batch.dueDay, settings)}, about {formatDuration(batch.seconds, settings)}
              </small>
            </button>
          </li>
        );
      })}
      {later > 0 && <li className="soft pad-2">and {plural(later, 'more batch', 'more batches')}, due later</li>}
    </ul>
  );
}

export function NothingHere({ station, waiting }: { station: Station; waiting: Readonly<Record<Station, number>> }) {
  const other = STATIONS.find((name) => waiting[name] > 0);
  const why = {
    cut: 'Everything that is ordered is cut.',
    weed: 'Nothing lies cut and waiting to be weeded.',
    press: 'No piece has all its parts weeded.',
    check: 'No piece is pressed and waiting to be checked.',
  }[station];
  return (
    <div className="sheet empty">
      <p>{why}</p>
      <div className="actions centred">
        {other ? (
          <Button variant="contained" href={`/bench/${other}`}>
            Go to {STATION_NAMES[other]}
          </Button>
        ) : (
          <Button variant="contained" href="/orders">
            See the orders
          </Button>
        )}
      </div>
    </div>
  );
}
