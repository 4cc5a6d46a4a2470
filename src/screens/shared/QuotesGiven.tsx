// The quotes given before: as they were given, and what one would cost now.

import Button from '@mui/material/Button';
import { formatInstant, formatMoney } from '../../core/units';
import type { QuoteView } from '../../views/quotes';
import { describeDriftCause } from '../../wording/quotes';
import { useSettings } from './settings';
import { Why } from './Why';

type Props = {
  readonly quotes: readonly QuoteView[];
  readonly onCopy: (id: number) => void;
  readonly onArchive: (quote: QuoteView) => void;
};

export function QuotesGiven({ quotes, onCopy, onArchive }: Props) {
  return (
    <section aria-label="Quotes given">
      <h3 className="flat above-2 below-1">Quotes given</h3>
      <ul className="checks">
        {quotes.map((quote) => (
          <li key={quote.id}>
            <QuoteLine quote={quote} />
            <div className="actions any-width no-wrap">
              <Button size="small" variant="text" href={`/api/quotes/${quote.id}/pdf`} target="_blank">
                PDF
              </Button>
              <Button size="small" variant="text" onClick={() => onCopy(quote.id)}>
                Copy
              </Button>
              <Button size="small" variant="text" href={`/orders/new?quote=${quote.id}`}>
                Take the order
              </Button>
              <Button
                size="small"
                variant="text"
                aria-label={`Archive quote ${quote.id}`}
                onClick={() => onArchive(quote)}
              >
                Archive
              </Button>
            </div>
          </li>
        ))}
      </ul>
    </section>
  );
}

function QuoteLine({ quote: { facts, customerName, atMs, drift } }: { readonly quote: QuoteView }) {
  const settings = useSettings();
  return (
    <div>
      <strong>
        {facts.quantity} × {facts.itemName}
        {customerName && ` for ${customerName}`}
      </strong>
      <span className="soft">
        {formatInstant(atMs, settings)}: {formatMoney(facts.each, settings)} each, {formatMoney(facts.total, settings)}{' '}
        in total
        {drift && (
          <>
            . One cost {formatMoney(drift.was, settings)}, now <Why figure={drift.now} />
            {describeDriftCause(drift, settings)}
          </>
        )}
      </span>
    </div>
  );
}
