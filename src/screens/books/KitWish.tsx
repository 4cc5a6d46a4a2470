// What a kit has to do, and what it may cost.

import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { KIT_NEEDS, type Kit, type KitNeed, type StartPlan } from '../../core/planning';
import { formatLength, minor } from '../../core/units';
import { MoneyInput } from '../shared/MoneyInput';
import { useSettings } from '../shared/settings';
import { Why } from '../shared/Why';
import type { StartPlanState } from './use-start-plan';

export function KitWish({ plan, change, kit, cheapest, widest, narrow }: StartPlanState) {
  const settings = useSettings();
  return (
    <section className="sheet fields" aria-label="What it has to do">
      <MoneyInput shown label="Budget" value={plan.cap} onChange={(cap) => change({ cap: minor(cap) })} />
      <MoneyInput
        shown
        label="To be left over"
        value={plan.reserve}
        onChange={(reserve) => change({ reserve: minor(reserve) })}
      />
      <TextField
        select
        label="Needed"
        value={[...plan.needs]}
        onChange={(event) => {
          const needs = event.target.value as unknown as KitNeed[];
          if (needs.length > 0) change({ needs });
        }}
        slotProps={{ select: { multiple: true } }}
      >
        {KIT_NEEDS.map((need) => (
          <MenuItem key={need} value={need}>
            {need}
          </MenuItem>
        ))}
      </TextField>
      {widest && (
        <p className={`flat whole-row ${narrow ? 'short' : 'soft'}`}>
          {widest.name} needs a cutter that takes {formatLength(widest.acrossMm, settings, 0)} across
          {narrow ? `: ${narrow.name} can’t make it.` : '; narrower ones are not proposed.'}
        </p>
      )}
      <KitReadings kit={kit} plan={plan} cheapest={cheapest} change={change} />
    </section>
  );
}

type KitReadingsProps = {
  readonly kit: Kit | null;
  readonly plan: StartPlan;
  readonly cheapest: Kit | null;
  readonly change: (part: Partial<StartPlan>) => void;
};

function KitReadings({ kit, plan, cheapest, change }: KitReadingsProps) {
  return (
    <div className="readings whole-row">
      {kit && (
        <span>
          kit{' '}
          <b>
            <Why figure={kit.total} />
          </b>
        </span>
      )}
      {kit && (
        <span className={kit.left.value < plan.reserve ? 'short' : ''}>
          left for blanks and vinyl{' '}
          <b>
            <Why figure={kit.left} />
          </b>
        </span>
      )}
      {cheapest && (
        <span>
          the cheapest that does{' '}
          <b>
            <Why figure={cheapest.total} />
          </b>{' '}
          <Button size="small" variant="text" onClick={() => change({ chosen: cheapest.chosen })}>
            choose it
          </Button>
        </span>
      )}
      {plan.chosen && (
        <Button size="small" variant="text" onClick={() => change({ chosen: null })}>
          Propose the best within the budget
        </Button>
      )}
    </div>
  );
}
