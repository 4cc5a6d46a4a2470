// Orders to suppliers: as list, paper or mail, and received against, in part, wrong or damaged.

import { useNumbers } from '../shared/use-numbers';
import { Failure } from '../shared/Failure';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { formatInstant, formatMoney } from '../../core/units';
import type { PurchaseView } from '../../views/purchases';
import { ApiError, callApi, wordsOf } from '../shared/api';
import { useSettings } from '../shared/settings';
import { NumberText } from './SmallFields';
import { enqueueSnackbar } from '../shared/snackbar';

export function PurchaseList({
  purchases,
  onChanged,
}: {
  purchases: readonly PurchaseView[];
  onChanged: () => Promise<unknown>;
}) {
  const settings = useSettings();
  const [receiving, setReceiving] = useState<number | null>(null);
  if (purchases.length === 0)
    return (
      <section className="sheet" aria-label="Orders to suppliers">
        <p className="soft flat">
          No order to a supplier yet. What you order here stands below, to be received when it comes.
        </p>
      </section>
    );
  return (
    <section className="sheet" aria-label="Orders to suppliers">
      <h2 className="flat below-1">Orders to suppliers</h2>
      {purchases.map((purchase) => (
        <div key={purchase.id} className="pad-top-3 pad-right-0 pad-bottom-3 pad-left-0 ruled-above">
          <div className="row apart gap-3 wrap">
            <span>
              <strong>{purchase.supplier.name}</strong>{' '}
              <span className="soft">
                order {purchase.id}, {formatInstant(purchase.placedAtMs, settings)},{' '}
                {formatMoney(purchase.total, settings)}
              </span>
            </span>
            <span className="tag">{purchase.closed ? 'received' : 'under way'}</span>
          </div>
          <div className="actions above-1">
            {!purchase.closed && (
              <Button
                size="small"
                aria-label={`Receive order ${purchase.id}`}
                onClick={() => setReceiving(receiving === purchase.id ? null : purchase.id)}
              >
                Receive
              </Button>
            )}
            {(['csv', 'pdf', 'eml'] as const).map((end) => (
              <Button key={end} size="small" variant="text" href={`/api/purchases/${purchase.id}/${end}`}>
                {{ csv: 'CSV', pdf: 'PDF', eml: 'Mail' }[end]}
              </Button>
            ))}
          </div>
          {receiving === purchase.id && (
            <Receiving
              purchase={purchase}
              onDone={async () => {
                setReceiving(null);
                await onChanged();
              }}
            />
          )}
        </div>
      ))}
    </section>
  );
}

function Receiving({ purchase, onDone }: { purchase: PurchaseView; onDone: () => Promise<unknown> }) {
  const numbers = useNumbers();
  const [came, setCame] = useState(() =>
    Object.fromEntries(
      purchase.lines.map((line) => [
        line.id,
        { received: String(Math.max(0, line.packs - line.receivedPacks - line.damagedPacks)), damaged: '0' },
      ]),
    ),
  );
  const [failure, setFailure] = useState<string | null>(null);
  /** How it was booked when it was asked whether more came: null while nothing is asked. */
  const [asked, setAsked] = useState<{ readonly close: boolean } | null>(null);
  const [pending, setPending] = useState(false);
  const set = (id: number, part: Partial<{ received: string; damaged: string }>) =>
    setCame({ ...came, [id]: { ...came[id]!, ...part } });
  const book = async (close: boolean, moreAccepted = false) => {
    setPending(true);
    setFailure(null);
    setAsked(null);
    try {
      await callApi('PUT', `/api/purchases/${purchase.id}`, {
        version: purchase.version,
        close,
        moreAccepted,
        lines: purchase.lines.map((line) => ({
          lineId: line.id,
          received: numbers.read(came[line.id]!.received),
          damaged: numbers.read(came[line.id]!.damaged),
        })),
      });
      enqueueSnackbar('Booked into stock at what it cost with its shipping.');
      await onDone();
    } catch (error) {
      setFailure(wordsOf(error));
      if (error instanceof ApiError && error.reason === 'more-came') setAsked({ close });
    } finally {
      setPending(false);
    }
  };
  return (
    <div className="cols pad-top-3">
      {purchase.lines.map((line) => (
        <ReceivedLine key={line.id} line={line} came={came} set={set} />
      ))}
      {failure && (
        <Failure>
          {failure}
          {asked && (
            <Button size="small" variant="text" onClick={() => void book(asked.close, true)}>
              It is so
            </Button>
          )}
        </Failure>
      )}
      <div className="actions">
        <Button size="small" variant="contained" disabled={pending} onClick={() => void book(false)}>
          Book what came
        </Button>
        <Button size="small" disabled={pending} onClick={() => void book(true)}>
          Book it and expect no more
        </Button>
      </div>
    </div>
  );
}

type ReceivedLineProps = {
  readonly line: PurchaseView['lines'][number];
  readonly came: { [k: string]: { received: string; damaged: string } };
  readonly set: (id: number, part: Partial<{ received: string; damaged: string }>) => void;
};

function ReceivedLine({ line, came, set }: ReceivedLineProps) {
  return (
    <div className="fields middle split-2-1-1">
      <span>
        {line.packs} × {line.offerName}
        {line.receivedPacks > 0 && <span className="soft">, {line.receivedPacks} came</span>}
        {line.damagedPacks > 0 && <span className="soft">, {line.damagedPacks} damaged</span>}
      </span>
      <NumberText label="Good" value={came[line.id]!.received} onChange={(received) => set(line.id, { received })} />
      <NumberText label="Damaged" value={came[line.id]!.damaged} onChange={(damaged) => set(line.id, { damaged })} />
    </div>
  );
}
