// Money of an order: what was asked for, what was paid, what is owed.

import Button from '@mui/material/Button';
import { useState } from 'react';
import { formatInstant, formatMoney } from '../../core/units';
import type { OrderView, PaymentView } from '../../views/orders';
import { late } from '../shared/late';
import { useSettings } from '../shared/settings';
import { Why } from '../shared/Why';
import type { OrderSteps } from './use-order-steps';

const PayDialog = late(() => import('./PayDialog'));

type Props = { readonly view: OrderView; readonly steps: OrderSteps };

const KINDS: Readonly<Record<PaymentView['kind'], string>> = {
  payment: 'paid',
  refund: 'given back',
  tip: 'tip',
};

export function MoneyPanel({ view, steps }: Props) {
  const settings = useSettings();
  const [isPaying, setPaying] = useState(false);
  const { money, payments } = view;
  const isOwed = money.owed.value > 0;
  return (
    <section className="sheet" aria-label="Money">
      <div className="actions below-2">
        <h2 className="flat grow">
          {isOwed ? (
            <>Owed: {formatMoney(money.owed.value, settings)}</>
          ) : money.owed.value < 0 ? (
            'Paid too much'
          ) : (
            'Paid'
          )}
        </h2>
        <Button size="small" variant={isOwed ? 'contained' : 'outlined'} onClick={() => setPaying(true)}>
          Note a payment
        </Button>
      </div>
      <Sums view={view} />
      {payments.length > 0 && (
        <table className="plain above-2">
          <tbody>
            {payments.map((payment) => (
              <tr key={payment.id} className={payment.takenBack ? 'taken-back' : undefined}>
                <td className="soft nowrap">{formatInstant(payment.atMs, settings)}</td>
                <td>
                  {KINDS[payment.kind]}, {payment.means}
                </td>
                <td className="num">{formatMoney(payment.amount, settings)}</td>
                <td>
                  {payment.takenBack ? (
                    <span className="soft">taken back</span>
                  ) : (
                    <Button
                      size="small"
                      variant="text"
                      disabled={steps.isBusy}
                      onClick={() => steps.takePaymentBack(payment.id)}
                    >
                      Take back
                    </Button>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {isPaying && <PayDialog view={view} steps={steps} onClose={() => setPaying(false)} />}
    </section>
  );
}

/** What is asked, due, paid and owed, each with its working. */
function Sums({ view }: Pick<Props, 'view'>) {
  const { money, deposit } = view;
  return (
    <div className="readings">
      {money.asked && (
        <span>
          {money.asked.value === view.row.agreed ? 'agreed' : 'by its prices'} <Why figure={money.asked} />
        </span>
      )}
      {deposit > 0 && (
        <span>
          deposit due <Why figure={money.depositDue} />
        </span>
      )}
      <span>
        paid <Why figure={money.paid} />
      </span>
      <span>
        owed <Why figure={money.owed} />
      </span>
      {money.tips.value > 0 && (
        <span>
          tips <Why figure={money.tips} />
        </span>
      )}
    </div>
  );
}
