// One order: where it stands and what comes next, its lines and what they say, its money, its proof, and what happened.

import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { isOver } from '../../core/orders';
import type { OrderView } from '../../views/orders';
import { callApi } from '../shared/api';
import { late } from '../shared/late';
import { useMounted } from '../shared/use-mounted';
import { MoneyPanel } from './MoneyPanel';
import { OrderFacts } from './OrderFacts';
import { OrderHead } from './OrderHead';
import { OrderLineTable } from './OrderLineTable';
import { PapersPanel } from './PapersPanel';
import { PartsPanel } from './PartsPanel';
import { ProofPanel } from './ProofPanel';
import { QuotedAndReal } from './QuotedAndReal';
import { useOrderSteps } from './use-order-steps';
import { WhatHappened } from './WhatHappened';

const ChangeOrder = late(() => import('./ChangeOrder'));
const LaterLooks = late(() => import('./LaterLooks'));
const ChangeLines = late(() => import('./ChangeLines'));

/** Its pieces are made: from now on they can be looked at. */
const PRESSED: ReadonlySet<OrderView['row']['stage']> = new Set(['ready', 'collected', 'closed']);
/** Where reading back leads when a text is wrong. */
const CHANGE_LINES = '#lines';

export default function OrderContent({ view: initial }: { readonly view: OrderView }) {
  const key = ['order', initial.row.id];
  const { data: view } = useQuery({
    queryKey: key,
    queryFn: ({ signal }) => callApi<OrderView>('GET', `/api/orders/${initial.row.id}`, undefined, signal),
    initialData: initial,
  });
  const steps = useOrderSteps(view.row.id, key);
  const isMounted = useMounted();
  const [changing, setChanging] = useState<'order' | 'lines' | null>(null);
  useEffect(() => {
    if (location.hash !== CHANGE_LINES) return;
    history.replaceState(null, '', location.pathname);
    if (!isOver(initial.row.stage)) setChanging('lines');
  }, [initial]);
  const done = () => {
    setChanging(null);
    steps.refresh();
  };
  return (
    <>
      <OrderHead view={view} steps={steps} onChange={() => setChanging('order')} />
      <div className="cols split-1-1">
        <div className="cols">
          <OrderFacts view={view} />
          <OrderLineTable view={view} onChange={() => setChanging('lines')} />
          <PartsPanel view={view} />
          <ProofPanel view={view} steps={steps} />
        </div>
        <div className="cols">
          <MoneyPanel view={view} steps={steps} />
          <PapersPanel view={view} />
          <QuotedAndReal view={view} />
          {isMounted && PRESSED.has(view.row.stage) && <LaterLooks orderId={view.row.id} />}
          <WhatHappened view={view} />
        </div>
      </div>
      {changing === 'order' && <ChangeOrder view={view} onClose={() => setChanging(null)} onSaved={done} />}
      {changing === 'lines' && <ChangeLines view={view} onClose={() => setChanging(null)} onSaved={done} />}
    </>
  );
}
