import { getSettings } from '../../../server/context';
import { endpoint } from '../../../server/endpoint';
import { notFound } from '../../../server/errors';
import { printInThread } from '../../../server/heavy/print-in-thread';
import { toThread } from '../../../server/heavy/shop-in-thread';
import { knowCostsFor } from '../../../server/items/know-costs';
import { loadPriceList, readPriceListQuery } from '../../../server/items/load-price-list';
import { getSystem } from '../../../server/page';
import { pdfResponse } from '../../../server/paper/paper';

export const GET = endpoint(async ({ shop, api }) => {
  const query = readPriceListQuery(api.url.searchParams);
  switch (api.params['form']) {
    case undefined:
      await knowCostsFor(shop, query);
      return loadPriceList(shop, query);
    case 'csv':
      return new Response(`\uFEFF${await printInThread('writeWholePriceList', toThread(shop), query.goal)}`, {
        headers: {
          'Content-Type': 'text/csv; charset=utf-8',
          'Content-Disposition': 'attachment; filename="price-list.csv"',
          'Cache-Control': 'no-store',
        },
      });
    case 'pdf':
      return pdfResponse(
        await printInThread('printWholePriceList', toThread(shop), query.goal, getSettings(shop, getSystem(api))),
        'price list.pdf',
      );
    default:
      throw notFound('This page');
  }
});
