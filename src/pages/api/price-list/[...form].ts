import { GOAL_KINDS } from '../../../core/pricing';
import { getShop } from '../../../server/context';
import { endpoint } from '../../../server/endpoint';
import { notFound } from '../../../server/errors';
import { getSystem } from '../../../server/page';
import { pdfResponse } from '../../../server/paper/paper';
import { printPriceList, writePriceListCsv } from '../../../server/paper/price-list';
import { loadPriceList } from '../../../server/items/load-price-list';

export const GET = endpoint(async ({ shop, api }) => {
  const goal = GOAL_KINDS.find((kind) => kind === api.url.searchParams.get('goal')) ?? 'wage';
  const list = loadPriceList(shop, goal);
  const { name, locale, currency, timeZone } = getShop(shop);
  switch (api.params['form']) {
    case undefined:
      return list;
    case 'csv':
      return new Response(`\uFEFF${writePriceListCsv(list, currency)}`, {
        headers: {
          'Content-Type': 'text/csv; charset=utf-8',
          'Content-Disposition': 'attachment; filename="price-list.csv"',
          'Cache-Control': 'no-store',
        },
      });
    case 'pdf':
      return pdfResponse(
        await printPriceList(list, name, shop.now(), { locale, currency, timeZone, system: getSystem(api) }),
        'price list.pdf',
      );
    default:
      throw notFound('This page');
  }
});
