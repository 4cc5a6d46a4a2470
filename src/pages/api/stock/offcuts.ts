import { offcutSearch } from '../../../core/input';
import { endpoint } from '../../../server/endpoint';
import { parseInput } from '../../../server/errors';
import { findOffcuts } from '../../../server/stock/load-stock';

export const GET = endpoint(({ shop, api }) =>
  findOffcuts(shop, parseInput(offcutSearch, { key: null, ...Object.fromEntries(api.url.searchParams) })),
);
