import { quoteInput } from '../../../core/input';
import { endpoint, readJson } from '../../../server/endpoint';
import { parseInput } from '../../../server/errors';
import { saveQuote, loadQuoteStart } from '../../../server/orders/quick-quote';

export const GET = endpoint(({ shop }) => loadQuoteStart(shop));
export const POST = endpoint(async ({ shop, api }) =>
  saveQuote(shop, parseInput(quoteInput, await readJson(api.request))),
);
