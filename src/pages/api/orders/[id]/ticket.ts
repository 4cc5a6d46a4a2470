import { getShop } from '../../../../server/context';
import { endpoint, readId } from '../../../../server/endpoint';
import { printInThread } from '../../../../server/heavy/print-in-thread';
import { toThread } from '../../../../server/heavy/shop-in-thread';
import { getSystem } from '../../../../server/page';
import { pdfResponse } from '../../../../server/paper/paper';
import { requireOrder } from '../../../../server/orders/save-order';

export const GET = endpoint(async ({ shop, api }) => {
  const id = readId(api, 'This order');
  const { order } = requireOrder(shop, id);
  const { locale, currency, timeZone } = getShop(shop);
  const settings = { locale, currency, timeZone, system: getSystem(api) };
  return pdfResponse(
    await printInThread('printTicket', toThread(shop), { id, address: api.url.origin, settings }),
    `${order.title}, job ticket.pdf`,
  );
});
