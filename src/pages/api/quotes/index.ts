import { quoteInput } from '../../../core/input';
import { createEndpoint } from '../../../server/create-once';
import { endpoint } from '../../../server/endpoint';
import { saveQuote, loadQuoteStart } from '../../../server/orders/quick-quote';

export const GET = endpoint(({ shop }) => loadQuoteStart(shop));
export const POST = createEndpoint(quoteInput, saveQuote);
