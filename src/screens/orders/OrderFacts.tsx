// For whom an order is, when it is due, and what to answer when they ask.

import Button from '@mui/material/Button';
import { enqueueSnackbar } from 'notistack';
import { isOver } from '../../core/orders';
import { formatDay, formatMoney } from '../../core/units';
import type { OrderView } from '../../views/orders';
import { useSettings } from '../shared/settings';
import { Slack } from '../shared/Slack';

export function OrderFacts({ view }: { readonly view: OrderView }) {
  const settings = useSettings();
  const { row, answer } = view;
  const copy = () =>
    void navigator.clipboard.writeText(answer).then(
      () => enqueueSnackbar('Copied: paste it into your message.'),
      () =>
        enqueueSnackbar('The browser does not let it be copied. Select the sentence instead.', { variant: 'error' }),
    );
  return (
    <section className="sheet lifted" aria-label="For whom">
      <h2 className="flat below-2">
        <a href={`/customers/${view.customerId}`}>{row.customerName}</a>
      </h2>
      <div className="readings">
        <span>
          due <b>{formatDay(row.dueDay, settings)}</b>
        </span>
        {!isOver(row.stage) && row.stage !== 'ready' && <Slack slack={row.slack} />}
        <span>
          agreed <b>{formatMoney(row.agreed, settings)}</b>
        </span>
      </div>
      {view.contact && <p className="soft flat above-2">{view.contact}</p>}
      {view.note && <p className="flat above-2 pre-wrap">{view.note}</p>}
      <p className="flat above-3">
        <span className="soft">If they ask:</span> {answer}{' '}
        <Button size="small" variant="text" onClick={copy}>
          Copy
        </Button>
      </p>
    </section>
  );
}
