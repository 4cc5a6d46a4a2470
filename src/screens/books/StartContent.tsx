// Books, the start: a kit within a budget, and when it has come back.

import Button from '@mui/material/Button';
import { useMemo, useState } from 'react';
import { listUncovered } from '../../core/planning';
import type { StartView } from '../../views/start-plan';
import { describeStart } from '../../wording/start';
import { addNew } from '../shared/add-new';
import { LookFor } from '../shared/LookFor';
import { useSettings } from '../shared/settings';
import { BooksTabs } from './BooksTabs';
import { BreakEvenTable } from './BreakEvenTable';
import { KitTable } from './KitTable';
import { KitWish } from './KitWish';
import { SalesMix } from './SalesMix';
import { useStartPlan } from './use-start-plan';

export default function StartContent({ view }: { view: StartView }) {
  return (
    <>
      <BooksTabs current="/books/start" />
      <WithOtherItems initial={view} />
    </>
  );
}

/** With items that are looked for by name. */
function WithOtherItems({ initial }: { initial: StartView }) {
  const [items, setItems] = useState(initial.items);
  const view = useMemo(() => ({ ...initial, items }), [initial, items]);
  const more = useMemo(() => ({ item: initial.more }), [initial.more]);
  const add = (item: StartView['items'][number]) => setItems((now) => addNew(now, [item]));
  return (
    <LookFor more={more}>
      <Start view={view} onItem={add} />
    </LookFor>
  );
}

type StartProps = { readonly view: StartView; readonly onItem: (item: StartView['items'][number]) => void };

function Start({ view, onItem }: StartProps) {
  const settings = useSettings();
  const state = useStartPlan(view);
  const { plan, change, kit, expected, oneMore } = state;
  const uncovered = kit ? listUncovered(plan, kit.chosen) : [];
  return (
    <>
      <div className="page-head">
        <div>
          <h1 aria-live="polite" className="flat">
            {describeStart({ kit, uncovered, outcome: expected, cap: plan.cap }, settings)}
          </h1>
          {oneMore && <p className="soft flat above-1 text-large">{oneMore}</p>}
        </div>
        <div className="actions">
          <Button variant="contained" disabled={!state.changed} onClick={() => void state.save()}>
            Save the plan
          </Button>
        </div>
      </div>
      <div className="cols split-5-4">
        <div className="cols">
          <KitWish {...state} />
          <KitTable plan={plan} chosen={kit?.chosen ?? []} onChange={change} />
        </div>
        <div className="cols">
          <SalesMix state={state} items={view.items} onItem={onItem} />
          <BreakEvenTable outcomes={state.outcomes} />
        </div>
      </div>
    </>
  );
}
