// It is taken: the number to be called by, when to come back, and what comes next.

import Button from '@mui/material/Button';
import { formatTimeOfDay } from '../../core/units';
import { useSettings } from '../shared/settings';
import type { StallState } from './use-stall';

export function StallTaken({ stall: { taken, next } }: { readonly stall: StallState }) {
  const settings = useSettings();
  if (!taken) return null;
  return (
    <section className="sheet lifted stall-taken" aria-label="Taken" role="status">
      <p className="soft flat">Number</p>
      <strong className="figures">{taken.id}</strong>
      <p className="flat text-large">ready about {formatTimeOfDay(taken.readyAtMs, settings)}</p>
      <div className="stall-pay above-4">
        <Button variant="contained" size="large" autoFocus onClick={next}>
          Next customer
        </Button>
        <Button size="large" href={`/api/orders/${taken.id}/papers/ticket`} target="_blank">
          Ticket
        </Button>
        <Button size="large" href="/bench/cut">
          To the bench
        </Button>
      </div>
    </section>
  );
}
