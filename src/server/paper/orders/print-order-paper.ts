// Which paper of an order is asked for, drawn in a thread.

import type { MeasureSystem } from '../../../core/units';
import { isOrderPaper, ORDER_PAPERS, type OrderPaper } from '../../../wording/order-papers';
import { getShop, type ShopContext } from '../../context';
import { notFound } from '../../errors';
import { printInThread } from '../../heavy/print-in-thread';
import { toThread } from '../../heavy/shop-in-thread';
import { requireStandingOrder } from '../../orders/save-order';

type PaperWish = {
  readonly id: number;
  /** One of `ORDER_PAPERS`. */
  readonly paper: string;
  /** Of this shop: the code on the ticket leads there. */
  readonly address: string;
  readonly system: MeasureSystem;
};

/** @throws ShopError not-found, for an order or a paper that there is not */
export async function printOrderPaper(
  shop: ShopContext,
  { id, paper, address, system }: PaperWish,
): Promise<{ readonly bytes: Uint8Array<ArrayBuffer>; readonly fileName: string }> {
  if (!isOrderPaper(paper)) throw notFound('This paper');
  const { order } = requireStandingOrder(shop, id);
  const { locale, currency, timeZone } = getShop(shop);
  const wish = { id, settings: { locale, currency, timeZone, system } };
  return {
    bytes: await print(shop, paper, { ...wish, address }),
    fileName: `${order.title}, ${ORDER_PAPERS[paper].toLowerCase()}.pdf`,
  };
}

type Wish = Parameters<typeof printInThread<'printTicket'>>[2];

function print(shop: ShopContext, paper: OrderPaper, wish: Wish): Promise<Uint8Array<ArrayBuffer>> {
  const at = toThread(shop);
  switch (paper) {
    case 'ticket':
      return printInThread('printTicket', at, wish);
    case 'packing-slip':
      return printInThread('printPackingSlip', at, wish);
    case 'care-cards':
      return printInThread('printCareCards', at, wish);
    case 'labels':
      return printInThread('printOrderLabels', at, wish);
    case 'quote':
    case 'confirmation':
    case 'statement':
      return printInThread('printOrderSheet', at, { ...wish, kind: paper });
    default:
      return paper satisfies never;
  }
}
