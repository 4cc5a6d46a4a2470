// The papers of an order: those that make sense where it stands, to print or to send.

import Button from '@mui/material/Button';
import type { OrderView } from '../../views/orders';
import { ORDER_PAPERS, type OrderPaper } from '../../wording/order-papers';

const BEFORE: readonly OrderPaper[] = ['quote'];
const AFTER: readonly OrderPaper[] = ['confirmation', 'ticket', 'packing-slip', 'labels', 'care-cards', 'statement'];

export function PapersPanel({ view }: { readonly view: OrderView }) {
  const { id, stage } = view.row;
  const papers = stage === 'wish' || stage === 'quoted' ? BEFORE : AFTER;
  return (
    <section className="sheet" aria-label="Papers">
      <h2 className="flat below-2">Papers</h2>
      <div className="actions">
        {papers.map((paper) => (
          <Button key={paper} size="small" href={`/api/orders/${id}/papers/${paper}`} target="_blank">
            {ORDER_PAPERS[paper]}
          </Button>
        ))}
        <Button size="small" variant="text" href={`/api/orders/${id}/due.ics`} download={`order ${id}.ics`}>
          Due date for a calendar
        </Button>
      </div>
      <p className="soft flat above-2">
        They open as PDF, with what <a href="/shop">your shop</a> says of its address and taxes. Check your local rules
        for invoices: a statement is none.
      </p>
    </section>
  );
}
