import { getShop } from '../../../server/context';
import { endpoint } from '../../../server/endpoint';
import { writeStockCsv } from '../../../server/stock/stock-csv';
import { loadStock } from '../../../server/stock/load-stock';

export const GET = endpoint(
  ({ shop }) =>
    new Response(`\uFEFF${writeStockCsv(loadStock(shop), getShop(shop))}`, {
      headers: {
        'Content-Type': 'text/csv; charset=utf-8',
        'Content-Disposition': 'attachment; filename="stock.csv"',
        'Cache-Control': 'no-store',
      },
    }),
);
