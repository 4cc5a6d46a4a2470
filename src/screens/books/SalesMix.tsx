// What is hoped to be sold in a week, and what that leaves.

import Button from '@mui/material/Button';
import { formatMoney } from '../../core/units';
import type { StartView } from '../../views/start-plan';
import { callApi, wordsOf } from '../shared/api';
import { useLookFor } from '../shared/LookFor';
import { NumberInput } from '../shared/NumberInput';
import { useSettings } from '../shared/settings';
import { Why } from '../shared/Why';
import type { StartPlanState } from './use-start-plan';
import { NumberHead } from '../shared/NumberHead';
import type { StartPlan, Contribution } from '../../core/planning';
import { enqueueSnackbar } from '../shared/snackbar';

type PlanItem = StartView['items'][number];
type Props = {
  readonly state: StartPlanState;
  readonly items: readonly PlanItem[];
  /** Takes an item that was looked for into the list. */
  readonly onItem: (item: PlanItem) => void;
};

export function SalesMix({ state: { plan, change, contribution }, items, onItem }: Props) {
  const look = useLookFor('item');
  const settings = useSettings();
  const sell = (itemId: number, perWeek: number) =>
    change({ mix: [...plan.mix.filter((entry) => entry.itemId !== itemId), { itemId, perWeek }] });
  return (
    <section className="sheet flush" aria-label="What is sold">
      <table className="plain">
        <thead>
          <tr>
            <th scope="col">sold in a week</th>
            <NumberHead>pieces</NumberHead>
          </tr>
        </thead>
        <tbody>
          {items.map((item) => (
            <tr key={item.id}>
              <td>
                <a href={`/items/${item.id}`}>{item.name}</a>{' '}
                <span className="soft">at {formatMoney(item.price, settings)}</span>
              </td>
              <td className="count-column">
                <NumberInput
                  label={`${item.name}, a week`}
                  value={plan.mix.find((entry) => entry.itemId === item.id)?.perWeek ?? 0}
                  onChange={(perWeek) => sell(item.id, perWeek)}
                />
              </td>
            </tr>
          ))}
          {items.length === 0 && (
            <tr>
              <td colSpan={2} className="soft">
                Nothing to sell yet. <a href="/items/new">Price an item</a>
              </td>
            </tr>
          )}
        </tbody>
      </table>
      {look && (
        <Button size="small" onClick={() => look((id) => void addItem(id, onItem))}>
          Look for an item…
        </Button>
      )}
      <MixFoot plan={plan} change={change} contribution={contribution} />
    </section>
  );
}

async function addItem(id: number, onItem: Props['onItem']): Promise<void> {
  try {
    onItem(await callApi<PlanItem>('GET', `/api/plan-items/${id}`));
  } catch (error) {
    enqueueSnackbar(wordsOf(error), { variant: 'error' });
  }
}

type MixFootProps = {
  readonly plan: StartPlan;
  readonly change: (part: Partial<StartPlan>) => void;
  readonly contribution: Contribution | null;
};

function MixFoot({ plan, change, contribution }: MixFootProps) {
  return (
    <div className="fields pad-4 middle label-field">
      <NumberInput
        shown
        label="Hours a week"
        value={plan.hoursPerWeek}
        least={0.5}
        onChange={(hoursPerWeek) => change({ hoursPerWeek })}
      />
      {contribution && (
        <div className="readings">
          <span>
            needs{' '}
            <b>
              <Why figure={contribution.hoursPerWeek} />
            </b>
          </span>
          <span>
            a piece leaves{' '}
            <b>
              <Why figure={contribution.each} />
            </b>
          </span>
          <span>
            a week{' '}
            <b>
              <Why figure={contribution.perWeek} />
            </b>
          </span>
        </div>
      )}
    </div>
  );
}
