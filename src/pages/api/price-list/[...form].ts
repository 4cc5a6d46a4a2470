import { getShop } from '../../../server/context';
import { printInThread } from '../../../server/heavy/print-in-thread';
import { endpoint } from '../../../server/endpoint';
import { notFound } from '../../../server/errors';
import { getSystem } from '../../../server/page';
import { pdfResponse } from '../../../server/paper/paper';
import { writePriceListCsv } from '../../../server/paper/price-list';
import { loadPriceList, loadWholePriceList, readPriceListQuery } from '../../../server/items/load-price-list';

export const GET = endpoint(async ({ shop, api }) => {
  const query = readPriceListQuery(api.url.searchParams);
  const { name, locale, currency, timeZone } = getShop(shop);
  switch (api.params['form']) {
    case undefined:
      return loadPriceList(shop, query);
    case 'csv':
      return new Response(`\uFEFF${writePriceListCsv(loadWholePriceList(shop, query.goal), currency)}`, {
        headers: {
          'Content-Type': 'text/csv; charset=utf-8',
          'Content-Disposition': 'attachment; filename="price-list.csv"',
          'Cache-Control': 'no-store',
        },
      });
    case 'pdf':
      return pdfResponse(
        await printInThread('printPriceList', loadWholePriceList(shop, query.goal), name, shop.now(), {
          locale,
          currency,
          timeZone,
          system: getSystem(api),
        }),
        'price list.pdf',
      );
    default:
      throw notFound('This page');
  }
});
