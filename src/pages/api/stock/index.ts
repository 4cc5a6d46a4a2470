import { lotInput, stockQuery } from '../../../core/input';
import { createEndpoint } from '../../../server/create-once';
import { endpoint } from '../../../server/endpoint';
import { parseInput } from '../../../server/errors';
import { receiveLot } from '../../../server/stock/save-stock';
import { loadStockPage } from '../../../server/stock/load-stock';

export const GET = endpoint(({ shop, api }) =>
  loadStockPage(shop, parseInput(stockQuery, Object.fromEntries(api.url.searchParams))),
);
export const POST = createEndpoint(lotInput, receiveLot);
