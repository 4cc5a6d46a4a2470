// The cheapest basket: why each line, what is left over, and what plainer orders would come to.

import Button from '@mui/material/Button';
import { compareBaskets, type Basket } from '../../core/buying';
import { formatMoney, groupBy } from '../../core/units';
import type { ThingView } from '../../views/stock';
import { useSettings } from '../shared/settings';
import { Why } from '../shared/Why';
import { formatAmount } from './measures';
import { plural } from '../../wording/plural';
import type { BasketOrder } from '../../core/buying';

export function BasketPanel({
  basket,
  plain,
  things,
  onProve,
}: {
  basket: Basket;
  plain: readonly Basket[];
  things: readonly ThingView[];
  /** Looks on until it is proven. */ onProve: () => void;
}) {
  const settings = useSettings();
  const thingOf = new Map(things.map((thing) => [thing.key, thing]));
  const others = plain.filter((other) => other.total.value !== basket.total.value || other.days !== basket.days);
  return (
    <section className="sheet" aria-label="Basket">
      <div className="row apart baseline">
        <h2 className="flat">The cheapest basket</h2>
        <Why figure={basket.total} className="why big" />
      </div>
      <p className="soft flat above-1 below-3">
        {basket.doubt ? (
          <>
            Found in the time given: another choice might be cheaper, by <Why figure={basket.doubt} /> at most.{' '}
            <Button size="small" variant="text" onClick={onProve}>
              Look until it is proven
            </Button>
          </>
        ) : (
          'Proven: no other choice of packs costs less.'
        )}{' '}
        All of it is here after {plural(basket.days, 'day')}.
      </p>
      {basket.orders.map((order) => (
        <SupplierOrder key={order.supplier.id} order={order} thingOf={thingOf} />
      ))}
      {basket.leftovers.length > 0 && (
        <p className="soft flat below-3">
          Left over:{' '}
          {basket.leftovers
            .map(
              ({ key, amount }) =>
                `${formatAmount(amount, thingOf.get(key)?.unit ?? 'count', settings)} of ${thingOf.get(key)?.name ?? 'what your shelf does not know'}`,
            )
            .join('; ')}
          .
        </p>
      )}
      {others.map((other) => {
        const { more, daysLater } = compareBaskets(other, basket);
        const days = `${plural(Math.abs(daysLater), 'day')}`;
        return (
          <p key={other.orders[0]!.supplier.id} className="flat above-1">
            All from {other.orders[0]!.supplier.name}: <Why figure={more} /> more
            {daysLater < 0 ? `, ${days} sooner` : daysLater > 0 ? `, ${days} later` : ''}.
          </p>
        );
      })}
      {plain.length === 0 && basket.orders.length > 1 && (
        <p className="soft flat">No single supplier has all of it in time.</p>
      )}
    </section>
  );
}

type SupplierOrderProps = {
  readonly order: BasketOrder;
  readonly thingOf: Map<string, ThingView>;
};

function SupplierOrder({ order, thingOf }: SupplierOrderProps) {
  const settings = useSettings();
  return (
    <div className="below-4">
      <strong>{order.supplier.name}</strong>{' '}
      <span className="soft">
        {formatMoney(order.goods, settings)},{' '}
        {order.shipping === 0 ? 'shipped free' : `shipping ${formatMoney(order.shipping, settings)}`}
      </span>
      <ul className="checks">
        {order.lines.map((line) => (
          <li key={line.offer.id}>
            <div>
              <span>
                {line.packs} × {line.offer.name}
              </span>
              <span className="soft block">
                {line.covers.length === 0
                  ? 'to fill the order up'
                  : [...groupBy(line.covers, ({ need }) => need.label)]
                      .map(
                        ([label, own]) =>
                          `${formatAmount(
                            own.reduce((sum, { amount }) => sum + amount, 0),
                            thingOf.get(own[0]!.need.accepts[0]!)?.unit ?? 'count',
                            settings,
                          )} of ${label}`,
                      )
                      .join('; ')}
              </span>
            </div>
            <span className="figures">{formatMoney(line.goods, settings)}</span>
          </li>
        ))}
      </ul>
    </div>
  );
}
