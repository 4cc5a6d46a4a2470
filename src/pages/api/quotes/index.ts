import { quoteInput } from '../../../core/input';
import { endpoint, readJson } from '../../../server/endpoint';
import { parseInput } from '../../../server/errors';
import { keepQuote, loadQuoteStart } from '../../../server/orders/quick-quote';

export const GET = endpoint(({ shop }) => loadQuoteStart(shop));
export const POST = endpoint(async ({ shop, api }) =>
  keepQuote(shop, parseInput(quoteInput, await readJson(api.request))),
);
