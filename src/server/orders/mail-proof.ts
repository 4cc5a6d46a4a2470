// The last proof as a mail to the customer: the paper attached, and where it can be read.

import { addOrderEvent } from '../../data/order-event-store';
import { findLastProof } from '../../data/proof-store';
import { getShop, type ShopContext } from '../context';
import { ShopError } from '../errors';
import { printInThread } from '../heavy/print-in-thread';
import { toThread } from '../heavy/shop-in-thread';
import { putInOutbox } from '../mail/outbox';
import { requireStandingOrder } from './save-order';

const MAIL_ADDRESS = /[^\s<>,;:"()]+@[^\s<>,;:"()]+/;
/** Nobody reads there: the seller fills in the right one before it is sent. */
const NO_ADDRESS = 'customer@localhost';

/** `address`: where this shop is reached. @throws ShopError where there is no proof */
export async function mailProof(shop: ShopContext, id: number, address: string): Promise<{ readonly file: string }> {
  const { order } = requireStandingOrder(shop, id);
  const proof = findLastProof(shop.db, id);
  if (!proof) throw new ShopError('conflict', { reason: 'proof-none' });
  const { name, locale } = getShop(shop);
  const pdf = await printInThread('printProof', toThread(shop), proof.token, locale);
  const to = MAIL_ADDRESS.exec(order.customer.contact)?.[0] ?? NO_ADDRESS;
  const file = await putInOutbox(shop, {
    from: { name, address: 'shop@localhost' },
    to: { name: order.customer.name, address: to },
    subject: `Proof ${proof.number}, ${order.title}`,
    text: `Good day ${order.customer.name},

please look at the proof of “${order.title}” and read every text letter by letter: names and numbers are cut as they stand there.

${address}/proof/${proof.token}

The same lies attached. If all is right, answer with a yes; otherwise tell us what is to be changed.

${name}
`,
    attachments: [{ filename: `proof ${proof.number}.pdf`, content: Buffer.from(pdf), contentType: 'application/pdf' }],
  });
  addOrderEvent(shop.db, id, 'noted', shop.now(), { detail: `proof ${proof.number} put into the outbox` });
  return { file };
}
