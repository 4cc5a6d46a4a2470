// What to buy: what is needed, the cheapest basket for it beside the plain orders, and the orders that are under way.

import { useSendOnce } from '../shared/use-send-once';
import { useNumbers } from '../shared/use-numbers';
import Button from '@mui/material/Button';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { formatMoney } from '../../core/units';
import type { BasketView, PurchasesView } from '../../views/purchases';
import { callApi, wordsOf } from '../shared/api';
import { useSettings } from '../shared/settings';
import { useLatest } from '../shared/use-latest';
import { Working } from '../shared/Working';
import { BasketPanel } from './BasketPanel';
import { PurchaseList } from './PurchaseList';
import { ShelfTabs } from './ShelfTabs';
import { plural } from '../../wording/plural';
import type { Asking } from '../shared/use-latest';
import type { Basket } from '../../core/buying';
import { Failure } from '../shared/Failure';
import { NeedTable, type Adding, type Extra, type Wish } from './NeedTable';
import { enqueueSnackbar } from '../shared/snackbar';

export default function BuyContent({ view }: { view: PurchasesView }) {
  return <Buy initial={view} />;
}

const MM2_PER_M2 = 1_000_000;

function Buy({ initial }: { initial: PurchasesView }) {
  const numbers = useNumbers();
  const client = useQueryClient();
  const {
    data: { purchases },
  } = useQuery({
    queryKey: ['purchases'],
    queryFn: ({ signal }) => callApi<PurchasesView>('GET', '/api/purchases', undefined, signal),
    initialData: initial,
  });
  const [wish, setWish] = useState<Wish>({ withOrders: true, withMinimums: true, alike: '' });
  const [extra, setExtra] = useState<readonly Extra[]>([]);
  const [adding, setAdding] = useState<Adding>({ thing: null, amount: '' });
  const sendOnce = useSendOnce();
  const [placing, setPlacing] = useState(false);
  const open = purchases.filter((purchase) => !purchase.closed);
  const { view, failure, setFailure, asking, prove } = useBasket(wish, extra, open);
  const place = async () => {
    if (!view?.basket) return;
    setPlacing(true);
    try {
      await sendOnce('POST', '/api/purchases', {
        lines: view.basket.orders.flatMap((order) =>
          order.lines.map(({ offer, packs }) => ({ offerId: offer.id, packs })),
        ),
      });
      setExtra([]);
      enqueueSnackbar('Ordered. The lists for the suppliers stand below.');
      await client.invalidateQueries({ queryKey: ['purchases'] });
    } catch (error) {
      setFailure(wordsOf(error));
    } finally {
      setPlacing(false);
    }
  };
  const amount = numbers.read(adding.amount);
  const addNeed = () => {
    if (!adding.thing || amount === null || amount <= 0) return;
    setExtra([
      ...extra.filter((entry) => entry.thing.key !== adding.thing!.key),
      { thing: adding.thing, amount: adding.thing.unit === 'mm²' ? amount * MM2_PER_M2 : amount },
    ]);
    setAdding({ thing: null, amount: '' });
  };
  const basket = view?.basket ?? null;
  const uncovered = (view?.needs ?? []).filter((need) => need.problem).length;
  const best = basket && basket.orders.length > 0 ? basket : null;
  return (
    <>
      <BuyHead view={view} best={best} uncovered={uncovered} placing={placing} asking={asking} place={place} />
      <ShelfTabs current="/shelf/buy" />
      <Working doing="Working out the basket" asking={asking} />
      {(failure ?? view?.problem) && <Failure>{failure ?? view?.problem}</Failure>}
      <div className="cols split-2-3">
        <NeedTable
          wish={wish}
          setWish={setWish}
          view={view}
          setExtra={setExtra}
          extra={extra}
          adding={adding}
          setAdding={setAdding}
          amount={amount}
          addNeed={addNeed}
        />
        <div className="cols">
          {!view && !failure && <p className="sheet soft flat">Working out the cheapest basket…</p>}
          {best && <BasketPanel basket={best} plain={view!.plain} things={view!.things} onProve={prove} />}
          <PurchaseList purchases={purchases} onChanged={() => client.invalidateQueries({ queryKey: ['purchases'] })} />
        </div>
      </div>
    </>
  );
}

/** The basket for what is wished for, worked out anew with every change of it or of the orders under way. */
function useBasket(wish: Wish, extra: readonly Extra[], open: PurchasesView['purchases']) {
  const [view, setView] = useState<BasketView | null>(null);
  const [failure, setFailure] = useState<string | null>(null);
  /** What was wished for when the proof was asked for: it holds for that alone. */
  const [proving, setProving] = useState<string | null>(null);
  const body = {
    ...wish,
    alike: wish.alike || null,
    extra: extra.map(({ thing, amount }) => ({ key: thing.key, amount })),
  };
  const wished = JSON.stringify([body, open.map((purchase) => [purchase.id, purchase.version])]);
  const thorough = proving === wished;
  const asking = useLatest(
    `${wished} ${thorough}`,
    150,
    async (signal) => {
      try {
        return { view: await callApi<BasketView>('POST', '/api/basket', { ...body, thorough }, signal), failure: null };
      } catch (error) {
        return { view: null, failure: wordsOf(error) };
      }
    },
    (answer) => {
      setFailure(answer.failure);
      if (answer.view) setView(answer.view);
    },
  );
  return { view, failure, setFailure, asking, prove: () => setProving(wished) };
}

type BuyHeadProps = {
  readonly view: BasketView | null;
  readonly best: Basket | null;
  readonly uncovered: number;
  readonly placing: boolean;
  readonly asking: Asking;
  readonly place: () => Promise<void>;
};

function BuyHead({ view, best, uncovered, placing, asking, place }: BuyHeadProps) {
  const settings = useSettings();
  return (
    <div className="page-head">
      <div>
        <h1 aria-live="polite" className="flat">
          {!view
            ? 'What to buy'
            : best
              ? `Buy for ${formatMoney(Math.round(best.total.value), settings)} ${best.orders.length === 1 ? `from ${best.orders[0]!.supplier.name}` : `from ${best.orders.length} suppliers`}${uncovered > 0 ? `; ${plural(uncovered, 'need')} nobody covers` : ''}`
              : view.needs.length === 0
                ? 'Nothing has to be bought'
                : 'No basket covers it'}
        </h1>
      </div>
      <div className="actions">
        {best && (
          <Button variant="contained" disabled={placing || asking.busy} onClick={() => void place()}>
            Order it
          </Button>
        )}
      </div>
    </div>
  );
}
