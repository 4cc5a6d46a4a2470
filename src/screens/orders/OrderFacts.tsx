// For whom an order is, when it is due, and what to answer when they ask.

import Button from '@mui/material/Button';
import { isOver } from '../../core/orders';
import { formatDay, formatMoney, groupBy } from '../../core/units';
import type { OrderView, OrderWaits } from '../../views/orders';
import { plural } from '../../wording/plural';
import { copyText } from '../shared/copy-text';
import { useSettings } from '../shared/settings';
import { Slack } from '../shared/Slack';

export function OrderFacts({ view }: { readonly view: OrderView }) {
  const settings = useSettings();
  const { row, answer } = view;
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
      {view.waits && <Waits waits={view.waits} />}
      {view.contact && <p className="soft flat above-2">{view.contact}</p>}
      {view.note && <p className="flat above-2 pre-wrap">{view.note}</p>}
      <p className="flat above-3">
        <span className="soft">If they ask:</span> {answer}{' '}
        <Button size="small" variant="text" onClick={() => copyText(answer)}>
          Copy
        </Button>
      </p>
    </section>
  );
}

/** What it needs and is not there, and from when it can be made. */
function Waits({ waits: { things, from } }: { readonly waits: OrderWaits }) {
  const settings = useSettings();
  if (things.length === 0) return <p className="soft flat above-2">Everything it needs is in stock and held for it.</p>;
  const said = [...groupBy(things, sayWhen)].map(([when, own]) => `${own.map(({ name }) => name).join('; ')}: ${when}`);
  return (
    <p className="short flat above-2">
      Waiting for {said.join('. ')}.{' '}
      {from ? `Ordered today, it can be made from ${formatDay(from, settings)}.` : 'When it can be made is not known.'}{' '}
      <a href="/shelf/buy">What to buy</a>
    </p>
  );
}

const sayWhen = ({ isUnderWay, days }: OrderWaits['things'][number]): string => {
  if (isUnderWay) return 'ordered';
  return days === null ? 'no supplier offers it' : `${plural(days, 'day')} from ordering`;
};
