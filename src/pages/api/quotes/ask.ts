import { quoteInput } from '../../../core/input';
import { endpoint, readJson } from '../../../server/endpoint';
import { parseInput } from '../../../server/errors';
import { askQuote } from '../../../server/orders/quick-quote';

export const POST = endpoint(async ({ shop, api }) =>
  askQuote(shop, parseInput(quoteInput, await readJson(api.request))),
);
