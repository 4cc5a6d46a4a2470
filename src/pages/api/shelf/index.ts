import { shelfQuery } from '../../../core/input';
import { endpoint } from '../../../server/endpoint';
import { parseInput } from '../../../server/errors';
import { loadShelfPage } from '../../../server/stock/load-shelf';

export const GET = endpoint(({ shop, api }) =>
  loadShelfPage(shop, parseInput(shelfQuery, Object.fromEntries(api.url.searchParams))),
);
