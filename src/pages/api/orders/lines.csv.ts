import { endpoint } from '../../../server/endpoint';
import { printInThread } from '../../../server/heavy/print-in-thread';
import { toThread } from '../../../server/heavy/shop-in-thread';

export const GET = endpoint(
  async ({ shop }) =>
    new Response(`\uFEFF${await printInThread('writeOrderLinesCsv', toThread(shop))}`, {
      headers: {
        'Content-Type': 'text/csv; charset=utf-8',
        'Content-Disposition': 'attachment; filename="open orders.csv"',
      },
    }),
);
