// What the customer was shown and approved, what changed since, and whether every text was read back.

import Button from '@mui/material/Button';
import { useState } from 'react';
import { isOver } from '../../core/orders';
import { formatInstant } from '../../core/units';
import type { OrderView, ProofView } from '../../views/orders';
import { plural, verbFor } from '../../wording/plural';
import { late } from '../shared/late';
import { useSettings } from '../shared/settings';
import type { OrderSteps } from './use-order-steps';

const AskText = late(() => import('../shared/AskText'));

type Props = { readonly view: OrderView; readonly steps: OrderSteps };

export function ProofPanel({ view, steps }: Props) {
  const [isApproving, setApproving] = useState(false);
  const { proof, row } = view;
  const named = view.lines.filter(({ texts }) => texts.length > 0);
  const unread = named.filter(({ readBackAtMs }) => readBackAtMs === null).length;
  const isOpen = !isOver(row.stage);
  const isCurrent = proof !== null && proof.changes.length === 0;
  return (
    <section className="sheet" aria-label="Proof">
      <h2 className="flat below-2">Proof and read-back</h2>
      <ProofState proof={proof} />
      {named.length > 0 && (
        <p className={`flat above-2 ${unread > 0 ? 'short' : ''}`}>
          {unread === 0
            ? 'Every text was compared with the customer’s words.'
            : `${plural(unread, 'text')} of ${named.length} ${verbFor(unread, 'was', 'were')} not compared with the customer’s words yet: ${verbFor(unread, 'it', 'they')} can’t be cut before.`}
        </p>
      )}
      <div className="actions above-3">
        {named.length > 0 && (
          <Button variant={unread > 0 && isOpen ? 'contained' : 'outlined'} href={`/orders/${row.id}/read-back`}>
            Read back
          </Button>
        )}
        {isOpen && !isCurrent && (
          <Button disabled={steps.isBusy} onClick={() => steps.makeProof()}>
            {proof ? 'Make a new proof' : 'Make a proof'}
          </Button>
        )}
        {proof && <Button href={`/proof/${proof.token}`}>Look at the proof</Button>}
        {isOpen && isCurrent && proof.approvedAtMs === null && (
          <Button disabled={steps.isBusy} onClick={() => setApproving(true)}>
            Approved by the customer
          </Button>
        )}
        {proof && isOpen && isCurrent && (
          <Button disabled={steps.isBusy} onClick={() => steps.mailProof()}>
            Put an email in the outbox
          </Button>
        )}
      </div>
      {isApproving && (
        <AskText
          title={`Proof ${proof!.number} is approved`}
          label="By whom, and how"
          button="Approved"
          isNeeded
          start={row.customerName}
          onClose={() => setApproving(false)}
          onTake={(by) => void steps.approveProof(by).then(() => setApproving(false))}
        />
      )}
    </section>
  );
}

function ProofState({ proof }: { readonly proof: ProofView | null }) {
  const settings = useSettings();
  if (!proof) return <p className="soft flat">No proof was made yet.</p>;
  const when = formatInstant(proof.approvedAtMs ?? proof.atMs, settings);
  return (
    <>
      <p className="flat">
        {proof.approvedAtMs === null
          ? `Proof ${proof.number} of ${when} is not approved yet.`
          : `Proof ${proof.number} was approved by ${proof.approvedBy} on ${when}.`}
      </p>
      {proof.changes.length > 0 && (
        <>
          <p className="short flat above-2">Changed since, so that it needs a new proof:</p>
          <ul className="flat">
            {proof.changes.map((change) => (
              <li key={change}>{change}</li>
            ))}
          </ul>
        </>
      )}
    </>
  );
}
